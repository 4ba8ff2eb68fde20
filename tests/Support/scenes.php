<?php

declare(strict_types=1);

use Tests\Support\PictureFile;

// What tests of the application do with scenes, whichever of them runs alone.

/** A scene made of an uploaded picture, as the interface is told of it. */
function aScene(int $width = 64, int $height = 40): array
{
    return test()->postJson('/api/scenes', ['file' => PictureFile::png($width, $height)])->assertCreated()->json();
}

function addSpot(array $scene, array $more = []): array
{
    return test()->postJson("/api/scenes/{$scene['id']}/gestures/add-strip", ['kind' => 'spot', 'centre' => [32, 20], 'span' => 40, ...$more])->assertOk()->json();
}

function change(array $scene, int $at, array $change): Illuminate\Testing\TestResponse
{
    $strip = $scene['strips'][$at];

    return test()->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => $strip['id'], 'revision' => $strip['revision'], ...$change]);
}
