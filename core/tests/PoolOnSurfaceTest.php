<?php

declare(strict_types=1);

use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/**
 * @param  list<array<string, mixed>>  $strips
 * @param  array<string, mixed>  $more  stage, sources and the like
 */
function stagedScene(int $width, int $height, array $strips, array $more = []): Scene
{
    foreach ($strips as $at => $strip) {
        $strips[$at] = ['id' => "s{$at}", ...$strip];
    }

    return Scene::read(['aumbrel' => 2, 'title' => 'Staged', 'size' => [$width, $height], 'strips' => $strips, ...$more], Registry::kinds());
}

/** @param  array<string, mixed>  $values */
function poolOn(array $values, array $more = [], int $width = 200, int $height = 150): Picture
{
    $scene = stagedScene($width, $height, [
        ['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#404040']],
        ['kind' => 'spot-onto', 'level' => 0, ...array_intersect_key($more, ['mode' => 0, 'level' => 0, 'source' => 0]), 'values' => ['colour' => ['swatch' => '#ffffff'], ...$values]],
    ], array_diff_key($more, ['mode' => 0, 'level' => 0, 'source' => 0]));

    return Rendering::renderer([])->picture($scene, Aumbrel\Core\Geometry\Window::whole($width, $height), 16);
}

/** E at a pixel, read off a grey of 64 under white light by illuminate. */
function poolLight(Picture $picture, int $x, int $y): float
{
    $value = unpack('n', $picture->bytes, 8 * ($y * $picture->columns + $x))[1] / 65535;
    $linear = static fn (float $v): float => $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;

    return $linear($value) / $linear(64 / 255) - 1;
}

it('agrees with pools on the ground rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/pools';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    $bytes = (new Imagick("{$folder}/photo_wide.png"))->exportImagePixels(0, 0, 128, 96, 'RGB', Imagick::PIXEL_CHAR);
    $photo = new Flat(128, 96, static fn (int $x, int $y): array => [...array_slice($bytes, 3 * ($y * 128 + $x), 3), 255]);
    $strips = array_map(static fn (array $strip): array => $strip['kind'] === 'plate' ? Rendering::plate('photo', ['id' => $strip['id']]) : [
        'id' => $strip['id'], 'kind' => 'spot-onto', 'mode' => $strip['mode'], 'level' => $strip['level'],
        'values' => ['surface' => 'floor', 'lamp' => array_slice($strip['lamp'], 0, 2), 'height' => $strip['lamp'][2], 'target' => $strip['target'], 'beam' => $strip['beam'], 'field' => $strip['field'], 'colour' => $strip['light']],
    ], $given['strips']);
    $scene = stagedScene(128, 96, $strips, ['stage' => ['floor' => ['horizon' => $given['camera']['horizon'], 'contact' => $given['camera']['contact']]]]);
    $picture = Rendering::renderer(['photo' => $photo])->picture($scene, Aumbrel\Core\Geometry\Window::whole(128, 96), 16);
    $expected = array_values(unpack('g*', (string) file_get_contents("{$folder}/expected.f32")));
    $ours = array_values(unpack('n*', $picture->bytes));
    $sum = $most = 0.0;
    for ($k = 0; $k < 128 * 96; $k++) {
        for ($channel = 0; $channel < 3; $channel++) {
            $off = 255 * abs($ours[4 * $k + $channel] / 65535 - min(1.0, $expected[3 * $k + $channel]));
            $sum += $off;
            $most = max($most, $off);
        }
    }
    // the lamp's height is in pixels of the picture at its foot; read so, it agrees far within what the case allows
    expect($sum / (3 * 128 * 96))->toBeLessThan(0.02)->and($most)->toBeLessThan(0.5);
});
