<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scene;
use App\Render\SceneStudies;
use App\Scenes\SceneStore;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What is noticed in the picture itself; asked for when the hand rests. */
final class ReadingController
{
    /** What is noticed in the picture itself. */
    public function __invoke(Scene $scene, SceneStore $store, SceneStudies $studies): JsonResponse|Response
    {
        $facts = $studies->of($scene);
        if ($facts === null) {
            return new Response(status: 204);
        }
        $readings = new Readings($store->document($scene), $store->known($scene), $facts);

        return new JsonResponse(['readings' => array_map(static fn (Reading $reading): array => $reading->toArray(), $readings->ofPicture())]);
    }
}
