<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\Contour;

/** @return list<float> how much of each pixel is there, by 8 by 8 places in it */
function coverage(int $columns, int $rows, callable $isIn): array
{
    $alpha = [];
    for ($y = 0; $y < $rows; $y++) {
        for ($x = 0; $x < $columns; $x++) {
            $in = 0;
            for ($k = 0; $k < 64; $k++) {
                $in += $isIn($x + ($k % 8 + 0.5) / 8, $y + (intdiv($k, 8) + 0.5) / 8) ? 1 : 0;
            }
            $alpha[] = $in / 64;
        }
    }

    return $alpha;
}

// areas of discs and rectangles: elementary geometry
it('encloses a disc by one ring of its area, all of whose points lie on the circle', function (float $scale): void {
    $rings = Contour::of(coverage(60, 50, fn (float $x, float $y): bool => hypot($x - 28, $y - 24) < 18), 60, 50, $scale);
    expect($rings)->toHaveCount(1)->and(Contour::area($rings[0]) / 2 / $scale ** 2)->toEqualWithDelta(M_PI * 18 ** 2, 12.0);
    foreach ($rings[0] as [$x, $y]) {
        expect(hypot($x / $scale - 28, $y / $scale - 24))->toEqualWithDelta(18, 0.25);
    }
    expect(count($rings[0]))->toBeLessThan(60);
})->with([1.0, 8.0]);

it('goes round a hole the other way', function (): void {
    $rings = Contour::of(coverage(60, 60, fn (float $x, float $y): bool => hypot($x - 30, $y - 30) < 25 && hypot($x - 30, $y - 30) > 12), 60, 60);
    expect($rings)->toHaveCount(2)->and(Contour::area($rings[0]) / 2)->toEqualWithDelta(M_PI * 25 ** 2, 20)->and(Contour::area($rings[1]) / 2)->toEqualWithDelta(-M_PI * 12 ** 2, 8);
});

it('is the border of what is there wholly, with its corners alone', function (): void {
    [$ring] = Contour::of(array_fill(0, 12 * 7, 1.0), 12, 7);
    expect(Contour::area($ring) / 2)->toEqualWithDelta(12 * 7, 0.51)->and(count($ring))->toBeLessThan(12);
});

it('parts what touches by corners only, and leaves specks out', function (): void {
    expect(Contour::of(coverage(24, 24, fn (float $x, float $y): bool => ($x < 12) === ($y < 12)), 24, 24))->toHaveCount(2)
        ->and(Contour::of(coverage(24, 24, fn (float $x, float $y): bool => $x > 11 && $x < 12 && $y > 11 && $y < 12), 24, 24))->toBe([])
        ->and(Contour::of(array_fill(0, 30, 0.0), 6, 5))->toBe([]);
});
