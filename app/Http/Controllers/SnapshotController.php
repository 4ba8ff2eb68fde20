<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scene;
use App\Scenes\SceneState;
use App\Scenes\Snapshots;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Named variants of a scene. */
final readonly class SnapshotController
{
    public function __construct(private Snapshots $snapshots, private SceneState $state)
    {
    }

    public function keep(Request $request, Scene $scene): JsonResponse
    {
        $request->validate(['name' => 'required|string|max:80', 'of' => 'sometimes|nullable|string|max:40']);
        $of = $request->input('of');
        $this->snapshots->keep($scene, (string) $request->string('name'), is_string($of) ? $of : null);

        return new JsonResponse($this->state->of($scene, waits: false), 201);
    }

    public function rename(Request $request, Scene $scene, string $snapshot): JsonResponse
    {
        $request->validate(['name' => 'required|string|max:80']);
        $this->snapshots->rename($scene, $snapshot, (string) $request->string('name'));

        return new JsonResponse($this->state->of($scene, waits: false));
    }

    public function throwAway(Scene $scene, string $snapshot): JsonResponse
    {
        $this->snapshots->throwAway($scene, $snapshot);

        return new JsonResponse($this->state->of($scene, waits: false));
    }

    public function bringBack(Scene $scene, string $snapshot): JsonResponse
    {
        $this->snapshots->bringBack($scene, $snapshot);

        return new JsonResponse($this->state->of($scene, waits: false));
    }
}
