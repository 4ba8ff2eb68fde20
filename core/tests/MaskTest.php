<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Ramp\Stops;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

/** White through masks over black: the picture is the mask. */
function masked(array $masks): string
{
    $masks = array_map(fn (array $mask, int $at): array => ['id' => "m{$at}", ...$mask], $masks, array_keys($masks));

    return Rendering::picture(['a' => new Flat(80, 60, fn () => [0, 0, 0])], 80, 60, [
        Rendering::plate('a'), ['kind' => 'fill', 'mode' => 'normal', 'masks' => $masks, 'values' => ['colour' => '#ffffff']],
    ])->bytes;
}

function stopsOf(array $stops): array
{
    return array_map(fn (array $stop): array => ['offset' => $stop[0], 'value' => $stop[1], 'midpoint' => $stop[2] ?? 0.5], $stops);
}

function linear(array $stops, bool $smooth = false): array
{
    return ['kind' => 'linear', 'values' => ['from' => [10, 12], 'to' => [65, 40], 'stops' => stopsOf($stops), 'smooth' => $smooth]];
}

function linearAt(float $x, float $y): float
{
    return (($x - 10) * 55 + ($y - 12) * 28) / (55 ** 2 + 28 ** 2);
}

function grey(float $value): array
{
    return [$value, $value, $value];
}

it('draws linear masks through all their stops', function (array $stops, bool $smooth): void {
    $difference = Plainly::difference(masked([linear($stops, $smooth)]), 80, 60, fn (float $x, float $y): array => grey(Plainly::ramp($stops, linearAt($x, $y), $smooth)));
    expect($difference)->toBeLessThan(0.05);
})->with([
    'plain' => [[[0, 1], [1, 0]]],
    'many' => [[[0.1, 0.2], [0.4, 0.9], [0.7, 0.1], [0.9, 1]]],
    'midpoints' => [[[0, 1, 0.3], [0.5, 0, 0.8], [1, 0.6]]],
    'a step' => [[[0, 0], [0.5, 0.2], [0.5, 0.9], [1, 0.4]]],
    'both ends inside' => [[[0.3, 0.25], [0.6, 0.75]]],
])->with([false, true]);

it('bends by the midpoint so that half is reached there', function (): void {
    // W3C CSS Images Module Level 4, color transition hint: at the hint the colour is halfway
    foreach ([0.1, 0.25, 0.5, 0.75, 0.9] as $midpoint) {
        expect(Stops::of([0, 0, $midpoint], [1, 1])->valueAt($midpoint, false))->toEqualWithDelta(0.5, 1e-12);
    }
});

it('draws radial masks with two radii, turned, from an inner ellipse on', function (): void {
    $values = ['centre' => [38, 30], 'radius' => 30, 'secondRadius' => 18, 'turn' => 25, 'inner' => 8, 'stops' => stopsOf([[0, 1, 0.4], [1, 0]])];
    $turn = deg2rad(25);
    $difference = Plainly::difference(masked([['kind' => 'radial', 'values' => $values]]), 80, 60, function (float $x, float $y) use ($turn): array {
        // along the first radius and along the second one; counter-clockwise as seen, y down
        $u = (($x - 38) * cos($turn) - ($y - 30) * sin($turn)) / 30;
        $v = (($x - 38) * sin($turn) + ($y - 30) * cos($turn)) / 18;

        return grey(Plainly::ramp([[0, 1, 0.4], [1, 0]], (hypot($u, $v) * 30 - 8) / 22));
    });
    expect($difference)->toBeLessThan(0.05);
});

it('joins masks as they say', function (string $first, string $second, bool $inverted): void {
    $stops = [[0, 1], [1, 0]];
    $one = linear($stops) + ['join' => $first];
    $two = ['kind' => 'linear', 'join' => $second, 'inverted' => $inverted, 'values' => ['from' => [0, 0], 'to' => [0, 60], 'stops' => stopsOf($stops)]];
    $difference = Plainly::difference(masked([$one, $two]), 80, 60, function (float $x, float $y) use ($stops, $first, $second, $inverted): array {
        $k = Plainly::ramp($stops, linearAt($x, $y));
        $m = $first === 'take away' ? 1 - $k : $k;
        $k = Plainly::ramp($stops, $y / 60);
        $k = $inverted ? 1 - $k : $k;

        return grey(match ($second) {
            'intersect' => $m * $k,
            'add' => $m + $k - $m * $k,
            'take away' => $m * (1 - $k),
        });
    });
    expect($difference)->toBeLessThan(0.05);
})->with(['intersect', 'take away'])->with(['intersect', 'add', 'take away'])->with([false, true]);

it('makes a split of a mask and its inverse, which add to one everywhere', function (): void {
    $mask = linear([[0, 1, 0.3], [1, 0]], true);
    $values = array_values(unpack('n*', masked([$mask])));
    $inverse = array_values(unpack('n*', masked([$mask + ['inverted' => true]])));
    $sums = array_map(fn (int $a, int $b): int => $a + $b, $values, $inverse);
    $sums = array_values(array_filter($sums, fn (int $at): bool => $at % 4 !== 3, ARRAY_FILTER_USE_KEY));
    expect(min($sums))->toBeGreaterThanOrEqual(65534)->and(max($sums))->toBeLessThanOrEqual(65536);
});

it('leaves out a mask that is off for a look', function (): void {
    expect(masked([linear([[0, 0], [1, 0]]) + ['off' => true]]))->toBe(masked([]));
});

it('refuses stops that are none', function (mixed $stops): void {
    expect(fn () => Stops::read($stops, 'stops'))->toThrow(SceneError::class, 'stops');
})->with([[[]], ['x'], [[['offset' => 0.5, 'value' => 2]]], [[['offset' => 0.5, 'value' => 1], ['offset' => 0.4, 'value' => 1]]], [[['offset' => 0, 'value' => NAN]]], [[['offset' => 0, 'value' => 1, 'midpoint' => 0]]]]);
