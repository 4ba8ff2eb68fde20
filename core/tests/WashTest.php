<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Ramp\ToneRamp;
use Aumbrel\Core\Render\Picture;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

/** @param  array<string, mixed>  $more  of the strip */
function washed(array $values, array $more = []): Picture
{
    $ground = new Flat(48, 8, static fn (int $x, int $y): array => [5 * $x, 4 * $x + 8 * $y, 200 - 4 * $x]);

    return Rendering::picture(['ground' => $ground], 48, 8, [Rendering::plate('ground'), ['kind' => 'wash', ...$more, 'values' => ['colour' => ['swatch' => '#ff8000'], ...$values]]]);
}

/** @return array{list<float>, list<float>} what was below, and what is shown */
function washedAt(Picture $picture, int $x, int $y): array
{
    $shown = array_map(static fn (int $value): float => $value / 65535, array_slice(array_values(unpack('n4', $picture->bytes, 8 * ($y * 48 + $x))), 0, 3));

    return [[5 * $x / 255, (4 * $x + 8 * $y) / 255, (200 - 4 * $x) / 255], $shown];
}

function washLinear(float $v): float
{
    return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
}

function washEncoded(float $v): float
{
    return $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055;
}

it('lights everything evenly: linear light by its level, black stays black', function (): void {
    $picture = washed([], ['level' => 1]);
    // #ff8000 in linear, its largest channel 1
    $light = [1.0, washLinear(128 / 255), 0.0];
    foreach ([[0, 0], [10, 3], [40, 7]] as [$x, $y]) {
        [$below, $shown] = washedAt($picture, $x, $y);
        foreach ($shown as $k => $value) {
            expect($value)->toEqualWithDelta(min(1, washEncoded(washLinear($below[$k]) * (1 + 2 * $light[$k]))), 0.05 / 255);
        }
    }
});

it('keys its colour by the tones below, in any mode', function (string $mode, float $level): void {
    $picture = washed(['keyed' => 'by tones'], ['mode' => $mode, 'level' => $level]);
    $colour = [1.0, 128 / 255, 0.0];
    foreach ([[0, 0], [14, 2], [30, 5], [47, 7]] as [$x, $y]) {
        [$below, $shown] = washedAt($picture, $x, $y);
        $luma = 0.2126 * $below[0] + 0.7152 * $below[1] + 0.0722 * $below[2];
        foreach ($shown as $k => $value) {
            $source = $luma * $colour[$k];
            $cover = min(1.0, 2 ** $level);
            $wanted = $mode === 'illuminate' ? washEncoded(washLinear($below[$k]) * (1 + 2 ** $level * washLinear($source)))
                : $below[$k] + $cover * (Plainly::blend($mode, $below[$k], $source) - $below[$k]);
            expect($value)->toEqualWithDelta(min(1, $wanted), 0.05 / 255, "channel {$k} at {$x}");
        }
    }
})->with([['hard light', -0.15], ['hard light', 1], ['screen', 0], ['illuminate', 1.5], ['normal', -1]]);

it('agrees with a split of two washes rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/washes';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    $image = new Imagick("{$folder}/photo.png");
    [$width, $height] = [$image->getImageWidth(), $image->getImageHeight()];
    $bytes = $image->exportImagePixels(0, 0, $width, $height, 'RGB', Imagick::PIXEL_CHAR);
    $photo = new Flat($width, $height, static fn (int $x, int $y): array => array_slice($bytes, 3 * ($y * $width + $x), 3));
    $hex = static fn (array $colour): string => (new Rgb(...$colour))->toHex();
    $mask = static fn (array $mask, int $at): array => ['id' => "m{$at}", 'kind' => 'linear', 'inverted' => $mask['invert'] ?? false, 'values' => [
        'from' => $mask['start'], 'to' => $mask['end'], 'stops' => $mask['stops'], 'smooth' => $mask['smooth'],
    ]];
    $strips = array_map(static fn (array $strip): array => match ($strip['kind']) {
        'plate' => Rendering::plate('photo', ['id' => $strip['id']]),
        'fill' => ['id' => $strip['id'], 'kind' => 'fill', 'mode' => $strip['mode'], 'amount' => 100 * $strip['amount'], 'values' => ['colour' => $hex($strip['colour'])]],
        'wash' => ['id' => $strip['id'], 'kind' => 'wash', 'mode' => str_replace('-', ' ', $strip['mode']), 'level' => $strip['level'],
            'masks' => array_map($mask, $strip['masks'], array_keys($strip['masks'])), 'values' => [
                'colour' => ['swatch' => $hex($strip['light']['swatch'])], 'keyed' => 'by tones',
                'ramp' => is_array($strip['ramp']) ? array_map(static fn (array $stop): array => [...$stop, 'colour' => $hex($stop['colour'])], $strip['ramp']) : null,
            ]],
    }, $given['strips']);
    $picture = Rendering::picture(['photo' => $photo], 96, 72, $strips);
    $expected = array_values(unpack('g*', (string) file_get_contents("{$folder}/expected.f32")));
    $ours = array_values(unpack('n*', $picture->bytes));
    $sum = $most = 0.0;
    for ($k = 0; $k < 96 * 72; $k++) {
        for ($channel = 0; $channel < 3; $channel++) {
            $off = 255 * abs($ours[4 * $k + $channel] / 65535 - min(1.0, $expected[3 * $k + $channel]));
            $sum += $off;
            $most = max($most, $off);
        }
    }
    expect($sum / (3 * 96 * 72))->toBeLessThan(0.2)->and($most)->toBeLessThan(1.0);
});

it('mixes tones to colours as its stops say', function (): void {
    $ramp = ToneRamp::read([['offset' => 0.1, 'colour' => '#000000', 'midpoint' => 0.25], ['offset' => 0.5, 'colour' => '#ff0000'], ['offset' => 0.5, 'colour' => '#0000ff'], ['offset' => 1, 'colour' => '#ffffff']], 'ramp');
    // the ends hold; at the midpoint half of the way is done; at a step the later stop holds
    expect($ramp->colourAt(0.0)->toHex())->toBe('#000000')->and($ramp->colourAt(0.2)->red)->toEqualWithDelta(0.5, 1e-9)->and($ramp->colourAt(0.5)->toHex())->toBe('#0000ff')
        ->and($ramp->colourAt(0.75)->red)->toEqualWithDelta(0.5, 1e-9)->and($ramp->colourAt(1.3)->toHex())->toBe('#ffffff');
    expect(ToneRamp::read($ramp->toArray(), 'ramp')->toArray())->toBe($ramp->toArray());
    foreach ([[], [['offset' => 0.5]], [['offset' => 0.5, 'colour' => 'red']], [['offset' => 0.6, 'colour' => '#000000'], ['offset' => 0.5, 'colour' => '#000000']], 'many'] as $odd) {
        expect(fn () => ToneRamp::read($odd, 'ramp'))->toThrow(SceneError::class, 'ramp');
    }
});

it('mixes several plain washes together in one loop', function (): void {
    $ground = new Flat(8, 4, static fn (int $x, int $y): array => [90, 100, 110]);
    $wash = static fn (string $colour, string $mode): array => ['kind' => 'wash', 'mode' => $mode, 'level' => -1, 'values' => ['colour' => ['swatch' => $colour]]];
    $scene = Rendering::scene(8, 4, [Rendering::plate('ground'), $wash('#ff0000', 'screen'), $wash('#00ff00', 'screen'), $wash('#0000ff', 'screen')]);
    $picture = Rendering::renderer(['ground' => $ground])->picture($scene, Window::whole(8, 4), 16);
    $value = 90 / 255 + 0.5 * (1 - 90 / 255);
    expect(unpack('n', $picture->bytes)[1] / 65535)->toEqualWithDelta($value, 1e-4);
});
