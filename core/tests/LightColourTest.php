<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Gel;
use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Mired;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Rendering;

it('shifts temperatures by mireds, as a photographer\'s table has it', function (): void {
    // 3200 K tungsten is 312.5 mired, 5500 K daylight 181.8; the way between them is 130.7 (definition of the mired, a million by kelvin)
    expect(Mired::of(3200))->toEqualWithDelta(312.5, 1e-9)->and(Mired::of(5500))->toEqualWithDelta(181.82, 0.01)->and(Mired::of(3200) - Mired::of(5500))->toEqualWithDelta(130.7, 0.05);
    expect(Mired::shifted(5500, Mired::of(3200) - Mired::of(5500)))->toEqualWithDelta(3200, 1e-6)->and(Mired::shifted(3200, 0))->toEqualWithDelta(3200, 1e-9);
    // nominal values of the trade: a full cooling gel takes tungsten to about daylight, a full warming one daylight to about tungsten (from memory)
    expect(Mired::shifted(3200, Gel::CONVERSIONS['full cooling']))->toBeGreaterThan(5500)->toBeLessThan(6000)->and(Mired::shifted(5600, Gel::CONVERSIONS['full warming']))->toBeGreaterThan(2800)->toBeLessThan(3200);
    expect(Mired::shifted(20000, -140))->toBe(25000.0)->and(Mired::isClamped(20000, -140))->toBeTrue()->and(Mired::shifted(1100, 160))->toBe(1000.0)->and(Mired::isClamped(3200, 80))->toBeFalse();
    // behind a gel a lamp is a lamp of the other temperature
    expect(LightColour::read(['kelvin' => 3200, 'shift' => -140], 'c')->linear(6500))->toEqual(Kelvin::under(1e6 / (312.5 - 140), 6500));
});

it('multiplies a light by a colour gel, channel by channel, and says what is lost', function (): void {
    $white = new Rgb(1, 1, 1);
    foreach (Gel::shelf() as $gel) {
        $left = $gel->over($white);
        expect(Luma::of($left->red, $left->green, $left->blue))->toEqualWithDelta($gel->transmission, 1e-9)->and($gel->loss($white))->toEqualWithDelta(log($gel->transmission, 2), 1e-9)->and($gel->transmission)->toBeGreaterThan(0)->toBeLessThan(1);
    }
    $gel = Gel::named('amber');
    $lamp = Kelvin::under(2800, 6500);
    $swatch = $gel->swatch->decoded();
    $product = (new Rgb($lamp->red * $swatch->red, $lamp->green * $swatch->green, $lamp->blue * $swatch->blue))->normalised();
    $colour = LightColour::read(['kelvin' => 2800, 'gel' => 'amber'], 'c')->linear(6500);
    expect([$colour->red, $colour->green, $colour->blue])->toEqualWithDelta([$product->red, $product->green, $product->blue], 1e-9);
    // a warm light loses less in a warm gel than a cool one does
    expect($gel->loss($lamp))->toBeGreaterThan($gel->loss(Kelvin::under(9000, 6500)));
    // the switch takes the loss from the level
    $grey = static fn (array $colour): int => unpack('n', Rendering::picture([], 8, 8, [['id' => 'g', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#404040']], ['id' => 'w', 'kind' => 'wash', 'level' => 0, 'values' => ['colour' => $colour]]])->bytes)[1];
    $linear = static fn (int $value): float => Aumbrel\Core\Color\Srgb::decode($value / 65535) / Aumbrel\Core\Color\Srgb::decode(64 / 255) - 1;
    $loss = LightColour::read(['swatch' => '#ffffff', 'gel' => 'ember'], 'c')->loss(6500);
    expect($linear($grey(['swatch' => '#ffffff', 'gel' => 'ember', 'loses' => true])) / $linear($grey(['swatch' => '#ffffff', 'gel' => 'ember'])))->toEqualWithDelta(2 ** $loss, 2e-3);
});

it('saturates and tints a light\'s colour in Oklab, and keeps its largest channel', function (): void {
    $of = static fn (array $more): Rgb => LightColour::read(['swatch' => '#ff9050', ...$more], 'c')->linear(6500);
    $chroma = static fn (Rgb $colour): float => hypot(...array_slice(Oklab::ofLinear($colour->red, $colour->green, $colour->blue), 1));
    expect($of(['saturation' => 100]))->toEqual($of([]))->and($chroma($of(['saturation' => 0])))->toEqualWithDelta(0.0, 1e-6);
    // half of the chroma at the same lightness and hue, but for the brightening to its full strength afterwards
    [$l, $a, $b] = Oklab::ofLinear(...array_values((array) $of([])));
    [, $halfA, $halfB] = Oklab::ofLinear(...array_values((array) $of(['saturation' => 50])));
    expect(atan2($halfB, $halfA))->toEqualWithDelta(atan2($b, $a), 1e-6);
    $tinted = $of(['tint' => '#4060ff', 'tinted' => 100]);
    $tint = Rgb::fromHex('#4060ff')->decoded();
    [, $tintA, $tintB] = Oklab::ofLinear($tint->red, $tint->green, $tint->blue);
    $plain = Oklab::toLinear($l, $tintA, $tintB)->map(static fn (float $value): float => max(0.0, $value))->normalised();
    expect([$tinted->red, $tinted->green, $tinted->blue])->toEqualWithDelta([$plain->red, $plain->green, $plain->blue], 1e-9)->and($tinted->largest())->toBe(1.0)->and($of(['tint' => '#4060ff', 'tinted' => 0]))->toEqual($of([]));
    // there and back (the inverse matrices of the same publication)
    foreach (['#123456', '#ff0000', '#00ff80', '#ffffff'] as $hex) {
        $colour = Rgb::fromHex($hex)->decoded();
        $back = Oklab::toLinear(...Oklab::ofLinear($colour->red, $colour->green, $colour->blue));
        expect([$back->red, $back->green, $back->blue])->toEqualWithDelta([$colour->red, $colour->green, $colour->blue], 1e-6);
    }
});

it('keeps what a colour is made of, and refuses what it cannot be', function (): void {
    foreach ([['kelvin' => 3200.0], ['swatch' => '#ff8800'], ['kelvin' => 3200.0, 'shift' => -70.0, 'gel' => 'rose', 'loses' => true, 'saturation' => 60.0, 'tint' => '#102030', 'tinted' => 40.0]] as $raw) {
        expect(LightColour::read($raw, 'c')->toArray())->toEqual($raw);
    }
    foreach ([['gel' => 'unobtainium'], ['gel' => 7], ['saturation' => 900], ['tint' => 'red'], ['tinted' => -1], ['loses' => 'yes'], ['kelvin' => 3200, 'shift' => 9000], ['kelvin' => NAN], ['kelvin' => 3200, 'swatch' => '#ffffff']] as $odd) {
        expect(fn () => LightColour::read($odd + (isset($odd['kelvin']) ? [] : ['swatch' => '#ffffff']), 'c'))->toThrow(SceneError::class);
    }
});

it('gives a light\'s own shape more or less contrast, and keeps its black black', function (float $contrast): void {
    $strip = static fn (array $more): array => ['id' => 's', 'kind' => 'spot', 'mode' => 'airlight', 'level' => 0, ...$more, 'values' => ['origin' => [0, 20], 'target' => [80, 20], 'beam' => 60, 'field' => 90, 'colour' => ['swatch' => '#ffffff']]];
    $shape = static function (array $more) use ($strip): array {
        $bytes = unpack('n*', Rendering::picture([], 80, 40, [['id' => 'g', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], $strip($more)])->bytes);

        return array_map(static fn (int $at): float => Aumbrel\Core\Color\Srgb::decode($bytes[4 * $at + 1] / 65535), range(0, 80 * 40 - 1, 7));
    };
    [$plain, $shaped] = [$shape([]), $shape(['contrast' => 100 * $contrast])];
    foreach ($plain as $at => $v) {
        // by the definition of contrast, written plainly
        $expected = $contrast < 0 ? $v + 2 * $contrast * $v * (1 - $v) * (2 * $v - 1) : ($v <= 0.5 ? 0.5 * (2 * $v) ** (1 + 2 * $contrast) : 1 - 0.5 * (2 * (1 - $v)) ** (1 + 2 * $contrast));
        expect($shaped[$at])->toEqualWithDelta($expected, 1e-3);
    }
    expect(min($shaped))->toEqualWithDelta(0.0, 1e-6)->and(max(array_map(static fn (float $a, float $b): float => abs($a - $b), $plain, $shaped)))->toBeGreaterThan(0.02);
})->with([0.6, -0.7]);
