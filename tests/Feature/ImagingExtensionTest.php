<?php

declare(strict_types=1);

use Tests\Support\Flat;
use Tests\Support\Rendering;

// The modes that the imaging extension has by the same formula, on opaque pairs with 0, 255 and equal channels among
// them. One pair is left out: black under white in color dodge, which it makes white and the standard leaves black.

it('mixes as the imaging extension does', function (string $mode, int $operator): void {
    $side = 66;
    mt_srand(11);
    $byte = fn (): int => [0, 255, 128][mt_rand(0, 9)] ?? mt_rand(0, 255);
    [$below, $above] = array_map(fn (): array => array_map(fn (): array => mt_rand(0, 4) === 0 ? array_fill(0, 3, $byte()) : [$byte(), $byte(), $byte()], range(1, $side * $side)), [0, 1]);
    [$ground, $source] = array_map(function (array $pixels) use ($side): Imagick {
        $image = new Imagick;
        $image->newImage($side, $side, 'black');
        $image->importImagePixels(0, 0, $side, $side, 'RGB', Imagick::PIXEL_CHAR, array_merge(...$pixels));

        return $image;
    }, [$below, $above]);
    $ground->compositeImage($source, $operator, 0, 0);
    $theirs = $ground->exportImagePixels(0, 0, $side, $side, 'RGB', Imagick::PIXEL_CHAR);
    $pictures = ['below' => new Flat($side, $side, fn (int $x, int $y): array => $below[$y * $side + $x]), 'above' => new Flat($side, $side, fn (int $x, int $y): array => $above[$y * $side + $x])];
    $ours = array_values(unpack('C*', Rendering::picture($pictures, $side, $side, [Rendering::plate('below'), Rendering::plate('above', ['mode' => $mode])], 8)->bytes));
    $largest = 0;
    foreach ($theirs as $at => $value) {
        [$b, $s] = [$below[intdiv($at, 3)][$at % 3], $above[intdiv($at, 3)][$at % 3]];
        if ($mode === 'color dodge' && $b === 0 && $s === 255) {
            continue;
        }
        $largest = max($largest, abs($value - $ours[intdiv($at, 3) * 4 + $at % 3]));
    }
    expect($largest)->toBeLessThanOrEqual(1);
})->with([
    ['normal', Imagick::COMPOSITE_OVER], ['multiply', Imagick::COMPOSITE_MULTIPLY], ['screen', Imagick::COMPOSITE_SCREEN], ['overlay', Imagick::COMPOSITE_OVERLAY],
    ['hard light', Imagick::COMPOSITE_HARDLIGHT], ['soft light', Imagick::COMPOSITE_SOFTLIGHT], ['color dodge', Imagick::COMPOSITE_COLORDODGE], ['color burn', Imagick::COMPOSITE_COLORBURN],
    ['difference', Imagick::COMPOSITE_DIFFERENCE], ['exclusion', Imagick::COMPOSITE_EXCLUSION], ['add', Imagick::COMPOSITE_PLUS],
]);
