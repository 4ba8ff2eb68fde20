<?php

declare(strict_types=1);

use Aumbrel\Core\Air\Distances;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Raster\Smoke;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Texture\Dust;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A floor whose horizon is row 40 and whose contact row is 200 of 200, over a backdrop of one grey. */
function hazy(array $haze, array $plates = [], array $more = []): Scene
{
    $floor = ['horizon' => 40, 'contact' => [[0, 200], [300, 200]]];

    return Scene::read(['aumbrel' => 2, 'title' => 'Hazy', 'size' => [300, 200], 'stage' => ['floor' => $floor], 'strips' => [
        ['id' => 'ground', 'name' => 'G', ...Rendering::plate('ground')], ...$plates, ['id' => 'haze', 'name' => 'H', 'kind' => 'distance haze', ...$haze], ...$more,
    ]], Registry::kinds());
}

/** @return Closure(int, int): array{float, float, float} a pixel of a scene, encoded */
function hazed(Scene $scene, ?Window $window = null): Closure
{
    $window ??= Window::whole(300, 200);
    $pictures = ['ground' => new Flat(300, 200, static fn (): array => [60, 90, 120]), 'post' => new Flat(40, 60, static fn (int $x): array => [200, 40, 40, $x < 20 ? 255 : 128])];
    $picture = Rendering::renderer($pictures)->picture($scene, $window, 16);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): array => array_map(static fn (int $k): float => $values[4 * ($y * $window->columns + $x) + $k] / 65535, [0, 1, 2]);
}

it('leaves a contrast of 2 % at the visible range', function (): void {
    // Koschmieder 1924: contrast falls as exp(-beta d); the visible range is where 2 % are left
    $distances = new Distances(new Camera(360, 150, 40, 200, 100), 20, 20);
    expect($distances->passes(20))->toEqualWithDelta(0.02, 1e-4)->and($distances->passes(0))->toBe(1.0)->and($distances->passes(10))->toEqualWithDelta(sqrt(0.02), 1e-3)
        ->and($distances->ofRow(200))->toBe(1.0)->and($distances->ofRow(120))->toBe(2.0)->and($distances->ofRow(48))->toEqualWithDelta(20, 1e-9)
        ->and($distances->ofRow(41))->toBe(20.0)->and($distances->ofRow(10))->toBe(20.0);
});

it('veils by distance in linear light, at three distances and above the horizon', function (float $visible, ?float $far): void {
    $shown = hazed(hazy(['amount' => 80, 'values' => ['visible' => $visible, 'far' => $far, 'colour' => '#c0d0e0']]));
    foreach ([199, 120, 60, 41, 10] as $y) {
        $row = $y + 0.5;
        $d = $row > 40 ? min(160 / ($row - 40), $far ?? $visible, $visible) : min($far ?? $visible, $visible);
        $t = exp(-3.912 / $visible * $d);
        $through = 1 - 0.8 * (1 - $t);
        foreach ([[60, 192], [90, 208], [120, 224]] as $k => [$below, $veil]) {
            expect($shown(150, $y)[$k])->toEqualWithDelta(Srgb::encode(Srgb::decode($below / 255) * $through + Srgb::decode($veil / 255) * (1 - $through)), 0.0006, "{$y} {$k}");
        }
    }
})->with([[20.0, null], [6.0, null], [40.0, 12.0]]);

it('gives each plate one distance: where it stands, or as it is said', function (?float $distance): void {
    // its feet at row 120: twice as far as the contact row
    $post = ['id' => 'post', 'name' => 'P', ...Rendering::plate('post', ['values' => ['pivot' => [20, 60], 'place' => [150, 120], 'stance' => 'stands', 'distance' => $distance]])];
    $shown = hazed(hazy(['amount' => 100, 'values' => ['visible' => 10, 'colour' => '#c0d0e0']], [$post]));
    $t = exp(-0.3912 * ($distance ?? 2));
    foreach ([70, 100, 118] as $y) {
        // the left half is opaque; through the right half the ground is seen, and what comes through is mixed by coverage
        foreach ([[140, 1.0], [160, 128 / 255]] as [$x, $alpha]) {
            $row = exp(-0.3912 * min(10, 160 / ($y + 0.5 - 40)));
            $through = $row + $alpha * ($t - $row);
            $below = array_map(static fn (int $own, int $ground): float => ($alpha * $own + (1 - $alpha) * $ground) / 255, [200, 40, 40], [60, 90, 120]);
            foreach ($below as $k => $value) {
                expect($shown($x, $y)[$k])->toEqualWithDelta(Srgb::encode(Srgb::decode($value) * $through + Srgb::decode([192, 208, 224][$k] / 255) * (1 - $through)), 0.001, "{$x} {$y} {$k}");
            }
        }
    }
})->with([null, 0.5, 7.0]);

it('is seen the same in every window, and nearly the same at half the size', function (): void {
    $scene = hazy(['values' => ['visible' => 12]]);
    $whole = hazed($scene);
    $part = hazed($scene, new Window(100, 50, 80, 60));
    $half = hazed($scene, new Window(0, 0, 300, 200, 0.5));
    foreach ([[5, 4], [40, 30], [79, 59]] as [$x, $y]) {
        expect($part($x, $y))->toBe($whole(100 + $x, 50 + $y));
    }
    foreach ([4, 12, 25, 40, 60, 99] as $y) {
        expect($half(70, $y)[0])->toEqualWithDelta(($whole(140, 2 * $y)[0] + $whole(140, 2 * $y + 1)[0]) / 2, (abs(2 * $y - 40) <= 3 ? 7 : 4) / 255);
    }
});

it('veils over nothing too, by as much as the air is there', function (): void {
    $picture = Rendering::picture([], 20, 20, [['id' => 'h', 'kind' => 'distance haze', 'amount' => 50, 'values' => ['visible' => 2, 'colour' => '#ff8000']]]);
    $pixel = static fn (int $y): array => array_map(static fn (int $k): float => unpack('n*', $picture->bytes)[4 * 20 * $y + $k + 1] / 65535, [0, 1, 2, 3]);
    // no floor: the horizon lies in the middle, the contact row at the lower border
    expect($pixel(3))->toEqualWithDelta([1, 128 / 255, 0, 0.5 * (1 - 0.02)], 0.001)->and($pixel(19)[3])->toEqualWithDelta(0.5 * (1 - exp(-3.912 / 2 * 10 / 9.5)), 0.001);
});

it('says which distance is wrong', function (array $values, string $says): void {
    expect(static fn () => Rendering::scene(8, 8, [['id' => 'h', 'kind' => 'distance haze', 'values' => $values]]))->toThrow(SceneError::class, $says);
})->with([[['visible' => 1], 'visible'], [['visible' => NAN], 'visible'], [['far' => -1], 'far'], [['colour' => 'blue'], 'colour']]);

/** @return array{float, float} mean and deviation of a channel of grain over a flat grey */
function grained(array $values, int $k = 0, int $grey = 128, ?Window $window = null): array
{
    $window ??= Window::whole(256, 256);
    $picture = Rendering::picture(['p' => new Flat(256, 256, static fn (): array => [$grey, $grey, $grey])], 256, 256, [Rendering::plate('p'), ['id' => 'g', 'kind' => 'grain', 'values' => $values]], window: $window);
    $all = array_values(unpack('n*', $picture->bytes));
    $channel = array_map(static fn (int $at): float => $all[4 * $at + $k] / 65535, range(0, $window->columns * $window->rows - 1));
    $mean = array_sum($channel) / count($channel);

    return [$mean, sqrt(array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $channel)) / count($channel))];
}

it('has grain of the deviation that is asked for, whatever its size and colour', function (array $values): void {
    [$mean, $sigma] = grained([...$values, 'strength' => 40, 'mids' => 0]);
    expect($mean)->toEqualWithDelta(128 / 255, 0.001)->and($sigma)->toEqualWithDelta(0.04, 0.03 * 0.04);
})->with([[['coarse' => 0, 'colourful' => 0]], [['coarse' => 0.45, 'colourful' => 0]], [['coarse' => 0.8, 'colourful' => 50]], [['coarse' => 0, 'colourful' => 100]]]);

it('has coarse grain of that deviation over many seeds', function (): void {
    // coarse grain has fewer independent places: several seeds make up for them
    $squares = array_map(static fn (int $seed): float => grained(['strength' => 40, 'mids' => 0, 'colourful' => 0, 'coarse' => 1.5, 'seed' => $seed])[1] ** 2, range(1, 6));
    expect(sqrt(array_sum($squares) / 6))->toEqualWithDelta(0.04, 0.03 * 0.04);
});

it('keeps grain to the middle tones as its weight says', function (): void {
    foreach ([40, 128, 200] as $grey) {
        $v = $grey / 255;
        expect(grained(['strength' => 30, 'mids' => 70, 'coarse' => 0, 'colourful' => 0], 0, $grey)[1])->toEqualWithDelta(0.03 * (0.3 + 0.7 * 4 * $v * (1 - $v)), 0.001);
    }
});

it('is the hash of each pixel, in every window and every band, and its means at half the size', function (): void {
    $shown = static function (?Window $window = null): array {
        $picture = Rendering::picture(['p' => new Flat(64, 48, static fn (): array => [128, 128, 128])], 64, 48, [Rendering::plate('p'), ['id' => 'g', 'kind' => 'grain', 'values' => ['strength' => 100, 'mids' => 0, 'coarse' => 0, 'colourful' => 0, 'seed' => 7]]], window: $window);
        $all = array_values(unpack('n*', $picture->bytes));

        return array_map(static fn (int $at): float => $all[4 * $at] / 65535 - 128 / 255, range(0, intdiv(count($all), 4) - 1));
    };
    $whole = $shown();
    foreach ([[0, 0], [5, 3], [63, 47]] as [$i, $j]) {
        $hash = Noise::at($i, $j, 7);
        $sum = ($hash & 255) + ($hash >> 8 & 255) + ($hash >> 16 & 255) + ($hash >> 24);
        expect($whole[$j * 64 + $i])->toEqualWithDelta(0.1 * ($sum - 510) / 147.80, 0.0001);
    }
    $part = $shown(new Window(10, 20, 30, 16));
    expect($part[5 * 30 + 7])->toEqualWithDelta($whole[25 * 64 + 17], 1e-9);
    $half = $shown(new Window(0, 0, 64, 48, 0.5));
    foreach ([[0, 0], [10, 7], [31, 23]] as [$x, $y]) {
        expect($half[$y * 32 + $x])->toEqualWithDelta(($whole[2 * $y * 64 + 2 * $x] + $whole[2 * $y * 64 + 2 * $x + 1] + $whole[(2 * $y + 1) * 64 + 2 * $x] + $whole[(2 * $y + 1) * 64 + 2 * $x + 1]) / 4, 0.0001);
    }
    $deviation = static fn (array $values): float => sqrt(array_sum(array_map(static fn (float $value): float => $value ** 2, $values)) / count($values));
    expect($deviation($half) / $deviation($whole))->toEqualWithDelta(0.5, 0.03);
});

/** @return Closure(int, int): array{float, float, float} a pixel over a dark grey, encoded */
function inAir(array $strips, int $grey = 40, ?Window $window = null): Closure
{
    $window ??= Window::whole(120, 90);
    $pictures = ['p' => new Flat(120, 90, static fn (): array => [$grey, $grey, $grey]), 'wafts' => new Flat(60, 45, static fn (int $x): array => [$x * 4, 255, 0])];
    $picture = Rendering::picture($pictures, 120, 90, [Rendering::plate('p', ['id' => 'p']), ...$strips], window: $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): array => array_map(static fn (int $k): float => $values[4 * ($y * $window->columns + $x) + $k] / 65535, [0, 1, 2]);
}

const WAFTS = ['smokeSize' => 30, 'density' => 60, 'wafts' => 50, 'drift' => 25, 'stretch' => 1.5, 'seed' => 3];

it('hangs smoke in the air in a colour, by its shape', function (): void {
    $shown = inAir([['id' => 's', 'kind' => 'smoke', 'amount' => 80, 'values' => [...WAFTS, 'colour' => '#806040']]]);
    $smoke = new Smoke(30, 0.6, 0.5, 25, 1.5, 3);
    $cover = $smoke->at([10.5, 60.5, 100.5, 33.5], [20.5, 45.5, 80.5, 70.5]);
    foreach ([[10, 20], [60, 45], [100, 80], [33, 70]] as $n => [$x, $y]) {
        foreach ([128, 96, 64] as $k => $own) {
            // read off a lattice of an eighth of its finest swirls
            expect($shown($x, $y)[$k])->toEqualWithDelta((40 + 0.8 * $cover[$n] * ($own - 40)) / 255, 0.012);
        }
    }
    expect(max($cover))->toBeGreaterThan(0.3);
});

it('shows smoke only where its light falls, in its colour and by airlight', function (): void {
    $light = ['id' => 'l', 'kind' => 'wash', 'mode' => 'screen', 'level' => -1, 'values' => ['colour' => ['swatch' => '#ff8000']], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [120, 0]]]]];
    $without = inAir([$light]);
    $shown = inAir([$light, ['id' => 's', 'kind' => 'smoke', 'amount' => 50, 'values' => [...WAFTS, 'lit' => 'l', 'brighter' => 0.5, 'colour' => '#00ff00']]]);
    $cover = (new Smoke(30, 0.6, 0.5, 25, 1.5, 3))->at([10.5, 60.5, 100.5], [20.5, 45.5, 80.5]);
    foreach ([[10, 20], [60, 45], [100, 80]] as $n => [$x, $y]) {
        $e = 0.5 * (1 - ($x + 0.5) / 120) * $cover[$n] * 0.5 * 2 ** 0.5;
        foreach ([1.0, Srgb::decode(128 / 255), 0.0] as $k => $colour) {
            expect($shown($x, $y)[$k])->toEqualWithDelta(min(1, Srgb::encode(Srgb::decode($without($x, $y)[$k]) + $e * $colour)), 0.02, "{$x} {$k}");
        }
    }
});

it('shows nothing of smoke whose light is muted, and is plain again when it is gone', function (): void {
    $light = ['id' => 'l', 'kind' => 'wash', 'values' => ['colour' => ['swatch' => '#ff8000']]];
    $smoke = ['id' => 's', 'kind' => 'smoke', 'values' => [...WAFTS, 'lit' => 'l', 'colour' => '#806040']];
    expect(inAir([['muted' => true] + $light, $smoke])(60, 45))->toEqualWithDelta([40 / 255, 40 / 255, 40 / 255], 1e-6)
        ->and(inAir([$smoke])(60, 45))->toEqual(inAir([['values' => array_diff_key($smoke['values'], ['lit' => 1])] + $smoke])(60, 45))
        // bound to what is no light it is plain as well
        ->and(inAir([['values' => ['lit' => 'p'] + $smoke['values']] + $smoke])(60, 45))->toEqual(inAir([$smoke])(60, 45));
});

it('lets smoke fall where its light is confined to', function (): void {
    $half = Rendering::plate('half', ['id' => 'half', 'values' => ['pivot' => [0, 0], 'place' => [0, 0]]]);
    $pictures = ['p' => new Flat(120, 90, static fn (): array => [40, 40, 40]), 'half' => new Flat(60, 90, static fn (): array => [40, 40, 40])];
    $light = ['id' => 'l', 'kind' => 'wash', 'confinedTo' => 'half', 'values' => ['colour' => ['swatch' => '#ffffff']]];
    $bytes = static fn (array $more): array => array_values(unpack('n*', Rendering::picture($pictures, 120, 90, [Rendering::plate('p', ['id' => 'p']), $half, $light, ...$more])->bytes));
    [$without, $with] = [$bytes([]), $bytes([['id' => 's', 'kind' => 'smoke', 'values' => ['density' => 100, 'lit' => 'l'] + WAFTS]])];
    $changes = static fn (int $x): int => $with[4 * (45 * 120 + $x)] - $without[4 * (45 * 120 + $x)];
    expect($changes(30))->toBeGreaterThan(1000)->and($changes(90))->toBe(0);
});

it('takes of a picture only how bright it is, so that smoke takes any colour', function (): void {
    $shown = inAir([['id' => 's', 'kind' => 'smoke', 'values' => ['made' => 'of a picture', 'picture' => 'wafts', 'middle' => [60, 45], 'width' => 120, 'height' => 90, 'colour' => '#2040ff']]]);
    foreach ([20, 60, 100] as $x) {
        $tone = 0.2126 * ((int) ($x / 2) * 4) / 255 + 0.7152;
        foreach ([32, 64, 255] as $k => $own) {
            expect($shown($x, 45)[$k])->toEqualWithDelta((40 + $tone * ($own - 40)) / 255, 0.01);
        }
    }
});

it('shows specks of dust plain, and only where a light falls', function (): void {
    $values = ['specks' => 12000, 'speckSize' => 6, 'farSize' => 2, 'outOfFocus' => 30, 'seed' => 5];
    $dust = new Dust(12000, 1, 3, 0.3, 5);
    $cover = $dust->rectangle(0, 0, 120, 90, 1.0);
    $shown = inAir([['id' => 'd', 'kind' => 'dust', 'amount' => 100, 'values' => ['colour' => '#ffffff'] + $values]]);
    foreach ([[5, 5], [60, 45], [61, 45], [100, 80]] as [$x, $y]) {
        expect($shown($x, $y)[0])->toEqualWithDelta(40 / 255 + $cover[$y * 120 + $x] * (1 - 40 / 255), 0.001);
    }
    $light = ['id' => 'l', 'kind' => 'wash', 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [40, 0], 'to' => [41, 0]]]], 'values' => ['colour' => ['swatch' => '#ff0000']]];
    [$without, $lit] = [inAir([$light]), inAir([$light, ['id' => 'd', 'kind' => 'dust', 'values' => ['lit' => 'l'] + $values]])];
    $changed = 0;
    for ($y = 0; $y < 90; $y++) {
        for ($x = 0; $x < 120; $x++) {
            $more = $lit($x, $y)[0] - $without($x, $y)[0];
            $changed += $more > 0.01 ? 1 : 0;
            expect($x > 42 ? $more : 0.0)->toBe(0.0)->and($lit($x, $y)[2])->toEqualWithDelta($without($x, $y)[2], 1e-4);
        }
    }
    expect($changed)->toBeGreaterThan(50);
});

it('has no seam between windows, and repeats nowhere within a scene', function (string $kind, array $values): void {
    $strip = ['id' => 's', 'kind' => $kind, 'values' => $values];
    [$whole, $part] = [inAir([$strip]), inAir([$strip], 40, new Window(37, 21, 50, 40))];
    foreach ([[0, 0], [25, 20], [49, 39]] as [$x, $y]) {
        // smoke is read off a lattice that is laid anew for each window
        expect($part($x, $y)[0])->toEqualWithDelta($whole(37 + $x, 21 + $y)[0], $kind === 'smoke' ? 0.012 : 1e-6);
    }
    // no shift along the row gives the same again
    $row = array_map(static fn (int $x): float => $whole($x, 45)[0], range(0, 119));
    for ($by = 8; $by < 60; $by++) {
        $differs = array_sum(array_map(static fn (int $x): float => abs($row[$x] - $row[$x + $by]), range(0, 59)));
        expect($differs)->toBeGreaterThan(0.05);
    }
})->with([['smoke', WAFTS], ['dust', ['specks' => 20000, 'speckSize' => 6, 'farSize' => 3]]]);

it('takes the colour of its source, as dense as it was', function (string $kind, array $values, array $where): void {
    $scene = static fn (bool $takes): Scene => Scene::read(['aumbrel' => 2, 'title' => 'S', 'size' => [120, 90], 'sources' => [['id' => 'l', 'kind' => 'lamp', 'name' => 'L', 'values' => ['place' => [60, 20], 'colour' => ['swatch' => '#ff8000']]]], 'strips' => [
        Rendering::plate('p', ['id' => 'p', 'name' => 'P']), ['id' => 'h', 'name' => 'H', 'kind' => $kind, 'mode' => 'normal', 'source' => 'l', 'amount' => 100, 'values' => ['takesColour' => $takes] + $values],
    ]], Registry::kinds());
    $renderer = Rendering::renderer(['p' => new Flat(120, 90, static fn (): array => [0, 0, 0])]);
    $red = static fn (bool $takes): array => array_values(unpack('n*', $renderer->picture($scene($takes), Window::whole(120, 90), 16)->bytes));
    [$at, [$own, $lit]] = [4 * ($where[1] * 120 + $where[0]), [$red(false), $red(true)]];
    expect($lit[$at + 2])->toBe(0)->and($own[$at + 2])->toBeGreaterThan(5000)->and($lit[$at] / $lit[$at + 1])->toEqualWithDelta(255 / 128, 0.15);
})->with([
    ['haze', ['from' => [0, 0], 'to' => [120, 0], 'stops' => [['offset' => 0, 'colour' => '#8080ff', 'opacity' => 0.8], ['offset' => 1, 'colour' => '#8080ff', 'opacity' => 0.2]]], [20, 40]],
    ['distance haze', ['visible' => 4, 'colour' => '#8080ff'], [60, 10]],
]);

it('takes the distance of every pixel from a depth pass, of the same size or a finer one', function (array $values, callable $distance, int $finer): void {
    $tone = fn (float $x): float => round(65535 * (0.1 + 0.8 * $x / 100)) / 65535;
    $pictures = [
        'ground' => new Flat(300, 200, static fn (): array => [60, 90, 120]), 'wall' => new Flat(100, 50, static fn (): array => [180, 60, 40]),
        'deep' => new Flat(100 * $finer, 50 * $finer, fn (int $x): array => array_fill(0, 3, (int) (65535 * $tone(intdiv($x, $finer)) + 0.5)), 16),
    ];
    $scene = hazy(['amount' => 100, 'values' => ['visible' => 10, 'colour' => '#c0d0e0']], [['id' => 'wall', 'name' => 'W', ...Rendering::plate('wall', ['values' => ['place' => [90, 80], 'depth' => 'deep', 'depthNear' => 1, 'depthFar' => 9, ...$values]])]]);
    $seen = array_values(unpack('n*', Rendering::renderer($pictures)->picture($scene, Window::whole(300, 200), 16)->bytes));
    foreach ([3, 40, 77, 96] as $x) {
        $t = exp(-0.3912 * min(10, $distance($tone($x))));
        $at = 4 * (100 * 300 + 90 + $x);
        expect($seen[$at] / 65535)->toEqualWithDelta(Srgb::encode(Srgb::decode(180 / 255) * $t + Srgb::decode(192 / 255) * (1 - $t)), 0.0012);
    }
})->with([
    'white is near' => [[], fn (float $v): float => 1 + 8 * (1 - $v), 1],
    'black is near, twice as fine' => [['depthEnds' => 'black is near'], fn (float $v): float => 1 + 8 * $v, 2],
    'one over the distance' => [['depthInverse' => true], fn (float $v): float => 1 / (1 + (1 / 9 - 1) * (1 - $v)), 1],
]);

it('goes by where a plate stands when its depth pass is gone', function (): void {
    $post = fn (array $values): array => ['id' => 'post', 'name' => 'P', ...Rendering::plate('post', ['values' => ['pivot' => [20, 60], 'place' => [150, 120], 'stance' => 'stands', ...$values]])];
    $haze = ['amount' => 100, 'values' => ['visible' => 10, 'colour' => '#c0d0e0']];
    expect(hazed(hazy($haze, [$post(['depth' => 'lost.png'])]))(140, 100))->toBe(hazed(hazy($haze, [$post([])]))(140, 100));
});

it('lies a finer picture as the coarser one lies, also in perspective', function (): void {
    $fit = Aumbrel\Core\Geometry\Corners::read([[0, 0], [90, 6], [96, 50], [4, 44]], 'fit')->fit(100, 50);
    foreach ([[null, 2.0, 2.0], [null, 3.0, 1.5], [$fit, 2.0, 2.0]] as [$perspective, $width, $height]) {
        $placement = new Aumbrel\Core\Geometry\Placement(new Aumbrel\Core\Geometry\Point(30, 40), new Aumbrel\Core\Geometry\Point(10, 20), 1.4, 25, true, $perspective);
        $finer = $placement->ofFiner($width, $height);
        foreach ([[0, 0], [100, 50], [31, 17]] as [$x, $y]) {
            [$own, $other] = [$placement->toScene(new Aumbrel\Core\Geometry\Point($x, $y)), $finer->toScene(new Aumbrel\Core\Geometry\Point($x * $width, $y * $height))];
            expect(hypot($own->x - $other->x, $own->y - $other->y))->toBeLessThan(1e-6);
        }
    }
});
