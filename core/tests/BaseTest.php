<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\CutOut\ColourRegion;
use Aumbrel\Core\CutOut\Colours;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Grade\BaseTone;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** @return list<int> red, green, blue, alpha of a pixel of a 16-bit picture */
function pixelOf(Aumbrel\Core\Render\Picture $picture, int $column, int $row): array
{
    return array_values(unpack('n4', substr($picture->bytes, 8 * ($row * $picture->columns + $column), 8)));
}

it('lowers white as exposures do', function (): void {
    // output white for an exposure drop at standard display encoding; follows from IEC 61966-2-1
    foreach ([[-0.5, 219], [-1.0, 188], [-1.5, 160], [-2.0, 137], [-3.0, 99]] as [$stops, $white]) {
        expect(round(255 * (new BaseTone(stops: $stops))->of([1.0, 1.0, 1.0])[0]))->toEqualWithDelta($white, 1);
    }
});

it('drains toward luma, lowers white and raises black', function (): void {
    $grey = (new BaseTone(drained: 1))->of([0.8, 0.4, 0.2]);
    expect($grey)->toEqualWithDelta(array_fill(0, 3, 0.2126 * 0.8 + 0.7152 * 0.4 + 0.0722 * 0.2), 1e-9)
        ->and((new BaseTone(drained: 0.4))->of([0.8, 0.4, 0.2])[0])->toEqualWithDelta(0.8 + 0.4 * ($grey[0] - 0.8), 1e-9)
        ->and((new BaseTone(whitesHeldAt: 0.5))->of([1, 0.5, 0]))->toEqualWithDelta([0.5, 0.25, 0], 1e-9)
        ->and((new BaseTone(blacksStartAt: 0.2))->of([0.2, 0.1, 1.0]))->toEqualWithDelta([0, 0, 1], 1e-9);
});

it('renders a base over everything below, and of one plate, by the same formula', function (array $values): void {
    $picture = new Flat(8, 4, fn (int $x, int $y): array => [31 * $x + 5, 255 - 28 * $x, 60 * $y + 10]);
    $tone = new BaseTone($values['exposure'] ?? 0, ($values['drained'] ?? 0) / 100, ($values['whitesHeldAt'] ?? 100) / 100, ($values['blacksStartAt'] ?? 0) / 100);
    $plain = Rendering::plate('p');
    $below = Rendering::picture(['p' => $picture], 8, 4, [$plain, ['kind' => 'base', 'amount' => 60, 'values' => $values]]);
    $own = Rendering::picture(['p' => $picture], 8, 4, [Rendering::plate('p', ['values' => $values])]);
    $upper = Rendering::picture(['p' => $picture], 8, 4, [['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], Rendering::plate('p', ['values' => $values])]);
    for ($x = 0; $x < 8; $x++) {
        $colour = array_map(fn (int $value): float => $value / 255, [31 * $x + 5, 255 - 28 * $x, 130]);
        $toned = array_map(fn (float $value): float => $value, $tone->of($colour));
        $mixed = array_map(fn (float $value, float $after): float => min(1, $value + 0.6 * ($after - $value)), $colour, $toned);
        $cut = array_map(fn (float $value): float => min(1, $value), $toned);
        foreach ([[$below, $mixed], [$own, $cut], [$upper, $cut]] as [$rendered, $wanted]) {
            expect(array_map(fn (int $value): float => $value / 65535, array_slice(pixelOf($rendered, $x, 2), 0, 3)))->toEqualWithDelta($wanted, 0.2 / 255);
        }
    }
})->with([
    'under' => [['exposure' => -2]], 'over' => [['exposure' => 2]], 'night' => [['exposure' => -2, 'drained' => 40]],
    'all of it' => [['exposure' => 0.5, 'drained' => 25, 'whitesHeldAt' => 70, 'blacksStartAt' => 10]],
]);

it('leaves what is transparent transparent', function (): void {
    $picture = new Flat(4, 4, fn (int $x): array => [200, 100, 50, $x < 2 ? 0 : 128]);
    $rendered = Rendering::picture(['p' => $picture], 4, 4, [Rendering::plate('p'), ['kind' => 'base', 'values' => ['exposure' => -1]]]);
    expect(pixelOf($rendered, 0, 0)[3])->toBe(0)->and(pixelOf($rendered, 3, 0)[3])->toEqualWithDelta(128 * 257, 2)
        ->and(pixelOf($rendered, 3, 0)[0] / 65535)->toEqualWithDelta(Srgb::encode(Srgb::decode(200 / 255) / 2), 0.3 / 255);
});

it('keeps values above white for what lies above', function (): void {
    $picture = new Flat(4, 4, fn (): array => [200, 200, 200]);
    // two stops over and then two under again
    $rendered = Rendering::picture(['p' => $picture], 4, 4, [Rendering::plate('p', ['values' => ['exposure' => 2]]), ['kind' => 'base', 'values' => ['exposure' => -2, 'drained' => 0]]]);
    expect(pixelOf($rendered, 1, 1)[0] / 65535)->toEqualWithDelta(200 / 255, 0.5 / 255);
});

it('confines a base to a plate', function (): void {
    $picture = new Flat(8, 8, fn (int $x): array => [160, 160, 160, 255]);
    $small = new Flat(4, 4, fn (): array => [160, 160, 160]);
    $rendered = Rendering::picture(['p' => $picture, 'q' => $small], 8, 8, [Rendering::plate('p'), Rendering::plate('q'), ['kind' => 'base', 'confinedTo' => 's1', 'values' => ['exposure' => -1]]]);
    expect(pixelOf($rendered, 1, 1)[0])->toBeLessThan(pixelOf($rendered, 6, 6)[0] - 5000);
});

it('knows Oklab', function (): void {
    // Björn Ottosson, A perceptual color space for image processing: linear sRGB white and red, to four places (white follows; red from memory)
    expect(Oklab::ofLinear(1, 1, 1))->toEqualWithDelta([1, 0, 0], 1e-4)->and(Oklab::ofLinear(1, 0, 0))->toEqualWithDelta([0.6280, 0.2249, 0.1258], 2e-4);
    $colours = Colours::of(new Flat(2, 1, fn (int $x): array => $x === 0 ? [255, 0, 0] : [90, 140, 200]));
    expect([$colours->lightness[0], $colours->first[0], $colours->second[0]])->toEqualWithDelta([0.6280, 0.2249, 0.1258], 2e-3)
        ->and([$colours->lightness[1], $colours->first[1], $colours->second[1]])->toEqualWithDelta(Colours::one(90 / 255, 140 / 255, 200 / 255), 2e-3);
});

it('takes an area of one colour: touching, or everywhere', function (): void {
    // two red squares on a slow grey, one of them with a darker middle
    $picture = new Flat(60, 40, function (int $x, int $y): array {
        $isLeft = $x >= 5 && $x < 25 && $y >= 8 && $y < 30;
        $isRight = $x >= 35 && $x < 55 && $y >= 8 && $y < 30;

        return $isLeft || $isRight ? [200, 40, 40] : [120 + $x, 125 + $x, 120 + $y];
    });
    $colours = Colours::of($picture);
    $area = fn (bool $everywhere, float $tolerance = 0.1): array => ColourRegion::of($colours, 60, 40, new Point(12, 15), $tolerance, $everywhere, 7)->values;
    expect(array_sum($area(false)))->toEqualWithDelta(20 * 22, 1e-6)->and(array_sum($area(true)))->toEqualWithDelta(2 * 20 * 22, 1e-6)
        ->and($area(false)[20 * 60 + 45])->toBe(0.0)->and($area(false)[2 * 60 + 2])->toBe(0.0)->and(array_sum($area(true, 1.0)))->toEqualWithDelta(60 * 40, 1e-6);
});

it('averages the patch, so that a single odd pixel does not decide', function (): void {
    $picture = new Flat(30, 30, fn (int $x, int $y): array => $x === 15 && $y === 15 ? [0, 255, 0] : ($x < 25 ? [200, 40, 40] : [40, 40, 200]));
    $colours = Colours::of($picture);
    $values = ColourRegion::of($colours, 30, 30, new Point(15.5, 15.5), 0.1, true, 7)->values;
    expect($values[3 * 30 + 3])->toBe(1.0)->and($values[3 * 30 + 27])->toBe(0.0)->and(ColourRegion::of($colours, 30, 30, new Point(15.5, 15.5), 0.1, true, 1)->values[3 * 30 + 3])->toBe(0.0);
});
