<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
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

    /** Keeps the scene as it is, or as another snapshot has it, under a name. */
    #[Takes(['name' => 'required|string|max:80', 'of' => 'sometimes|nullable|string|max:40'])]
    public function keep(Request $request, Scene $scene): JsonResponse
    {
        $of = $request->input('of');
        $this->snapshots->keep($scene, (string) $request->string('name'), is_string($of) ? $of : null);

        return new JsonResponse($this->state->of($scene, waits: false), 201);
    }

    /** Names a snapshot. */
    #[Takes(['name' => 'required|string|max:80'])]
    public function rename(Request $request, Scene $scene, string $snapshot): JsonResponse
    {
        $this->snapshots->rename($scene, $snapshot, (string) $request->string('name'));

        return new JsonResponse($this->state->of($scene, waits: false));
    }

    /** Throws a snapshot away. */
    public function throwAway(Scene $scene, string $snapshot): JsonResponse
    {
        $this->snapshots->throwAway($scene, $snapshot);

        return new JsonResponse($this->state->of($scene, waits: false));
    }

    /** Brings a snapshot back. */
    public function bringBack(Scene $scene, string $snapshot): JsonResponse
    {
        $this->snapshots->bringBack($scene, $snapshot);

        return new JsonResponse($this->state->of($scene, waits: false));
    }
}
