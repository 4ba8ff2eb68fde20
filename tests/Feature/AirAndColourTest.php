<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Tests\Support\PictureFile;

uses(RefreshDatabase::class);

/** A picture of greys about a middle. */
function greys(int $width, int $height, Closure $grey): UploadedFile
{
    $image = imagecreatetruecolor($width, $height);
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $v = max(0, min(255, (int) $grey($x, $y)));
            imagesetpixel($image, $x, $y, $v << 16 | $v << 8 | $v);
        }
    }
    ob_start();
    imagepng($image);

    return PictureFile::of('greys.png', (string) ob_get_clean());
}

/** A scene of a grainy ground with a smooth subject over it; its address, and the ids of both. */
function airyScene(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => greys(260, 220, static fn (int $x, int $y): int => 110 + crc32("{$x} {$y}") % 41)])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    $strips = test()->postJson("{$url}/plates", ['file' => greys(100, 100, static fn (int $x, int $y): int => 140 + ($x + $y) % 2), 'at' => [130, 110]])->assertSuccessful()->json('strips');

    return [$url, $strips[0]['id'], $strips[1]['id']];
}

function gesture(string $url, string $name, array $asked): Illuminate\Testing\TestResponse
{
    return test()->postJson("{$url}/gestures/{$name}", $asked);
}

it('brings a plate to its neighbours, and its neighbours to it, each in one step', function (): void {
    $scene = litScene();
    $figure = $scene['strips'][1];
    $as = gestured($scene, 'as-neighbours', ['strip' => $figure['id'], 'revision' => $figure['revision']]);
    $match = array_values(array_filter($as['strips'], static fn (array $strip): bool => $strip['kind'] === 'match'));
    expect($match)->toHaveCount(1)->and($match[0])->toMatchArray(['confinedTo' => $figure['id'], 'name' => "Colours of {$figure['name']}"])->and($match[0]['values']['toward'])->toBe('what lies around')
        // over the plate
        ->and(array_search($match[0]['id'], array_column($as['strips'], 'id'), true))->toBeGreaterThan(array_search($figure['id'], array_column($as['strips'], 'id'), true));
    expect(test()->postJson("/api/scenes/{$scene['id']}/undo", [])->json('strips'))->toHaveCount(count($scene['strips']));
    $like = gestured($scene, 'neighbours-like', ['strip' => $figure['id'], 'revision' => $figure['revision']]);
    $match = array_values(array_filter($like['strips'], static fn (array $strip): bool => $strip['kind'] === 'match'));
    expect($match[0]['values'])->toMatchArray(['toward' => 'a plate', 'like' => $figure['id']])
        ->and(array_search($match[0]['id'], array_column($like['strips'], 'id'), true))->toBeLessThan(array_search($figure['id'], array_column($like['strips'], 'id'), true));
    test()->postJson("/api/scenes/{$scene['id']}/gestures/neighbours-like", ['strip' => $match[0]['id'], 'revision' => $match[0]['revision']])->assertStatus(422);
});

it('brings the rest along a light: a group of ordinary strips under it, in one step', function (): void {
    [$url] = airyScene();
    $strips = gesture($url, 'add-strip', ['kind' => 'spot', 'centre' => [100, 80], 'span' => 200])->assertOk()->json('strips');
    $light = $strips[count($strips) - 1];
    gesture($url, 'change-strip', ['strip' => $light['id'], 'revision' => $light['revision'], 'values' => ['colour' => ['swatch' => '#ff8030']]])->assertOk();
    $after = gesture($url, 'bring-along', ['strip' => $light['id']])->assertOk()->json('strips');
    $at = array_search($light['id'], array_column($after, 'id'), true);
    $group = $after[$at - 1];
    expect($group['kind'])->toBe('group')->and($group['name'])->toContain('Rest along')->and(array_column($group['strips'], 'kind'))->toBe(['curve', 'warmth'])
        // a dull sky is a mid tone: it comes along too
        ->and($group['strips'][1]['values'])->toMatchArray(['colour' => ['swatch' => '#ff8030'], 'mids' => 100]);
    $undone = test()->postJson("{$url}/undo")->assertSuccessful()->json('strips') ?? test()->getJson($url)->json('strips');
    expect(array_column($undone, 'kind'))->not->toContain('group');
});

it('brings nothing along a plate', function (): void {
    [$url, $ground] = airyScene();
    gesture($url, 'bring-along', ['strip' => $ground])->assertStatus(422)->assertJsonFragment(['message' => 'The rest is brought along toward a light: choose one.']);
});

it('confines what is meant for a plate to the chosen one', function (): void {
    [$url, , $subject] = airyScene();
    foreach (['match' => $subject, 'grain' => $subject, 'curve' => null] as $kind => $to) {
        $strips = gesture($url, 'add-strip', ['kind' => $kind, 'centre' => [100, 80], 'span' => 200, 'above' => $subject])->assertOk()->json('strips');
        expect(array_column($strips, null, 'kind')[$kind]['confinedTo'] ?? null)->toBe($to);
    }
});

it('gives a plate the grain of what lies around it, once', function (): void {
    [$url, , $subject] = airyScene();
    $strips = gesture($url, 'grain-alike', ['strip' => $subject])->assertOk()->json('strips');
    $grain = array_column($strips, null, 'kind')['grain'];
    // even numbers from 0 to 40 deviate by 11.8 of 255
    expect($grain['confinedTo'])->toBe($subject)->and($grain['values']['coarse'])->toBeLessThan(0.3)->and($grain['values']['strength'] / 1000)->toEqualWithDelta(11.8 / 255, 0.006);
    // the number is said where it can be taken back
    expect(test()->getJson($url)->json('undo'))->toMatch('/^Grain as its neighbours: 1[12]\.\d of 255$/');
    expect(gesture($url, 'grain-alike', ['strip' => $subject])->assertStatus(422)->json('message'))->toContain('as grainy');
});

it('answers scopes and the values under the pointer, and refuses what is no place', function (): void {
    [$url, $ground] = airyScene();
    $found = test()->postJson("{$url}/scopes", ['strip' => null, 'view' => 'v', 'number' => 1, 'window' => [0, 0, 260, 220]])->assertOk()->json('found');
    expect(array_sum($found['luma']))->toBeGreaterThan(20_000)->and($found['brightest'])->toHaveCount(3);
    expect(test()->postJson("{$url}/scopes", ['strip' => $ground, 'view' => 'v', 'number' => 2, 'window' => [0, 0, 260, 220]])->assertOk()->json('found.clipped'))->toBeLessThan(0.01);
    $values = test()->postJson("{$url}/values", ['at' => [130, 110], 'width' => 5, 'view' => 'v', 'number' => 3])->assertOk()->json('found');
    expect($values['after'][0])->toEqualWithDelta(140.5 / 255, 0.01)->and($values['before'])->toEqualWithDelta($values['after'], 1e-6);
    test()->postJson("{$url}/values", ['at' => ['x', 1], 'view' => 'v', 'number' => 4])->assertStatus(422);
    test()->postJson("{$url}/scopes", ['view' => 'v', 'number' => 5, 'window' => [0, 0, -4, 220]])->assertStatus(422);
    test()->postJson("{$url}/scopes", ['strip' => 'nobody', 'view' => 'v', 'number' => 6, 'window' => [0, 0, 260, 220]])->assertStatus(422);
});

it('makes a grade a part of its plate: held with it where that was, one over the other', function (): void {
    [$url, $ground, $subject] = airyScene();
    $ids = [];
    foreach (['curve', 'tint'] as $kind) {
        $strips = gesture($url, 'add-strip', ['kind' => $kind, 'centre' => [100, 80], 'span' => 200])->assertOk()->json('strips');
        $strip = array_column($strips, null, 'kind')[$kind];
        gesture($url, 'part-of-plate', ['strip' => $strip['id']])->assertStatus(422);
        gesture($url, 'change-strip', ['strip' => $strip['id'], 'revision' => $strip['revision'], 'confinedTo' => $subject])->assertOk();
        $ids[] = $strip['id'];
    }
    foreach ($ids as $id) {
        $strips = gesture($url, 'part-of-plate', ['strip' => $id])->assertOk()->json('strips');
    }
    expect(array_column($strips, 'kind'))->toBe(['plate', 'group'])->and($strips[0]['id'])->toBe($ground)->and($strips[1]['closed'])->toBeTrue()
        ->and(array_column($strips[1]['strips'], 'id'))->toBe([$subject, ...$ids]);
    foreach ([1, 2] as $_) {
        test()->postJson("{$url}/undo")->assertSuccessful();
    }
    expect(array_column(test()->getJson($url)->json('strips'), 'kind'))->toBe(['plate', 'plate', 'curve', 'tint']);
});

it('adds a strip as a mend of what was seen in the picture, in one step', function (): void {
    [$url] = airyScene();
    $image = imagecreatetruecolor(90, 90);
    imagealphablending($image, false);
    imagesavealpha($image, true);
    for ($y = 0; $y < 90; $y++) {
        for ($x = 0; $x < 90; $x++) {
            imagesetpixel($image, $x, $y, (hypot($x - 44.5, $y - 44.5) < 40 ? 0 : 127 << 24) | 120 + intdiv($x, 10) << 16 | 128 << 8 | 130);
        }
    }
    ob_start();
    imagepng($image);
    $strips = test()->postJson("{$url}/plates", ['file' => PictureFile::of('disc.png', (string) ob_get_clean()), 'at' => [60, 60]])->assertSuccessful()->json('strips');
    $disc = $strips[2];
    $readings = array_column(test()->postJson("{$url}/readings")->assertOk()->json('readings'), null, 'id');
    $reading = $readings["grain {$disc['id']}"];
    expect($reading['hint'])->toBeFalse()->and($reading['mends'][0]['label'])->toStartWith('Grain as its neighbours');
    $mended = gesture($url, 'mend', ['reading' => $reading['id'], 'mend' => 'grain'])->assertOk()->json('strips');
    expect($mended)->toHaveCount(4)->and($mended[3])->toMatchArray(['kind' => 'grain', 'name' => "Grain of {$disc['name']}", 'confinedTo' => $disc['id']]);
    expect(array_column(test()->postJson("{$url}/readings")->assertOk()->json('readings'), 'id'))->not->toContain("grain {$disc['id']}");
    expect(test()->postJson("{$url}/undo")->assertSuccessful()->json('strips') ?? test()->getJson($url)->json('strips'))->toHaveCount(3);
});
