<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\CutOut\Unstain;
use Aumbrel\Core\Raster\Box;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Halved;
use Aumbrel\Core\Raster\Polygon;

// against shapely, scipy and numpy; core/tests/reference/rasters.py writes the values

function rasters(string $name): array
{
    static $all = null;
    $all ??= json_decode(file_get_contents(__DIR__.'/reference/rasters.json'), true);

    return $all[$name];
}

/** How far two planes are apart at the worst pixel. */
function worst(array $one, array $other): float
{
    expect(count($one))->toBe(count($other));

    return max(array_map(fn (float $a, float $b): float => abs($a - $b), $one, $other));
}

it('covers pixels by the exact area', function (): void {
    foreach (rasters('polygons') as $case) {
        foreach ([$case['points'], array_reverse($case['points'])] as $points) {
            $coverage = Polygon::coverage(array_map(fn (array $p): array => [(float) $p[0], (float) $p[1]], $points), $case['columns'], $case['rows']);
            expect(worst($coverage, $case['coverage']))->toBeLessThan(1e-6);
        }
    }
});

it('covers the same area at every scale', function (): void {
    $points = fn (float $scale): array => array_map(fn (array $p): array => [$p[0] * $scale, $p[1] * $scale], [[3.2, 2.1], [29.4, 8.8], [22.7, 30.3], [8.1, 17.9]]);
    $full = Polygon::coverage($points(1), 32, 32);
    $half = Polygon::coverage($points(0.5), 16, 16);
    for ($row = 0; $row < 16; $row++) {
        for ($column = 0; $column < 16; $column++) {
            $at = 2 * $row * 32 + 2 * $column;
            expect(($full[$at] + $full[$at + 1] + $full[$at + 32] + $full[$at + 33]) / 4)->toEqualWithDelta($half[$row * 16 + $column], 1e-9);
        }
    }
});

it('measures distances to the half-covered line, finer than a pixel', function (): void {
    $case = rasters('distance');
    $signed = Distance::signed($case['shape'], $case['size'], $case['size']);
    expect(worst($signed, $case['signed']))->toBeLessThan($case['tolerance']);
});

it('measures the distance to a circle', function (): void {
    // an edge four pixels wide, so that coverage is linear around the line: the distance is then exact
    $disc = [];
    for ($row = 0; $row < 80; $row++) {
        for ($column = 0; $column < 80; $column++) {
            $disc[] = max(0.0, min(1.0, (25.3 - hypot($column + 0.5 - 40, $row + 0.5 - 40)) / 4 + 0.5));
        }
    }
    $signed = Distance::signed($disc, 80, 80);
    foreach ([[40, 40, 24.6], [40, 10, -4.2], [5, 40, -9.2], [60, 60, -3.7]] as [$column, $row, $about]) {
        $true = 25.3 - hypot($column + 0.5 - 40, $row + 0.5 - 40);
        expect($signed[$row * 80 + $column])->toEqualWithDelta($true, 0.01)->and($true)->toEqualWithDelta($about, 0.8);
    }
});

it('knows no border where there is none', function (): void {
    expect(Distance::signed(array_fill(0, 16, 1.0), 4, 4)[5])->toBe(INF)->and(Distance::signed(array_fill(0, 16, 0.0), 4, 4)[5])->toBe(-INF);
});

it('grows and shrinks by exact distance, with an edge a pixel wide', function (): void {
    // where a pixel wide edge is cut at 0 and 1 it is not linear: the line is off by up to 0.09 px (follows from the definition)
    $disc = fn (float $radius): array => array_map(fn (int $at): float => max(0.0, min(1.0, $radius - hypot($at % 60 + 0.5 - 30, intdiv($at, 60) + 0.5 - 30) + 0.5)), range(0, 3599));
    expect(worst(Edge::grown($disc(15), 60, 60, 6.5), $disc(21.5)))->toBeLessThan(0.1)
        ->and(worst(Edge::grown($disc(15), 60, 60, -9.25), $disc(5.75)))->toBeLessThan(0.1)
        ->and(array_sum(Edge::grown($disc(15), 60, 60, -16)))->toBeLessThan(1e-9);
});

it('counts the pieces that vanish, and finds holes', function (): void {
    // a large square, a bar two pixels wide, and a ring
    $plane = array_fill(0, 40 * 30, 0.0);
    $fill = function (int $x0, int $y0, int $x1, int $y1, float $value) use (&$plane): void {
        for ($y = $y0; $y < $y1; $y++) {
            for ($x = $x0; $x < $x1; $x++) {
                $plane[$y * 40 + $x] = $value;
            }
        }
    };
    $fill(2, 2, 12, 12, 1);
    $fill(2, 20, 30, 22, 1);
    $fill(18, 2, 34, 16, 1);
    $fill(23, 6, 29, 12, 0);
    expect(Pieces::label($plane, 40, 30)[1])->toBe(3);
    // contracting by r removes every piece not wider than 2r (follows from the definition)
    expect(Pieces::vanished($plane, Edge::grown($plane, 40, 30, -1.2), 40, 30))->toBe(1)
        ->and(Pieces::vanished($plane, Edge::grown($plane, 40, 30, -0.4), 40, 30))->toBe(0)
        ->and(Pieces::vanished($plane, Edge::grown($plane, 40, 30, -5.2), 40, 30))->toBe(3);
    $holes = Pieces::holes($plane, 40, 30);
    expect(array_sum($holes))->toBe(36.0)->and($holes[8 * 40 + 25])->toBe(1.0)->and($holes[0])->toBe(0.0);
});

it('takes means over squares, of what is there at the borders', function (): void {
    $plane = array_map(fn (int $k): float => (float) (($k * 37) % 11), range(0, 7 * 5 - 1));
    $mean = Box::mean($plane, 7, 5, 2);
    foreach ([[0, 0], [3, 2], [6, 4], [1, 4]] as [$x, $y]) {
        $sum = $count = 0;
        for ($v = max(0, $y - 2); $v <= min(4, $y + 2); $v++) {
            for ($u = max(0, $x - 2); $u <= min(6, $x + 2); $u++) {
                $sum += $plane[$v * 7 + $u];
                $count++;
            }
        }
        expect($mean[$y * 7 + $x])->toEqualWithDelta($sum / $count, 1e-12);
    }
});

it('takes at least half of the old background out of an edge', function (): void {
    // a subject with a slow change of colour before a green background with another one; the edge is five pixels soft
    [$columns, $rows] = [120, 80];
    $alpha = [];
    $true = $mixed = [[], [], []];
    for ($row = 0; $row < $rows; $row++) {
        for ($column = 0; $column < $columns; $column++) {
            $alpha[] = $a = max(0.0, min(1.0, 0.5 + (26 - hypot($column - 60, ($row - 40) * 1.1)) / 5));
            $subject = [0.72 - $column / 400, 0.35 + $row / 500, 0.3];
            $background = [0.1 + $row / 800, 0.75, 0.2 + $column / 600];
            foreach ([0, 1, 2] as $k) {
                $true[$k][] = $subject[$k];
                $mixed[$k][] = $a * $subject[$k] + (1 - $a) * $background[$k];
            }
        }
    }
    $clean = Unstain::colours($mixed, $alpha, null, $columns, $rows, 1.0);
    [$before, $after] = [0.0, 0.0];
    foreach ($alpha as $at => $a) {
        if ($a > 0.1 && $a < 0.9) {
            foreach ([0, 1, 2] as $k) {
                $before += abs($mixed[$k][$at] - $true[$k][$at]);
                $after += abs($clean[$at][$k] - $true[$k][$at]);
            }
        }
    }
    expect($after)->toBeLessThan(0.25 * $before);
});

it('is exact on a star, wherever one stands', function (int $points, float $depth): void {
    $size = 140;
    $coverage = [];
    for ($y = 0; $y < $size; $y++) {
        for ($x = 0; $x < $size; $x++) {
            [$dx, $dy] = [$x - 70.3, $y - 69.6];
            $edge = 40 + $depth * cos($points * atan2($dy, $dx)) + 5 * sin(3 * atan2($dy, $dx));
            $coverage[] = max(0.0, min(1.0, $edge - hypot($dx, $dy) + 0.5));
        }
    }
    $found = Aumbrel\Core\Raster\Distance::signed($coverage, $size, $size);
    // every piece of the half-covered line tried for every place; where a cell's corners cross, by linear interpolation
    $pieces = [];
    for ($y = 0; $y + 1 < $size; $y++) {
        for ($x = 0; $x + 1 < $size; $x++) {
            $corner = fn (int $i, int $j): float => $coverage[($y + $j) * $size + $x + $i] - 0.5;
            $crossed = [];
            foreach ([[0, 0, 1, 0], [1, 0, 1, 1], [0, 1, 1, 1], [0, 0, 0, 1]] as [$i0, $j0, $i1, $j1]) {
                [$a, $b] = [$corner($i0, $j0), $corner($i1, $j1)];
                if (($a >= 0) !== ($b >= 0)) {
                    $crossed[] = [$x + $i0 + ($i1 - $i0) * $a / ($a - $b), $y + $j0 + ($j1 - $j0) * $a / ($a - $b)];
                }
            }
            if (count($crossed) === 2) {
                $pieces[] = [...$crossed[0], ...$crossed[1]];
            }
        }
    }
    $worst = 0.0;
    for ($y = 1; $y < $size; $y += 5) {
        for ($x = 2; $x < $size; $x += 4) {
            $nearest = INF;
            foreach ($pieces as [$x0, $y0, $x1, $y1]) {
                $length = ($x1 - $x0) ** 2 + ($y1 - $y0) ** 2;
                $share = $length > 0 ? max(0, min(1, (($x - $x0) * ($x1 - $x0) + ($y - $y0) * ($y1 - $y0)) / $length)) : 0;
                $nearest = min($nearest, hypot($x - $x0 - $share * ($x1 - $x0), $y - $y0 - $share * ($y1 - $y0)));
            }
            $worst = max($worst, abs(abs($found[$y * $size + $x]) - $nearest));
        }
    }
    expect($worst)->toBeLessThan(0.005);
})->with([[7, 20.0], [5, 30.0], [19, 8.0]]);

it('halves planes of any size', function (): void {
    expect(Halved::ofAny([1.0, 3.0, 5.0, 7.0, 2.0, 6.0], 3, 2))->toBe([[3.25, 5.5], 2, 1])
        ->and(Halved::ofAny(range(0.0, 15.0), 4, 4))->toBe([Halved::of(range(0.0, 15.0), 2, 2), 2, 2])
        ->and(Halved::ofAny([2.0], 1, 1))->toBe([[2.0], 1, 1]);
});

it('tells within a short reach what it tells without one, and no more', function (): void {
    mt_srand(7);
    [$columns, $rows, $reach] = [57, 43, 6.5];
    $coverage = array_fill(0, $columns * $rows, 0.0);
    for ($k = 0; $k < 12; $k++) {
        [$x, $y, $radius] = [mt_rand(0, $columns), mt_rand(0, $rows), mt_rand(5, 70) / 10];
        foreach ($coverage as $at => $value) {
            $coverage[$at] = max($value, min(1.0, max(0.0, $radius + 0.5 - hypot($at % $columns - $x, intdiv($at, $columns) - $y))));
        }
    }
    $far = Distance::signed($coverage, $columns, $rows);
    $known = 0;
    foreach (Distance::signed($coverage, $columns, $rows, $reach) as $at => $distance) {
        if (abs($far[$at]) <= $reach) {
            expect($distance)->toEqualWithDelta($far[$at], 0.005);
            $known++;
        } else {
            expect($distance)->toBe($far[$at] > 0 ? INF : -INF);
        }
    }
    expect($known)->toBeGreaterThan(500)->toBeLessThan($columns * $rows);
});
