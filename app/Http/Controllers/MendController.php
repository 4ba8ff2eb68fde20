<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\NotPossible;
use App\Http\Requests\GoesBy;
use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\Seen;
use App\Scenes\StripEdits;
use Aumbrel\Core\Reading\Mend;
use Aumbrel\Core\Reading\Readings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Takes a mend that a reading offers. */
final class MendController
{
    public function __invoke(Request $request, Scene $scene, SceneStore $store, SceneState $state): JsonResponse
    {
        $request->validate(['reading' => 'required|string|max:200', 'mend' => 'required|string|max:40']);
        $reading = (new Readings($store->document($scene), $store->known($scene)))->find($request->string('reading')->value())
            ?? throw new NotPossible('reading', 'This reading is gone: the scene has changed.');
        $mend = array_values(array_filter($reading->mends, static fn (Mend $mend): bool => $mend->key === $request->string('mend')->value()))[0]
            ?? throw new NotPossible('mend', 'This reading offers no such mend.');
        $changed = $store->edit($scene->id, mb_substr("Mend: {$mend->label}", 0, 80), static fn (FlatScene $flat): FlatScene => StripEdits::mend($flat, $reading, $mend), $mend->strip === null ? new Seen : GoesBy::strip($request, $mend->strip));

        return new JsonResponse($state->of($changed));
    }
}
