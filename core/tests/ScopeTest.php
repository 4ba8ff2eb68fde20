<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\ColourCloud;
use Aumbrel\Core\Render\ScopeCounts;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** @param  list<array{int, int, int, int}>  $pixels */
function scoped(array $pixels, int $columns): array
{
    return ScopeCounts::of(pack('C*', ...array_merge(...$pixels)), $columns, intdiv(count($pixels), $columns));
}

it('counts tones as the imaging extension does', function (): void {
    $pixels = array_map(static fn (int $k): array => [$k * 37 % 256, $k * 91 % 256, $k * 13 % 256, 255], range(0, 64 * 48 - 1));
    $counts = scoped($pixels, 64);
    $image = new Imagick;
    $image->newImage(64, 48, new ImagickPixel('black'));
    $image->importImagePixels(0, 0, 64, 48, 'RGB', Imagick::PIXEL_CHAR, array_merge(...array_map(static fn (array $pixel): array => array_slice($pixel, 0, 3), $pixels)));
    foreach (['red' => 'R', 'green' => 'G', 'blue' => 'B'] as $name => $map) {
        $theirs = array_fill(0, 64, 0);
        foreach ($image->exportImagePixels(0, 0, 64, 48, $map, Imagick::PIXEL_CHAR) as $byte) {
            $theirs[intdiv($byte, 4)]++;
        }
        expect($counts[$name])->toBe($theirs);
    }
    $lumas = array_fill(0, 64, 0);
    foreach ($pixels as [$r, $g, $b]) {
        $lumas[(int) (Luma::of($r, $g, $b) / 4)]++;
    }
    expect($counts['luma'])->toBe($lumas)->and(array_sum($counts['luma']))->toBe(64 * 48)->and(array_sum(array_map(array_sum(...), $counts['wave'])))->toBe(64 * 48)
        ->and(array_sum(array_map(array_sum(...), $counts['chroma'])))->toBe(64 * 48);
});

it('finds where the picture clips, is black and is brightest, and leaves out what is not there', function (): void {
    $pixels = [];
    for ($y = 0; $y < 40; $y++) {
        for ($x = 0; $x < 60; $x++) {
            $pixels[] = match (true) {
                $x < 6 => [0, 0, 0, 255], $y < 4 => [255, 10, 10, 255], $x > 54 => [90, 90, 90, 0],
                ($x - 30) ** 2 + ($y - 25) ** 2 < 9 => [250, 250, 250, 255], default => [80, 80, 80, 255],
            };
        }
    }
    $counts = scoped($pixels, 60);
    $there = 60 * 40 - 5 * 36;
    expect($counts['clipped'])->toEqualWithDelta(54 * 4 / $there, 1e-9)->and($counts['black'])->toEqualWithDelta(6 * 40 / $there, 1e-9)
        ->and($counts['brightest'][0] * 60)->toEqualWithDelta(30.5, 1.1)->and($counts['brightest'][1] * 40)->toEqualWithDelta(25.5, 1.1)->and($counts['brightest'][2])->toEqualWithDelta(250 / 255, 0.01)
        ->and(scoped([[9, 9, 9, 0]], 1)['brightest'])->toBeNull();
});

it('shows for each place across the tones that are there, and where colours lie', function (): void {
    $pixels = array_map(static fn (int $at): array => $at % 96 < 48 ? [255, 0, 0, 255] : [0, 0, 255, 255], range(0, 96 * 4 - 1));
    $counts = scoped($pixels, 96);
    expect(array_keys(array_filter($counts['wave'][0])))->toBe([(int) (0.2126 * 64)])->and(array_keys(array_filter($counts['wave'][95])))->toBe([(int) (0.0722 * 64)]);
    // Oklab of sRGB red is 0.628, 0.225, 0.126 and of blue 0.452, -0.032, -0.312 (Björn Ottosson, 2020; from memory)
    $class = static fn (float $value): int => (int) (($value + 0.32) / 0.64 * 48);
    expect($counts['chroma'][$class(0.126)][$class(0.225)])->toBe(192)->and($counts['chroma'][$class(-0.312)][$class(-0.032)])->toBe(192);
});

it('knows the mean colour of each class of tone, and a grey where nothing has it', function (): void {
    $counts = scoped([[200, 100, 60, 255], [196, 102, 60, 255], [0, 0, 0, 255], [250, 250, 250, 0]], 2);
    // lumas 118.4 and 118.9: one class
    expect($counts['colours'][(int) (Luma::of(200, 100, 60) / 4)])->toBe('#c6653c')->and($counts['colours'][0])->toBe('#000000')->and($counts['colours'][62])->toBe('#fafafa');
});

it('tells the colours that a picture is made of, the commonest first', function (): void {
    $pixels = [...array_fill(0, 30, [200, 40, 40, 255]), ...array_fill(0, 10, [204, 42, 40, 255]), ...array_fill(0, 60, [20, 20, 20, 255]), ...array_fill(0, 9, [0, 255, 0, 0])];
    $cloud = ColourCloud::of(pack('C*', ...array_merge(...$pixels)));
    expect(array_column($cloud, 0))->toBe(['#141414', '#c92928'])->and(array_column($cloud, 4))->toBe([0.6, 0.4])
        ->and($cloud[0][1])->toEqualWithDelta(Oklab::ofLinear(...array_fill(0, 3, Srgb::decode(20 / 255)))[0], 1e-3)
        ->and($cloud[1][2])->toBeGreaterThan(0.1)->and(ColourCloud::of(''))->toBe([]);
    $many = ColourCloud::of(implode('', array_map(static fn (int $k): string => pack('C4', $k * 71 % 256, $k * 31 % 251, $k * 57 % 241, 255), range(0, 4000))));
    expect($many)->toHaveCount(ColourCloud::MOST);
});

it('reads a place after and before it was lit', function (): void {
    $renderer = Rendering::renderer(['p' => new Flat(20, 20, static fn (int $x): array => [$x < 10 ? 100 : 40, 80, 60])]);
    $scene = Rendering::scene(20, 20, [Rendering::plate('p', ['id' => 'p']), ['id' => 'm', 'kind' => 'fill', 'mode' => 'multiply', 'values' => ['colour' => '#808080']]]);
    $read = $renderer->patch($scene, new Window(8, 5, 4, 4));
    expect($read['before'])->toEqualWithDelta([70 / 255, 80 / 255, 60 / 255, Luma::of(70, 80, 60) / 255], 1e-4)
        ->and($read['after'])->toEqualWithDelta(array_map(static fn (float $value): float => $value * 128 / 255, $read['before']), 1e-4)
        ->and($renderer->patch($scene, new Window(-9, -9, 3, 3))['before'])->toBeNull();
});

it('draws a strip by itself', function (): void {
    $renderer = Rendering::renderer(['p' => new Flat(20, 20, static fn (): array => [100, 100, 100])]);
    $scene = Rendering::scene(20, 20, [Rendering::plate('p', ['id' => 'p']), ['id' => 'm', 'kind' => 'fill', 'mode' => 'multiply', 'amount' => 40, 'values' => ['colour' => '#808080']]]);
    $window = Window::whole(20, 20);
    expect($renderer->scopes($scene, $window, 'm')['luma'][32])->toBe(400)->and($renderer->scopes($scene, $window, 'p')['luma'][25])->toBe(400)->and($renderer->scopes($scene, $window, null)['luma'][32])->toBe(0)
        ->and(static fn () => $renderer->scopes($scene, $window, 'nobody'))->toThrow(SceneError::class);
});
