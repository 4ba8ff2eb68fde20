<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AddStrip;
use App\Http\Requests\GoesBy;
use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\StripEdits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class MaskController
{
    public function __construct(private readonly SceneStore $store, private readonly SceneState $state)
    {
    }

    public function add(AddStrip $request, Scene $scene, string $strip): JsonResponse
    {
        $changed = $this->store->edit($scene->id, "Add {$request->kind()} mask", static fn (FlatScene $flat): FlatScene => StripEdits::addMask(
            $flat, $strip, $request->kind(), $request->centre(), $request->span(), $request->fields(),
        ), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed), 201);
    }

    public function remove(Request $request, Scene $scene, string $strip, string $mask): JsonResponse
    {
        $changed = $this->store->edit($scene->id, 'Delete mask', static fn (FlatScene $flat): FlatScene => StripEdits::removeMask($flat, $strip, $mask),
            GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed));
    }
}
