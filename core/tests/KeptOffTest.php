<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A square of 40 x 40 in the middle of 120 x 100, on black; a white fill over both. */
function offSquare(array $more, ?Window $window = null): array
{
    $square = new Flat(40, 40, static fn (): array => [0, 0, 0, 254]);
    $picture = Rendering::picture(['square' => $square], 120, 100, [
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], Rendering::plate('square', ['id' => 'square', 'values' => ['place' => [40, 30]]]),
        ['id' => 'light', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff'], ...$more],
    ], 16, $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return array_map(static fn (int $k): float => $values[4 * $k] / 65535, range(0, $picture->columns * $picture->rows - 1));
}

it('stays off a plate, further off when that is grown, and softly', function (): void {
    $row = static fn (array $off): array => array_slice(offSquare(['keptOff' => ['plates' => ['square'], ...$off]]), 50 * 120, 120);
    $plain = $row([]);
    expect($plain[39])->toEqualWithDelta(1.0, 0.001)->and($plain[41])->toEqualWithDelta(1 - 254 / 255, 0.001)->and($plain[60])->toEqualWithDelta(1 - 254 / 255, 0.001);
    // six pixels further; three over its edge
    $grown = $row(['grow' => 6]);
    expect($grown[33])->toBeGreaterThan(0.97)->and($grown[35])->toBeLessThan(0.03);
    $shrunk = $row(['grow' => -3]);
    expect($shrunk[41])->toBeGreaterThan(0.97)->and($shrunk[44])->toBeLessThan(0.03);
    // a feather is a Gaussian of its sigma: at the border half, one sigma beside it 84 % (normal distribution)
    $soft = $row(['feather' => 5]);
    expect($soft[34] + $soft[35])->toEqualWithDelta(2 * 0.8413, 0.02)->and($soft[39] + $soft[40])->toEqualWithDelta(1.0, 0.02);
});

it('keeps groups off too, joins masks, and is the same in every window', function (): void {
    $group = offSquare(['kind' => 'group', 'id' => 'g', 'values' => [], 'mode' => 'normal', 'keptOff' => ['plates' => ['square', 'gone']], 'strips' => [['id' => 'in', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff']]]]);
    expect($group[50 * 120 + 60])->toBeLessThan(0.01)->and($group[50 * 120 + 10])->toEqualWithDelta(1.0, 0.001);
    $more = ['keptOff' => ['plates' => ['square'], 'grow' => 4, 'feather' => 3], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [120, 0]]]]];
    $whole = offSquare($more);
    foreach (offSquare($more, new Window(25, 20, 30, 30)) as $k => $value) {
        expect($value)->toEqualWithDelta($whole[(20 + intdiv($k, 30)) * 120 + 25 + $k % 30], 2e-4);
    }
});

it('refuses what names no plates, and keeps the rest in the file', function (): void {
    $scene = static fn (mixed $off): Scene => Rendering::scene(4, 4, [['id' => 'f', 'kind' => 'fill', 'values' => [], 'keptOff' => $off]]);
    foreach ([['plates' => 'square'], ['plates' => [3]], ['plates' => [], 'feather' => -1], ['plates' => [], 'grow' => NAN], 'square'] as $wrong) {
        expect(static fn () => $scene($wrong))->toThrow(SceneError::class);
    }
    expect(Scene::fromJson($scene(['plates' => ['a', 'b', 'a'], 'grow' => 2])->toJson(), Registry::kinds())->strips[0]->keptOff?->toArray())->toBe(['plates' => ['a', 'b'], 'grow' => 2.0, 'feather' => 0.0]);
});
