<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;

/** @return list<float> */
function painted(array $stroke, Window $window, float $start = 0.0): array
{
    $plane = array_fill(0, $window->columns * $window->rows, $start);
    (new Brush(Frame::scene($window)))->paint($plane, Stroke::read($stroke, 'stroke'));

    return $plane;
}

it('paints as its formula says', function (): void {
    // numpy, one stamp after the other; core/tests/reference/rasters.py
    foreach (json_decode(file_get_contents(__DIR__.'/reference/rasters.json'), true)['strokes'] as $case) {
        $plane = painted($case['stroke'], Window::whole(64, 48));
        foreach ($case['rows'] as $row => $values) {
            expect(array_slice($plane, $row * 64, 64))->toEqualWithDelta($values, 1e-6);
        }
    }
});

it('leaves stamps a quarter of the radius apart, the first at the start', function (): void {
    $stamps = Stroke::read(['size' => 16, 'points' => [[0, 0], [7, 0], [7, 5]]], 's')->stamps();
    expect(array_map(fn (array $stamp): array => [round($stamp[0], 6), round($stamp[1], 6)], $stamps))
        ->toBe([[0.0, 0.0], [2.0, 0.0], [4.0, 0.0], [6.0, 0.0], [7.0, 1.0], [7.0, 3.0], [7.0, 5.0]]);
});

it('adds a stamp for every 50 ms that it stands still', function (): void {
    expect(Stroke::read(['size' => 40, 'points' => [[5, 5, 1, 0], [5, 5, 1, 120], [5, 5, 1, 175]]], 's')->stamps())->toHaveCount(4);
    // dwelling under a low flow builds up: 1 - (1 - flow)^n (follows from the definition)
    $plane = painted(['size' => 20, 'hardness' => 100, 'flow' => 10, 'points' => [[8, 8, 1, 0], [8, 8, 1, 300]]], Window::whole(16, 16));
    expect($plane[8 * 16 + 8])->toEqualWithDelta(1 - 0.9 ** 7, 1e-9);
});

it('builds up by passes as 1 - (1 - p)^n', function (): void {
    // follows from the definition: 7 passes at 10 % reach half
    $plane = array_fill(0, 256, 0.0);
    $brush = new Brush(Frame::scene(Window::whole(16, 16)));
    $stroke = Stroke::read(['size' => 30, 'hardness' => 100, 'opacity' => 10, 'points' => [[8, 8]]], 's');
    for ($pass = 0; $pass < 7; $pass++) {
        $brush->paint($plane, $stroke);
    }
    expect($plane[136])->toEqualWithDelta(1 - 0.9 ** 7, 1e-9)->and($plane[136])->toBeGreaterThan(0.5);
});

it('hides toward 0', function (): void {
    $plane = painted(['size' => 30, 'hardness' => 100, 'opacity' => 40, 'letsIn' => false, 'points' => [[8, 8]]], Window::whole(16, 16), 0.8);
    expect($plane[136])->toEqualWithDelta(0.8 * 0.6, 1e-9);
});

it('replays the same at half the scale, and in bands', function (): void {
    $stroke = ['size' => 30, 'hardness' => 10, 'flow' => 40, 'points' => [[10, 12], [70, 40], [30, 60]]];
    $full = painted($stroke, Window::whole(80, 80));
    $half = painted($stroke, Window::whole(80, 80, 0.5));
    $sum = 0.0;
    for ($row = 0; $row < 40; $row++) {
        for ($column = 0; $column < 40; $column++) {
            $at = 2 * $row * 80 + 2 * $column;
            $apart = abs(($full[$at] + $full[$at + 1] + $full[$at + 80] + $full[$at + 81]) / 4 - $half[$row * 40 + $column]);
            expect($apart)->toBeLessThan(4 / 255);
            $sum += $apart;
        }
    }
    expect($sum / 1600)->toBeLessThan(1 / 255);
    $bands = [...painted($stroke, Window::whole(80, 80)->band(0, 33)), ...painted($stroke, Window::whole(80, 80)->band(33, 47))];
    expect($bands)->toEqualWithDelta($full, 1e-12);
});

it('lies on a plate: turned and mirrored with it, round on the picture in perspective', function (): void {
    $window = Window::whole(80, 80);
    $paint = function (Placement $placement, array $points, float $size) use ($window): array {
        $plane = array_fill(0, 6400, 0.0);
        (new Brush(Frame::plate($window, $placement)))->paint($plane, Stroke::read(['size' => $size, 'points' => $points], 's'));

        return $plane;
    };
    $placement = new Placement(new Point(40, 40), new Point(20, 10), 2.0, 30, true);
    $inScene = array_map(fn (array $p): array => $placement->toScene(new Point(...$p))->toArray(), [[12.0, 4.0], [30.0, 22.0]]);
    expect($paint($placement, [[12, 4], [30, 22]], 8))->toEqualWithDelta(painted(['size' => 16, 'points' => $inScene], $window), 1e-9);

    $fit = Corners::read([[0, 0], [60, 10], [50, 60], [5, 50]], 'fit')->fit(40, 40);
    $bent = new Placement(new Point(10, 10), new Point(0, 0), 1.0, 0, false, $fit);
    $plane = $paint($bent, [[20, 20]], 20);
    // the stamp's border is where its distance on the picture is the radius
    foreach ([[20, 20, 1.0], [20, 29.5, 0.0], [11, 20, 0.05], [20, 25, 0.5]] as [$x, $y, $about]) {
        [$u, $v] = $bent->toScene(new Point($x, $y))->toArray();
        $share = max(0.0, 1 - hypot($x - 20, $y - 20) / 10);
        expect($plane[(int) $v * 80 + (int) $u])->toEqualWithDelta($share * $share * (3 - 2 * $share), 0.12)->and($share * $share * (3 - 2 * $share))->toEqualWithDelta($about, 0.06);
    }
});

it('refuses strokes that are none', function (array $stroke, string $field): void {
    expect(fn () => Stroke::read($stroke, 'stroke'))->toThrow(SceneError::class, $field);
})->with([
    'no points' => [['points' => []], 'stroke.points'],
    'no size' => [['size' => 0, 'points' => [[0, 0]]], 'stroke.size'],
    'a size without end' => [['size' => INF, 'points' => [[0, 0]]], 'stroke.size'],
    'not a number' => [['points' => [[NAN, 0]]], 'stroke.points[0]'],
    'pressure above 1' => [['points' => [[0, 0, 2, 0]]], 'stroke.points[0]'],
    'a word for a place' => [['points' => [['here', 0]]], 'stroke.points[0]'],
    'a line around the world with a needle' => [['size' => 1, 'points' => [[-1e6, 0], [1e6, 0]]], 'too long for so small a brush'],
    'a brush that never lifts' => [['points' => [[0, 0, 1, 0], [0, 0, 1, 1e6], [5, 0, 1, 1e6], ...array_map(fn (int $k): array => [5, 0, 1, $k % 2 === 0 ? -1e6 : 1e6], range(1, 20))]], 'too long'],
    'an unknown pressure' => [['pressure' => 'colour', 'points' => [[0, 0]]], 'stroke.pressure'],
]);

it('draws curves nowhere further off than asked', function (): void {
    // a circle of four cubics, whose greatest error against the circle is 0.027 % of its radius (known, from memory)
    $k = 0.5522847498 * 100;
    $path = Path::read([
        ['at' => [100, 0], 'in' => [0, -$k], 'out' => [0, $k]], ['at' => [0, 100], 'in' => [$k, 0], 'out' => [-$k, 0]],
        ['at' => [-100, 0], 'in' => [0, $k], 'out' => [0, -$k]], ['at' => [0, -100], 'in' => [-$k, 0], 'out' => [$k, 0]],
    ], 'path');
    $points = $path->flattened(0.05);
    foreach ($points as $at => [$x, $y]) {
        [$u, $v] = $points[($at + 1) % count($points)];
        expect(hypot($x, $y))->toEqualWithDelta(100, 0.03)->and(hypot(($x + $u) / 2, ($y + $v) / 2))->toBeGreaterThan(100 - 0.05);
    }
    expect(count($points))->toBeLessThan(250);
});

it('knows when an outline encloses nothing', function (): void {
    expect(Path::read([], 'p')->isClosed())->toBeFalse()
        ->and(Path::read([['at' => [0, 0]], ['at' => [5, 5]]], 'p')->isClosed())->toBeFalse()
        ->and(Path::read([['at' => [0, 0], 'out' => [3, 0]], ['at' => [5, 5]]], 'p')->isClosed())->toBeTrue();
});

it('refuses corners that fold', function (array $corners): void {
    expect(fn () => Corners::read($corners, 'fit'))->toThrow(SceneError::class);
})->with([
    'crossed' => [[[0, 0], [10, 10], [10, 0], [0, 10]]],
    'on a line' => [[[0, 0], [5, 0], [10, 0], [0, 10]]],
    'the wrong way round' => [[[0, 0], [0, 10], [10, 10], [10, 0]]],
    'three' => [[[0, 0], [10, 0], [10, 10]]],
]);

it('reads strokes of earlier files, which had another word for letting in', function (): void {
    $stroke = static fn (array $more): Aumbrel\Core\Stroke\Stroke => Aumbrel\Core\Stroke\Stroke::read(['size' => 10, 'points' => [[1, 2]], ...$more], 'stroke');
    expect($stroke([])->letsIn)->toBeTrue()->and($stroke(['letsIn' => false])->letsIn)->toBeFalse()->and($stroke(['reveals' => false])->letsIn)->toBeFalse()
        ->and($stroke(['reveals' => false])->toArray())->toHaveKey('letsIn')->not->toHaveKey('reveals');
});
