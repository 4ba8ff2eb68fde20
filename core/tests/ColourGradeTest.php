<?php

declare(strict_types=1);

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\HueHill;
use Aumbrel\Core\Color\HueStretch;
use Aumbrel\Core\Color\HueStretches;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Grade\Ranges;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Ramp\ToneCurve;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Rendering;

const COLOURS = [[0, 0, 0], [12, 9, 20], [120, 40, 30], [200, 140, 90], [230, 225, 60], [60, 170, 80], [30, 160, 180], [40, 70, 200], [140, 60, 190], [220, 50, 150], [128, 128, 128], [240, 240, 235], [255, 255, 255]];

/**
 * What becomes of those colours.
 *
 * @return list<array{float, float, float}> encoded 0..1
 */
function regraded(array $strip): array
{
    $ground = new Flat(count(COLOURS), 1, static fn (int $x): array => COLOURS[$x]);
    $picture = Rendering::picture(['p' => $ground], count(COLOURS), 1, [Rendering::plate('p', ['id' => 'p']), ['id' => 'g', ...$strip]]);
    $values = array_values(unpack('n*', $picture->bytes));

    return array_map(static fn (int $x): array => array_map(static fn (int $k): float => $values[4 * $x + $k] / 65535, [0, 1, 2]), array_keys(COLOURS));
}

/** @param  Closure(float, float, float): array{float, float, float}  $becomes  of encoded values */
function expectGraded(array $strip, Closure $becomes, float $near = 0.0004): void
{
    foreach (regraded($strip) as $x => $shown) {
        $wanted = array_map(static fn (float $value): float => max(0.0, min(1.0, $value)), $becomes(...array_map(static fn (int $byte): float => $byte / 255, COLOURS[$x])));
        foreach ($wanted as $k => $value) {
            expect($shown[$k])->toEqualWithDelta($value, $near, json_encode([$strip['kind'], COLOURS[$x], $k]));
        }
    }
}

/** @return array{float, float, float} lightness and both axes of an encoded colour */
function lab(float $r, float $g, float $b): array
{
    return Oklab::ofLinear(Srgb::decode($r), Srgb::decode($g), Srgb::decode($b));
}

/** @return array{float, float, float} encoded, clipped at 0 */
function unlab(float $l, float $a, float $b): array
{
    $linear = Oklab::toLinear($l, $a, $b);

    return array_map(static fn (float $value): float => Srgb::encode(max(0.0, $value)), [$linear->red, $linear->green, $linear->blue]);
}

it('goes into Oklab and back in place', function (): void {
    foreach (COLOURS as $colour) {
        [$r, $g, $b] = array_map(static fn (int $byte): float => Srgb::decode($byte / 255), $colour);
        [$l, $x, $y] = [$r, $g, $b];
        Oklab::enter($l, $x, $y);
        expect([$l, $x, $y])->toEqualWithDelta(Oklab::ofLinear($r, $g, $b), 1e-12);
        Oklab::leave($l, $x, $y);
        expect([$l, $x, $y])->toEqualWithDelta([$r, $g, $b], 2e-6);
    }
});

it('makes colours richer or paler and turns them in Oklab', function (array $values): void {
    [$factor, $turn, $gain] = [($values['saturation'] ?? 100) / 100, deg2rad($values['turned'] ?? 0), 2 ** ($values['brighter'] ?? 0)];
    expectGraded(['kind' => 'saturation', 'values' => $values], static function (float ...$rgb) use ($factor, $turn, $gain): array {
        $linear = array_map(static fn (float $v): float => Srgb::decode($v) * $gain, $rgb);
        [$l, $a, $b] = Oklab::ofLinear(...$linear);

        return unlab($l, $factor * ($a * cos($turn) - $b * sin($turn)), $factor * ($a * sin($turn) + $b * cos($turn)));
    }, 0.0012);
})->with([[['saturation' => 40]], [['saturation' => 180]], [['turned' => 70]], [['brighter' => -1.5]], [['saturation' => 120, 'turned' => -100, 'brighter' => 0.7]], [['saturation' => 0]]]);

/** Lights of one colour everywhere, in linear light: one that multiplies below a strip, one that adds above it. */
function among(array $strip): array
{
    return [
        ['id' => 'lit', 'kind' => 'fill', 'mode' => 'illuminate', 'amount' => 60, 'values' => ['colour' => '#ffd0a0']],
        ['id' => 'g', ...$strip],
        ['id' => 'air', 'kind' => 'fill', 'mode' => 'airlight', 'amount' => 50, 'values' => ['colour' => '#405060']],
    ];
}

it('comes to the same among lights, where it is worked out of linear light', function (array $strip, Closure $becomes): void {
    $ground = new Flat(count(COLOURS), 1, static fn (int $x): array => COLOURS[$x]);
    $values = array_values(unpack('n*', Rendering::picture(['p' => $ground], count(COLOURS), 1, [Rendering::plate('p', ['id' => 'p']), ...among($strip)])->bytes));
    foreach (COLOURS as $x => $colour) {
        $linear = array_map(static fn (int $byte, int $light): float => Srgb::decode($byte / 255) * (1 + 0.6 * Srgb::decode($light / 255)), $colour, [0xFF, 0xD0, 0xA0]);
        foreach (array_map(static fn (float $value, int $air): float => min(1.0, Srgb::encode(max(0.0, $value) + 0.5 * Srgb::decode($air / 255))), $becomes(...$linear), [0x40, 0x50, 0x60]) as $k => $value) {
            expect($values[4 * $x + $k] / 65535)->toEqualWithDelta($value, 0.0012, json_encode([$strip['kind'], $colour, $k]));
        }
    }
})->with([
    'paler' => [['kind' => 'saturation', 'values' => ['saturation' => 40]], function (float ...$linear): array {
        [$l, $a, $b] = Oklab::ofLinear(...$linear);

        return array_values((array) Oklab::toLinear($l, 0.4 * $a, 0.4 * $b));
    }],
    'turned and brighter' => [['kind' => 'saturation', 'values' => ['turned' => 50, 'brighter' => 0.5]], function (float ...$linear): array {
        [$l, $a, $b] = Oklab::ofLinear(...array_map(static fn (float $value): float => $value * 2 ** 0.5, $linear));

        return array_values((array) Oklab::toLinear($l, $a * cos(deg2rad(50)) - $b * sin(deg2rad(50)), $a * sin(deg2rad(50)) + $b * cos(deg2rad(50))));
    }],
    'tinted' => [['kind' => 'tint', 'amount' => 35, 'values' => ['colour' => '#c98a52']], function (float ...$linear): array {
        [$l, $a, $b] = Oklab::ofLinear(...$linear);
        [, $x, $y] = lab(0xC9 / 255, 0x8A / 255, 0x52 / 255);

        return array_values((array) Oklab::toLinear($l, 0.65 * $a + 0.35 * $x, 0.65 * $b + 0.35 * $y));
    }],
    // at half amount what was there and what becomes of it are mixed as they are stored
    'half as much' => [['kind' => 'saturation', 'amount' => 50, 'values' => ['saturation' => 0]], function (float ...$linear): array {
        [$l] = Oklab::ofLinear(...$linear);

        return array_map(static fn (float $value): float => Srgb::decode(0.5 * Srgb::encode($value) + 0.5 * Srgb::encode($l ** 3)), $linear);
    }],
    'nothing' => [['kind' => 'saturation', 'values' => ['saturation' => 100]], fn (float ...$linear): array => $linear],
]);

it('encodes and decodes nothing for a change of linear light among lights', function (array $change, int $times): void {
    $folder = Folder::of('linear-kernels').'/'.bin2hex(random_bytes(4));
    $renderer = new Renderer(new KernelStore($folder), new Flat(4, 1, static fn (int $x): array => COLOURS[$x]));
    $renderer->picture(Rendering::scene(4, 1, [Rendering::plate('p', ['id' => 'p']), ...among(['kind' => 'saturation', 'values' => ['saturation' => 60], ...$change])]), Window::whole(4, 1), 16);
    $kernels = implode('', array_map(file_get_contents(...), glob("{$folder}/*.php")));
    // what nearly black values are multiplied by, there and back: once a channel each time; the colours of the two lights are decoded too
    expect(substr_count($kernels, '* 0.07739938080495357'))->toBe(3 * $times + 6)->and(substr_count($kernels, '* 12.92'))->toBe(3 * $times);
})->with([
    'at full' => [[], 1],
    // the light below, the change, and the light above: each for itself
    'at half' => [['amount' => 50], 3],
    'limited to tones' => [['tones' => ['darks' => [0.1, 0.3]]], 3],
    'behind a mask' => [['masks' => [['id' => 'm', 'kind' => 'radial', 'values' => ['centre' => [2, 0]]]]], 3],
]);

it('tints with the hue and chroma of a colour, by its amount in Oklab', function (float $amount): void {
    $tint = Rgb::fromHex('#3f7fc0')->decoded();
    [, $ta, $tb] = Oklab::ofLinear($tint->red, $tint->green, $tint->blue);
    expectGraded(['kind' => 'tint', 'amount' => $amount, 'values' => ['colour' => '#3f7fc0']], static function (float ...$rgb) use ($amount, $ta, $tb): array {
        [$l, $a, $b] = lab(...$rgb);

        return unlab($l, $a + $amount / 100 * ($ta - $a), $b + $amount / 100 * ($tb - $b));
    }, 0.0015);
})->with([100.0, 35.0]);

it('gives each tone the colour that a ramp has there', function (): void {
    $stops = [['offset' => 0, 'colour' => '#101830'], ['offset' => 0.4, 'colour' => '#804020'], ['offset' => 1, 'colour' => '#fff0d0']];
    expectGraded(['kind' => 'tone ramp', 'values' => ['ramp' => $stops]], static function (float ...$rgb): array {
        $y = Luma::of(...$rgb);
        [$from, $to, $share] = $y < 0.4 ? [[16, 24, 48], [128, 64, 32], $y / 0.4] : [[128, 64, 32], [255, 240, 208], ($y - 0.4) / 0.6];

        return array_map(static fn (int $a, int $b): float => ($a + $share * ($b - $a)) / 255, $from, $to);
    });
});

it('divides tones into darks, mids and lights that come to one', function (): void {
    foreach (range(0, 1000) as $k) {
        $y = $k / 1000;
        $smooth = static fn (float $from, float $to): float => ($t = max(0.0, min(1.0, ($y - $from) / ($to - $from)))) * $t * (3 - 2 * $t);
        expect(Ranges::darks($y))->toEqualWithDelta(1 - $smooth(0.1, 0.55), 1e-12)->and(Ranges::lights($y))->toEqualWithDelta($smooth(0.45, 0.9), 1e-12)
            // mids are the rest: between 0 and 1, so that all three come to one
            ->and(1 - Ranges::darks($y) - Ranges::lights($y))->toBeGreaterThan(-1e-6)->toBeLessThan(1 + 1e-6);
    }
});

it('draws darks, mids and lights toward colours of their own', function (bool $keepBlack, bool $keepLuma): void {
    $shifts = ['darks' => [-20, 5, 60], 'mids' => [10, -30, 0], 'lights' => [80, 10, -70]];
    expectGraded(['kind' => 'balance', 'values' => ['shifts' => $shifts, 'keepBlack' => $keepBlack, 'keepLuma' => $keepLuma]], static function (float ...$rgb) use ($shifts, $keepBlack, $keepLuma): array {
        $y = Luma::of(...$rgb);
        [$s, $h] = [Ranges::darks($y), Ranges::lights($y)];
        $share = $keepBlack ? min(1, $y / 0.05) : 1;
        $out = array_map(static fn (int $k): float => $rgb[$k] + $share * 0.25 / 100 * ($s * $shifts['darks'][$k] + (1 - $s - $h) * $shifts['mids'][$k] + $h * $shifts['lights'][$k]), [0, 1, 2]);

        return $keepLuma ? array_map(static fn (float $v): float => $v + $y - Luma::of(...$out), $out) : $out;
    });
})->with([[true, false], [false, false], [true, true]]);

it('draws bright tones toward a light, mids as far as wanted, and dark ones away from it', function (float $pull, bool $cool, float $mids = 0.0): void {
    $light = Rgb::fromHex('#ff9a40')->decoded()->normalised();
    [, $qa, $qb] = Oklab::ofLinear($light->red, $light->green, $light->blue);
    expectGraded(['kind' => 'warmth', 'values' => ['colour' => ['swatch' => '#ff9a40'], 'pull' => $pull, 'mids' => $mids, 'coolDarks' => $cool]], static function (float ...$rgb) use ($pull, $cool, $mids, $qa, $qb): array {
        $y = Luma::of(...$rgb);
        [$l, $a, $b] = lab(...$rgb);
        [$darks, $lights] = [Ranges::darks($y), Ranges::lights($y)];
        $weight = $pull / 100 * 0.5 * ($lights + $mids / 100 * (1 - $darks - $lights) - ($cool ? 0.5 * $darks : 0));

        return unlab($l, $a + $weight * $qa, $b + $weight * $qb);
    }, 0.0015);
})->with([[60.0, true], [100.0, false], [-40.0, true], [45.0, true, 100.0], [80.0, false, 40.0]]);

it('goes through its points and never swings past them', function (): void {
    // the data RPN 15A of Fritsch and Carlson (1980, table 1; from memory), brought to 0..1: a spline swings past it
    $x = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20];
    $y = [0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.943740, 0.998636, 0.999919, 0.999994];
    $points = array_map(static fn (float $x, float $y): array => [($x - 7.99) / 12.01, $y], $x, $y);
    $curve = ToneCurve::read($points, 'curve');
    foreach ($points as [$tone, $becomes]) {
        expect($curve->of($tone))->toEqualWithDelta($becomes, 1e-12);
    }
    $last = 0.0;
    for ($k = 0; $k <= 2000; $k++) {
        $value = $curve->of($k / 2000);
        expect($value)->toBeGreaterThanOrEqual($last - 1e-12)->toBeLessThanOrEqual(1.0);
        $last = $value;
    }
});

it('has the slopes of its definition', function (): void {
    // by hand: secants 2, 0.5, 0.5; the middle slopes are their means, 1.25 and 0.5, one-sided 2 and 0.5 at the ends. The first stretch has a = 1, b = 0.625 and
    // the second a = 2.5, b = 1 (7.25 < 9), so nothing is limited
    $curve = ToneCurve::read([[0, 0], [0.25, 0.5], [0.5, 0.625], [1, 0.875]], 'curve');
    $slope = static fn (float $at): float => ($curve->of($at + 1e-6) - $curve->of($at)) / 1e-6;
    expect([$slope(0), $slope(0.25), $slope(0.5)])->toEqualWithDelta([2, 1.25, 0.5], 1e-4);
    // secants 0.4 and 4: mean 2.2, a = 1, b = 5.5: both times 3 / sqrt(31.25) in the first stretch
    $limited = ToneCurve::read([[0, 0], [0.5, 0.2], [0.7, 1]], 'curve');
    $first = ($limited->of(1e-6) - $limited->of(0)) / 1e-6;
    expect($first)->toEqualWithDelta(0.4 * 3 / sqrt(1 + 5.5 ** 2), 1e-4);
    // where secants change sign, and where one is flat, the slope is 0
    $turning = ToneCurve::read([[0, 0], [0.5, 1], [1, 0]], 'curve');
    expect(($turning->of(0.5 + 1e-5) - 1) / 1e-5)->toEqualWithDelta(0, 1e-3)
        ->and(ToneCurve::read([[0, 0.2], [0.5, 0.2], [1, 0.8]], 'curve')->of(0.4))->toEqualWithDelta(0.2, 1e-12);
    // below the first point its value, above the last one its value and what lies above 1
    $inner = ToneCurve::read([[0.2, 0.1], [0.8, 0.9]], 'curve');
    expect($inner->of(0.05))->toBe(0.1)->and($inner->of(0.9))->toBe(0.9)->and($inner->of(1.3))->toEqualWithDelta(1.2, 1e-12);
});

it('bends all channels, then each, then luma', function (float $swing): void {
    $points = ['all' => [[0, 0.02], [0.3, 0.2], [0.8, 0.9], [1, 1]], 'red' => [[0, 0], [0.5, 0.6], [1, 1]], 'blue' => [[0.1, 0], [0.9, 0.8]], 'luma' => [[0, 0.05], [0.2, 0.15], [0.6, 0.72], [1, 0.97]]];
    $curves = array_map(static fn (array $curve): ToneCurve => ToneCurve::read($curve, 'c'), $points);
    expectGraded(['kind' => 'curve', 'values' => [...$points, 'swing' => $swing]], static function (float ...$rgb) use ($curves, $swing): array {
        $rgb = array_map($curves['all']->of(...), $rgb);
        $rgb = [$curves['red']->of($rgb[0]), $rgb[1], $curves['blue']->of($rgb[2])];
        $y = Luma::of(...$rgb);
        $after = $curves['luma']->of($y);

        return array_map(static fn (float $v): float => (1 - $swing / 100) * ($after > $y ? $v + $after - $y : $v * $after / $y) + $swing / 100 * $curves['luma']->of($v), $rgb);
    });
})->with([0.0, 40.0]);

it('weighs hues so that neighbours come to one, and greys by how coloured they are', function (): void {
    foreach (range(0, 100) as $k) {
        expect(HueStretch::falling($k / 100) + HueStretch::falling(1 - $k / 100))->toEqualWithDelta(1, 1e-9)->and(HueHill::coloured($k / 2000))->toEqualWithDelta(($t = min(1, $k / 40)) * $t * (3 - 2 * $t), 1e-12);
    }
});

it('turns, enriches and lightens families of hues', function (array $bands): void {
    $all = array_map(static fn (array $band): array => $band + ['turn' => 0, 'chroma' => 1, 'light' => 0], $bands + array_fill_keys(array_keys(HueStretches::NAMED), []));
    expectGraded(['kind' => 'bands', 'values' => ['bands' => $bands]], static function (float ...$rgb) use ($all): array {
        [$l, $a, $b] = lab(...$rgb);
        $chroma = hypot($a, $b);
        $hue = fmod(rad2deg(atan2($b, $a)) + 360, 360);
        [$turn, $factor, $light] = [0.0, 0.0, 0.0];
        $there = HueHill::coloured($chroma);
        foreach (array_keys(HueStretches::NAMED) as $n => $name) {
            // each band's weight by itself: to the neighbour on the side where the hue lies
            $middles = array_values(HueStretches::NAMED);
            $away = fmod($hue - $middles[$n] + 540, 360) - 180;
            $gap = $away >= 0 ? fmod($middles[($n + 1) % 8] - $middles[$n] + 360, 360) : fmod($middles[$n] - $middles[($n + 7) % 8] + 360, 360);
            $weight = abs($away) < $gap ? 0.5 + 0.5 * cos(M_PI * abs($away) / $gap) : 0.0;
            $turn += $weight * $all[$name]['turn'];
            $factor += $weight * ($all[$name]['chroma'] - 1);
            $light += $weight * $all[$name]['light'];
        }
        [$turn, $factor, $l] = [deg2rad($turn) * $there, 1 + $there * $factor, max(0, $l + 0.25 / 100 * $there * $light)];
        [$a, $b] = [$factor * ($a * cos($turn) - $b * sin($turn)), $factor * ($a * sin($turn) + $b * cos($turn))];
        // chroma is lowered until it can be shown: looked for in small steps
        for ($share = 1.0; $share > 0; $share -= 0.0002) {
            $linear = Oklab::toLinear($l, $share * $a, $share * $b);
            if (min($linear->red, $linear->green, $linear->blue) >= -1e-4 && max($linear->red, $linear->green, $linear->blue) <= max(1.0001, $l ** 3 + 1e-4)) {
                break;
            }
        }

        return unlab($l, $share * $a, $share * $b);
    }, 0.004);
})->with([
    [['orange' => ['turn' => 12, 'chroma' => 0.6], 'blue' => ['light' => -40, 'chroma' => 1.3]]],
    [['red' => ['turn' => -20], 'magenta' => ['chroma' => 2], 'green' => ['chroma' => 0, 'light' => 30]]],
    [['yellow' => ['chroma' => 2, 'light' => 60], 'cyan' => ['turn' => 30]]],
]);

it('leaves greys alone, and a colour far from the band', function (): void {
    $shown = regraded(['kind' => 'bands', 'values' => ['bands' => ['blue' => ['turn' => 40, 'chroma' => 0]]]]);
    foreach ([0, 2, 3, 10, 12] as $x) {
        expect($shown[$x])->toEqualWithDelta(array_map(static fn (int $byte): float => $byte / 255, COLOURS[$x]), 0.0008);
    }
});

it('leaves hues to which nothing happens as they were, to the last digit', function (): void {
    $plain = regraded(['kind' => 'bands', 'muted' => true, 'values' => ['bands' => ['blue' => ['chroma' => 0]]]]);
    $shown = regraded(['kind' => 'bands', 'values' => ['bands' => ['blue' => ['chroma' => 0]]]]);
    $between = static fn (float $hue): bool => $hue > HueStretches::NAMED['cyan'] && $hue < HueStretches::NAMED['violet'];
    foreach (COLOURS as $x => $colour) {
        [, $a, $b] = lab(...array_map(static fn (int $byte): float => $byte / 255, $colour));
        $isTouched = $between(fmod(rad2deg(atan2($b, $a)) + 360, 360)) && hypot($a, $b) > 0.001;
        expect($shown[$x] === $plain[$x])->toBe(! $isTouched, json_encode($colour));
    }
});

it('lights greys and colours without decoding them as by the law itself', function (float $stops): void {
    // near the joint of the transfer function, below it, and far above
    $ground = new Flat(256, 1, static fn (int $x): array => [$x, intdiv($x, 8), 255 - $x]);
    $picture = Rendering::picture(['p' => $ground], 256, 1, [Rendering::plate('p', ['id' => 'p']), ['id' => 'g', 'kind' => 'vignette', 'values' => ['stops' => $stops]]]);
    $values = array_values(unpack('n*', $picture->bytes));
    for ($x = 0; $x < 256; $x++) {
        foreach ([$x, intdiv($x, 8), 255 - $x] as $k => $byte) {
            $wanted = Srgb::encode(Srgb::decode($byte / 255) * 2 ** $stops);
            // 0.026/255
            expect($values[4 * $x + $k] / 65535)->toEqualWithDelta(min(1.0, $wanted), 0.0001);
        }
    }
})->with([-6.0, -4.0, -1.5, -0.2, 0.7, 2.0]);

it('takes the place of what was there at full amount as just below it', function (string $kind, array $values): void {
    $full = regraded(['kind' => $kind, 'amount' => 100, 'values' => $values]);
    $nearly = regraded(['kind' => $kind, 'amount' => 99.999, 'values' => $values]);
    foreach ($full as $x => $colour) {
        expect($colour)->toEqualWithDelta($nearly[$x], 3e-5);
    }
})->with([['saturation', ['saturation' => 40]], ['levels', ['inBlack' => 10, 'inWhite' => 80]], ['curve', ['all' => [[0, 0.1], [1, 0.8]]]], ['monochrome', []], ['warmth', ['pull' => 60]], ['balance', ['shifts' => ['mids' => [20, -10, 5]]]]]);

it('acts on any stretch, the way round, and adds up where stretches lie over one another', function (array $stretches): void {
    expectGraded(['kind' => 'bands', 'values' => ['bands' => $stretches]], static function (float ...$rgb) use ($stretches): array {
        [$l, $a, $b] = lab(...$rgb);
        [$there, $hue] = [HueHill::coloured(hypot($a, $b)), rad2deg(atan2($b, $a))];
        [$turn, $factor, $light] = [0.0, 1.0, 0.0];
        foreach ($stretches as $stretch) {
            // trapezium with half waves for sides, tried at every turn of the circle
            $weight = 0.0;
            foreach ([-360, 0, 360, 720] as $round) {
                [$up, $in, $out, $down] = array_map(static fn (float $limit): float => $limit - $round, $stretch['hues']);
                $weight = max($weight, match (true) {
                    $hue < $up || $hue > $down => 0.0,
                    $hue < $in => 0.5 - 0.5 * cos(M_PI * ($hue - $up) / ($in - $up)),
                    $hue <= $out => 1.0,
                    default => 0.5 + 0.5 * cos(M_PI * ($hue - $out) / ($down - $out)),
                });
            }
            $turn += $weight * ($stretch['turn'] ?? 0);
            $factor += $weight * (($stretch['chroma'] ?? 1) - 1);
            $light += $weight * ($stretch['light'] ?? 0);
        }
        [$turn, $factor, $l] = [deg2rad($turn) * $there, 1 + $there * (max(0, $factor) - 1), max(0, $l + 0.25 / 100 * $there * $light)];
        [$a, $b] = [$factor * ($a * cos($turn) - $b * sin($turn)), $factor * ($a * sin($turn) + $b * cos($turn))];

        return array_map(static fn (float $v): float => max(0, $v), unlab($l, $a, $b));
    }, 0.004);
})->with([
    'over the join' => [[['hues' => [300, 340, 400, 430], 'chroma' => 0.4, 'light' => -20]]],
    'one in another, taking more than there is' => [[['hues' => [200, 230, 300, 330], 'chroma' => 0.3], ['hues' => [250, 260, 270, 290], 'chroma' => 0.2, 'light' => -10]]],
    'a step, and all the way round' => [[['hues' => [90, 90, 160, 160], 'chroma' => 0.5], ['hues' => [0, 0, 360, 360], 'chroma' => 0.8]]],
    'one that does nothing among two that do' => [[['hues' => [10, 20, 60, 80], 'turn' => -8, 'chroma' => 0.7], ['hues' => [15, 20, 30, 40]], ['hues' => [60, 80, 100, 120], 'chroma' => 0.9]]],
]);

it('reads named hues of earlier scenes as stretches between their neighbours, and writes stretches', function (): void {
    $read = HueStretches::read(['red' => ['chroma' => 0.8], 'magenta' => ['turn' => 6], 'blue' => []], 'b');
    expect($read->toArray())->toBe([['hues' => [328.0, 389.0, 389.0, 413.0], 'chroma' => 0.8], ['hues' => [294.0, 328.0, 328.0, 389.0], 'turn' => 6.0]])
        ->and(HueStretches::read($read->toArray(), 'b')->toArray())->toBe($read->toArray());
});

it('finds the hill that a hue belongs to', function (): void {
    // a wide hill of greenish blues about 210 degrees, a narrow one of oranges about 55, greys
    $colours = [];
    foreach ([[210, 24, 400], [55, 7, 150]] as [$middle, $half, $many]) {
        for ($k = 0; $k < $many; $k++) {
            $hue = deg2rad($middle + $half * sin(1.7 * $k) * abs(sin(0.37 * $k)));
            $linear = Oklab::toLinear(0.6, 0.06 * cos($hue), 0.06 * sin($hue));
            $colours[] = array_map(static fn (float $v): int => (int) round(255 * Srgb::encode(max(0, $v))), [$linear->red, $linear->green, $linear->blue]);
        }
    }
    $grey = array_fill(0, 500, [90, 90, 90]);
    $hill = HueHill::of(implode('', array_map(static fn (array $rgb): string => pack('C4', ...[...$rgb, 255]), [...$colours, ...$grey])));
    expect(array_sum($hill->counts))->toBeLessThan(16 * 551);
    foreach ([[205, 210, 24], [220, 210, 24], [52, 55, 7]] as [$picked, $middle, $half]) {
        [$first, $second, $third, $fourth] = $hill->around($picked);
        expect($first)->toBeGreaterThan($middle - $half - 26)->and($first)->toBeLessThan($middle - $half / 2)
            ->and($fourth)->toBeLessThan($middle + $half + 26)->and($fourth)->toBeGreaterThan($middle + $half / 2)
            ->and($second)->toBeLessThan($picked)->and($third)->toBeGreaterThan($picked)
            ->and(HueStretches::read([['hues' => [$first, $second, $third, $fourth]]], 'b')->all[0]->weight($picked))->toBe(1.0);
    }
    // about the join, and where there is no hill at all, there is a stretch too
    foreach ([0.0, 3.0, 359.0, 130.0] as $hue) {
        expect(HueStretches::read([['hues' => $hill->around($hue)]], 'b')->all[0]->weight($hue))->toBe(1.0);
    }
    expect(HueHill::of(pack('C4', 255, 0, 0, 255))->mean())->toEqualWithDelta(29.2, 2)->and(HueHill::of(pack('C8', 90, 90, 90, 255, 255, 0, 0, 0))->mean())->toBeNull();
});

it('says where hues change their order', function (): void {
    expect(HueStretches::read(['red' => ['turn' => 20], 'orange' => ['turn' => 0]], 'b')->crossing())->toContain('Red and orange')
        ->and(HueStretches::read(['red' => ['turn' => 14]], 'b')->crossing())->toBeNull()
        // all the way round: from magenta to red
        ->and(HueStretches::read(['magenta' => ['turn' => 30], 'red' => ['turn' => -10]], 'b')->crossing())->toContain('Magenta and red');
});

it('darkens as stops of linear light by what its mask lets through', function (float $stops, float $amount, string $mode): void {
    $mask = ['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [13, 0]]];
    foreach (regraded(['kind' => 'vignette', 'amount' => $amount, 'mode' => $mode, 'values' => ['stops' => $stops], 'masks' => [$mask]]) as $x => $shown) {
        $m = $amount / 100 * (1 - ($x + 0.5) / 13);
        foreach (COLOURS[$x] as $k => $byte) {
            $wanted = $mode === 'illuminate' ? Srgb::encode(Srgb::decode($byte / 255) * 2 ** ($stops * $m)) : ($byte / 255) * (1 - $m);
            expect($shown[$k])->toEqualWithDelta(min(1, $wanted), 0.0008);
        }
    }
})->with([[-1.5, 100.0, BlendMode::Illuminate->value], [1.2, 50.0, BlendMode::Illuminate->value], [-4.0, 100.0, BlendMode::Normal->value]]);

it('comes with an oval that lets the middle be', function (): void {
    $begun = Registry::kinds()->strip('vignette', 'kind')::begun(new Aumbrel\Core\Geometry\Point(100, 60), 120);
    $scene = Rendering::scene(200, 120, [['id' => 'g', 'kind' => 'vignette', 'masks' => [['id' => 'm', ...$begun[0]]]]]);
    $mask = $scene->strips[0]->masks[0];
    expect($mask->inverted)->toBeTrue()->and($mask->mask->valueAt(100, 60))->toBe(1.0)->and($mask->mask->valueAt(2, 2))->toBeLessThan(0.2);
});

it('leaves everything as it is while nothing is set', function (string $kind, array $values): void {
    foreach (regraded(['kind' => $kind, 'values' => $values]) as $x => $shown) {
        expect($shown)->toEqualWithDelta(array_map(static fn (int $byte): float => $byte / 255, COLOURS[$x]), 0.00002);
    }
})->with([['saturation', []], ['balance', []], ['bands', []], ['curve', []], ['warmth', ['pull' => 0]], ['vignette', ['stops' => 0]]]);

it('changes colours only where something is', function (string $kind): void {
    $picture = Rendering::picture([], 8, 2, [['id' => 'g', 'kind' => $kind, 'values' => Registry::kinds()->strip($kind, 'kind')::placed(new Aumbrel\Core\Geometry\Point(4, 1), 2)]]);
    expect(max(array_map(static fn (int $pixel): int => unpack('n*', $picture->bytes)[4 * $pixel + 4], range(0, 15))))->toBe(0);
})->with(['saturation', 'balance', 'bands', 'curve', 'warmth', 'vignette', 'tint', 'tone ramp']);

it('says what is wrong, and where', function (string $kind, array $values, string $says): void {
    expect(static fn () => Rendering::scene(8, 8, [['id' => 'g', 'kind' => $kind, 'values' => $values]]))->toThrow(SceneError::class, $says);
})->with([
    ['curve', ['all' => [[0, 0], [0.6, 0.5], [0.4, 0.7], [1, 1]]], 'the points cross'],
    ['curve', ['all' => [[0, 0], [0, 1]]], 'the points cross'],
    ['curve', ['red' => [[0, 0]]], 'a list of 2 to 16 points'],
    ['curve', ['luma' => [[0, NAN], [1, 1]]], 'two numbers from 0 to 1'],
    ['curve', ['blue' => [[0, 0], [1, 1.5]]], 'two numbers from 0 to 1'],
    ['balance', ['shifts' => ['darks' => [0, 0]]], 'red, green and blue'],
    ['balance', ['shifts' => ['lights' => [0, INF, 0]]], 'red, green and blue'],
    ['balance', ['shifts' => ['shades' => [0, 0, 0]]], '"darks", "mids", "lights"'],
    ['bands', ['bands' => ['teal' => []]], 'a list of stretches of hues'],
    ['bands', ['bands' => [['chroma' => 1]]], 'values.bands.0.hues'],
    ['bands', ['bands' => [['hues' => [10, 20, 15, 40]]]], 'four degrees that go round'],
    ['bands', ['bands' => [['hues' => [10, 20, 30, 371]]]], 'four degrees that go round'],
    ['bands', ['bands' => [['hues' => [0, 1, 2, NAN]]]], 'four degrees that go round'],
    ['bands', ['bands' => [['hues' => [0, 1, 2, 3], 'turn' => 91]]], 'values.bands.0.turn'],
    ['bands', ['bands' => array_fill(0, 13, ['hues' => [0, 1, 2, 3]])], 'a list of 0 to 12'],
    ['bands', ['bands' => ['red' => ['chroma' => 3]]], 'values.bands.red.chroma'],
    ['saturation', ['saturation' => -5], 'saturation'],
    ['tone ramp', ['ramp' => []], 'a list of 1 to 32 stops'],
    ['vignette', ['stops' => -9], 'stops'],
]);

/** @return Closure(int, int): float the red of a pixel, encoded, under a bloom: a bright block on black */
function bloomed(array $values, array $block, ?Window $window = null, array $more = []): Closure
{
    [$left, $top, $right, $bottom] = $block;
    $ground = new Flat(160, 120, static fn (int $x, int $y): array => $x >= $left && $x < $right && $y >= $top && $y < $bottom ? [230, 230, 230] : [0, 0, 0]);
    $window ??= Window::whole(160, 120);
    $picture = Rendering::picture(['p' => $ground], 160, 120, [Rendering::plate('p', ['id' => 'p']), ...$more, ['id' => 'g', 'kind' => 'bloom', 'values' => $values]], window: $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): float => $values[4 * ($y * $window->columns + $x)] / 65535;
}

/** How much of a block a Gaussian about a place sees, along one axis. */
function seenOf(float $at, float $from, float $to, float $sigma): float
{
    // Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26, to 1.5e-7
    $erf = static function (float $x): float {
        $t = 1 / (1 + 0.3275911 * abs($x));
        $value = 1 - ($t * (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429))))) * exp(-$x * $x);

        return $x < 0 ? -$value : $value;
    };

    return ($erf(($to - $at) / ($sigma * M_SQRT2)) - $erf(($from - $at) / ($sigma * M_SQRT2))) / 2;
}

it('spreads what is bright by Gaussians in linear light', function (): void {
    $shown = bloomed(['from' => 60, 'near' => 9, 'strength' => -1, 'farther' => 40], [60, 40, 100, 80]);
    foreach ([[50, 60], [40, 60], [80, 20], [20, 100]] as [$x, $y]) {
        $sum = 0.0;
        foreach ([[9, 0.6], [36, 0.4]] as [$sigma, $share]) {
            // the picture goes on as its mirror image, in which the block is seen again
            foreach ([[60, 100], [-100, -60], [220, 260]] as [$from, $to]) {
                foreach ([[40, 80], [-80, -40], [160, 200]] as [$over, $under]) {
                    $sum += $share * seenOf($x + 0.5, $from, $to, $sigma) * seenOf($y + 0.5, $over, $under, $sigma);
                }
            }
        }
        expect(Srgb::decode($shown($x, $y)))->toEqualWithDelta(0.5 * Srgb::decode(230 / 255) * $sum, 0.008, "{$x} {$y}");
    }
    expect($shown(80, 60))->toBeGreaterThan(230 / 255);
});

it('glares at the border of the scene as in its middle', function (): void {
    // a block that is cut off by the border is seen twice, as in its mirror image: as bright beside as a whole one
    $values = ['from' => 60, 'near' => 8, 'strength' => 0, 'farther' => 0];
    [$border, $inside] = [bloomed($values, [0, 40, 20, 80]), bloomed($values, [60, 40, 100, 80])];
    expect($border(26, 60))->toEqualWithDelta($inside(106, 60), 0.01);
});

it('lets darker tones be, and goes by what lies below', function (): void {
    expect(bloomed(['from' => 100, 'near' => 9], [60, 40, 100, 80])(50, 60))->toBeLessThan(0.01);
    // a strip below takes the light out
    $dark = ['id' => 'd', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']];
    expect(bloomed(['from' => 60, 'near' => 9], [60, 40, 100, 80], more: [$dark])(50, 60))->toEqualWithDelta(0.0, 0.0001);
});

it('is seen the same in every window', function (): void {
    $values = ['from' => 60, 'near' => 6, 'strength' => -1, 'farther' => 30];
    [$whole, $part] = [bloomed($values, [60, 40, 100, 80]), bloomed($values, [60, 40, 100, 80], new Window(31, 22, 70, 50))];
    foreach ([[0, 0], [20, 30], [35, 25], [69, 49]] as [$x, $y]) {
        expect($part($x, $y))->toEqualWithDelta($whole(31 + $x, 22 + $y), 0.004);
    }
});

it('refuses strips that would have to be there before themselves', function (): void {
    $mask = static fn (string $of): array => ['id' => "m{$of}", 'kind' => 'brightness', 'values' => ['of' => $of]];
    expect(static fn () => Rendering::scene(8, 8, [['id' => 'a', 'kind' => 'fill', 'masks' => [$mask('g')], 'values' => ['colour' => '#ff0000']], ['id' => 'g', 'kind' => 'bloom', 'values' => []]]))->toThrow(SceneError::class, 'before itself')
        ->and(static fn () => Rendering::scene(8, 8, [['id' => 'l', 'kind' => 'wash', 'masks' => [$mask('s')], 'values' => []], ['id' => 's', 'kind' => 'smoke', 'values' => ['lit' => 'l']]]))->toThrow(SceneError::class, 'before itself');
});
