<?php

declare(strict_types=1);

use Aumbrel\Core\Raster\Gaussian;

// against scipy.ndimage.gaussian_filter; core/tests/reference/gaussian.py writes the values

it('agrees with a general-purpose numeric library', function (): void {
    $reference = json_decode(file_get_contents(__DIR__.'/reference/gaussian.json'), true);
    [$columns, $rows] = [$reference['columns'], $reference['rows']];
    $step = $points = array_fill(0, $columns * $rows, 0.0);
    foreach ($step as $at => $_) {
        $step[$at] = $at % $columns >= $columns / 2 ? 1.0 : 0.0;
    }
    for ($k = 0; $k < 60; $k++) {
        $points[(($k * 17) % $rows) * $columns + ($k * 29) % $columns] = (($k * 7) % 11) / 11;
    }
    foreach ($reference['cases'] as $case) {
        $blurred = Gaussian::blur($case['plane'] === 'step' ? $step : $points, $columns, $rows, $case['sigma']);
        foreach ($case['values'] as $column => $value) {
            expect(abs($blurred[$case['row'] * $columns + $column] - $value) * 255)->toBeLessThan(1.0, "{$case['plane']}, sigma {$case['sigma']}, column {$column}");
        }
    }
});

it('costs the same whatever its radius', function (): void {
    $plane = array_fill(0, 200 * 200, 0.5);
    $best = [3 => INF, 60 => INF];
    // In turns, the best of each: what else the machine does meanwhile meets both radii, and never makes one quicker.
    for ($k = 0; $k < 9; $k++) {
        foreach (array_keys($best) as $sigma) {
            $started = hrtime(true);
            Gaussian::blur($plane, 200, 200, (float) $sigma);
            $best[$sigma] = min($best[$sigma], hrtime(true) - $started);
        }
    }
    expect($best[60] / $best[3])->toBeLessThan(1.6);
});

it('keeps a constant and the sum of what is far from the border', function (): void {
    $plane = array_fill(0, 60 * 60, 0.25);
    $blurred = Gaussian::blur($plane, 60, 60, 5.0);
    expect(min($blurred))->toEqualWithDelta(0.25, 1e-9)->and(max($blurred))->toEqualWithDelta(0.25, 1e-9);
    $plane = array_fill(0, 60 * 60, 0.0);
    $plane[30 * 60 + 30] = 1.0;
    expect(array_sum(Gaussian::blur($plane, 60, 60, 4.0)))->toEqualWithDelta(1.0, 0.01);
});

it('leaves the plane that it was given as it is, whoever else holds it', function (float $sigma): void {
    $plane = array_fill(0, 40 * 30, 0.0);
    $plane[15 * 40 + 20] = 1.0;
    $held = ['a' => $plane];
    $blurred = Gaussian::blur($held['a'], 40, 30, $sigma);
    expect($held['a'])->toBe($plane)->and($plane[15 * 40 + 20])->toBe(1.0)->and(array_sum($plane))->toBe(1.0)
        ->and($blurred[15 * 40 + 20])->toBeLessThan(0.5)->and($blurred)->toHaveCount(1200)
        // and once more of the same gives the same
        ->and(Gaussian::blur($plane, 40, 30, $sigma))->toBe($blurred);
})->with(['written out' => 1.4, 'recursive' => 3.0]);
