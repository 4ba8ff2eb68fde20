<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Tests\Support\Flat;
use Tests\Support\Rendering;

const SIDE = 32;

/** A ramp of tones below, a half plate, and one with a soft edge. */
function closedPictures(): array
{
    return [
        'below' => new Flat(SIDE, SIDE, static fn (int $x, int $y): array => [8 * $x, 255 - 8 * $y, 128]),
        'half' => new Flat(SIDE, SIDE, static fn (int $x, int $y): array => [200, 100, 40 + 4 * $y, $x < SIDE / 2 ? 255 : 0]),
        'soft' => new Flat(SIDE, SIDE, static fn (int $x, int $y): array => [60, 180, 220, min(255, 8 * $y)]),
    ];
}

/** @return Closure(int, int): array{float, float, float} */
function closedPicture(array $strips, bool $onGround = true, ?Window $window = null): Closure
{
    $ground = $onGround ? [Rendering::plate('below', ['id' => 'ground'])] : [];
    $picture = Rendering::picture(closedPictures(), SIDE, SIDE, [...$ground, ...$strips], 16, $window);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): array => array_map(static fn (int $k): float => $values[4 * ($y * $picture->columns + $x) + $k] / 65535, [0, 1, 2, 3]);
}

function closedGroup(array $strips, array $more = []): array
{
    return ['id' => 'g', 'kind' => 'group', 'closed' => true, 'strips' => $strips, ...$more];
}

const PLACES = [[2, 3], [15, 9], [16, 20], [30, 30], [7, 28]];

it('puts its strips together over nothing and mixes the outcome like a plate', function (string $mode, float $amount): void {
    $shown = closedPicture([closedGroup([
        Rendering::plate('soft', ['id' => 'soft']), ['id' => 'tint', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 50, 'values' => ['colour' => '#ff4000'], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [SIDE, 0]]]]],
    ], ['mode' => $mode, 'amount' => $amount])]);
    $blend = match ($mode) {
        'normal' => static fn (float $b, float $s): float => $s,
        'multiply' => static fn (float $b, float $s): float => $b * $s,
        'screen' => static fn (float $b, float $s): float => $b + $s - $b * $s,
    };
    foreach (PLACES as [$x, $y]) {
        // W3C Compositing and Blending Level 1, section 10: first over nothing, then over the opaque ground
        $soft = min(255, 8 * $y) / 255;
        $tint = 0.5 * (1 - ($x + 0.5) / SIDE);
        $alpha = $soft + $tint - $soft * $tint;
        foreach ([60 / 255, 180 / 255, 220 / 255] as $k => $own) {
            $colour = $alpha > 0 ? ($tint * [1, 64 / 255, 0][$k] + (1 - $tint) * $soft * $own) / $alpha : 0;
            $ground = [8 * $x, 255 - 8 * $y, 128][$k] / 255;
            expect($shown($x, $y)[$k])->toEqualWithDelta($ground + $amount / 100 * $alpha * ($blend($ground, $colour) - $ground), 0.0002, "{$x}, {$y}, {$k}");
        }
    }
})->with(['normal', 'multiply', 'screen'])->with([100.0, 60.0]);

it('is as an open group where its strips only lie over each other', function (): void {
    $strips = [Rendering::plate('soft', ['id' => 'soft', 'amount' => 70]), Rendering::plate('half', ['id' => 'half']), ['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 30, 'values' => ['colour' => '#102040']]];
    foreach ([true, false] as $onGround) {
        [$closed, $open] = [closedPicture([closedGroup($strips)], $onGround), closedPicture([[...closedGroup($strips), 'closed' => false]], $onGround)];
        foreach (PLACES as [$x, $y]) {
            foreach ($open($x, $y) as $k => $value) {
                expect($closed($x, $y)[$k])->toEqualWithDelta($value, 0.0003);
            }
        }
    }
});

it('lights and grades only what it holds', function (array $strip): void {
    $half = Rendering::plate('half', ['id' => 'half']);
    $closed = closedPicture([closedGroup([$half, $strip])]);
    $alone = closedPicture([$half, [...$strip, 'confinedTo' => 'half']]);
    $without = closedPicture([$half]);
    $open = closedPicture([[...closedGroup([$half, $strip]), 'closed' => false]]);
    expect($closed(24, 9))->toEqual($without(24, 9))->and($open(24, 9))->not->toEqual($without(24, 9))->and($closed(4, 9))->not->toEqual($without(4, 9));
    foreach ($alone(4, 9) as $k => $value) {
        expect($closed(4, 9)[$k])->toEqualWithDelta($value, 0.0003);
    }
})->with(['a light on surfaces' => [['id' => 'w', 'kind' => 'wash', 'mode' => 'illuminate', 'level' => -1]], 'a grade' => [['id' => 'b', 'kind' => 'base', 'values' => ['exposure' => -1]]]]);

it('brings light in the air along, beyond what can be shown too', function (): void {
    $air = ['id' => 'w', 'kind' => 'wash', 'mode' => 'airlight', 'level' => 1, 'values' => ['colour' => ['swatch' => '#ff8040'], 'keyed' => 'plain']];
    $half = Rendering::plate('half', ['id' => 'half']);
    $darker = ['id' => 'd', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 50, 'values' => ['colour' => '#000000']];
    [$closed, $plain] = [closedPicture([closedGroup([$half, $air]), $darker]), closedPicture([$half, $air, $darker])];
    // what is above 1 inside is dimmed as a whole by what lies above, as without the group
    expect($closed(4, 9)[0])->toEqualWithDelta($plain(4, 9)[0], 0.0003)->and($closed(4, 9)[0])->toBeGreaterThan(0.51);
    // the formulas of the standard take it as 1: nothing beyond white, nothing below black
    $screened = closedPicture([closedGroup([$half, $air], ['mode' => 'difference'])]);
    expect($screened(4, 9)[0])->toEqualWithDelta(1 - 32 / 255, 0.001);
});

it('is limited by the tones of what lies below, or of what it has made', function (string $of): void {
    $strips = [Rendering::plate('soft', ['id' => 'soft'])];
    $shown = closedPicture([closedGroup($strips, ['tones' => ['darks' => [0.6, 0.6], 'of' => $of]])]);
    $luma = static fn (array $c): float => 0.2126 * $c[0] + 0.7152 * $c[1] + 0.0722 * $c[2];
    foreach (PLACES as [$x, $y]) {
        $ground = [8 * $x / 255, (255 - 8 * $y) / 255, 128 / 255];
        $own = [60 / 255, 180 / 255, 220 / 255];
        $passes = $luma($of === 'below' ? $ground : $own) >= 0.6;
        foreach ($ground as $k => $value) {
            expect($shown($x, $y)[$k])->toEqualWithDelta($value + ($passes ? min(255, 8 * $y) / 255 * ($own[$k] - $value) : 0), 0.0003, "{$x}, {$y}");
        }
    }
})->with(['below', 'itself']);

it('covers a plate below as far as the group is there, and sees only its own plates inside', function (): void {
    $red = ['id' => 'red', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ff0000'], 'confinedTo' => 'half'];
    $shown = closedPicture([Rendering::plate('half', ['id' => 'half']), closedGroup([Rendering::plate('soft', ['id' => 'soft', 'amount' => 80])], ['amount' => 50]), $red]);
    $without = closedPicture([Rendering::plate('half', ['id' => 'half']), closedGroup([Rendering::plate('soft', ['id' => 'soft', 'amount' => 80])], ['amount' => 50])]);
    $blue = [...$red, 'values' => ['colour' => '#0000ff']];
    $inside = closedPicture([Rendering::plate('half', ['id' => 'half']), Rendering::plate('soft', ['id' => 'soft']), closedGroup([$blue])]);
    $nested = closedPicture([Rendering::plate('half', ['id' => 'half']), closedGroup([closedGroup([Rendering::plate('soft', ['id' => 'soft'])], ['id' => 'h', 'amount' => 50])], ['amount' => 50]), $red]);
    foreach ([[2, 3], [15, 9], [7, 28]] as [$x, $y]) {
        $alpha = min(255, 8 * $y) / 255;
        $uncovered = 1 - $alpha * 0.8 * 0.5;
        expect($shown($x, $y)[1])->toEqualWithDelta($without($x, $y)[1] * (1 - $uncovered), 0.0003)
            // the plate outside that lies over it covers nothing inside
            ->and($inside($x, $y)[2])->toEqualWithDelta(1.0, 0.0003)->and($inside($x, $y)[0])->toEqualWithDelta(0.0, 0.0003)
            ->and($nested($x, $y)[0])->toEqualWithDelta((1 - $alpha * 0.25) + $alpha * 0.25 * (200 / 255 + $alpha * 0.25 * (60 - 200) / 255), 0.002);
    }
    expect($inside(20, 9)[2])->toEqualWithDelta($shown(20, 9)[2], 1.0);
});

it('looks the same in every window, and at half the size', function (): void {
    $strips = [closedGroup([Rendering::plate('soft', ['id' => 'soft']), ['id' => 's', 'kind' => 'spot', 'mode' => 'illuminate', 'values' => ['origin' => [4, 4], 'target' => [20, 24]]]], ['mode' => 'screen', 'amount' => 70, 'masks' => [['id' => 'm', 'kind' => 'radial', 'values' => ['centre' => [16, 16], 'radius' => 14, 'secondRadius' => 10]]]])];
    $whole = closedPicture($strips);
    $part = closedPicture($strips, true, new Window(8.0, 12.0, 16.0, 12.0));
    expect($part(3, 5))->toEqual($whole(11, 17))->and($part(15, 11))->toEqual($whole(23, 23));
});

it('is seen with its strips, and by what it adds as a whole', function (): void {
    $strips = [Rendering::plate('below', ['id' => 'ground']), closedGroup([Rendering::plate('half', ['id' => 'half']), ['id' => 'w', 'kind' => 'wash', 'mode' => 'illuminate', 'level' => 0]], ['mode' => 'screen'])];
    $scene = Rendering::scene(SIDE, SIDE, $strips);
    $renderer = Rendering::renderer(closedPictures());
    $window = Window::whole(SIDE, SIDE);
    $parts = $renderer->contributions($scene, $window, ['g', 'w', 'half'], 16);
    [$with, $without] = [$renderer->picture($scene, $window, 16)->bytes, $renderer->picture($scene->with([$scene->strips[0]]), $window, 16)->bytes];
    [$with, $without, $group, $light] = array_map(static fn (string $bytes): array => array_values(unpack('n*', $bytes)), [$with, $without, $parts['g']->bytes, $parts['w']->bytes]);
    $at = static fn (int $x, int $y): int => 4 * ($y * SIDE + $x);
    expect($group[$at(4, 9)])->toEqualWithDelta($with[$at(4, 9)] - $without[$at(4, 9)], 2)->and($group[$at(4, 9)])->toBeGreaterThan(2000)->and($group[$at(24, 9)])->toBe(0)
        // of the light: what it adds inside
        ->and($light[$at(4, 9)])->toBeGreaterThan(2000)->and($light[$at(24, 9)])->toBe(0);
    // the picture below something inside is that of the group: nothing where it holds nothing
    $tones = $renderer->tones($scene, $window, 'w', false);
    expect(array_sum($tones))->toBe(SIDE * SIDE / 2)->and(array_sum($renderer->tones($scene, $window, 'g', false)))->toBe(SIDE * SIDE)->and(array_sum($renderer->tones($scene, $window, 'g', true)))->toBe(SIDE * SIDE / 2);
    // a look at what passes agrees: of the group's own tones only what it holds
    $limited = Rendering::scene(SIDE, SIDE, [$strips[0], [...$strips[1], 'tones' => ['darks' => [0.1, 0.1], 'of' => 'itself']]]);
    $passing = array_values(unpack('C*', $renderer->passing($limited, $window, 'g')->bytes));
    expect($passing[$at(4, 9)])->toBe(255)->and($passing[$at(24, 9)])->toBe(0);
});

it('leaves a scene of version 1 as it was: the mode of an open group counts for nothing', function (): void {
    $strips = static fn (string $mode): array => [['id' => 'g', 'kind' => 'group', 'mode' => $mode, 'amount' => 80, 'strips' => [Rendering::plate('soft', ['id' => 'soft'])]]];
    foreach (PLACES as [$x, $y]) {
        expect(closedPicture($strips('multiply'))($x, $y))->toEqual(closedPicture($strips('normal'))($x, $y));
    }
});

it('takes hardly any light for hardly any', function (): void {
    $faint = ['masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [SIDE, 0], 'stops' => [['offset' => 0, 'value' => 1e-19], ['offset' => 1, 'value' => 1e-19]]]]]];
    $air = ['id' => 'w', 'kind' => 'wash', 'mode' => 'airlight', 'values' => ['colour' => ['swatch' => '#ff8040']], ...$faint];
    $picture = ['id' => 'p', 'kind' => 'plate', 'mode' => 'airlight', 'values' => ['picture' => 'soft'], ...$faint];
    foreach ([$air, $picture] as $strip) {
        $shown = closedPicture([$strip], false);
        expect($shown(9, 20)[3])->toBe(0.0)->and(closedPicture([closedGroup([$strip])])(9, 20))->toEqual(closedPicture([])(9, 20));
    }
});
