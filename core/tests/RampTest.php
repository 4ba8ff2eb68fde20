<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Course;
use Aumbrel\Core\Ramp\Laid;
use Aumbrel\Core\Ramp\Shelf;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Ramp\ToneRamp;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

const RAMP = [['offset' => 0.1, 'colour' => '#ff8000', 'opacity' => 1, 'smooth' => true], ['offset' => 0.6, 'colour' => '#0040ff', 'opacity' => 0.4, 'midpoint' => 0.3], ['offset' => 0.9, 'colour' => '#00ff00', 'opacity' => 0]];

/** The definition, written plainly: premultiplied between the stops (W3C CSS Images 4, color interpolation and transition hint). */
function plainRamp(float $t): array
{
    $stops = [[0.1, [1, 128 / 255, 0], 1.0, 0.5, true], [0.6, [0, 64 / 255, 1], 0.4, 0.3, false], [0.9, [0, 1, 0], 0.0, 0.5, false]];
    foreach ($stops as $k => [$offset, $colour, $opacity, $midpoint, $smooth]) {
        $next = $stops[$k + 1] ?? null;
        if ($t < $offset || $next === null) {
            return [...$colour, $opacity];
        }
        if ($t < $next[0]) {
            $u = (($t - $offset) / ($next[0] - $offset)) ** (log(0.5) / log($midpoint));
            $u = $smooth ? 3 * $u ** 2 - 2 * $u ** 3 : $u;
            $a = $opacity + $u * ($next[2] - $opacity);

            return [...array_map(static fn (float $c, float $d): float => ($c * $opacity * (1 - $u) + $d * $next[2] * $u) / $a, $colour, $next[1]), $a];
        }
    }

    return [0, 0, 0, 0];
}

/** @return Closure(int, int, int): float */
function rampPixels(array $strips, int $width = 60, int $height = 40, ?Window $window = null): Closure
{
    $picture = Rendering::picture(['grey' => new Flat($width, $height, static fn (int $x, int $y): array => [120, 90, 60])], $width, $height, [Rendering::plate('grey', ['id' => 'grey']), ...$strips], 16, $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y, int $k): float => $values[4 * ($y * $picture->columns + $x) + $k] / 65535;
}

it('fills with a ramp along a line, or round a place, in any mode', function (string $filled, string $mode, Closure $way): void {
    $shown = rampPixels([['id' => 'f', 'kind' => 'fill', 'mode' => $mode, 'amount' => 80, 'values' => ['filled' => $filled, 'stops' => RAMP, 'from' => [10, 5], 'to' => [50, 35]]]]);
    foreach ([[2, 3], [18, 9], [30, 22], [41, 30], [55, 38], [12, 30]] as [$x, $y]) {
        [$r, $g, $b, $a] = plainRamp($way($x + 0.5, $y + 0.5));
        foreach ([$r, $g, $b] as $k => $colour) {
            $below = [120, 90, 60][$k] / 255;
            $blended = $mode === 'multiply' ? $below * $colour : $colour;
            expect($shown($x, $y, $k))->toEqualWithDelta($below + 0.8 * $a * ($blended - $below), 0.0015, "{$x}, {$y}, {$k}");
        }
    }
})->with([
    'along' => ['a linear ramp', 'normal', static fn (float $x, float $y): float => (($x - 10) * 40 + ($y - 5) * 30) / 2500],
    'along, multiplied' => ['a linear ramp', 'multiply', static fn (float $x, float $y): float => (($x - 10) * 40 + ($y - 5) * 30) / 2500],
    'round' => ['a radial ramp', 'normal', static fn (float $x, float $y): float => hypot($x - 10, $y - 5) / 50],
]);

it('lies from the top to the bottom of the picture until it is laid, and looks the same in every window', function (): void {
    $strips = [['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['filled' => 'a linear ramp', 'stops' => RAMP]]];
    [$whole, $part] = [rampPixels($strips), rampPixels($strips, 60, 40, new Window(20, 10, 20, 20))];
    expect($whole(3, 20, 0))->toEqualWithDelta(120 / 255 + plainRamp(20.5 / 40)[3] * (plainRamp(20.5 / 40)[0] - 120 / 255), 0.0015)->and($part(5, 12, 0))->toEqual($whole(25, 22, 0))
        ->and($part(5, 12, 2))->toEqual($whole(25, 22, 2));
});

it('washes from one colour of light to another', function (): void {
    $stops = [['offset' => 0, 'colour' => '#ff8000'], ['offset' => 1, 'colour' => '#0080ff', 'opacity' => 0.5]];
    $shown = rampPixels([['id' => 'w', 'kind' => 'wash', 'mode' => 'illuminate', 'level' => 1, 'values' => ['keyed' => 'a linear ramp', 'stops' => $stops, 'from' => [0, 0], 'to' => [60, 0]]]]);
    $linear = static fn (float $v): float => $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    $encoded = static fn (float $v): float => $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055;
    foreach ([4, 30, 52] as $x) {
        $t = ($x + 0.5) / 60;
        $a = 1 - 0.5 * $t;
        foreach ([[1, 0], [128 / 255, 128 / 255], [0, 1]] as $k => [$from, $to]) {
            $colour = ($from * (1 - $t) + $to * 0.5 * $t) / $a;
            expect($shown($x, 9, $k))->toEqualWithDelta(min(1, $encoded($linear([120, 90, 60][$k] / 255) * (1 + 2 * $a * $linear($colour)))), 0.003, "{$x}, {$k}");
        }
    }
});

it('is smooth stretch by stretch, as masks are as a whole', function (): void {
    $straight = Stops::of([0, 0], [0.5, 1, 0.3], [1, 0]);
    $eased = Stops::read(array_map(static fn (array $stop): array => ['smooth' => true] + $stop, $straight->toArray()), 'stops');
    foreach ([0.1, 0.33, 0.62, 0.9] as $t) {
        expect($eased->valueAt($t, false))->toEqualWithDelta($straight->valueAt($t, true), 1e-12)->and($eased->valueAt($t, false))->not->toEqual($straight->valueAt($t, false));
    }
    $tones = ToneRamp::read([['offset' => 0, 'colour' => '#000000', 'smooth' => true], ['offset' => 1, 'colour' => '#ffffff']], 'ramp');
    expect($tones->colourAt(0.25)->red)->toEqualWithDelta(3 * 0.25 ** 2 - 2 * 0.25 ** 3, 1e-9)->and($tones->toArray()[0]['smooth'])->toBeTrue()->and($tones->toArray()[1])->not->toHaveKey('smooth');
});

it('is told as a mask by its opacity, or its brightness where it is opaque', function (): void {
    expect(ColourRamp::read(RAMP, 'r')->asMask()->toArray())->toEqual([['offset' => 0.1, 'value' => 1, 'midpoint' => 0.5, 'smooth' => true], ['offset' => 0.6, 'value' => 0.4, 'midpoint' => 0.3], ['offset' => 0.9, 'value' => 0, 'midpoint' => 0.5]])
        ->and(ColourRamp::of([0.0, '#000000'], [1.0, '#ffffff'])->asMask()->valueAt(1.0, false))->toEqualWithDelta(1.0, 1e-9)
        ->and(array_map(static fn (ColourRamp $ramp): int => count($ramp->asMask()->toArray()), Shelf::ours()))->each->toBeGreaterThan(1);
});

it('says what is wrong with a ramp', function (mixed $stops): void {
    expect(static fn () => ColourRamp::read($stops, 'stops'))->toThrow(SceneError::class, 'stops');
})->with([
    'no stops' => [[]], 'too many' => [array_fill(0, Course::MOST + 1, RAMP[0])], 'out of order' => [array_reverse(RAMP)], 'no colour' => [[['offset' => 0]]],
    'smooth by half' => [[['smooth' => 0.5] + RAMP[0]]], 'no number' => [[['offset' => NAN] + RAMP[0]]], 'a midpoint at an end' => [[['midpoint' => 0] + RAMP[0]]],
]);

it('exchanges linear and radial where the mask is, there and back', function (): void {
    $entry = static fn (string $kind, array $values) => Rendering::scene(60, 40, [['id' => 'f', 'kind' => 'fill', 'masks' => [['id' => 'm', 'kind' => $kind, 'values' => $values]]]])->strips[0]->masks[0]->mask;
    $linear = $entry('linear', ['from' => [10, 8], 'to' => [40, 30], 'smooth' => true, 'stops' => [['offset' => 0.2, 'value' => 1], ['offset' => 1, 'value' => 0.1]]]);
    $radial = $entry($linear::becomes(), $linear->exchanged());
    $back = $entry($radial::becomes(), $radial->exchanged());
    foreach ([0.0, 0.3, 0.7, 1.0] as $share) {
        // along the line both let the same through, and round the start the radial one everywhere
        [$x, $y] = [10 + 30 * $share, 8 + 22 * $share];
        expect($radial->valueAt($x, $y))->toEqualWithDelta($linear->valueAt($x, $y), 0.002)->and($radial->valueAt(10 - 22 * $share, 8 + 30 * $share))->toEqualWithDelta($linear->valueAt($x, $y), 0.002)
            ->and($back->valueAt($x + 5, $y - 3))->toEqualWithDelta($linear->valueAt($x + 5, $y - 3), 0.002);
    }
    expect((new Laid(new Point(3, 4), new Point(3, 4)))->at(3, 4))->toBe(0.0)->and(is_finite((new Laid(new Point(3, 4), new Point(3, 4), true))->at(9, 9)))->toBeTrue();
});

it('leaves scenes as they were whose fills and washes know no ramp', function (): void {
    $scene = Scene::read(['aumbrel' => 1, 'size' => [20, 20], 'strips' => [['id' => 'f', 'kind' => 'fill', 'values' => ['colour' => '#123456']], ['id' => 'w', 'kind' => 'wash', 'values' => []]]], Registry::kinds());
    expect($scene->strips[0]->values->text('filled'))->toBe('one colour')->and($scene->strips[1]->values->text('keyed'))->toBe('plain');
});
