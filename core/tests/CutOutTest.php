<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Plate\Horizon;
use Aumbrel\Core\Plate\PlateStudy;
use Aumbrel\Core\Render\Picture;
use Tests\Support\Flat;
use Tests\Support\Packed;
use Tests\Support\Rendering;

/** @return list<float> a channel 0..1 of a 16-bit picture */
function channel(Picture $picture, int $channel): array
{
    $all = [];
    foreach (array_values(unpack('n*', $picture->bytes)) as $at => $value) {
        if ($at % 4 === $channel) {
            $all[] = (float) ($value / 65535);
        }
    }

    return $all;
}

function outline(array $points, array $more = []): array
{
    return ['id' => 'o'.bin2hex(random_bytes(3)), 'kind' => 'outline', ...$more, 'values' => ['path' => array_map(fn (array $at): array => ['at' => $at], $points), ...($more['values'] ?? [])]];
}

function square(int $x0, int $y0, int $x1, int $y1): array
{
    return [[$x0, $y0], [$x1, $y0], [$x1, $y1], [$x0, $y1]];
}

/** @return list<float> the alpha of a red plate of 40 x 30 px with masks on it */
function cut(array $masks, array $values = [], ?Window $window = null): array
{
    $masks = array_map(fn (array $mask): array => ['on' => 'plate', ...$mask], $masks);

    return channel(Rendering::picture(['p' => new Flat(40, 30, fn (): array => [200, 40, 40])], 40, 30, [Rendering::plate('p', ['masks' => $masks, 'values' => $values])], 16, $window), 3);
}

it('leaves nothing at the border of a plate whose background is taken away', function (float $scale, array $values = []): void {
    $plate = new Flat(40, 30, static fn (int $x, int $y): array => $x >= 14 && $x < 26 && $y >= 10 && $y < 20 ? [200, 30, 30] : [30, 200, 30]);
    $strips = [Rendering::plate('black', ['id' => 'ground']), Rendering::plate('plate', ['id' => 'p', 'values' => ['place' => [10.4, 10.3], ...$values], 'masks' => [['id' => 'a', 'kind' => 'colour area', 'on' => 'plate', 'join' => 'take away', 'values' => ['at' => [3, 3]]]]])];
    $picture = Rendering::renderer(['black' => new Flat(60, 50, static fn (): array => [0, 0, 0]), 'plate' => $plate])->picture(Rendering::scene(60, 50, $strips), Window::whole(60, 50, $scale), 16);
    $values = array_values(unpack('n*', $picture->bytes));
    $beside = $inside = [0];
    foreach (range(0, $picture->columns * $picture->rows - 1) as $k) {
        [$x, $y] = [($k % $picture->columns + 0.5) / $scale, (intdiv($k, $picture->columns) + 0.5) / $scale];
        // the square lies from (24.4, 20.3) to (36.4, 30.3)
        $isNear = abs($x - 30.4) < 6 + 3 / $scale && abs($y - 25.3) < 5 + 3 / $scale;
        if ($isNear) {
            $inside[] = $values[4 * $k];
        } else {
            $beside[] = $values[4 * $k + 1];
        }
    }
    expect(max($beside))->toBeLessThan(300)->and(max($inside))->toBeGreaterThan(40000);
})->with([[1.0], [0.8], [1.3], 'turned' => [1.0, ['turn' => 180.5, 'pivot' => [20, 15], 'place' => [30.4, 25.3]]], 'in perspective' => [1.0, ['fit' => [[0, 0], [40, 0.5], [40, 29.5], [0, 30]]]]]);

it('cuts a plate out by an outline, and leaves the picture as it is', function (): void {
    $alpha = cut([outline(square(10, 5, 30, 25))]);
    expect($alpha[10 * 40 + 15])->toBe(1.0)->and($alpha[10 * 40 + 5])->toBe(0.0)->and(array_sum($alpha))->toEqualWithDelta(400, 1e-3);
});

it('joins outlines: add, take away, intersect, inverted', function (): void {
    $one = outline(square(5, 5, 20, 20));
    expect(array_sum(cut([$one, outline(square(15, 5, 30, 20), ['join' => 'add'])])))->toEqualWithDelta(25 * 15, 0.01)
        ->and(array_sum(cut([$one, outline(square(15, 5, 30, 20), ['join' => 'take away'])])))->toEqualWithDelta(10 * 15, 0.01)
        ->and(array_sum(cut([$one, outline(square(15, 5, 30, 20))])))->toEqualWithDelta(5 * 15, 0.01)
        ->and(array_sum(cut([[...$one, 'inverted' => true]])))->toEqualWithDelta(40 * 30 - 225, 0.01)
        ->and(array_sum(cut([[...$one, 'off' => true]])))->toEqualWithDelta(1200, 0.01);
});

it('moves the cut-out with its plate', function (): void {
    $picture = ['p' => new Flat(40, 30, fn (): array => [200, 40, 40])];
    $mask = [...outline([[10, 5], [30, 8], [20, 25]]), 'on' => 'plate'];
    $still = channel(Rendering::picture($picture, 60, 50, [Rendering::plate('p', ['masks' => [$mask]])]), 3);
    $moved = channel(Rendering::picture($picture, 60, 50, [Rendering::plate('p', ['masks' => [$mask], 'values' => ['place' => [13, 9]]])]), 3);
    foreach ([[12, 8], [20, 12], [28, 9], [35, 20]] as [$x, $y]) {
        expect($moved[($y + 9) * 60 + $x + 13])->toEqualWithDelta($still[$y * 60 + $x], 1e-4);
    }
    $mirrored = channel(Rendering::picture($picture, 60, 50, [Rendering::plate('p', ['masks' => [$mask], 'values' => ['mirrored' => true, 'pivot' => [20, 15], 'place' => [20, 15]]])]), 3);
    expect($mirrored[8 * 60 + 39 - 28])->toEqualWithDelta($still[8 * 60 + 28], 1e-4);
});

it('agrees between scales and has no seams between bands', function (array $values): void {
    $masks = [outline([[6, 4], [33, 7], [30, 26], [9, 22]], ['values' => ['feather' => 3.5]])];
    $full = cut($masks, $values);
    $half = cut($masks, $values, Window::whole(40, 30, 0.5));
    for ($row = 0; $row < 15; $row++) {
        for ($column = 0; $column < 20; $column++) {
            $at = 80 * $row + 2 * $column;
            expect(($full[$at] + $full[$at + 1] + $full[$at + 40] + $full[$at + 41]) / 4)->toEqualWithDelta($half[$row * 20 + $column], 4 / 255);
        }
    }
    $bands = [...cut($masks, $values, Window::whole(40, 30)->band(0, 11)), ...cut($masks, $values, Window::whole(40, 30)->band(11, 19))];
    expect($bands)->toEqualWithDelta($full, 0.7 / 255);
})->with(['feathered' => [[]], 'softened' => [['soften' => 3]], 'softened more' => [['soften' => 5]]]);

it('fills hollow insides, and only those', function (): void {
    $ring = [outline(square(5, 5, 30, 25)), outline(square(12, 10, 20, 18), ['join' => 'take away'])];
    $bay = [outline(square(5, 5, 30, 25)), outline(square(12, 10, 40, 18), ['join' => 'take away'])];
    expect(array_sum(cut($ring)))->toEqualWithDelta(500 - 64, 0.01)->and(array_sum(cut($ring, ['fillInside' => true])))->toEqualWithDelta(500, 0.01)
        ->and(array_sum(cut($bay, ['fillInside' => true])))->toEqualWithDelta(500 - 18 * 8, 0.01);
    $band = cut($ring, ['fillInside' => true], Window::whole(40, 30)->band(12, 4));
    expect($band[1 * 40 + 15])->toBe(1.0);
});

it('grows and shrinks', function (): void {
    $mask = [outline(square(10, 8, 30, 22))];
    // area + perimeter x r + pi r² (Steiner's formula); the line where coverage is a half cuts each corner by half a pixel
    $grown = 20 * 14 - 4 / 8 + (2 * 34 - 4 * (1 - M_SQRT1_2)) * 3 + M_PI * 9;
    expect(array_sum(cut($mask, ['grow' => 3])))->toEqualWithDelta($grown, 1.0)->and(array_sum(cut($mask, ['grow' => -3])))->toEqualWithDelta(14 * 8, 1.5);
});

it('lets the hair band find what a rough outline has missed', function (): void {
    // dark hairs two pixels wide on a light ground; the outline ends where the hairs begin
    $isHair = fn (int $x, int $y): bool => $y >= 40 || ($y >= 22 && $x % 8 < 2);
    $picture = ['p' => new Flat(96, 80, fn (int $x, int $y): array => $isHair($x, $y) ? [40, 30, 25] : [210, 215, 220])];
    $render = fn (array $values): array => channel(Rendering::picture($picture, 96, 80, [Rendering::plate('p', ['masks' => [[...outline(square(-5, 32, 101, 85)), 'on' => 'plate']], 'values' => $values])]), 3);
    [$rough, $fine] = [$render([]), $render(['hairBand' => 12])];
    $error = function (array $alpha) use ($isHair): float {
        $sum = 0.0;
        for ($y = 24; $y < 39; $y++) {
            for ($x = 16; $x < 80; $x++) {
                $sum += abs($alpha[$y * 96 + $x] - ($isHair($x, $y) ? 1 : 0));
            }
        }

        return $sum / (15 * 64);
    };
    expect($error($fine))->toBeLessThan(0.6 * $error($rough))->and($fine[70 * 96 + 40])->toBe(1.0)->and($fine[5 * 96 + 40])->toBe(0.0);
});

it('unstains the edge of a plate as it is rendered', function (): void {
    $blend = fn (float $a, int $fore, int $back): int => (int) round($a * $fore + (1 - $a) * $back);
    $alphaAt = fn (int $x, int $y): float => max(0.0, min(1.0, (24 - hypot($x - 40, $y - 30)) / 4 + 0.5));
    $picture = ['p' => new Flat(80, 60, fn (int $x, int $y): array => [$blend($alphaAt($x, $y), 180, 20), $blend($alphaAt($x, $y), 90, 200), $blend($alphaAt($x, $y), 60, 40)])];
    $mask = ['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['feather' => 1.7, 'path' => array_map(fn (int $k): array => ['at' => [40.5 + 24 * cos($k * M_PI / 18), 30.5 + 24 * sin($k * M_PI / 18)]], range(0, 35))]];
    $green = fn (float $unstain): array => channel(Rendering::picture($picture, 80, 60, [Rendering::plate('p', ['masks' => [$mask], 'values' => ['unstain' => $unstain]])]), 1);
    [$before, $after] = [$green(0), $green(100)];
    $error = fn (array $values): float => array_sum(array_map(fn (int $k): float => abs($values[30 * 80 + $k] - 90 / 255), [16, 17, 63, 64]));
    expect($error($after))->toBeLessThan(0.5 * $error($before));
});

it('skips masks that miss something, and says what', function (): void {
    expect(array_sum(cut([['id' => 'a', 'kind' => 'outline', 'values' => ['path' => [['at' => [1, 1]]]]]])))->toEqualWithDelta(1200, 0.01)
        ->and(array_sum(cut([['id' => 'a', 'kind' => 'painted cut', 'values' => ['strokes' => [['points' => [[5, 5]]]]]]])))->toEqualWithDelta(1200, 0.01);
    $scene = Rendering::scene(40, 30, [Rendering::plate('p', ['masks' => [['id' => 'a', 'kind' => 'painted cut', 'values' => ['strokes' => [['points' => [[5, 5]]]]]]]])]);
    expect($scene->strips[0]->masks[0]->mask->problem())->toContain('background too');
});

it('takes masks on plates only where there is a plate', function (array $strip, string $field): void {
    expect(fn () => Rendering::scene(40, 30, [$strip]))->toThrow(SceneError::class, $field);
})->with([
    'a light' => [['kind' => 'spot', 'values' => ['origin' => [1, 1], 'target' => [9, 9]], 'masks' => [['id' => 'a', 'kind' => 'outline', 'on' => 'plate']]], 'strips[0].masks[0].on'],
    'a gradient' => [['kind' => 'plate', 'values' => ['picture' => 'p'], 'masks' => [['id' => 'a', 'kind' => 'linear', 'on' => 'plate', 'values' => ['from' => [0, 0], 'to' => [1, 1]]]]], 'strips[0].masks[0].on'],
    'a colour area in the scene' => [['kind' => 'plate', 'values' => ['picture' => 'p'], 'masks' => [['id' => 'a', 'kind' => 'colour area', 'on' => 'scene', 'values' => ['at' => [1, 1]]]]], 'strips[0].masks[0].on'],
    'an unknown ground' => [['kind' => 'plate', 'values' => ['picture' => 'p'], 'masks' => [['id' => 'a', 'kind' => 'outline', 'on' => 'moon']]], 'strips[0].masks[0].on'],
]);

it('confines lights to the cut-out', function (): void {
    $strips = [
        Rendering::plate('b'), Rendering::plate('p', ['masks' => [[...outline(square(10, 5, 30, 25)), 'on' => 'plate']]]),
        ['kind' => 'fill', 'mode' => 'normal', 'confinedTo' => 's1', 'values' => ['colour' => '#00ff00']],
    ];
    $rendered = channel(Rendering::picture(['b' => new Flat(40, 30, fn (): array => [10, 10, 10]), 'p' => new Flat(40, 30, fn (): array => [200, 40, 40])], 40, 30, $strips), 1);
    expect($rendered[10 * 40 + 15])->toBe(1.0)->and($rendered[10 * 40 + 3])->toEqualWithDelta(10 / 255, 0.01);
});

it('fits a plate to four corners in perspective', function (): void {
    // a chequered picture; where its squares come to lie follows from the map that the four corners give
    $picture = new Flat(80, 60, fn (int $x, int $y): array => (intdiv($x, 20) + intdiv($y, 20)) % 2 === 0 ? [220, 220, 220] : [30, 30, 30]);
    $fit = [[10, 6], [70, 0], [76, 58], [4, 50]];
    $rendered = Rendering::picture(['p' => $picture], 80, 60, [Rendering::plate('p', ['values' => ['fit' => $fit]])]);
    [$grey, $alpha] = [channel($rendered, 0), channel($rendered, 3)];
    $map = Rendering::scene(80, 60, [Rendering::plate('p', ['values' => ['fit' => $fit]])])->strips[0]->kind->placement(80, 60);
    foreach ([[10, 10, 220], [30, 10, 30], [50, 30, 30], [70, 50, 30], [30, 50, 30], [10, 50, 220]] as [$x, $y, $wanted]) {
        $at = $map->toScene(new Aumbrel\Core\Geometry\Point($x, $y));
        expect($grey[(int) $at->y * 80 + (int) $at->x])->toEqualWithDelta($wanted / 255, 0.02);
    }
    // the exact area of the quadrilateral, by the shoelace formula
    $area = 0.0;
    foreach ($fit as $k => [$x, $y]) {
        [$u, $v] = $fit[($k + 1) % 4];
        $area += ($x * $v - $u * $y) / 2;
    }
    expect(array_sum($alpha))->toEqualWithDelta($area, 0.05);
});

it('reads a plate as a whole: its mean colour, and the pieces that shrinking takes away', function (): void {
    $picture = new Flat(40, 30, fn (int $x): array => $x < 20 ? [255, 0, 0] : [0, 0, 255]);
    $renderer = Rendering::renderer(['p' => $picture]);
    $strip = fn (array $masks, array $values = []) => Rendering::scene(40, 30, [Rendering::plate('p', ['masks' => array_map(fn (array $mask): array => ['on' => 'plate', ...$mask], $masks), 'values' => $values])])->strips[0];
    $study = fn ($strip): PlateStudy => new PlateStudy($renderer->planes, $picture, $strip->cutOut(), $strip->kind->edge);
    // the mean is taken in linear light: half red, half blue
    expect($study($strip([]))->mean()->toHex())->toBe('#bc00bc')->and($study($strip([outline(square(0, 0, 20, 30))]))->mean()->toHex())->toBe('#ff0000')
        ->and($study($strip([outline(square(50, 50, 60, 60))]))->mean())->toBeNull();
    $two = [outline(square(2, 2, 20, 20)), outline(square(25, 5, 37, 7), ['join' => 'add'])];
    expect($study($strip($two, ['grow' => -2]))->vanished())->toBe(1)->and($study($strip($two, ['grow' => -0.5]))->vanished())->toBe(0)->and($study($strip($two))->vanished())->toBe(0);
});

it('lays a horizon on another one', function (): void {
    $scene = Rendering::scene(100, 80, [
        Rendering::plate('b', ['values' => ['horizon' => [[0, 30], [100, 40]]]]),
        Rendering::plate('p', ['values' => ['horizon' => [[5, 20], [35, 10]], 'place' => [40, 50], 'pivot' => [20, 15], 'turn' => 10]]),
        Rendering::plate('p'),
    ]);
    $sizes = ['b' => [100, 80], 'p' => [40, 30]];
    $values = Horizon::aligned($scene->strips[1], $scene->strips[0], $sizes);
    $after = Rendering::scene(100, 80, [Rendering::plate('p', ['values' => [...$scene->strips[1]->values->toArray(), ...$values]])])->strips[0]->kind->placement(40, 30);
    foreach ([[5, 20], [35, 10]] as [$x, $y]) {
        $at = $after->toScene(new Aumbrel\Core\Geometry\Point($x, $y));
        expect($at->y)->toEqualWithDelta(30 + $at->x / 10, 0.02);
    }
    expect(fn () => Horizon::aligned($scene->strips[2], $scene->strips[0], $sizes))->toThrow(SceneError::class, 'draw the horizon');
});

it('softens past the border of the plate, and pulls nothing from under what is transparent', function (bool $opaque, float $scale): void {
    // a red square that fills its picture to the borders, or half of a transparent one that is black underneath
    $picture = Packed::picture(60, 60, fn (float $x): array => $opaque || $x >= 30 ? [200, 20, 20, 255] : [0, 0, 0, 0]);
    $window = Window::whole(120, 120, $scale);
    $rendered = Rendering::picture(['square.png' => $picture], 120, 120, [
        ['kind' => 'fill', 'values' => ['colour' => '#ffffff']],
        Rendering::plate('square.png', ['values' => ['place' => [30, 30], 'pivot' => [0, 0], 'soften' => 6]]),
    ], 16, $window);
    $at = fn (int $x, int $y): array => array_map(fn (int $value): float => $value / 65535, array_slice(array_values(unpack('n4', substr($rendered->bytes, ($y * $window->columns + $x) * 8, 8))), 0, 3));
    // the integral of the Gaussian, by the error function's series (Abramowitz and Stegun 7.1.26)
    $phi = function (float $z): float {
        $t = 1 / (1 + 0.3275911 * abs($z) / M_SQRT2);
        $tail = ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$z * $z / 2) / 2;

        return $z < 0 ? $tail : 1 - $tail;
    };
    foreach ([80, 86, 89, 90, 92, 96, 102, 108] as $x) {
        // across the right border, in the middle of the height
        [$r, $g, $b] = $at((int) ($x * $scale), (int) (60 * $scale));
        $centre = ((int) ($x * $scale) + 0.5) / $scale;
        $alpha = $phi((90 - $centre) / 6);
        expect($g)->toEqualWithDelta(1 - $alpha * (1 - 20 / 255), 0.012, "x {$x}")->and($r)->toEqualWithDelta(1 - $alpha * (1 - 200 / 255), 0.012, "x {$x}")->and($b)->toEqualWithDelta($g, 0.002);
    }
    if (! $opaque) {
        // the left edge lies inside the picture: nothing black there
        foreach ([50, 56, 59, 61, 66] as $x) {
            [$r, $g] = $at((int) ($x * $scale), (int) (60 * $scale));
            $alpha = $phi((((int) ($x * $scale) + 0.5) / $scale - 60) / 6);
            expect($r)->toEqualWithDelta(1 - $alpha * (1 - 200 / 255), 0.012, "x {$x}")->and($g)->toEqualWithDelta(1 - $alpha * (1 - 20 / 255), 0.012);
        }
    }
})->with([true, false])->with([1.0, 0.5]);
