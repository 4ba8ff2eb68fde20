<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scene;
use App\Render\PaintedReply;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\RenderRequests;
use App\Render\RenderService;
use Aumbrel\Core\Scene\ToneLimits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The tones that a strip's limits go by: how many pixels of each there are in what is looked at. */
final class ToneController
{
    /** So many pixels tell enough. */
    private const ENOUGH = 40_000;

    public function __invoke(Request $request, Scene $scene, RenderRequests $requests, RenderService $renders): JsonResponse
    {
        $request->validate([
            'strip' => 'required|string|max:40', 'of' => 'required|in:'.ToneLimits::BELOW.','.ToneLimits::ITSELF, 'view' => 'required|string|max:64', 'number' => 'required|integer|min:0',
            'window' => 'required|array|list|size:4', 'window.0' => 'numeric|between:-1000000,1000000', 'window.1' => 'numeric|between:-1000000,1000000', 'window.2' => 'numeric|between:0.5,1000000', 'window.3' => 'numeric|between:0.5,1000000',
        ]);
        $window = [$request->float('window.0'), $request->float('window.1'), $request->float('window.2'), $request->float('window.3')];
        $scale = min(1.0, sqrt(self::ENOUGH / ($window[2] * $window[3])));
        $painted = $renders->render(
            $requests->of($scene, RenderRequest::TONES, $window, $scale, [(string) $request->string('strip'), (string) $request->string('of')]),
            new Ticket(Priority::Contribution, "tones {$scene->id} {$request->string('view')}", $request->integer('number')),
        );

        return new JsonResponse(['counts' => $painted instanceof PaintedReply ? json_decode($painted->bytes, true) : null]);
    }
}
