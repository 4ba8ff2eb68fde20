<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

const WIDE = 48;

const HIGH = 32;

/** A ramp of warm tones, and a plate of greys that is there to the left only. */
function brightPictures(): array
{
    return [
        'ramp' => new Flat(WIDE, HIGH, static fn (int $x, int $y): array => [5 * $x, 4 * $x, 2 * $y]),
        'half' => new Flat(WIDE, HIGH, static fn (int $x, int $y): array => [6 * $y, 6 * $y, 6 * $y, $x < 20 ? 255 : ($x < 30 ? 128 : 0)]),
    ];
}

function brightScene(array $strips): Scene
{
    return Rendering::scene(WIDE, HIGH, $strips);
}

/** @return Closure(int, int, int=): float a channel of a pixel, 0..1 */
function brightPixels(string $bytes, int $columns = WIDE): Closure
{
    $values = array_values(unpack('n*', $bytes));

    return static fn (int $x, int $y, int $k = 0): float => $values[4 * ($y * $columns + $x) + $k] / 65535;
}

/** What is let through of a white fill on black by a brightness mask, over strips that are muted, or black. */
function bright(array $values, array $strips, array $mask = [], ?Window $window = null): Closure
{
    $picture = Rendering::renderer(brightPictures())->picture(brightScene([
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], ...$strips,
        ['id' => 'white', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff'], 'masks' => [['id' => 'm', 'kind' => 'brightness', 'values' => $values, ...$mask]]],
    ]), $window ?? Window::whole(WIDE, HIGH), 16);

    return brightPixels($picture->bytes, $picture->columns);
}

const SPOTS = [[3, 4], [19, 30], [25, 20], [40, 8]];

it('is the luma of a plate by itself times its alpha, between the levels', function (float $blacks, float $whites, bool $inverted): void {
    $plate = Rendering::plate('half', ['id' => 'half', 'muted' => true, 'amount' => 40]);
    $shown = bright(['of' => 'half', 'blacks' => 100 * $blacks, 'whites' => 100 * $whites], [$plate], ['inverted' => $inverted]);
    foreach (SPOTS as [$x, $y]) {
        $luma = 6 * $y / 255 * ($x < 20 ? 1 : ($x < 30 ? 128 / 255 : 0));
        $level = max(0, min(1, ($luma - $blacks) / ($whites - $blacks)));
        expect($shown($x, $y))->toEqualWithDelta($inverted ? 1 - $level : $level, 0.001, "{$x}, {$y}");
    }
})->with([[0.0, 1.0], [0.2, 0.6]])->with([false, true]);

it('is the brightness of a light: what it would be laid over black', function (): void {
    $spot = ['id' => 'spot', 'kind' => 'spot', 'mode' => 'airlight', 'level' => -0.5, 'muted' => true, 'values' => ['origin' => [4, 4], 'target' => [30, 24], 'colour' => ['swatch' => '#ff8000']]];
    $shown = bright(['of' => 'spot'], [$spot]);
    $alone = brightPixels(Rendering::picture([], WIDE, HIGH, [['id' => 'b', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], [...$spot, 'mode' => 'normal', 'muted' => false]])->bytes);
    $lit = 0;
    foreach ([[6, 6], [14, 11], [20, 16], [40, 2]] as [$x, $y]) {
        $luma = 0.2126 * $alone($x, $y) + 0.7152 * $alone($x, $y, 1) + 0.0722 * $alone($x, $y, 2);
        $lit += $luma > 0.05 ? 1 : 0;
        expect($shown($x, $y))->toEqualWithDelta($luma, 0.001, "{$x}, {$y}");
    }
    expect($lit)->toBeGreaterThan(1);
});

it('is the picture below, wherever the strip lies', function (): void {
    $ramp = Rendering::plate('ramp', ['id' => 'ramp']);
    $luma = static fn (int $x, int $y): float => (0.2126 * 5 * $x + 0.7152 * 4 * $x + 0.0722 * 2 * $y) / 255;
    $shown = bright(['blacks' => 30, 'whites' => 60], [$ramp]);
    foreach (SPOTS as [$x, $y]) {
        $level = max(0, min(1, ($luma($x, $y) - 0.3) / 0.3));
        expect($shown($x, $y))->toEqualWithDelta($level + (1 - $level) * 5 * $x / 255, 0.001);
    }
    // in an open group with all below, in a closed one with what the group holds
    $red = ['id' => 'red', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ff00ff'], 'masks' => [['id' => 'm', 'kind' => 'brightness', 'values' => []]]];
    foreach ([false, true] as $closed) {
        $grouped = brightPixels(Rendering::picture(brightPictures(), WIDE, HIGH, [$ramp, ['id' => 'g', 'kind' => 'group', 'closed' => $closed, 'strips' => [Rendering::plate('half', ['id' => 'half']), $red]]])->bytes);
        [$x, $y] = [40, 8];
        // where the group's plate is not there
        expect($grouped($x, $y, 1))->toEqualWithDelta(4 * $x / 255 * ($closed ? 1 : 1 - $luma($x, $y)), 0.001);
    }
});

it('follows what it looks at, in any window, and feathered', function (): void {
    $renderer = Rendering::renderer(brightPictures());
    $scene = static fn (float $exposure, array $mask = []): Scene => brightScene([
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']],
        Rendering::plate('half', ['id' => 'half', 'values' => ['exposure' => $exposure]]), ['id' => 'base', 'kind' => 'base', 'muted' => true, 'values' => ['exposure' => 1]],
        ['id' => 'white', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ff0000'], 'masks' => [['id' => 'm', 'kind' => 'brightness', 'values' => [], ...$mask]]],
    ]);
    $at = static fn (Scene $scene, ?Window $window = null): Closure => brightPixels($renderer->picture($scene, $window ?? Window::whole(WIDE, HIGH), 16)->bytes, $window?->columns ?? WIDE);
    $before = $at($scene(0))(10, 12);
    expect($at($scene(1))(10, 12))->toBeGreaterThan($before + 0.05)->and($at($scene(0))(10, 12))->toBe($before);
    $soft = ['feather' => 3, 'grow' => 2];
    [$whole, $part] = [$at($scene(0, $soft)), $at($scene(0, $soft), new Window(12, 9, 20, 16))];
    foreach ([[0, 0], [9, 7], [19, 15]] as [$x, $y]) {
        expect($part($x, $y))->toEqualWithDelta($whole($x + 12, $y + 9), 0.001);
    }
    expect($whole(33, 28))->toBeGreaterThan($at($scene(0))(33, 28) + 0.01);
});

it('lets nothing through of a strip that is gone, and says so where its levels meet', function (): void {
    expect(bright(['of' => 'gone'], [])(9, 9))->toEqualWithDelta(0.0, 0.001)->and(bright(['of' => 'gone'], [], ['inverted' => true])(9, 9))->toEqualWithDelta(1.0, 0.001);
    $mask = brightScene([['id' => 'f', 'kind' => 'fill', 'masks' => [['id' => 'm', 'kind' => 'brightness', 'values' => ['blacks' => 50, 'whites' => 50]]]]])->strips[0]->masks[0];
    expect($mask->problem())->toContain('bring them apart')->and($mask->isActive())->toBeFalse();
});

it('refuses strips that look at themselves by way of others', function (Closure $strips): void {
    $fill = static fn (string $id, ?string $of, array $more = []): array => ['id' => $id, 'kind' => 'fill', 'name' => strtoupper($id), 'masks' => [['id' => "m{$id}", 'kind' => 'brightness', 'values' => ['of' => $of]]], ...$more];
    expect(static fn () => brightScene($strips($fill)))->toThrow(SceneError::class, 'before itself');
})->with([
    'itself' => [static fn (Closure $fill): array => [$fill('a', 'a')]],
    'each other' => [static fn (Closure $fill): array => [$fill('a', 'b'), $fill('b', 'a')]],
    'what lies below it and looks up' => [static fn (Closure $fill): array => [$fill('a', 'b'), $fill('b', null)]],
    'its own group' => [static fn (Closure $fill): array => [['id' => 'g', 'kind' => 'group', 'strips' => [$fill('a', 'g')]]]],
    'a group that looks at what it holds' => [static fn (Closure $fill): array => [['id' => 'g', 'kind' => 'group', 'strips' => [$fill('a', 'b')]], $fill('b', 'g')]],
    'by what it falls beside' => [static fn (Closure $fill): array => [$fill('a', 'b'), ['id' => 'b', 'kind' => 'fill', 'complements' => 'a']]],
]);

it('lets strips look along a chain, and at what lies below them in their group', function (): void {
    $fill = static fn (string $id, ?string $of): array => ['id' => $id, 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#c0c0c0'], 'masks' => [['id' => "m{$id}", 'kind' => 'brightness', 'values' => ['of' => $of]]]];
    expect(brightScene([$fill('a', 'b'), $fill('b', 'c'), ['id' => 'c', 'kind' => 'fill']])->strips)->toHaveCount(3)
        ->and(brightScene([['id' => 'g', 'kind' => 'group', 'strips' => [['id' => 'c', 'kind' => 'fill'], $fill('a', null)], 'masks' => [['id' => 'mg', 'kind' => 'brightness', 'values' => ['of' => 'c']]]]])->strips)->toHaveCount(1);
    // three quarters of three quarters of white
    $chain = brightPixels(Rendering::picture([], WIDE, HIGH, [['id' => 'k', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], ['id' => 'c', 'kind' => 'fill', 'muted' => true, 'mode' => 'normal', 'values' => ['colour' => '#c0c0c0']], [...$fill('b', 'c'), 'muted' => true], $fill('a', 'b')])->bytes);
    expect($chain(9, 9))->toEqualWithDelta((192 / 255) ** 3, 0.001);
});

it('shows masks alone in grey, and what they hold back under a tint', function (): void {
    $renderer = Rendering::renderer(brightPictures());
    $scene = brightScene([
        Rendering::plate('ramp', ['id' => 'ramp', 'masks' => [['id' => 'cut', 'kind' => 'outline', 'on' => 'plate', 'inverted' => true, 'values' => ['path' => [['at' => [0, 0]], ['at' => [24, 0]], ['at' => [24, 32]], ['at' => [0, 32]]]]], ['id' => 'other', 'kind' => 'strokes', 'on' => 'plate', 'off' => false, 'values' => ['start' => 'hidden']]]]),
        ['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 0, 'masks' => [['id' => 'fall', 'kind' => 'linear', 'off' => true, 'inverted' => true, 'join' => 'take away', 'values' => ['from' => [0, 0], 'to' => [WIDE, 0]]]]],
    ]);
    $window = Window::whole(WIDE, HIGH);
    $at = static function (string $bytes): Closure {
        $values = array_values(unpack('C*', $bytes));

        return static fn (int $x, int $k = 0): int => $values[4 * (8 * WIDE + $x) + $k];
    };
    $fall = $at($renderer->mask($scene, $window, 'fall')->bytes);
    expect($fall(0))->toEqualWithDelta(255 * 0.5 / WIDE, 1)->and($fall(36))->toEqualWithDelta(255 * 36.5 / WIDE, 1);
    $cut = $at($renderer->mask($scene, $window, 'cut')->bytes);
    expect($cut(10))->toBe(0)->and($cut(40))->toBe(255);
    $whole = brightScene([Rendering::plate('ramp', ['id' => 'ramp']), ['id' => 'f', 'kind' => 'fill', 'amount' => 0, 'masks' => [$scene->strips[1]->masks[0]->toArray()]]]);
    [$tinted, $plain] = [$at($renderer->mask($whole, $window, 'fall', true)->bytes), $at($renderer->picture($whole, $window)->bytes)];
    expect($tinted(47, 0))->toEqualWithDelta($plain(47, 0), 3)->and($tinted(1, 1))->toBeGreaterThan($plain(1, 1) + 60);
    expect(static fn () => $renderer->mask($scene, $window, 'nowhere'))->toThrow(SceneError::class, 'no mask');
});
