<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Gestures\Asked;
use App\Gestures\Gesture;
use App\Http\ListLimits;
use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Every gesture on the strips of a scene comes in here, by its name. */
final class GestureController
{
    /** A gesture on the strips of a scene. */
    public function __invoke(Request $request, Scene $scene, string $gesture, SceneStore $store, SceneState $state): JsonResponse
    {
        $class = Gesture::named($gesture) ?? abort(404);
        $made = app()->make($class);
        ListLimits::check($request->all(), $made->rules());
        $request->validate($made->rules());
        $asked = new Asked($scene, $request->all());
        $asked = $asked->with($made->find($asked));
        $changed = $store->edit($scene->id, $made->label($asked), static fn (FlatScene $flat): FlatScene => $made->onto($flat, $asked), $made->seen($asked));

        return new JsonResponse($state->of($changed, waits: false));
    }
}
