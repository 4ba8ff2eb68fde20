<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Light\Tones;
use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Stroke\LampMark;
use Tests\Support\Rendering;

/** @param  list<array<string, mixed>>  $strips */
function paintedPicture(array $strips, string $ground = '#808080', int $width = 120, int $height = 60): Picture
{
    return Rendering::picture([], $width, $height, [['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => $ground]], ...$strips]);
}

/** How many stops over the ground a pixel is, by its channel. */
function stopsOver(Picture $picture, int $x, int $y, int $ground = 128, int $channel = 0): float
{
    $value = unpack('n', $picture->bytes, 2 * (4 * ($y * $picture->columns + $x) + $channel))[1] / 65535;

    return log(max(1e-9, Srgb::decode($value)) / Srgb::decode($ground / 255), 2);
}

it('dodges and burns by stops times what was painted', function (float $stops): void {
    $picture = paintedPicture([['id' => 'p', 'kind' => 'paint', 'level' => $stops, 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [120, 0], 'to' => [0, 0]]]]]], '#404040');
    foreach ([0, 20, 60, 90, 119] as $x) {
        expect(stopsOver($picture, $x, 30, 64))->toEqualWithDelta($stops * ($x + 0.5) / 120, 0.01, "at {$x}");
    }
})->with([1.0, 2.0, -1.0, -3.0]);

it('is neutral until it is painted, and is a flat colour in the standard\'s modes', function (): void {
    $hidden = ['id' => 'm', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => []]];
    foreach ([2.0, -2.0] as $stops) {
        expect(paintedPicture([['id' => 'p', 'kind' => 'paint', 'level' => $stops, 'masks' => [$hidden]]])->bytes)->toBe(paintedPicture([])->bytes);
    }
    $flat = ['masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [120, 0], 'to' => [0, 0]]]]];
    $painted = paintedPicture([['id' => 'p', 'kind' => 'paint', 'level' => -2, 'mode' => 'multiply', 'values' => ['colour' => ['swatch' => '#ff8040']], ...$flat]]);
    expect($painted->bytes)->toBe(paintedPicture([['id' => 'p', 'kind' => 'fill', 'mode' => 'multiply', 'values' => ['colour' => '#ff8040'], ...$flat]])->bytes);
});

it('takes only in the tones that were asked for, and these make one together', function (): void {
    foreach (range(0, 100) as $percent) {
        $luma = $percent / 100;
        expect(Tones::shadows($luma) + Tones::mids($luma) + Tones::highlights($luma))->toEqualWithDelta(1.0, 1e-12)->and(min(Tones::shadows($luma), Tones::mids($luma), Tones::highlights($luma)))->toBeGreaterThanOrEqual(-1e-12);
    }
    // the weights of a balance, written plainly
    $smooth = static fn (float $a, float $b, float $x): float => ($t = max(0, min(1, ($x - $a) / ($b - $a)))) * $t * (3 - 2 * $t);
    foreach ([40, 110, 190, 230] as $grey) {
        $hex = sprintf('#%1$02x%1$02x%1$02x', $grey);
        $weights = ['shadows' => 1 - $smooth(0.1, 0.55, $grey / 255), 'highlights' => $smooth(0.45, 0.9, $grey / 255)];
        $weights['mids'] = 1 - $weights['shadows'] - $weights['highlights'];
        foreach ($weights as $tones => $weight) {
            expect(stopsOver(paintedPicture([['id' => 'p', 'kind' => 'paint', 'level' => -1, 'values' => ['tones' => $tones]]], $hex), 60, 30, $grey))->toEqualWithDelta(-$weight, 0.01, "{$tones} of {$grey}");
        }
    }
});

/** @param  array<string, mixed>  $stroke */
function torched(array $stroke, int $width = 120, int $height = 60): Picture
{
    return paintedPicture([['id' => 't', 'kind' => 'torch', 'level' => 1, 'values' => ['colour' => ['swatch' => '#ffffff']], 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['strokes' => [['tip' => 'lamp', ...$stroke]]]]]]], '#404040', $width, $height);
}

it('leaves the pool of a lamp: half at its radius, nothing at three', function (): void {
    // (1 + (d/h)²)^(-3/2) of a lamp over its place
    $h = 1 / sqrt(2 ** (2 / 3) - 1);
    foreach ([0.0, 0.5, 1.0, 1.5] as $d) {
        expect(LampMark::at($d * $d))->toEqualWithDelta((1 + ($d / $h) ** 2) ** -1.5 * (1 - ($d / 3) ** 4) ** 2, 1e-9);
    }
    expect(LampMark::at(1.0))->toEqualWithDelta(0.5, 0.015)->and(LampMark::at(9.0))->toBe(0.0);
    $picture = torched(['size' => 20, 'points' => [[60.5, 30.5]]]);
    foreach ([0, 5, 10, 20] as $aside) {
        expect(stopsOver($picture, 60 + $aside, 30, 64))->toEqualWithDelta(LampMark::at(($aside / 10) ** 2), 0.01, "{$aside} px aside");
    }
});

it('exposes more where it dwells, is longer along the stroke, and is broken by leaves that hold still', function (): void {
    $at = static fn (array $more): float => stopsOver(torched(['size' => 20, 'flow' => 20, 'points' => [[60.5, 30.5, 1, 0], ...$more]]), 60, 30, 64);
    $stamp = static fn (int $count): float => 1 - 0.8 ** $count;
    expect($at([]))->toEqualWithDelta($stamp(1), 0.01)->and($at([[60.5, 30.5, 1, 250]]))->toEqualWithDelta($stamp(6), 0.01);
    // along the stroke a stretch of 3 reaches three times as far as across
    $long = torched(['size' => 12, 'stretch' => 3, 'spacing' => 200, 'points' => [[60.5, 30.5], [61, 30.5]]]);
    expect(stopsOver($long, 60 + 18, 30, 64))->toEqualWithDelta(stopsOver($long, 60, 30 + 6, 64), 0.03)->and(stopsOver($long, 60 + 18, 30, 64))->toBeGreaterThan(0.4);
    $leaves = static fn (array $more): Picture => torched(['size' => 30, 'dapples' => 100, 'points' => [[30, 30], [90, 30]], ...$more]);
    expect($leaves(['seed' => 3])->bytes)->toBe($leaves(['seed' => 3])->bytes)->not->toBe($leaves(['seed' => 4])->bytes);
    $along = array_map(static fn (int $x): float => stopsOver($leaves(['seed' => 3]), $x, 30, 64), range(30, 90));
    expect(max($along))->toBeGreaterThan(0.9)->and(min($along))->toBeLessThan(0.1);
});

it('hashes and makes noise as the definition says', function (): void {
    expect(Noise::hash(1))->toBe(2261973619)->and(Noise::hash(2))->toBe(229111015)->and(Noise::hash(-1))->toBe(Noise::hash(0xFFFFFFFF));
    // nothing at the points of the lattice, and the mean of a wide field near nothing
    $sum = $most = 0.0;
    for ($k = 0; $k < 4000; $k++) {
        $value = Noise::gradient($k * 0.37, $k * 0.113 - 50, 5);
        $sum += $value;
        $most = max($most, abs($value));
    }
    expect(Noise::gradient(3.0, -4.0, 9))->toEqualWithDelta(0.0, 1e-12)->and(abs($sum / 4000))->toBeLessThan(0.03)->and($most)->toBeGreaterThan(0.5)->toBeLessThan(1.0);
});

it('keeps what a stroke of a lamp is', function (): void {
    $scene = Rendering::scene(120, 60, [['id' => 't', 'kind' => 'torch', 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['strokes' => [['tip' => 'lamp', 'stretch' => 2.5, 'dapples' => 40, 'seed' => 7, 'points' => [[1, 2]]], ['points' => [[3, 4]]]]]]]]]);
    $strokes = json_decode($scene->toJson(), true)['strips'][0]['masks'][0]['values']['strokes'];
    expect($strokes[0])->toMatchArray(['tip' => 'lamp', 'stretch' => 2.5, 'dapples' => 40.0, 'seed' => 7])->and($strokes[1])->not->toHaveKeys(['tip', 'seed']);
    foreach ([['tip' => 'sponge'], ['tip' => 'lamp', 'stretch' => 99], ['dapples' => -1], ['dapples' => 50, 'seed' => -3]] as $odd) {
        expect(fn () => torched($odd + ['points' => [[1, 2]]]))->toThrow(Aumbrel\Core\Fault\SceneError::class);
    }
});
