<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Point;

// against numpy's singular value decomposition; core/tests/reference/homography.py writes the values

/** @return array{Point, Point, Point, Point} */
function points(array $pairs): array
{
    return array_map(fn (array $pair): Point => new Point((float) $pair[0], (float) $pair[1]), $pairs);
}

it('agrees with a general-purpose numeric library', function (): void {
    foreach (json_decode(file_get_contents(__DIR__.'/reference/homography.json'), true) as $case) {
        $homography = Homography::between(points($case['source']), points($case['target']));
        foreach ([...array_map(null, $case['source'], $case['target']), ...array_map(null, $case['points'], $case['mapped'])] as [$from, $to]) {
            expect($homography->map(points([$from])[0])->toArray())->toEqualWithDelta([(float) $to[0], (float) $to[1]], 1e-6);
        }
    }
});

it('refuses points that span no area', function (): void {
    $square = points([[0, 0], [1, 0], [1, 1], [0, 1]]);
    expect(fn () => Homography::between(points([[0, 0], [1, 1], [2, 2], [0, 1]]), $square))->toThrow(InvalidArgumentException::class, 'line');
});
