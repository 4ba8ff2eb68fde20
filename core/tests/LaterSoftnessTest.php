<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A step in the middle of 120 px, from nothing on the left to all on the right. */
const MIDDLE = ['kind' => 'linear', 'values' => ['from' => [60, 0], 'to' => [60, 0], 'stops' => [['offset' => 0, 'value' => 0], ['offset' => 0, 'value' => 1]]]];

/**
 * @param  list<array<string, mixed>>  $masks
 * @return list<float> how much of a white fill on black there is at each pixel of 120 x 80
 */
function letThrough(array $masks, ?Window $window = null): array
{
    $masks = array_map(static fn (int $at): array => ['id' => "m{$at}", ...$masks[$at]], array_keys($masks));
    $picture = Rendering::picture(['dot' => new Flat(6, 6, static fn (int $x): array => [$x * 40, 0, 0, 255])], 120, 80, [
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']],
        ['id' => 'white', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff'], 'masks' => $masks],
    ], 16, $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return array_map(static fn (int $k): float => $values[4 * $k] / 65535, range(0, $picture->columns * $picture->rows - 1));
}

$row = static fn (array ...$masks): array => array_slice(letThrough($masks), 40 * 120, 120);

it('feathers a step into the normal distribution, a little or a lot', function (float $sigma) use ($row): void {
    $soft = $row([...MIDDLE, 'feather' => $sigma]);
    // Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.1: P(0.5), P(1), P(2)
    foreach ([[0.0, 0.5], [0.5, 0.69146], [1.0, 0.84134], [2.0, 0.97725], [-1.0, 1 - 0.84134]] as [$deviations, $share]) {
        $at = 60 + $deviations * $sigma - 0.5;
        $before = (int) floor($at);
        expect($soft[$before] + ($at - $before) * ($soft[$before + 1] - $soft[$before]))->toEqualWithDelta($share, 0.006);
    }
})->with([3.0, 8.0, 20.0, 29.0]);

it('feathers masks of every kind that lies in a scene alike in all windows', function (array $mask): void {
    $whole = letThrough([[...$mask, 'feather' => 5]]);
    foreach (letThrough([[...$mask, 'feather' => 5]], new Window(31, 17, 40, 30)) as $k => $value) {
        expect($value)->toEqualWithDelta($whole[(17 + intdiv($k, 40)) * 120 + 31 + $k % 40], 3e-4);
    }
    // what it lets through is spread, not more or less: away from the frame the sum stays
    $hard = letThrough([$mask]);
    expect($whole)->not->toEqual($hard)->and(array_sum($whole) / array_sum($hard))->toEqualWithDelta(1.0, 0.02);
})->with([
    'radial' => [['kind' => 'radial', 'values' => ['centre' => [60, 40], 'radius' => 12, 'secondRadius' => 18]]],
    'outline' => [['kind' => 'outline', 'values' => ['path' => [['at' => [45, 25]], ['at' => [75, 25]], ['at' => [75, 55]], ['at' => [45, 55]]]]]],
    'strokes' => [['kind' => 'strokes', 'values' => ['strokes' => [['size' => 14, 'points' => [[45, 30], [75, 48]]]]]]],
    'texture' => [['kind' => 'texture', 'values' => ['picture' => 'dot', 'corners' => [[45, 25], [75, 25], [75, 55], [45, 55]]]]],
]);

it('hides, adds or takes away no more than its density', function () use ($row): void {
    $ends = static fn (array $line): array => [round($line[10], 3), round($line[110], 3)];
    expect($ends($row([...MIDDLE, 'lets' => [40, 100]])))->toBe([0.4, 1.0])
        // turned over, it still hides no more than 60 %
        ->and($ends($row([...MIDDLE, 'inverted' => true, 'lets' => [40, 100]])))->toBe([1.0, 0.4])
        ->and($ends($row([...MIDDLE, 'join' => 'take away', 'lets' => [0, 60]])))->toBe([1.0, 0.4]);
    $quarter = ['kind' => 'strokes', 'values' => ['start' => 'shown'], 'lets' => [0, 25]];
    expect($ends($row($quarter, [...MIDDLE, 'join' => 'add', 'lets' => [0, 60]])))->toBe([0.25, round(0.25 + 0.6 * 0.75, 3)]);
});

it('grows and shrinks what is soft by a distance, and leaves it as soft', function (float $by) use ($row): void {
    $soft = ['kind' => 'linear', 'values' => ['from' => [40, 0], 'to' => [80, 0], 'stops' => [['offset' => 0, 'value' => 0], ['offset' => 1, 'value' => 1]]]];
    [$before, $after] = [$row($soft), $row([...$soft, 'grow' => $by])];
    // a slope moves by the distance
    foreach ([50, 60, 70] as $x) {
        expect($after[$x])->toEqualWithDelta(max(0, min(1, ($x + 0.5 - 40 + $by) / 40)), 0.015);
    }
    expect($before)->not->toEqual($after);
})->with([0.5, 6.0, 14.3, -3.2, -12.0]);

it('grows a round spot into a round spot, however far', function (float $by): void {
    $spot = ['kind' => 'radial', 'values' => ['centre' => [60, 40], 'radius' => 15, 'secondRadius' => 15, 'stops' => [['offset' => 0, 'value' => 1], ['offset' => 1, 'value' => 0]]]];
    $grown = letThrough([[...$spot, 'grow' => $by]]);
    foreach ([0, 15, 30, 45, 63, 80, 101, 147, 200, 290] as $angle) {
        foreach ([6.0, 10.0] as $far) {
            // what was at a distance is that much further out
            [$x, $y] = [60 + ($far + $by) * cos(deg2rad($angle)), 40 + ($far + $by) * sin(deg2rad($angle))];
            expect($grown[(int) floor($y) * 120 + (int) floor($x)])->toEqualWithDelta(1 - (hypot((int) floor($x) + 0.5 - 60, (int) floor($y) + 0.5 - 40) - $by) / 15, 0.016 * $by / 15 + 0.05);
        }
    }
})->with([1.0, 8.0, 20.0]);

it('says what is wrong, and keeps the rest in the file only where there is something to keep', function (): void {
    $scene = static fn (array $more): Scene => Rendering::scene(4, 4, [['id' => 'f', 'kind' => 'fill', 'values' => [], 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => [], ...$more]]]]);
    foreach ([['feather' => -1], ['feather' => NAN], ['feather' => 5000], ['lets' => 40], ['lets' => [60, 40]], ['lets' => [0, 101]], ['lets' => [0, NAN]], ['lets' => ['a' => 0, 'b' => 1]], ['on' => 'emitter', 'feather' => 2], ['on' => 'plate', 'lets' => [0, 50]], ['grow' => 1001], ['grow' => '3'], ['on' => 'emitter', 'grow' => 1]] as $wrong) {
        expect(static fn () => $scene($wrong))->toThrow(SceneError::class);
    }
    $written = static fn (array $more): array => json_decode($scene($more)->toJson(), true)['strips'][0]['masks'][0];
    expect($written(['feather' => 2.5, 'lets' => [10, 70]]))->toMatchArray(['feather' => 2.5, 'lets' => [10, 70]])
        ->and($written([]))->not->toHaveKeys(['feather'])->not->toHaveKeys(['lets'])
        ->and(Scene::fromJson($scene(['lets' => [10, 70]])->toJson(), Registry::kinds())->strips[0]->masks[0]->lets)->toBe([0.1, 0.7]);
});
