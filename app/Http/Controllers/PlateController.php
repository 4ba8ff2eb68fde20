<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Upload;
use App\Models\Scene;
use App\Render\PlateStudies;
use App\Render\Study;
use App\Scenes\BringPicture;
use App\Scenes\NewPlate;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Plates as pictures: brought in as a file, and looked at as a whole. */
final class PlateController
{
    public function __construct(private readonly SceneState $state, private readonly PlateStudies $studies)
    {
    }

    public function add(Request $request, Scene $scene, NewPlate $new, PictureLibrary $library): JsonResponse
    {
        /** @var array{x?: numeric-string, y?: numeric-string} $place */
        $place = $request->validate(['x' => 'sometimes|numeric|between:-1000000,1000000', 'y' => 'sometimes|numeric|between:-1000000,1000000']);
        $file = Upload::of($request);
        $changed = $new->of($scene, $file, (float) ($place['x'] ?? $scene->width / 2), (float) ($place['y'] ?? $scene->height / 2));

        return new JsonResponse([...$this->state->of($changed), 'notice' => $library->notice($file->path, $file->name)], 201);
    }

    /** A picture that becomes no plate: a slide, a leak, a texture. */
    public function bring(Request $request, Scene $scene, BringPicture $bring): JsonResponse
    {
        [$name] = $bring->to($scene, Upload::of($request));

        return new JsonResponse(['name' => $name], 201);
    }

    /** How many pieces shrinking the cut-out takes away. */
    public function pieces(Scene $scene, string $strip): JsonResponse
    {
        return new JsonResponse(['vanished' => $this->studies->of($scene, $strip, Study::Vanished)]);
    }
}
