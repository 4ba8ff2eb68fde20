<?php

declare(strict_types=1);

use Aumbrel\Core\Raster\Gaussian;

/* A blur moves light, it makes none: sums and constants stay, whatever the sigma, and both ways are alike. */

it('keeps the sum of what is blurred, on a plane that holds all of it', function (float $sigma): void {
    $size = 2 * (int) ceil(8 * $sigma) + 3;
    $line = array_fill(0, $size, 0.0);
    $line[intdiv($size, 2)] = 1.0;
    foreach ([Gaussian::blur($line, $size, 1, $sigma), Gaussian::blur($line, 1, $size, $sigma)] as $blurred) {
        expect(array_sum($blurred))->toEqualWithDelta(1.0, 1e-5)
            // highest in the middle, to what the filter's approximation allows (a thousandth of the peak)
            ->and(max($blurred) / $blurred[intdiv($size, 2)])->toEqualWithDelta(1.0, 1e-3);
    }
})->with([0.3, 0.7, 1.0, 1.5, 1.99, 2.0, 3.0, 5.0, 8.0, 13.0, 21.0, 34.0, 60.0, 120.0]);

it('keeps a constant as it is, and what lies still further out as at the border', function (float $sigma): void {
    foreach (Gaussian::blur(array_fill(0, 40 * 7, 0.37), 40, 7, $sigma) as $value) {
        expect($value)->toEqualWithDelta(0.37, 1e-9);
    }
    // light at the border goes on outside, so half a plane of it stays half
    $step = array_fill(0, 81, 0.0);
    foreach (range(0, 40) as $at) {
        $step[$at] = 1.0;
    }
    $blurred = Gaussian::blur($step, 81, 1, min($sigma, 10.0));
    expect($blurred[0])->toBeGreaterThan(0.99)->and($blurred[80])->toBeLessThan(0.01)->and(($blurred[40] + $blurred[41]) / 2)->toEqualWithDelta(0.5, 0.004);
})->with([0.4, 1.2, 2.0, 6.0, 40.0]);

it('blurs rows as it blurs columns', function (float $sigma): void {
    mt_srand(4);
    $plane = array_map(fn (): float => mt_rand() / mt_getrandmax(), range(1, 35 * 22));
    $turned = [];
    for ($x = 0; $x < 35; $x++) {
        for ($y = 0; $y < 22; $y++) {
            $turned[] = $plane[$y * 35 + $x];
        }
    }
    $one = Gaussian::blur($plane, 35, 22, $sigma);
    $other = Gaussian::blur($turned, 22, 35, $sigma);
    $worst = 0.0;
    for ($y = 0; $y < 22; $y++) {
        for ($x = 0; $x < 35; $x++) {
            $worst = max($worst, abs($one[$y * 35 + $x] - $other[$x * 22 + $y]));
        }
    }
    expect($worst)->toBeLessThan(1e-9);
})->with([0.8, 2.5, 9.0]);

it('blurred twice is blurred by the root of the squares', function (float $one, float $other): void {
    $line = array_fill(0, 301, 0.0);
    foreach (range(120, 170) as $at) {
        $line[$at] = 1.0;
    }
    $twice = Gaussian::blur(Gaussian::blur($line, 301, 1, $one), 301, 1, $other);
    $once = Gaussian::blur($line, 301, 1, sqrt($one ** 2 + $other ** 2));
    foreach ($twice as $at => $value) {
        expect(abs($value - $once[$at]))->toBeLessThan(2 / 255);
    }
})->with([[3.0, 4.0], [5.0, 12.0], [2.0, 2.0], [8.0, 15.0]]);

it('blurs what is small in a large plane as what fills it', function (float $sigma, array $places): void {
    [$columns, $rows] = [90, 70];
    $small = array_fill(0, $columns * $rows, 0.0);
    foreach ($places as [$x, $y]) {
        $small[$y * $columns + $x] = 0.8;
    }
    // on a ground that is not 0 everything is filtered; a blur is linear, so the ground is taken off again
    $onGround = Gaussian::blur(array_map(static fn (float $value): float => $value + 0.5, $small), $columns, $rows, $sigma);
    $worst = 0.0;
    foreach (Gaussian::blur($small, $columns, $rows, $sigma) as $at => $value) {
        $worst = max($worst, abs($value - $onGround[$at] + 0.5));
    }
    expect($worst)->toBeLessThan(1e-6);
})->with([0.7, 1.9, 2.0, 3.5, 9.0])->with([
    'nothing' => [[]], 'one point' => [[[45, 35]]], 'corners' => [[[0, 0], [89, 69]]], 'other corners' => [[[89, 0], [0, 69]]],
    'a column' => [array_map(static fn (int $y): array => [12, $y], range(0, 69))], 'a row' => [array_map(static fn (int $x): array => [$x, 60], range(0, 89))], 'two' => [[[20, 10], [22, 48]]],
]);

it('leaves what has no sigma alone, and planes without pixels', function (): void {
    expect(Gaussian::blur([0.1, 0.9], 2, 1, 0.0))->toBe([0.1, 0.9])->and(Gaussian::blur([], 0, 0, 5.0))->toBe([]);
});
