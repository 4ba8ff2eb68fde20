<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
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

/** What scopes and tone limits draw of what is looked at, and the values under the pointer; null when a newer question came before the answer. */
final class ScopeController
{
    /** So many pixels tell enough. */
    private const ENOUGH = 40_000;

    private const WIDEST = 101;

    /** What is looked at, and which question of it this is. */
    private const LOOKED = [
        'view' => 'required|string|max:64', 'number' => 'required|integer|min:0',
        'window' => 'required|array|list|size:4', 'window.0' => 'numeric|between:-1000000,1000000', 'window.1' => 'numeric|between:-1000000,1000000', 'window.2' => 'numeric|between:0.5,1000000', 'window.3' => 'numeric|between:0.5,1000000',
    ];

    public function __construct(private readonly RenderRequests $requests, private readonly RenderService $renders)
    {
    }

    /** What scopes draw of the picture, or of a strip. */
    #[Takes([...self::LOOKED, 'strip' => 'sometimes|nullable|string|max:40'])]
    public function counts(Request $request, Scene $scene): JsonResponse
    {
        return new JsonResponse(['found' => $this->counted($request, $scene, RenderRequest::SCOPES, $request->filled('strip') ? [(string) $request->string('strip')] : [], Priority::Settled)]);
    }

    /** The tones that a strip's limits go by: how many pixels of each there are in what is looked at. */
    #[Takes([...self::LOOKED, 'strip' => 'required|string|max:40', 'of' => 'required|in:'.ToneLimits::BELOW.','.ToneLimits::ITSELF])]
    public function tones(Request $request, Scene $scene): JsonResponse
    {
        return new JsonResponse(['counts' => $this->counted($request, $scene, RenderRequest::TONES, [(string) $request->string('strip'), (string) $request->string('of')], Priority::Contribution)]);
    }

    /** How much there is of each hue below a strip in what is looked at, their mean, and the stretch that a hue belongs to. */
    #[Takes([...self::LOOKED, 'strip' => 'required|string|max:40', 'about' => 'sometimes|numeric|between:0,360'])]
    public function hues(Request $request, Scene $scene): JsonResponse
    {
        $strips = [(string) $request->string('strip'), ...($request->has('about') ? [(string) $request->float('about')] : [])];

        return new JsonResponse(['found' => $this->counted($request, $scene, RenderRequest::HUES, $strips, Priority::Contribution)]);
    }

    /** The colours below a strip in what is looked at, with how much of the picture each is. */
    #[Takes([...self::LOOKED, 'strip' => 'required|string|max:40'])]
    public function colours(Request $request, Scene $scene): JsonResponse
    {
        return new JsonResponse(['found' => $this->counted($request, $scene, RenderRequest::COLOURS, [(string) $request->string('strip')], Priority::Contribution)]);
    }

    /** How far what a strip brings to other colours is from them, before and after it. */
    #[Takes(['strip' => 'required|string|max:40', 'view' => 'required|string|max:64', 'number' => 'required|integer|min:0'])]
    public function likeness(Request $request, Scene $scene): JsonResponse
    {
        return new JsonResponse(['found' => $this->answer($request, $scene, RenderRequest::LIKENESS, [0.0, 0.0, 1.0, 1.0], 1.0, [(string) $request->string('strip')], Priority::Contribution)]);
    }

    /** The mean colour of a place, as it is seen and before anything was lit. */
    #[Takes(['at' => 'required|array|list|size:2', 'at.*' => 'numeric|between:-1000000,1000000', 'width' => 'sometimes|integer|between:1,'.self::WIDEST, 'view' => 'required|string|max:64', 'number' => 'required|integer|min:0'])]
    public function values(Request $request, Scene $scene): JsonResponse
    {
        $width = (float) $request->integer('width', 1);

        return new JsonResponse(['found' => $this->answer($request, $scene, RenderRequest::VALUES, [floor($request->float('at.0')) - floor($width / 2), floor($request->float('at.1')) - floor($width / 2), $width, $width], 1.0, [], Priority::Settled)]);
    }

    /**
     * What is counted in the window that is looked at.
     *
     * @param  list<string>  $strips
     */
    private function counted(Request $request, Scene $scene, string $kind, array $strips, Priority $priority): mixed
    {
        $window = [$request->float('window.0'), $request->float('window.1'), $request->float('window.2'), $request->float('window.3')];

        return $this->answer($request, $scene, $kind, $window, min(1.0, sqrt(self::ENOUGH / ($window[2] * $window[3]))), $strips, $priority);
    }

    /**
     * @param  array{float, float, float, float}  $window
     * @param  list<string>  $strips
     */
    private function answer(Request $request, Scene $scene, string $kind, array $window, float $scale, array $strips, Priority $priority): mixed
    {
        $read = $this->renders->render(
            $this->requests->of($scene, $kind, $window, $scale, $strips),
            new Ticket($priority, "{$kind} {$scene->id} {$request->string('view')}", $request->integer('number')),
        );

        return $read instanceof PaintedReply ? json_decode($read->bytes, true) : null;
    }
}
