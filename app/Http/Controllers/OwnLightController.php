<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scene;
use App\Render\PlateStudies;
use App\Scenes\SceneStore;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Compass;
use Illuminate\Http\JsonResponse;

/** The light that a plate brings along, as it is read off it; and whether it would do to mirror the plate. */
final class OwnLightController
{
    /** The light that a plate brings along. */
    public function __invoke(Scene $scene, string $strip, PlateStudies $studies, SceneStore $store): JsonResponse
    {
        [$light, $upward] = $studies->lightAndNormals($scene, $strip);
        if (is_string($light)) {
            return new JsonResponse(['found' => null, 'why' => $light, 'upward' => $upward]);
        }
        $document = $store->document($scene);
        $kind = $document->find($strip)?->kind;
        $bearing = $kind instanceof Pictured ? $kind->bearing() : null;
        $found = ['ambient' => round($light->ambient, 3), 'sky' => [round($light->red, 3), 1.0, round($light->blue, 3)], 'explained' => round($light->explained, 3), 'isRead' => $light->isRead(), 'clipped' => round($light->clipped, 4), 'bent' => round($light->bent, 2), 'azimuth' => round($bearing->azimuth ?? 0.0, 1), 'elevation' => round($bearing->elevation ?? 0.0, 1)];

        return new JsonResponse(['found' => [...$found, 'mirrored' => $kind instanceof Pictured ? (new Compass($document, $store->known($scene)))->mirroredIsOff($strip) : null], 'why' => null, 'upward' => $upward]);
    }
}
