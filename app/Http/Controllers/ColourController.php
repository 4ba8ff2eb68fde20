<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Models\Scene;
use App\Render\Patches;
use App\Render\PlateStudies;
use App\Render\Study;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A colour to light with, found in the picture: of a patch, the mean of a plate, or that of the whole scene. */
final class ColourController
{
    /** The widest patch, scene pixels. */
    private const WIDEST = 101;

    /** A colour to light with: of a patch, of a plate, or of the whole scene. */
    #[Takes(['at' => 'sometimes|array|list|size:2', 'at.*' => 'numeric|between:-1000000,1000000', 'width' => 'sometimes|integer|between:1,'.self::WIDEST, 'plate' => 'sometimes|string|max:40'])]
    public function __invoke(Request $request, Scene $scene, Patches $patches, PlateStudies $studies): JsonResponse
    {
        $mean = $request->has('plate') ? $studies->of($scene, (string) $request->string('plate'), Study::Mean) : null;
        $swatch = match (true) {
            is_string($mean) => Rgb::fromHex($mean)->decoded()->normalised()->encoded()->toHex(),
            $request->has('plate') => null,
            $request->has('at') => $patches->light($scene, new Point($request->float('at.0'), $request->float('at.1')), $request->integer('width', 5)),
            default => $patches->whole($scene),
        };

        $swatch ??= throw new SceneError('at', 'there is no colour: it is too dark, or nothing is there');

        return new JsonResponse(['swatch' => $swatch]);
    }
}
