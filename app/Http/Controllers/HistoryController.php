<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use Illuminate\Http\JsonResponse;

final class HistoryController
{
    public function __construct(private readonly SceneStore $store, private readonly SceneState $state)
    {
    }

    public function undo(Scene $scene): JsonResponse
    {
        return new JsonResponse($this->state->of($this->store->step($scene->id, back: true)));
    }

    public function redo(Scene $scene): JsonResponse
    {
        return new JsonResponse($this->state->of($this->store->step($scene->id, back: false)));
    }
}
