<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

function spotStrip(array $values = [], array $more = []): array
{
    return ['kind' => 'spot', ...$more, 'values' => ['origin' => [70, 20], 'target' => [50, 110], 'beam' => 30, 'field' => 52, 'reach' => 130, 'colour' => ['swatch' => '#ffffff'], ...$values]];
}

/** The spot of spotStrip() at a place. */
function spotAt(float $x, float $y, array $v = []): float
{
    $v += ['origin' => [70, 20], 'target' => [50, 110], 'beam' => 30, 'field' => 52, 'reachLaw' => 'linear', 'reach' => 130, 'size' => null];

    return Plainly::spot($x, $y, $v['origin'], $v['target'], $v['beam'], $v['field'], $v['reachLaw'], $v['reach'], $v['size']);
}

$farFromOrigin = fn (float $x, float $y): bool => hypot($x - 70, $y - 20) > 3;

it('draws the field of a spot as it is defined', function (array $values) use ($farFromOrigin): void {
    $picture = Rendering::picture(['a' => new Flat(140, 150, fn () => [0, 0, 0])], 140, 150, [Rendering::plate('a'), spotStrip($values, ['mode' => 'normal'])]);
    $size = ($values['size'] ?? null) ?? hypot(20, 90) / 3;
    $most = ($values['reachLaw'] ?? '') === 'inverse square' ? (hypot(20, 90) ** 2 + $size ** 2) / $size ** 2 : 1;
    $difference = Plainly::difference($picture->bytes, 140, 150, fn (float $x, float $y): array => array_fill(0, 3, min(1, spotAt($x, $y, $values) / $most)), $farFromOrigin);
    expect($difference)->toBeLessThan(0.5);
})->with([
    'linear' => [[]],
    'linear to the target' => [['reach' => null]],
    'constant' => [['reachLaw' => 'constant']],
    'inverse square' => [['reachLaw' => 'inverse square', 'reach' => null]],
    'inverse square with reach and size' => [['reachLaw' => 'inverse square', 'reach' => 120, 'size' => 25]],
    'wider than a right angle' => [['beam' => 150, 'field' => 320]],
    'as narrow as it goes' => [['beam' => 0.5, 'field' => 0.55, 'reachLaw' => 'constant']],
    'sideways' => [['origin' => [70, 20], 'target' => [10, 20]]],
]);

it('adds light in the air and lays it on surfaces in linear light', function (string $mode) use ($farFromOrigin): void {
    $picture = Rendering::picture(['a' => new Flat(140, 150, fn ($x, $y) => [$x, $y, 77])], 140, 150, [Rendering::plate('a'), spotStrip(['colour' => ['swatch' => '#ff8040']], ['mode' => $mode, 'level' => 1.5])]);
    $colour = array_map(fn (int $byte): float => Plainly::decode($byte / 255), [255, 128, 64]);
    $difference = Plainly::difference($picture->bytes, 140, 150, function (float $x, float $y) use ($mode, $colour): array {
        $e = spotAt($x, $y) * 2 ** 1.5;
        $out = [];
        foreach ([(int) $x, (int) $y, 77] as $c => $byte) {
            $base = Plainly::decode($byte / 255);
            $out[] = Plainly::encode($mode === 'airlight' ? $base + $e * $colour[$c] : $base * (1 + $e * $colour[$c]));
        }

        return $out;
    }, $farFromOrigin);
    expect($difference)->toBeLessThan(0.5);
})->with(['airlight', 'illuminate']);

it('mixes a light in the standard modes by its level as so many copies', function (string $mode, float $level) use ($farFromOrigin): void {
    $picture = Rendering::picture(['a' => new Flat(140, 150, fn ($x, $y) => [$x, 160, $y])], 140, 150, [Rendering::plate('a'), spotStrip([], ['mode' => $mode, 'level' => $level])]);
    $difference = Plainly::difference($picture->bytes, 140, 150, function (float $x, float $y) use ($mode, $level): array {
        $p = spotAt($x, $y);
        $cover = $level <= 0 ? $p * 2 ** $level : 1 - (1 - $p) ** (2 ** $level);

        return Plainly::over($mode, [(int) $x / 255, 160 / 255, (int) $y / 255, 1.0], [1.0, 1.0, 1.0], $cover);
    }, $farFromOrigin);
    expect($difference)->toBeLessThan(0.5);
})->with(['normal', 'multiply', 'screen'])->with([-1.5, 0.0, 2.0]);

it('makes airlight visible where there was nothing', function (): void {
    $picture = Rendering::picture([], 140, 150, [spotStrip([], ['mode' => 'airlight'])]);
    $difference = Plainly::difference($picture->bytes, 140, 150, function (float $x, float $y): array {
        $e = spotAt($x, $y);

        // co = E, ao = min(1, E): the colour is white wherever there is any
        return [1.0, 1.0, 1.0, min(1, $e)];
    }, fn (float $x, float $y): bool => spotAt($x, $y) > 0.003 && hypot($x - 70, $y - 20) > 3);
    expect($difference)->toBeLessThan(0.6);
});

it('has half its strength on the beam line and a tenth on the field line', function (): void {
    // the angles at which a spot is said to have 50 % and 10 %: common practice, no source
    $law = new Aumbrel\Core\Light\AngularLaw(24, 40);
    expect($law->at(12))->toEqualWithDelta(0.5, 1e-9)->and($law->at(20))->toEqualWithDelta(0.1, 1e-9)->and($law->at(0))->toBe(1.0);
});

it('softens a spot by a Gaussian of its shape', function (): void {
    $values = ['softness' => 5];
    $picture = Rendering::picture(['a' => new Flat(140, 150, fn () => [0, 0, 0])], 140, 150, [Rendering::plate('a'), spotStrip($values, ['mode' => 'normal'])]);
    $soft = function (float $x, float $y): float {
        $sum = $weights = 0.0;
        for ($v = -16; $v <= 16; $v += 1) {
            for ($u = -16; $u <= 16; $u += 1) {
                $w = exp(-($u * $u + $v * $v) / 50);
                $sum += $w * spotAt($x + $u, $y + $v);
                $weights += $w;
            }
        }

        return $sum / $weights;
    };
    foreach ([[70, 24], [66, 40], [55, 80], [80, 60], [40, 120], [20.5, 100.5]] as [$x, $y]) {
        $at = ((int) $y * 140 + (int) $x) * 8;
        expect(unpack('n', substr($picture->bytes, $at, 2))[1] / 65535 * 255)->toEqualWithDelta(255 * $soft((int) $x + 0.5, (int) $y + 0.5), 2.0);
    }
});

it('takes an inverse-square light without a size in linear modes, where it is as bright as its distance says', function (): void {
    $strip = fn (string $mode): array => ['mode' => $mode, ...spotStrip(['reachLaw' => 'inverse square', 'size' => 0, 'reach' => null, 'origin' => [70.5, 20.5]])];
    expect(fn () => Rendering::scene(10, 10, [$strip('screen')]))->toThrow(SceneError::class, 'without a size has no largest value');
    $picture = Rendering::picture([], 140, 140, [['kind' => 'fill', 'values' => ['colour' => '#000000']], $strip('airlight')], 16);
    $at = fn (int $x, int $y): int => unpack('n', substr($picture->bytes, ($y * 140 + $x) * 8, 2))[1];
    // finite everywhere, the origin among it, and clipped there
    expect($at(70, 20))->toBe(65535)->and($at(70, 22))->toBe(65535)->and($at(50, 138))->toBeGreaterThan(0)->toBeLessThan(65535);
});

it('refuses what is no spot', function (array $values, string $field): void {
    expect(fn () => Rendering::scene(10, 10, [spotStrip($values)]))->toThrow(SceneError::class, $field);
})->with([
    [['beam' => 40, 'field' => 41], 'field'],
    [['beam' => 10, 'field' => 31], 'field'],
    [['beam' => NAN], 'beam'],
    [['origin' => [1]], 'origin'],
    [['reachLaw' => 'cubic'], 'reachLaw'],
    [['colour' => ['kelvin' => 900]], 'kelvin'],
    [['colour' => ['swatch' => 'red']], 'swatch'],
]);

it('knows the colours of light by temperature', function (): void {
    // CIE 15:2004: illuminant A (2856 K with c2 = 1.435e-2 as it was then: 2856 K in today's scale) and D65
    [$x, $y] = Kelvin::chromaticity(2856);
    expect($x)->toEqualWithDelta(0.4476, 0.0002)->and($y)->toEqualWithDelta(0.4074, 0.0002);
    [$x, $y] = Kelvin::chromaticity(6504);
    expect($x)->toEqualWithDelta(0.3127, 0.0002)->and($y)->toEqualWithDelta(0.3291, 0.0002);
    // the scene's white is white
    foreach ([2000.0, 3200.0, 4200.0, 6500.0] as $white) {
        $rgb = Kelvin::under($white, $white);
        expect(min($rgb->red, $rgb->green, $rgb->blue))->toEqualWithDelta(1.0, 1e-9);
    }
});

it('renders the same in bands and windows as at once', function (): void {
    $pictures = ['a' => new Flat(90, 70, fn ($x, $y) => [$x * 2, $y * 3, 99])];
    $strips = [Rendering::plate('a'), spotStrip(['softness' => 4, 'origin' => [40, 5], 'target' => [45, 60]]), spotStrip(['origin' => [10, 5], 'target' => [60, 60]], ['mode' => 'screen'])];
    $renderer = Rendering::renderer($pictures);
    $scene = Rendering::scene(90, 70, $strips);
    $whole = $renderer->picture($scene, Window::whole(90, 70))->bytes;
    $bands = $renderer->picture($scene, Window::whole(90, 70)->band(0, 33))->bytes.$renderer->picture($scene, Window::whole(90, 70)->band(33, 37))->bytes;
    $part = $renderer->picture($scene, new Window(20, 30, 40, 25))->bytes;
    $cut = '';
    for ($row = 30; $row < 55; $row++) {
        $cut .= substr($whole, ($row * 90 + 20) * 4, 160);
    }
    $largest = fn (string $a, string $b): int => max(array_map(fn (int $p, int $q): int => abs($p - $q), array_values(unpack('C*', $a)), array_values(unpack('C*', $b))));
    expect($largest($bands, $whole))->toBeLessThanOrEqual(1)->and($largest($part, $cut))->toBeLessThanOrEqual(1);
});

it('keeps the picture below a strip that is being changed', function (): void {
    $renderer = Rendering::renderer(['a' => new Flat(60, 60, fn ($x, $y) => [$x * 4, $y * 4, 50])]);
    $strips = [Rendering::plate('a'), spotStrip([], ['mode' => 'illuminate']), spotStrip(['origin' => [10, 0], 'target' => [30, 60]]), spotStrip([], ['mode' => 'multiply'])];
    foreach ([0.0, -1.0, 2.0] as $level) {
        $strips[2]['level'] = $level;
        $scene = Rendering::scene(60, 60, $strips);
        expect($renderer->picture($scene, Window::whole(60, 60), 8, null, 's2')->bytes)->toBe($renderer->picture($scene, Window::whole(60, 60))->bytes);
    }
});

// CIE 15:2004, table T.1: x and y of the daylight illuminants, at the temperatures that their names stand for (from memory)
it('follows the daylight locus through the illuminants of the standard', function (float $kelvin, float $x, float $y): void {
    expect(Aumbrel\Core\Color\Kelvin::chromaticity($kelvin)[0])->toEqualWithDelta($x, 0.0003)->and(Aumbrel\Core\Color\Kelvin::chromaticity($kelvin)[1])->toEqualWithDelta($y, 0.0003);
})->with(['D50' => [5003, 0.34567, 0.35850], 'D55' => [5503, 0.33242, 0.34743], 'D65' => [6504, 0.31272, 0.32903], 'D75' => [7504, 0.29902, 0.31485]]);

it('measures angles by a turn that rises evenly all the way round', function (): void {
    foreach ([0 => 0.0, 45 => 0.5, 90 => 1.0, 135 => 1.5, 180 => 2.0] as $angle => $turn) {
        expect(Aumbrel\Core\Light\AngularLaw::turnOf($angle))->toEqualWithDelta($turn, 1e-12);
    }
    $law = new Aumbrel\Core\Light\AngularLaw(160, 300);
    $last = INF;
    foreach (range(0, 180, 3) as $angle) {
        $value = Aumbrel\Core\Light\SpotField::angular($law->table(), Aumbrel\Core\Light\AngularLaw::turnOf($angle), Aumbrel\Core\Light\AngularLaw::intervals() / Aumbrel\Core\Light\AngularLaw::turnOf($law->end()));
        expect($value)->toEqualWithDelta($law->at($angle), 2e-4)->toBeLessThanOrEqual($last);
        $last = $value;
    }
});
