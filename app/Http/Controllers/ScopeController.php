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
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What scopes draw of what is looked at, and the values under the pointer; null when a newer question came before the answer. */
final class ScopeController
{
    /** So many pixels tell enough. */
    private const ENOUGH = 40_000;

    private const WIDEST = 101;

    public function __construct(private readonly RenderRequests $requests, private readonly RenderService $renders)
    {
    }

    public function counts(Request $request, Scene $scene): JsonResponse
    {
        $request->validate([
            'strip' => 'sometimes|nullable|string|max:40', 'view' => 'required|string|max:64', 'number' => 'required|integer|min:0',
            'window' => 'required|array|list|size:4', 'window.0' => 'numeric|between:-1000000,1000000', 'window.1' => 'numeric|between:-1000000,1000000', 'window.2' => 'numeric|between:0.5,1000000', 'window.3' => 'numeric|between:0.5,1000000',
        ]);
        $window = [$request->float('window.0'), $request->float('window.1'), $request->float('window.2'), $request->float('window.3')];
        $strip = $request->filled('strip') ? [(string) $request->string('strip')] : [];

        return $this->answer($request, $scene, RenderRequest::SCOPES, $window, min(1.0, sqrt(self::ENOUGH / ($window[2] * $window[3]))), $strip);
    }

    public function values(Request $request, Scene $scene): JsonResponse
    {
        $request->validate([
            'at' => 'required|array|list|size:2', 'at.*' => 'numeric|between:-1000000,1000000', 'width' => 'sometimes|integer|between:1,'.self::WIDEST, 'view' => 'required|string|max:64', 'number' => 'required|integer|min:0',
        ]);
        $width = (float) $request->integer('width', 1);

        return $this->answer($request, $scene, RenderRequest::VALUES, [floor($request->float('at.0')) - floor($width / 2), floor($request->float('at.1')) - floor($width / 2), $width, $width], 1.0, []);
    }

    /**
     * @param  array{float, float, float, float}  $window
     * @param  list<string>  $strips
     */
    private function answer(Request $request, Scene $scene, string $kind, array $window, float $scale, array $strips): JsonResponse
    {
        $read = $this->renders->render(
            $this->requests->of($scene, $kind, $window, $scale, $strips),
            new Ticket(Priority::Settled, "{$kind} {$scene->id} {$request->string('view')}", $request->integer('number')),
        );

        return new JsonResponse(['found' => $read instanceof PaintedReply ? json_decode($read->bytes, true) : null]);
    }
}
