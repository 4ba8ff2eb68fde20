<?php

declare(strict_types=1);

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Outline;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\ReachLaw;
use Aumbrel\Core\Light\Spot;

// What a kernel is not run on must be dark: spans against the shape itself, sampled everywhere.

it('says no span where a spot has light', function (float $beam, float $field, ReachLaw $law, ?float $reach, array $target): void {
    $spot = new Spot(new Point(103.3, 88.7), new Point(...$target), $beam, $field, $law, $reach, null, 0, LightColour::kelvin(3200));
    $outside = 0;
    for ($y = -40.5; $y < 260; $y += 7) {
        $span = $spot->span($y);
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

it('is no wider than it must be', function (): void {
    $spot = new Spot(new Point(100, 0), new Point(100, 100), 20, 30, ReachLaw::Linear, 200, null, 0, LightColour::kelvin(3200));
    [$from, $to] = $spot->span(100.0);
    expect($from)->toEqualWithDelta(200 - $to, 1e-6)->and($to - $from)->toBeLessThan(200);
    expect($spot->span(-5.0))->toBeNull()->and($spot->span(201.0))->toBeNull();
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
