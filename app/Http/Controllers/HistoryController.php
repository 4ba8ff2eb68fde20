<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Models\Scene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class HistoryController
{
    /** The revision of the scene that was seen. */
    private const SEEN = ['revision' => 'sometimes|integer|min:0'];

    public function __construct(private readonly SceneStore $store, private readonly SceneState $state)
    {
    }

    /** Takes the last edit back. */
    #[Takes(self::SEEN)]
    public function undo(Request $request, Scene $scene): JsonResponse
    {
        return $this->step($request, $scene, back: true);
    }

    /** Does again what was taken back last. */
    #[Takes(self::SEEN)]
    public function redo(Request $request, Scene $scene): JsonResponse
    {
        return $this->step($request, $scene, back: false);
    }

    private function step(Request $request, Scene $scene, bool $back): JsonResponse
    {
        return new JsonResponse($this->state->of($this->store->step($scene->id, $back, $request->has('revision') ? $request->integer('revision') : null), waits: false));
    }
}
