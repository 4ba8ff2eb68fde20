<?php

declare(strict_types=1);

use Aumbrel\Core\Air\Distances;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stage\Camera;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A floor whose horizon is row 40 and whose contact row is 200 of 200, over a backdrop of one grey. */
function hazy(array $haze, array $plates = [], array $more = []): Scene
{
    $floor = ['horizon' => 40, 'contact' => [[0, 200], [300, 200]]];

    return Scene::read(['aumbrel' => 2, 'title' => 'Hazy', 'size' => [300, 200], 'stage' => ['floor' => $floor], 'strips' => [
        ['id' => 'ground', 'name' => 'G', ...Rendering::plate('ground')], ...$plates, ['id' => 'haze', 'name' => 'H', 'kind' => 'distance haze', ...$haze], ...$more,
    ]], Registry::kinds());
}

/** @return Closure(int, int): array{float, float, float} a pixel of a scene, encoded */
function hazed(Scene $scene, ?Window $window = null): Closure
{
    $window ??= Window::whole(300, 200);
    $pictures = ['ground' => new Flat(300, 200, static fn (): array => [60, 90, 120]), 'post' => new Flat(40, 60, static fn (int $x): array => [200, 40, 40, $x < 20 ? 255 : 128])];
    $picture = Rendering::renderer($pictures)->picture($scene, $window, 16);
    $values = array_values(unpack('n*', $picture->bytes));

    return static fn (int $x, int $y): array => array_map(static fn (int $k): float => $values[4 * ($y * $window->columns + $x) + $k] / 65535, [0, 1, 2]);
}

it('leaves a contrast of 2 % at the visible range', function (): void {
    // Koschmieder 1924: contrast falls as exp(-beta d); the visible range is where 2 % are left
    $distances = new Distances(new Camera(360, 150, 40, 200, 100), 20, 20);
    expect($distances->passes(20))->toEqualWithDelta(0.02, 1e-4)->and($distances->passes(0))->toBe(1.0)->and($distances->passes(10))->toEqualWithDelta(sqrt(0.02), 1e-3)
        ->and($distances->ofRow(200))->toBe(1.0)->and($distances->ofRow(120))->toBe(2.0)->and($distances->ofRow(48))->toEqualWithDelta(20, 1e-9)
        ->and($distances->ofRow(41))->toBe(20.0)->and($distances->ofRow(10))->toBe(20.0);
});

it('veils by distance in linear light, at three distances and above the horizon', function (float $visible, ?float $far): void {
    $shown = hazed(hazy(['amount' => 80, 'values' => ['visible' => $visible, 'far' => $far, 'colour' => '#c0d0e0']]));
    foreach ([199, 120, 60, 41, 10] as $y) {
        $row = $y + 0.5;
        $d = $row > 40 ? min(160 / ($row - 40), $far ?? $visible, $visible) : min($far ?? $visible, $visible);
        $t = exp(-3.912 / $visible * $d);
        $through = 1 - 0.8 * (1 - $t);
        foreach ([[60, 192], [90, 208], [120, 224]] as $k => [$below, $veil]) {
            expect($shown(150, $y)[$k])->toEqualWithDelta(Srgb::encode(Srgb::decode($below / 255) * $through + Srgb::decode($veil / 255) * (1 - $through)), 0.0006, "{$y} {$k}");
        }
    }
})->with([[20.0, null], [6.0, null], [40.0, 12.0]]);

it('gives each plate one distance: where it stands, or as it is said', function (?float $distance): void {
    // its feet at row 120: twice as far as the contact row
    $post = ['id' => 'post', 'name' => 'P', ...Rendering::plate('post', ['values' => ['pivot' => [20, 60], 'place' => [150, 120], 'stance' => 'stands', 'distance' => $distance]])];
    $shown = hazed(hazy(['amount' => 100, 'values' => ['visible' => 10, 'colour' => '#c0d0e0']], [$post]));
    $t = exp(-0.3912 * ($distance ?? 2));
    foreach ([70, 100, 118] as $y) {
        // the left half is opaque; through the right half the ground is seen, and what comes through is mixed by coverage
        foreach ([[140, 1.0], [160, 128 / 255]] as [$x, $alpha]) {
            $row = exp(-0.3912 * min(10, 160 / ($y + 0.5 - 40)));
            $through = $row + $alpha * ($t - $row);
            $below = array_map(static fn (int $own, int $ground): float => ($alpha * $own + (1 - $alpha) * $ground) / 255, [200, 40, 40], [60, 90, 120]);
            foreach ($below as $k => $value) {
                expect($shown($x, $y)[$k])->toEqualWithDelta(Srgb::encode(Srgb::decode($value) * $through + Srgb::decode([192, 208, 224][$k] / 255) * (1 - $through)), 0.001, "{$x} {$y} {$k}");
            }
        }
    }
})->with([null, 0.5, 7.0]);

it('is seen the same in every window, and nearly the same at half the size', function (): void {
    $scene = hazy(['values' => ['visible' => 12]]);
    $whole = hazed($scene);
    $part = hazed($scene, new Window(100, 50, 80, 60));
    $half = hazed($scene, new Window(0, 0, 300, 200, 0.5));
    foreach ([[5, 4], [40, 30], [79, 59]] as [$x, $y]) {
        expect($part($x, $y))->toBe($whole(100 + $x, 50 + $y));
    }
    foreach ([4, 12, 25, 40, 60, 99] as $y) {
        expect($half(70, $y)[0])->toEqualWithDelta(($whole(140, 2 * $y)[0] + $whole(140, 2 * $y + 1)[0]) / 2, (abs(2 * $y - 40) <= 3 ? 7 : 4) / 255);
    }
});

it('veils over nothing too, by as much as the air is there', function (): void {
    $picture = Rendering::picture([], 20, 20, [['id' => 'h', 'kind' => 'distance haze', 'amount' => 50, 'values' => ['visible' => 2, 'colour' => '#ff8000']]]);
    $pixel = static fn (int $y): array => array_map(static fn (int $k): float => unpack('n*', $picture->bytes)[4 * 20 * $y + $k + 1] / 65535, [0, 1, 2, 3]);
    // no floor: the horizon lies in the middle, the contact row at the lower border
    expect($pixel(3))->toEqualWithDelta([1, 128 / 255, 0, 0.5 * (1 - 0.02)], 0.001)->and($pixel(19)[3])->toEqualWithDelta(0.5 * (1 - exp(-3.912 / 2 * 10 / 9.5)), 0.001);
});

it('says which distance is wrong', function (array $values, string $says): void {
    expect(static fn () => Rendering::scene(8, 8, [['id' => 'h', 'kind' => 'distance haze', 'values' => $values]]))->toThrow(SceneError::class, $says);
})->with([[['visible' => 1], 'visible'], [['visible' => NAN], 'visible'], [['far' => -1], 'far'], [['colour' => 'blue'], 'colour']]);
