<?php

declare(strict_types=1);

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Outline;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Sector;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\ReachLaw;
use Aumbrel\Core\Light\Spot;

// What a kernel is not run on must be dark: spans against the shape itself, sampled everywhere.

it('says no span where a spot has light', function (float $beam, float $field, ReachLaw $law, ?float $reach, array $target): void {
    $spot = new Spot(new Point(103.3, 88.7), new Point(...$target), $beam, $field, $law, $reach, null, 0, LightColour::kelvin(3200));
    $outside = 0;
    for ($y = -40.5; $y < 260; $y += 7) {
        $span = $spot->extent()->span($y);
        for ($x = -60.5; $x < 300; $x += 3) {
            if ($span === null || $x < $span[0] || $x > $span[1]) {
                expect($spot->shapeAt($x, $y))->toBeLessThan(1.1e-6);
                $outside++;
            }
        }
    }
    // without a reach and with no narrow cone there is no outside
    expect($outside > 0)->toBe($reach !== null || $law === ReachLaw::Linear || $spot->law->end() < 90);
})->with([
    'down' => [26, 44, ReachLaw::Linear, 150, [100, 200]], 'to the left' => [26, 44, ReachLaw::Linear, 150, [0, 88.7]], 'up and right' => [10, 14, ReachLaw::Constant, null, [180, 10]],
    'wide' => [120, 170, ReachLaw::Linear, 90, [103, 10]], 'inverse square with a reach' => [40, 80, ReachLaw::InverseSquare, 120, [200, 200]],
    'inverse square without' => [40, 80, ReachLaw::InverseSquare, null, [10, 160]], 'straight right' => [30, 40, ReachLaw::Constant, null, [200, 88.7]],
]);

it('goes as much further as it is told to, on every side', function (float $axis, float $half, ?float $radius): void {
    $plain = new Sector(new Point(40, 60), $axis, $half, $radius);
    $grown = $plain->grown(9.0);
    for ($y = -60.5; $y < 190; $y += 6) {
        $span = $plain->span($y);
        if ($span === null || ! is_finite($span[0]) || ! is_finite($span[1])) {
            continue;
        }
        foreach ([$span[0], $span[1]] as $x) {
            // a disc of that radius round each place of the border lies in it
            foreach (range(0, 345, 15) as $angle) {
                [$there, $row] = [$x + 9.0 * cos(deg2rad($angle)), $y + 9.0 * sin(deg2rad($angle))];
                $reach = $grown->span($row) ?? [INF, -INF];
                expect($there)->toBeGreaterThanOrEqual($reach[0] - 1e-9)->toBeLessThanOrEqual($reach[1] + 1e-9);
            }
        }
    }
    $bounds = $plain->bounds();
    expect($bounds === null)->toBe($radius === null);
    if ($bounds !== null) {
        // as small as it can be: each side is met, and nothing lies outside
        $spans = array_filter(array_map(fn (float $y): ?array => $plain->span($y), range($bounds->top + 1e-6, $bounds->bottom - 1e-6, ($bounds->bottom - $bounds->top) / 400)));
        expect([min(array_column($spans, 0)), max(array_column($spans, 1))])->toEqualWithDelta([$bounds->left, $bounds->right], 0.5)
            ->and($plain->span($bounds->top - 0.01))->toBeNull()->and($plain->span($bounds->bottom + 0.01))->toBeNull()
            ->and($grown->bounds()?->toArray())->toEqual($bounds->grown(9.0)->toArray());
    }
})->with(['down' => [90, 22, 100], 'to the left' => [180, 30, 80], 'up and right' => [-50, 12, 70], 'wide' => [200, 80, 60], 'a disc' => [0, 120, 50], 'without end' => [90, 20, null]]);

it('finds the columns whose centres lie between two places', function (): void {
    $window = new Window(100, 0, 50, 10, 0.5);
    // centres at 101, 103 … 149
    expect($window->between(103, 107))->toBe([1, 4])->and($window->between(103.1, 106.9))->toBe([2, 3])->and($window->between(-INF, INF))->toBe([0, 25])
        ->and($window->between(-50, 90))->toBe([0, 0])->and($window->between(160, 170))->toBe([25, 25])->and($window->between(INF, -INF))->toBe([25, 0]);
});

it('is no wider than it must be', function (): void {
    $spot = new Spot(new Point(100, 0), new Point(100, 100), 20, 30, ReachLaw::Linear, 200, null, 0, LightColour::kelvin(3200));
    [$from, $to] = $spot->extent()->span(100.0);
    expect($from)->toEqualWithDelta(200 - $to, 1e-6)->and($to - $from)->toBeLessThan(200);
    expect($spot->extent()->span(-5.0))->toBeNull()->and($spot->extent()->span(201.0))->toBeNull();
});

it('finds where a polygon meets a line', function (): void {
    $diamond = new Outline([[50.0, 0.0], [100.0, 50.0], [50.0, 100.0], [0.0, 50.0]], 0.0);
    expect($diamond->span(25.0))->toEqualWithDelta([25.0, 75.0], 1e-9)->and($diamond->span(50.0))->toEqualWithDelta([0.0, 100.0], 1e-9)
        ->and($diamond->span(101.0))->toBeNull()->and($diamond->span(-0.5))->toBeNull();
    $square = new Outline([[10.0, 10.0], [30.0, 10.0], [30.0, 20.0], [10.0, 20.0]], 1.0);
    expect($square->span(15.0))->toEqualWithDelta([9.0, 31.0], 1e-9)->and($square->span(9.5))->toEqualWithDelta([9.0, 31.0], 1e-9)->and($square->span(8.5))->toBeNull();
});

it('lays pixel centres where the window says', function (): void {
    $window = new Window(10, 20, 100, 50, 0.5);
    expect([$window->columns, $window->rows])->toBe([50, 25])->and($window->xOf(0))->toBe(11.0)->and($window->yOf(24))->toBe(69.0)->and($window->step())->toBe(2.0);
    $band = $window->band(10, 5);
    expect($band->yOf(0))->toBe($window->yOf(10))->and($band->rows)->toBe(5)->and($band->columns)->toBe(50)->and($band->key())->not->toBe($window->key());
    // a last pixel that is not whole ends with the window
    $odd = Window::whole(101, 51, 0.5);
    expect([$odd->columns, $odd->rows])->toBe([51, 26])->and($odd->borderX(51))->toBe(101.0)->and($odd->borderY(26))->toBe(51.0)->and($odd->borderX(50))->toBe(100.0);
    foreach ([[NAN, 1.0], [0.0, 1.0], [-3.0, 1.0], [5.0, 0.0], [5.0, INF]] as [$width, $scale]) {
        expect(fn () => new Window(0, 0, $width, 10, $scale))->toThrow(InvalidArgumentException::class);
    }
});
