<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Shown;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Noticed;
use Tests\Support\Rendering;

/* Reading a light: what is noticed in the picture, each with its number and a mend that ends it. */

/** @return array<string, Flat> */
function darkPictures(): array
{
    return [
        'night' => new Flat(320, 200, fn (int $x, int $y): array => [12 + intdiv($x, 20), 14, 24 + intdiv($y, 16)]),
        'black' => new Flat(320, 200, fn (): array => [0, 0, 0]),
        'figure' => new Flat(80, 120, fn (int $x, int $y): array => [90, 90, 100, (int) round(255 * max(0, min(1, 34.5 - hypot($x - 39.5, ($y - 59.5) * 0.6))))]),
        // a glow that was painted on too small a sheet
        'cut' => new Flat(80, 60, fn (int $x, int $y): array => [255, 200, 120, (int) round(255 * max(0, 1 - hypot($x - 40, $y - 30) / 55))]),
        // a photograph of light whose black is not black, and which ends all around
        'leak' => new Flat(100, 80, fn (int $x, int $y): array => [30 + 2 * $x, 30 + $x, 30]),
    ];
}

/** @param  list<array<string, mixed>>  $strips */
function nightScene(array $strips, array $more = [], string $ground = 'night'): Scene
{
    foreach ($strips as $at => $strip) {
        $strips[$at] = ['id' => "l{$at}", ...$strip];
    }

    return Scene::read(['aumbrel' => 2, 'title' => 'Test', 'size' => [320, 200], ...$more, 'strips' => [Rendering::plate($ground, ['id' => 'ground', 'name' => 'Ground']), ...$strips]], Registry::kinds());
}

/** @return array<string, Reading> by id */
function readOf(Scene $scene): array
{
    return Noticed::in($scene, darkPictures());
}

it('notices in the picture what is wrong with a light, and its mend ends it', function (array $strips, string $id, string $says, float $least, float $most, array $more = [], string $ground = 'night'): void {
    $scene = nightScene($strips, $more, $ground);
    $reading = readOf($scene)[$id] ?? null;
    expect($reading)->not->toBeNull()->and($reading->seen)->toContain($says)->and($reading->number)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
    expect($reading->mends[0]->strip)->not->toBeNull();
    expect(readOf(Noticed::mended($scene, $reading)))->not->toHaveKey($id);
})->with([
    // a dark heart within a halo of its own colour
    'heart' => [[['kind' => 'glow', 'name' => 'Porthole', 'values' => ['centre' => [160, 100], 'size' => 60, 'shells' => [['part' => 'body', 'radius' => 0, 'level' => 1, 'mode' => 'multiply', 'colour' => ['swatch' => '#401808']], ['part' => 'halo', 'radius' => 24, 'level' => 0]]]]], 'heart l0', 'brighter than its heart', 5, 100],
    'pieces' => [[['kind' => 'glow', 'values' => ['from' => 'what is drawn', 'shells' => [['part' => 'core', 'radius' => 6, 'level' => 0.5], ['part' => 'body', 'radius' => 0]]], 'masks' => [
        ['id' => 'a', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [['at' => [40, 40]], ['at' => [90, 40]], ['at' => [90, 90]], ['at' => [40, 90]]]]],
        ['id' => 'b', 'kind' => 'outline', 'on' => 'emitter', 'join' => 'add', 'values' => ['path' => [['at' => [200, 60]], ['at' => [208, 60]], ['at' => [208, 120]], ['at' => [200, 120]]]]],
        ['id' => 'c', 'kind' => 'outline', 'on' => 'emitter', 'join' => 'add', 'values' => ['path' => [['at' => [240, 60]], ['at' => [250, 60]], ['at' => [250, 120]], ['at' => [240, 120]]]]],
    ]]], 'pieces l0', '2 of its 3 pieces', 2, 2],
    'edge' => [[['kind' => 'leak', 'values' => ['texture' => 'a picture', 'picture' => 'leak', 'colours' => 'its own', 'middle' => [180, 100], 'width' => 150, 'height' => 120]]], 'edge l0', 'straight edge', 20, 255],
    // dark by 30 of 255 at the least; over black nothing of that is lost
    'veil' => [[['kind' => 'leak', 'values' => ['texture' => 'a picture', 'picture' => 'leak', 'colours' => 'its own', 'middle' => [160, 100], 'width' => 340, 'height' => 240]]], 'veil l0', 'lifts the whole picture', 28, 45, [], 'black'],
    'unseen' => [[['kind' => 'spot', 'mode' => 'illuminate', 'level' => -6, 'values' => ['origin' => [300, 20], 'target' => [250, 60], 'reach' => 60, 'beam' => 20, 'field' => 30]]], 'unseen l0', 'changes nothing', 0, 1],
    'cut off' => [[Rendering::plate('cut', ['name' => 'Painted glow', 'values' => ['place' => [120, 60]]])], 'cut off l0', 'cut off by the border', 20, 100],
]);

it('notices without the picture what lights disagree about', function (array $strips, string $id, string $says, float $least, float $most, array $more = []): void {
    $scene = nightScene($strips, $more);
    $reading = readOf($scene)[$id] ?? null;
    expect($reading)->not->toBeNull()->and($reading->seen)->toContain($says)->and($reading->number)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
    expect(readOf(Noticed::mended($scene, $reading)))->not->toHaveKey($id);
})->with([
    'away' => [[Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [120, 50]]]), ['kind' => 'rim', 'values' => ['of' => 'figure', 'azimuth' => 180, 'elevation' => 0, 'width' => 6]]], 'away l1', 'away from every light', 120, 180,
        ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'values' => ['place' => [310, 90], 'depth' => 0]]]]],
    'own colour' => [[['kind' => 'glow', 'source' => 'lamp', 'values' => ['centre' => [100, 80], 'colour' => ['swatch' => '#3060ff']]]], 'colour l0', 'has another colour', 15, 60,
        ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'values' => ['place' => [100, 80], 'colour' => ['kelvin' => 2700]]]]]],
    'beside its source' => [[['kind' => 'spot', 'values' => ['origin' => [100, 20], 'target' => [160, 150], 'colour' => ['swatch' => '#60a0ff']]]], 'colour l0', 'comes from where Lamp stands', 15, 60,
        ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'values' => ['place' => [100, 20], 'colour' => ['kelvin' => 2700]]]]]],
    'grey in overlay' => [[['kind' => 'fill', 'mode' => 'overlay', 'values' => ['colour' => '#7f7f7f']]], 'neutral l0', 'is neutral in overlay', 126, 131],
    'black in screen' => [[['kind' => 'fill', 'mode' => 'screen', 'values' => ['colour' => '#000000']]], 'neutral l0', 'is neutral in screen', 0, 3],
    'white in multiply' => [[['kind' => 'fill', 'mode' => 'multiply', 'values' => ['colour' => '#ffffff']]], 'neutral l0', 'is neutral in multiply', 253, 256],
]);

it('has nothing to say of lights that are right', function (): void {
    $lamp = ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'values' => ['place' => [100, 60], 'colour' => ['kelvin' => 2700]]]]];
    $scene = nightScene([
        Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [150, 50]]]),
        ['kind' => 'glow', 'source' => 'lamp', 'values' => ['centre' => [100, 60], 'size' => 20, 'takesColour' => true, 'takesPlace' => true]],
        ['kind' => 'rim', 'source' => 'lamp', 'level' => 2, 'values' => ['of' => 'figure', 'width' => 6]],
        ['kind' => 'beam', 'values' => ['origin' => [250, 10], 'target' => [240, 190], 'colour' => ['kelvin' => 2700]]],
        ['kind' => 'halo', 'values' => ['of' => 'figure', 'spread' => 12]],
        ['kind' => 'fill', 'mode' => 'overlay', 'values' => ['colour' => '#60687f']],
    ], $lamp);
    expect(array_keys(array_filter(readOf($scene), fn (Reading $reading): bool => ! $reading->isHint)))->toBe([]);
});

it('shows a picture in greys of its luma, and where it clips', function (): void {
    $ground = new Flat(4, 1, fn (int $x): array => [[0, 0, 0], [200, 100, 50], [255, 255, 255], [255, 0, 0]][$x]);
    $scene = Rendering::scene(4, 1, [Rendering::plate('a'), ['kind' => 'wash', 'mode' => 'illuminate', 'level' => 1, 'values' => ['colour' => ['swatch' => '#ffffff']], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [2.9, 0], 'to' => [3.1, 0], 'stops' => [['offset' => 0, 'value' => 0], ['offset' => 1, 'value' => 1]]]]]]]);
    $pixels = fn (Shown $as): array => array_chunk(array_values(unpack('C*', Rendering::renderer(['a' => $ground])->picture($scene, Window::whole(4, 1), as: $as)->bytes)), 4);
    $values = $pixels(Shown::Values);
    foreach ($pixels(Shown::Colours) as $at => [$r, $g, $b]) {
        $luma = 0.2126 * $r + 0.7152 * $g + 0.0722 * $b;
        expect($values[$at][0])->toEqualWithDelta($luma, 0.6)->and($values[$at][1])->toBe($values[$at][0])->and($values[$at][2])->toBe($values[$at][0]);
    }
    $clipping = $pixels(Shown::Clipping);
    // black is marked cool; what is merely white is grey; what is above white is marked warm
    expect($clipping[0][2])->toBeGreaterThan($clipping[0][0] + 80)->and($clipping[1][0])->toBe($clipping[1][2])->and($clipping[2][0])->toBe($clipping[2][2])->and($clipping[3][0])->toBeGreaterThan($clipping[3][2] + 80);
});
