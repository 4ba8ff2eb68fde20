<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Tests\Support\Told;

/** A scene told in neutral words, and an independent renderer's picture of it. */
function told(string $case): Told
{
    return new Told(__DIR__."/reference/told/{$case}", __DIR__.'/reference/told/plates');
}

/**
 * @param  callable(int, int): bool  $isEdge  places that are left out: hard edges of the scene itself
 */
it('agrees with scenes of an independent renderer', function (string $case, ?callable $isEdge = null): void {
    $told = told($case);
    $scene = $told->scene();
    $apart = $told->apart($told->renderer()->picture($scene, Window::whole($scene->width, $scene->height), 16)->bytes);
    $smooth = array_filter($apart, static fn (int $at): bool => $isEdge === null || ! $isEdge($at % $scene->width, intdiv($at, $scene->width)), ARRAY_FILTER_USE_KEY);
    ['mean' => $mean, 'max' => $most] = $told->about()['tolerance'];
    expect(array_sum($apart) / count($apart))->toBeLessThan($mean)->and(max($smooth))->toBeLessThan($most);
})->with([
    'pools on a wall, one by screen that is nowhere above 1' => ['32'],
    'a contact row that slants the other way' => ['39'],
    'two lamps: no seam where an axis turns round' => ['40'],
    // in row 71 the wall ends and the ground begins
    'a lamp lower than the sheet, whose shadow climbs a wall' => ['64', static fn (int $x, int $y): bool => $y === 71],
    'haze by the distance of plates that have masks and an amount, over nothing' => ['65'],
]);
