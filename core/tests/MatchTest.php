<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Spread;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

it('tells colours apart as CIEDE2000 does', function (array $one, array $other, float $difference): void {
    expect(Difference::ofLab($one, $other))->toEqualWithDelta($difference, 5e-5)->and(Difference::ofLab($other, $one))->toEqualWithDelta($difference, 5e-5);
})->with([
    // Sharma, Wu, Dalal, The CIEDE2000 color-difference formula (2005), table 1 (from memory)
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425], [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615], [[50, 2.8361, -74.0200], [50, 0, -82.7485], 3.4412],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1.0], [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1.0], [[50, 0, 0], [50, -1, 2], 2.3669],
    [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792], [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195], [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
    [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461], [[50, 2.5, 0], [50, 0, -2.5], 4.3065], [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[50, 2.5, 0], [61, -5, 29], 22.8977], [[50, 2.5, 0], [56, -27, -3], 31.9030], [[50, 2.5, 0], [58, 24, 15], 19.4535], [[50, 2.5, 0], [50, 3.1736, 0.5854], 1.0],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644], [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.2630],
    [[61.2901, 3.7196, -5.3901], [61.4292, 2.2480, -4.9620], 1.8731], [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
    [[22.7233, 20.0904, -46.6940], [23.0331, 14.9730, -42.5619], 2.0373], [[36.4612, 47.8580, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
    [[90.8027, -2.0831, 1.4410], [91.1528, -1.6435, 0.0447], 1.4441], [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
    [[2.0776, 0.0795, -1.1350], [0.9033, -0.0636, -0.5514], 0.9082],
]);

it('knows the Lab of the corners of sRGB', function (): void {
    // Bruce Lindbloom's calculator gives white 100, 0, 0 and red 53.2408, 80.0925, 67.2032 for sRGB under D65 (from memory)
    expect(Difference::lab(new Rgb(1, 1, 1)))->toEqualWithDelta([100, 0, 0], 0.01)->and(Difference::lab(new Rgb(1, 0, 0)))->toEqualWithDelta([53.2408, 80.0925, 67.2032], 0.02);
});

/** A warm subject of two tones in front of a cool ground of two tones; both in stripes, so that sampling does not decide. */
function matchedPictures(): array
{
    return [
        'ground' => new Flat(120, 80, static fn (int $x, int $y): array => $y < 40 ? [60, 80, 110] : [100, 120, 150]),
        'subject' => new Flat(40, 40, static fn (int $x, int $y): array => $y < 20 ? [200, 120, 80] : [140, 60, 40]),
    ];
}

/** @return Closure(int, int): array{float, float, float} a pixel, encoded */
function matchShown(array $strip, array $more = [], ?Window $window = null): Closure
{
    $window ??= Window::whole(120, 80);
    $subject = ['id' => 's', ...Rendering::plate('subject', ['values' => ['pivot' => [0, 0], 'place' => [40, 20]]])];
    $picture = Rendering::picture(matchedPictures(), 120, 80, [Rendering::plate('ground', ['id' => 'g']), $subject, ...$more, ['id' => 'm', 'kind' => 'match', ...$strip]], window: $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): array => array_map(static fn (int $k): float => $values[4 * ($y * $window->columns + $x) + $k] / 65535, [0, 1, 2]);
}

/** @return array{float, float, float} */
function oklabOf(array $bytes): array
{
    return Oklab::ofLinear(...array_map(static fn (int $byte): float => Srgb::decode($byte / 255), $bytes));
}

/** What Reinhard makes of a colour, by means and deviations of equal parts of two colours each. */
function reinhard(array $bytes, array $own, array $wanted, float $lightness = 1.0, float $colour = 1.0): array
{
    $of = static fn (array $two): array => array_map(static fn (float $one, float $other): array => [($one + $other) / 2, abs($one - $other) / 2], oklabOf($two[0]), oklabOf($two[1]));
    [$from, $to] = [$of($own), $of($wanted)];
    $moved = [];
    foreach (oklabOf($bytes) as $axis => $value) {
        $ratio = $from[$axis][1] < 0.002 ? 1.0 : max(0.5, min(2.0, $to[$axis][1] / $from[$axis][1]));
        $moved[] = $value + ($axis === 0 ? $lightness : $colour) * (($value - $from[$axis][0]) * $ratio + $to[$axis][0] - $value);
    }
    $linear = Oklab::toLinear(...$moved);

    return array_map(static fn (float $value): float => Srgb::encode(max(0.0, $value)), [$linear->red, $linear->green, $linear->blue]);
}

it('counts means and deviations by weight', function (): void {
    $spread = Spread::of([[0.2, 0.8, 0.5], [0.2, 0.8, 0.5], [0.2, 0.8, 0.5]], [1.0, 3.0, 0.0]);
    [$dark, $bright] = [Oklab::ofLinear(...array_fill(0, 3, Srgb::decode(0.2)))[0], Oklab::ofLinear(...array_fill(0, 3, Srgb::decode(0.8)))[0]];
    expect($spread->weight)->toBe(4.0)->and($spread->means[0])->toEqualWithDelta(0.25 * $dark + 0.75 * $bright, 1e-9)->and($spread->deviations[0])->toEqualWithDelta(sqrt(3) / 4 * ($bright - $dark), 1e-9)
        ->and(Spread::of([[], [], []], [])->weight)->toBe(0.0);
});

it('pulls a plate toward what lies around it, or toward a region', function (array $values, float $lightness, float $colour): void {
    $shown = matchShown(['confinedTo' => 's', 'values' => $values]);
    foreach ([[60, 25, [200, 120, 80]], [60, 50, [140, 60, 40]]] as [$x, $y, $bytes]) {
        // as much of the one tone of the ground as of the other
        expect($shown($x, $y))->toEqualWithDelta(reinhard($bytes, [[200, 120, 80], [140, 60, 40]], [[60, 80, 110], [100, 120, 150]], $lightness, $colour), 0.01);
    }
    // outside of the plate nothing changes
    expect($shown(10, 10))->toEqualWithDelta([60 / 255, 80 / 255, 110 / 255], 1e-4);
})->with([
    [['contrastBy' => 100, 'colourBy' => 100], 1.0, 1.0], [['contrastBy' => 30, 'colourBy' => 80], 0.3, 0.8],
    [['toward' => 'a region', 'regionFrom' => [120, 80], 'regionTo' => [0, 0], 'contrastBy' => 100, 'colourBy' => 100], 1.0, 1.0],
]);

it('takes a region of one tone as it is: no contrast is left, by half at most', function (): void {
    $shown = matchShown(['confinedTo' => 's', 'values' => ['toward' => 'a region', 'regionFrom' => [0, 0], 'regionTo' => [30, 30], 'contrastBy' => 100, 'colourBy' => 100]]);
    expect($shown(60, 25))->toEqualWithDelta(reinhard([200, 120, 80], [[200, 120, 80], [140, 60, 40]], [[60, 80, 110], [60, 80, 110]]), 0.01);
});

it('pulls everything below toward a plate', function (): void {
    $shown = matchShown(['values' => ['toward' => 'a plate', 'like' => 's', 'contrastBy' => 0, 'colourBy' => 100]]);
    [, $a, $b] = Oklab::ofLinear(...array_map(Srgb::decode(...), $shown(10, 10)));
    [, $a0, $b0] = oklabOf([60, 80, 110]);
    [, $a1, $b1] = oklabOf([170, 90, 60]);
    // the ground turns from blue to the subject's orange
    expect(hypot($a - $a1, $b - $b1))->toBeLessThan(0.6 * hypot($a0 - $a1, $b0 - $b1));
});

it('acts on dark or bright tones alone where that is wanted', function (): void {
    $shown = matchShown(['confinedTo' => 's', 'values' => ['contrastBy' => 100, 'colourBy' => 100, 'inDarks' => 0, 'inMids' => 0, 'inLights' => 0]]);
    expect($shown(60, 25))->toEqualWithDelta([200 / 255, 120 / 255, 80 / 255], 0.001);
});

it('moves colours alike in every window', function (): void {
    $strip = ['confinedTo' => 's', 'values' => ['contrastBy' => 80, 'colourBy' => 80]];
    [$whole, $part] = [matchShown($strip), matchShown($strip, [], new Window(50, 22, 20, 30))];
    expect($part(5, 5))->toBe($whole(55, 27));
});

it('brings the difference of means down', function (): void {
    $mean = static fn (Closure $shown): Rgb => new Rgb(...array_map(static fn (int $k): float => (Srgb::decode($shown(60, 25)[$k]) + Srgb::decode($shown(60, 50)[$k])) / 2, [0, 1, 2]));
    $around = new Rgb(...array_map(static fn (int $one, int $other): float => (Srgb::decode($one / 255) + Srgb::decode($other / 255)) / 2, [60, 80, 110], [100, 120, 150]));
    $before = Difference::of($mean(matchShown(['confinedTo' => 's', 'muted' => true, 'values' => []])), $around);
    $after = Difference::of($mean(matchShown(['confinedTo' => 's', 'values' => ['contrastBy' => 100, 'colourBy' => 100]])), $around);
    expect($before)->toBeGreaterThan(20.0)->and($after)->toBeLessThan(3.0);
});

it('says how far the means were apart before it, and are after it', function (): void {
    $scene = static fn (array $strip): Scene => Rendering::scene(120, 80, [Rendering::plate('ground', ['id' => 'g']), ['id' => 's', ...Rendering::plate('subject', ['values' => ['place' => [40, 20]]])], ['id' => 'm', 'kind' => 'match', ...$strip]]);
    $renderer = Rendering::renderer(matchedPictures());
    $none = $renderer->likeness($scene(['confinedTo' => 's', 'values' => ['contrastBy' => 0, 'colourBy' => 0]]), 'm');
    $all = $renderer->likeness($scene(['confinedTo' => 's', 'values' => ['contrastBy' => 100, 'colourBy' => 100]]), 'm');
    // means of two tones in equal parts, in Oklab, on both sides; CIEDE2000 of them
    $mean = static fn (array $one, array $other): Rgb => Oklab::toLinear(...array_map(static fn (float $a, float $b): float => ($a + $b) / 2, oklabOf($one), oklabOf($other)));
    $apart = Difference::of($mean([200, 120, 80], [140, 60, 40]), $mean([60, 80, 110], [100, 120, 150]));
    expect($none['before'])->toEqualWithDelta($apart, 0.6)->and($none['after'])->toEqualWithDelta($none['before'], 0.05)
        ->and($all['before'])->toEqualWithDelta($none['before'], 1e-6)->and($all['after'])->toBeLessThan(1.0)
        ->and($renderer->likeness($scene(['values' => []]), 'm'))->toBeNull()->and($renderer->likeness($scene(['values' => []]), 'g'))->toBeNull();
});

it('says what is missing, and changes nothing then', function (array $strip): void {
    expect(matchShown($strip)(60, 25))->toEqualWithDelta([200 / 255, 120 / 255, 80 / 255], 0.001);
})->with([
    [['values' => []]], [['values' => ['toward' => 'a plate']]], [['values' => ['toward' => 'a plate', 'like' => 'gone']]],
    [['confinedTo' => 's', 'values' => ['toward' => 'a region', 'regionFrom' => [5, 5], 'regionTo' => [5, 60]]]], [['confinedTo' => 's', 'values' => ['toward' => 'a region', 'regionFrom' => [500, 500], 'regionTo' => [600, 600]]]],
]);
