<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Raster\GuidedFilter;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;
use Aumbrel\Core\Stroke\TipGrid;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** @return list<float> what a stroke leaves in a square window of 120 px */
function brushed(array $stroke, float $scale = 1.0, ?Window $window = null): array
{
    $window ??= new Window(0, 0, 120, 120, $scale);
    $mask = array_fill(0, $window->columns * $window->rows, 0.0);
    (new Brush(Frame::scene($window)))->paint($mask, Stroke::read($stroke + ['size' => 80, 'points' => [[60, 60]]], 'stroke'));

    return $mask;
}

it('leaves an irregular mark inside the disc of a plain one, the same each time, another with another seed', function (string $tip): void {
    [$own, $plain] = [brushed(['tip' => $tip, 'hardness' => 80]), brushed(['hardness' => 80])];
    expect($own)->toBe(brushed(['tip' => $tip, 'hardness' => 80]))->and($own)->not->toEqual(brushed(['tip' => $tip, 'hardness' => 80, 'seed' => 9]));
    foreach ($own as $at => $value) {
        expect($value)->toBeLessThanOrEqual($plain[$at] + 1e-9);
    }
    // neither full nor empty, and not smooth: neighbours differ
    $inside = array_filter($plain, static fn (float $value): bool => $value > 0.99);
    $values = array_intersect_key($own, $inside);
    expect(array_sum($values) / count($values))->toBeGreaterThan(0.05)->toBeLessThan(0.85)->and(max($values))->toBeGreaterThan(0.6)->and(min($values))->toBeLessThan(0.1);
})->with(['chalk', 'bristles', 'spray']);

it('looks the same smaller: a reduced mark is the mark at that size', function (string $tip): void {
    $stroke = ['tip' => $tip, 'hardness' => 50, 'flow' => 30, 'points' => [[30, 60], [90, 66]]];
    [$large, $small, $plain] = [brushed($stroke), brushed($stroke, 0.25), brushed(['tip' => 'brush'] + $stroke, 0.25)];
    [$off, $whole, $there] = [0.0, [0.0, 0.0], 0];
    foreach ($small as $at => $value) {
        [$column, $row] = [$at % 30, intdiv($at, 30)];
        $mean = 0.0;
        for ($k = 0; $k < 16; $k++) {
            $mean += $large[(4 * $row + intdiv($k, 4)) * 120 + 4 * $column + $k % 4] / 16;
        }
        $there += $plain[$at] > 0 ? 1 : 0;
        $off += abs($mean - $value);
        $whole = [$whole[0] + $mean, $whole[1] + $value];
    }
    expect($off / $there)->toBeLessThan(0.05)->and($whole[1] / $whole[0])->toEqualWithDelta(1.0, 0.05);
})->with(['chalk', 'bristles', 'spray']);

it('draws lines with bristles, and broken ground with chalk', function (): void {
    $rows = static function (string $tip): float {
        $mask = brushed(['tip' => $tip, 'flow' => 40, 'size' => 60, 'points' => [[30, 60], [90, 60]]]);
        [$along, $across] = [0.0, 0.0];
        for ($y = 40; $y < 80; $y++) {
            for ($x = 45; $x < 75; $x++) {
                $along += abs($mask[$y * 120 + $x] - $mask[$y * 120 + $x + 1]);
                $across += abs($mask[$y * 120 + $x] - $mask[($y + 1) * 120 + $x]);
            }
        }

        return $across / $along;
    };
    expect($rows('bristles'))->toBeGreaterThan(2.5)->and($rows('chalk'))->toBeLessThan(2.0);
});

it('stamps the brightness of a picture, upright and as large as it goes into the square', function (): void {
    // a bright left half in a picture twice as wide as high: it lies in the middle half of the square
    $grid = TipGrid::ofPicture(new Flat(64, 32, static fn (int $x, int $y): array => $x < 32 ? [255, 255, 255, 128] : [0, 0, 0]));
    $mask = brushed(['tip' => 'a picture', 'grid' => $grid, 'opacity' => 100, 'hardness' => 0]);
    $at = static fn (int $x, int $y): float => $mask[$y * 120 + $x];
    expect($at(40, 60))->toEqualWithDelta(128 / 255, 0.01)->and($at(80, 60))->toBe(0.0)->and($at(40, 30))->toEqualWithDelta(0.0, 0.01)->and($at(23, 60))->toEqualWithDelta(128 / 255, 0.01)->and($at(18, 60))->toBe(0.0);
    $kept = Stroke::read(['size' => 80, 'tip' => 'a picture', 'grid' => $grid, 'points' => [[60, 60]]], 's');
    expect(Stroke::read($kept->toArray(), 's')->grid)->toBe($grid);
});

it('says what is wrong with a tip', function (array $stroke, string $says): void {
    expect(static fn () => Stroke::read(['points' => [[1, 1]]] + $stroke, 'stroke'))->toThrow(SceneError::class, $says);
})->with([
    'a tip of nobody' => [['tip' => 'sponge'], 'tip'], 'without its picture' => [['tip' => 'a picture'], 'grid'], 'half a picture' => [['tip' => 'a picture', 'grid' => base64_encode(str_repeat('a', 500))], 'grid'],
    'no base64' => [['tip' => 'a picture', 'grid' => '***'], 'grid'], 'a black one' => [['tip' => 'a picture', 'grid' => base64_encode(str_repeat("\0", 1024))], 'black throughout'],
    'more alike than alike' => [['alike' => 101], 'alike'], 'alike by no number' => [['alike' => NAN], 'alike'],
]);

it('makes no tip of a picture that is black', function (): void {
    TipGrid::ofPicture(new Flat(40, 40, static fn (): array => [255, 255, 255, 0]));
})->throws(SceneError::class, 'black throughout');

it('filters along the edges of a guide, as its definition written plainly', function (): void {
    [$columns, $rows, $radius, $epsilon] = [14, 11, 2, 0.002];
    $guide = $input = [];
    for ($at = 0; $at < $columns * $rows; $at++) {
        $guide[] = ($at % $columns > 6 ? 0.8 : 0.2) + 0.01 * ($at % 5);
        $input[] = fmod($at * 0.37, 1.0);
    }
    $mean = static function (array $plane, int $x, int $y) use ($columns, $rows, $radius): float {
        $found = [];
        for ($j = max(0, $y - $radius); $j <= min($rows - 1, $y + $radius); $j++) {
            for ($i = max(0, $x - $radius); $i <= min($columns - 1, $x + $radius); $i++) {
                $found[] = $plane[$j * $columns + $i];
            }
        }

        return array_sum($found) / count($found);
    };
    // He, Sun and Tang, Guided Image Filtering, 2010: a = (mean(I p) - mean(I) mean(p)) / (variance + epsilon), b = mean(p) - a mean(I)
    $a = $b = [];
    for ($y = 0; $y < $rows; $y++) {
        for ($x = 0; $x < $columns; $x++) {
            [$i, $p] = [$mean($guide, $x, $y), $mean($input, $x, $y)];
            $a[] = $slope = ($mean(array_map(static fn (float $g, float $v): float => $g * $v, $guide, $input), $x, $y) - $i * $p) / ($mean(array_map(static fn (float $g): float => $g * $g, $guide), $x, $y) - $i * $i + $epsilon);
            $b[] = $p - $slope * $i;
        }
    }
    foreach (GuidedFilter::of($guide, $input, $columns, $rows, $radius, $epsilon) as $at => $value) {
        expect($value)->toEqualWithDelta($mean($a, $at % $columns, intdiv($at, $columns)) * $guide[$at] + $mean($b, $at % $columns, intdiv($at, $columns)), 1e-9);
    }
});

/** What strokes let in of a white fill over a plate of two halves, orange to the left and teal to the right. */
function onHalves(array $stroke, ?Window $window = null): Closure
{
    $pictures = ['halves' => new Flat(100, 60, static fn (int $x, int $y): array => $x < 50 ? [210, 120, 40] : [30, 120, 130])];
    $picture = Rendering::renderer($pictures)->mask(Rendering::scene(100, 60, [
        Rendering::plate('halves', ['id' => 'halves']),
        ['id' => 'f', 'kind' => 'fill', 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => [$stroke + ['size' => 40, 'hardness' => 90, 'points' => [[44, 30], [56, 30]]]]]]]],
        // what lies above it changes nothing
        ['id' => 'w', 'kind' => 'wash', 'mode' => 'illuminate', 'level' => 2],
    ]), $window ?? Window::whole(100, 60), 'm');
    $values = array_values(unpack('C*', $picture->bytes));

    return static fn (int $x, int $y): float => $values[4 * ($y * $picture->columns + $x)] / 255;
}

it('stays on what is alike to where the stroke began', function (): void {
    [$free, $held] = [onHalves([]), onHalves(['alike' => 80])];
    expect($free(56, 30))->toBe(1.0)->and($held(40, 30))->toBeGreaterThan(0.9)->and($held(47, 30))->toBeGreaterThan(0.9)->and($held(53, 30))->toBeLessThan(0.1)->and($held(60, 30))->toBeLessThan(0.05);
    // well inside the one colour, as much as its formula says of the distance of the two: all of it, and hardly anything of the other
    $colour = static fn (array $bytes): array => Oklab::ofLinear(...array_map(static fn (int $byte): float => Srgb::decode($byte / 255), $bytes));
    $distance = sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $colour([210, 120, 40]), $colour([30, 120, 130]))));
    $far = onHalves(['alike' => 20, 'size' => 180, 'hardness' => 100, 'points' => [[20, 30]]]);
    expect($far(62, 30))->toEqualWithDelta(exp(-(($distance / (0.34 * 0.8 + 0.04 * 0.2)) ** 2)), 0.02);
});

it('stays there in every window alike', function (): void {
    [$whole, $part] = [onHalves(['alike' => 60]), onHalves(['alike' => 60], new Window(38, 18, 30, 20))];
    foreach ([[2, 3], [11, 9], [13, 12], [20, 15], [29, 19]] as [$x, $y]) {
        expect($part($x, $y))->toEqualWithDelta($whole($x + 38, $y + 18), 1.5 / 255);
    }
});
