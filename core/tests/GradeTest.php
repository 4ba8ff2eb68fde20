<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** All tones, in three ways. */
function gradeGround(): Flat
{
    return new Flat(256, 2, static fn (int $x): array => [$x, 255 - $x, (2 * $x) % 256]);
}

/** @return Closure(int, int): float a channel of a column after a grade */
function graded(array $strip, array $more = []): Closure
{
    $picture = Rendering::picture(['p' => gradeGround()], 256, 2, [Rendering::plate('p', ['id' => 'p']), ['id' => 'g', ...$strip], ...$more]);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $k): float => $values[4 * $x + $k] / 65535;
}

const TONES = [0, 3, 20, 77, 128, 190, 240, 255];

it('sets levels as its formula says, of all channels or one', function (array $values, Closure $becomes): void {
    foreach (['all', 'red', 'green', 'blue'] as $n => $of) {
        $shown = graded(['kind' => 'levels', 'values' => ['of' => $of] + $values]);
        foreach (TONES as $x) {
            foreach ([$x, 255 - $x, (2 * $x) % 256] as $k => $byte) {
                $wanted = $n === 0 || $n === $k + 1 ? min(1, max(0, $becomes($byte / 255))) : $byte / 255;
                expect($shown($x, $k))->toEqualWithDelta($wanted, 0.0002, "{$of} {$x} {$k}");
            }
        }
    }
})->with([
    'ends' => [['inBlack' => 10, 'inWhite' => 80], static fn (float $v): float => max(0, ($v - 0.1) / 0.7)],
    'middle' => [['inBlack' => 4, 'inWhite' => 96, 'middle' => 1.6], static fn (float $v): float => max(0, ($v - 0.04) / 0.92) ** (1 / 1.6)],
    'turned over' => [['outBlack' => 90, 'outWhite' => 20], static fn (float $v): float => 0.9 - 0.7 * $v],
]);

it('sets levels as the imaging extension does', function (): void {
    $image = new Imagick;
    $image->newImage(256, 1, new ImagickPixel('black'));
    $bytes = array_merge(...array_map(static fn (int $x): array => [$x, $x, $x], range(0, 255)));
    $image->importImagePixels(0, 0, 256, 1, 'RGB', Imagick::PIXEL_CHAR, $bytes);
    $quantum = Imagick::getQuantumRange()['quantumRangeLong'];
    $image->levelImage(0.08 * $quantum, 1.4, 0.9 * $quantum);
    $theirs = $image->exportImagePixels(0, 0, 256, 1, 'R', Imagick::PIXEL_CHAR);
    $ours = graded(['kind' => 'levels', 'values' => ['inBlack' => 8, 'inWhite' => 90, 'middle' => 1.4]]);
    foreach ($theirs as $x => $byte) {
        expect(255 * $ours($x, 0))->toEqualWithDelta($byte, 1.01, (string) $x);
    }
});

it('lets what lies above white go on, and mixes by its amount', function (): void {
    $shown = graded(['kind' => 'levels', 'values' => ['inWhite' => 50]], [['id' => 'half', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 50, 'values' => ['colour' => '#000000']]]);
    expect($shown(192, 0))->toEqualWithDelta(192 / 255, 0.001);
    $part = graded(['kind' => 'levels', 'amount' => 40, 'values' => ['inBlack' => 20]]);
    expect($part(128, 0))->toEqualWithDelta(128 / 255 + 0.4 * ((128 / 255 - 0.2) / 0.8 - 128 / 255), 0.0002);
});

it('draws tones apart about the middle, or together', function (float $contrast): void {
    $shown = graded(['kind' => 'contrast', 'values' => ['contrast' => $contrast]]);
    $c = $contrast / 100;
    $half = static fn (float $v): float => 0.5 * (2 * $v) ** (1 + 2 * $c);
    foreach (TONES as $x) {
        $v = $x / 255;
        $wanted = $c >= 0 ? ($v <= 0.5 ? $half($v) : 1 - $half(1 - $v)) : $v + 2 * $c * $v * (1 - $v) * (2 * $v - 1);
        expect($shown($x, 0))->toEqualWithDelta($wanted, 0.0003);
    }
    expect($shown(0, 0))->toBe(0.0)->and($shown(255, 0))->toBe(1.0);
})->with([35.0, 100.0, -60.0, -100.0]);

it('makes greys of so much of each channel', function (): void {
    $shown = graded(['kind' => 'monochrome', 'values' => ['red' => 90, 'green' => -30, 'blue' => 20]]);
    foreach (TONES as $x) {
        $grey = min(1, max(0, (0.9 * $x - 0.3 * (255 - $x) + 0.2 * ((2 * $x) % 256)) / 255));
        expect([$shown($x, 0), $shown($x, 1), $shown($x, 2)])->toEqualWithDelta([$grey, $grey, $grey], 0.0003);
    }
    $plain = graded(['kind' => 'monochrome', 'values' => []]);
    expect($plain(128, 1))->toEqualWithDelta((0.21 * 128 + 0.72 * 127 + 0.07 * 0) / 255, 0.0003);
});

it('adds nothing where nothing is', function (string $kind): void {
    $picture = Rendering::picture([], 8, 2, [['id' => 'g', 'kind' => $kind, 'values' => []]]);
    expect(array_sum(unpack('n*', $picture->bytes)))->toBe(0);
})->with(['levels', 'contrast', 'monochrome']);

it('says what is wrong with levels', function (): void {
    expect(static fn () => Rendering::scene(8, 8, [['id' => 'g', 'kind' => 'levels', 'values' => ['inBlack' => 60, 'inWhite' => 60.5]]]))->toThrow(SceneError::class, 'at least 1 %')
        ->and(static fn () => Rendering::scene(8, 8, [['id' => 'g', 'kind' => 'levels', 'values' => ['middle' => 0]]]))->toThrow(SceneError::class, 'middle')
        ->and(static fn () => Rendering::scene(8, 8, [['id' => 'g', 'kind' => 'contrast', 'values' => ['contrast' => NAN]]]))->toThrow(SceneError::class, 'contrast');
});

it('veils from a side by screen, thinner the further it goes', function (): void {
    $strip = ['id' => 'h', 'kind' => 'haze', 'amount' => 50, 'values' => ['from' => [0, 0], 'to' => [200, 0], 'stops' => [['offset' => 0, 'colour' => '#8090a0', 'opacity' => 0.8], ['offset' => 1, 'colour' => '#8090a0', 'opacity' => 0]]]];
    $shown = graded($strip);
    foreach ([0, 40, 128, 190, 230] as $x) {
        $cover = 0.5 * 0.8 * max(0, 1 - ($x + 0.5) / 200);
        foreach ([[$x / 255, 128 / 255], [1 - $x / 255, 144 / 255]] as $k => [$below, $colour]) {
            expect($shown($x, $k))->toEqualWithDelta($below + $cover * ($colour - $below * $colour), 0.0004, "{$x} {$k}");
        }
    }
});
