<?php

declare(strict_types=1);

use Tests\Support\PictureFile;

/** A scene of a backdrop with an orange place around (48, 12), and a figure that is cut out; the floor is marked. */
function litScene(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => PictureFile::drawn('backdrop', 96, 64, static fn (int $x, int $y): array => hypot($x - 48, $y - 12) < 6 ? [240, 150, 60, 1.0] : [60, 62, 70, 1.0])])->assertCreated()->json();
    $scene = test()->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::drawn('figure', 20, 30, static fn (int $x, int $y): array => [120, 110, 100, $x >= 4 && $x < 16 && $y >= 2 && $y < 28 ? 1.0 : 0.0]), 'x' => 60, 'y' => 40])->assertSuccessful()->json();

    return gestured($scene, 'change-strip', ['strip' => 'scene:stage', 'revision' => $scene['stageRevision'], 'values' => ['floor' => ['horizon' => 20, 'contact' => [[0, 54], [96, 54]]]]]);
}

/** @param  array<string, mixed>  $fields */
function gestured(array $scene, string $gesture, array $fields): array
{
    $reply = test()->postJson("/api/scenes/{$scene['id']}/gestures/{$gesture}", $fields);
    expect($reply->getStatusCode())->toBe(200, (string) $reply->json('message'));

    return $reply->json();
}

function withLamp(array $scene): array
{
    return gestured($scene, 'place-source', ['kind' => 'lamp', 'at' => [48, 12], 'id' => 'lamp']);
}

/** @return string the picture at rest, as bytes */
function pictureNow(array $scene, array $more = []): string
{
    return unframed(look($scene, ['window' => [0, 0, 96, 64], ...$more])->assertOk()->getContent())['pixels'];
}

it('gives a source that is placed where nothing shines the colour of its kind', function (): void {
    $scene = gestured(litScene(), 'place-source', ['kind' => 'lamp', 'at' => [8, 8], 'id' => 'out']);
    expect($scene['sources'][0]['values']['colour'])->toEqual(['kelvin' => 2800]);
    // a bright place is no sun yet: linear 240 150 60 is 0.87 at most
    $scene = gestured(litScene(), 'place-source', ['kind' => 'sun', 'at' => [48, 12], 'id' => 'sun']);
    expect($scene['sources'][0]['values']['colour'])->toHaveKey('kelvin');
});

it('places a lamp with the colour that is seen there, and takes it back', function (): void {
    $scene = withLamp(litScene());
    // the mean of the patch, brought to its full strength: linear 240 150 60 divided by its largest
    $linear = array_map(static fn (int $byte): float => Aumbrel\Core\Color\Srgb::decode($byte / 255), [240, 150, 60]);
    $expected = array_map(static fn (float $value): int => (int) round(255 * Aumbrel\Core\Color\Srgb::encode($value / max($linear))), $linear);
    expect(sscanf($scene['sources'][0]['values']['colour']['swatch'], '#%02x%02x%02x'))->toEqualWithDelta($expected, 1)
        ->and($scene['sources'][0]['values']['place'])->toEqual([48, 12])->and($scene['sources'][0]['seenAt'])->toEqual([48, 12]);
    $undone = test()->postJson("/api/scenes/{$scene['id']}/undo", [])->assertOk()->json();
    expect($undone['sources'])->toBe([])->and(test()->postJson("/api/scenes/{$scene['id']}/redo", [])->assertOk()->json()['sources'])->toEqual($scene['sources']);
});

it('hangs a new light on the only source, lets it go unchanged, and leaves it where it was when the source goes', function (): void {
    $scene = withLamp(litScene());
    $scene = gestured($scene, 'add-strip', ['kind' => 'spot', 'centre' => [48, 32], 'span' => 64, 'line' => [[10, 10], [60, 50]]]);
    $spot = $scene['strips'][2];
    expect($spot['source'])->toBe('lamp')->and($spot['inForce']['origin'])->toEqual([48, 12])->and($spot['values']['target'])->toEqual([60, 50]);
    $before = pictureNow($scene);
    $scene = gestured($scene, 'change-strip', ['strip' => 'source:lamp', 'revision' => $scene['stageRevision'], 'level' => 0.5]);
    $lit = pictureNow($scene);
    expect($lit)->not->toBe($before);
    $free = gestured($scene, 'let-go', ['strip' => $spot['id'], 'revision' => $spot['revision']]);
    expect($free['strips'][2])->not->toHaveKey('source')->and($free['strips'][2]['values']['origin'])->toEqual([48, 12])->and($free['strips'][2]['level'])->toBe(0.5)->and(pictureNow($free) === $lit)->toBeTrue();
    test()->postJson("/api/scenes/{$scene['id']}/undo", [])->assertOk();
    $gone = gestured($scene, 'remove-source', ['source' => 'lamp']);
    expect($gone['sources'])->toBe([])->and($gone['strips'][2])->not->toHaveKey('source')->and(pictureNow($gone) === $lit)->toBeTrue();
});

it('shows in a draft what it writes, and says what hangs there', function (): void {
    $scene = gestured(withLamp(litScene()), 'add-strip', ['kind' => 'rim', 'centre' => [48, 32], 'span' => 64, 'above' => null]);
    $rim = $scene['strips'][2];
    $scene = gestured($scene, 'change-strip', ['strip' => $rim['id'], 'revision' => $rim['revision'], 'values' => ['of' => $scene['strips'][1]['id']]]);
    foreach ([['at' => [20, 8]], ['values' => ['depth' => -30]], ['level' => -1], ['turn' => ['azimuth' => 30, 'elevation' => 20]], ['muted' => true]] as $change) {
        $reply = look($scene, ['window' => [0, 0, 96, 64], 'draft' => true, 'changes' => ['source:lamp' => $change], 'below' => 'source:lamp'])->assertOk()->getContent();
        $scene = gestured($scene, 'change-strip', ['strip' => 'source:lamp', 'revision' => $scene['stageRevision'], ...$change]);
        expect(unframed($reply)['pixels'] === pictureNow($scene))->toBeTrue(json_encode($change));
        $told = json_decode(json_encode(framesOf($reply)[0]['head']['inForce'][$rim['id']]), true);
        expect($told)->toEqual($scene['strips'][2]['inForce']);
    }
});

it('goes by what was seen of the stage', function (): void {
    $scene = withLamp(litScene());
    gestured($scene, 'change-strip', ['strip' => 'source:lamp', 'revision' => $scene['stageRevision'], 'level' => 1]);
    test()->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => 'source:lamp', 'revision' => $scene['stageRevision'], 'level' => 2])->assertStatus(409);
    test()->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => 'scene:ambient', 'revision' => $scene['stageRevision'], 'level' => 2])->assertStatus(409);
    expect(test()->getJson("/api/scenes/{$scene['id']}")->json()['sources'][0]['level'])->toEqual(1);
});

it('refuses what cannot be, in a sentence, and loses nothing', function (string $gesture, array $fields, string $words): void {
    $scene = withLamp(litScene());
    $reply = test()->postJson("/api/scenes/{$scene['id']}/gestures/{$gesture}", ['revision' => $scene['stageRevision'], ...$fields])->assertStatus(422)->json();
    expect($reply['message'])->toContain($words);
    $after = test()->getJson("/api/scenes/{$scene['id']}")->json();
    expect([$after['sources'], $after['stage'], $after['ambient'], $after['revision']])->toEqual([$scene['sources'], $scene['stage'], $scene['ambient'], $scene['revision']]);
})->with([
    'a floor above its horizon' => ['change-strip', ['strip' => 'scene:stage', 'values' => ['floor' => ['horizon' => 60, 'contact' => [[0, 54], [96, 54]]]]], 'below its horizon'],
    'corners that fold over' => ['change-strip', ['strip' => 'scene:stage', 'values' => ['walls' => [['id' => 'w', 'corners' => [[0, 0], [50, 50], [50, 0], [0, 50]]]]]], 'without a dent'],
    'feet above the horizon' => ['change-strip', ['strip' => 'scene:stage', 'values' => ['walls' => [['id' => 'w', 'foot' => [[0, 10], [50, 40]], 'height' => 20]]]], 'below the horizon'],
    'a source that is not there' => ['change-strip', ['strip' => 'source:none', 'level' => 1], 'no "source:none"'],
    'a level without end' => ['change-strip', ['strip' => 'source:lamp', 'level' => 60], 'stops'],
    'an ambient of a colour that is none' => ['change-strip', ['strip' => 'scene:ambient', 'values' => ['colour' => ['kelvin' => -3]]], 'kelvin'],
    'a kind of source that there is not' => ['place-source', ['kind' => 'torch', 'at' => [5, 5]], 'lamp, sun'],
    'a source hung on itself' => ['change-strip', ['strip' => 'source:lamp', 'values' => ['source' => 'lamp', 'depth' => 'near']], 'depth'],
    'nothing of what belongs to it' => ['take-consequence', ['source' => 'lamp', 'ticked' => ['pool on the moon']], 'othing of that'],
]);

it('offers what belongs to a lamp with small pictures, and takes what is ticked as a group', function (): void {
    $scene = withLamp(litScene());
    $frames = framesOf(test()->postJson("/api/scenes/{$scene['id']}/sources/lamp/consequence")->assertOk()->getContent());
    $proposals = collect($frames)->pluck('head')->firstWhere('proposals', '!==', null)['proposals'];
    $figure = $scene['strips'][1]['id'];
    expect(array_column($proposals, 'key'))->toBe(['room', 'cast', 'pool floor', 'close pool floor', "rim {$figure}", "key {$figure}", 'beam', 'glow'])->and(array_column($proposals, 'ticked'))->toBe([true, true, true, false, true, false, false, false]);
    $head = collect($frames)->pluck('head')->first(static fn (array $head): bool => isset($head['strips']));
    expect($head['strips'])->toBe(array_column($proposals, 'strip'));
    // on the revision that was looked through nothing is written
    expect(test()->getJson("/api/scenes/{$scene['id']}")->json()['revision'])->toBe($scene['revision']);
    $before = pictureNow($scene);
    $taken = gestured($scene, 'take-consequence', ['source' => 'lamp', 'ticked' => ['room', 'pool floor', "rim {$figure}"]]);
    $group = $taken['strips'][2];
    expect($group['name'])->toBe('Light of Lamp')->and(array_column($group['strips'], 'kind'))->toBe(['base', 'spot-onto', 'rim'])->and($group['strips'][1]['source'])->toBe('lamp')->and($group['strips'][1]['confinedTo'])->toBe($scene['strips'][0]['id'])
        ->and($group['strips'][0])->not->toHaveKey('source');
    // the pool is seen under the lamp, the figure is rimmed, and one step takes all of it back
    expect(pictureNow($taken) === $before)->toBeFalse();
    expect(test()->postJson("/api/scenes/{$scene['id']}/undo", [])->assertOk()->json()['strips'])->toHaveCount(2);
});

it('lets a plate walk in space, and marks its feet', function (): void {
    $scene = litScene();
    [, $figure] = $scene['strips'];
    expect($figure['stance'])->toBe('stands')->and($figure['standsOn'])->toHaveCount(1);
    [$x, $y] = $figure['standsOn'][0];
    $scene = gestured($scene, 'change-strip', ['strip' => $figure['id'], 'revision' => $figure['revision'], 'walk' => [5, 10]]);
    $walked = $scene['strips'][1];
    expect($walked['standsOn'][0])->toEqualWithDelta([$x + 5, $y + 10], 0.1)->and($walked['values']['scale'])->toEqualWithDelta(($y + 10 - 20) / ($y - 20), 1e-6);
    $scene = gestured($scene, 'change-strip', ['strip' => $figure['id'], 'revision' => $walked['revision'], 'values' => ['stance' => 'free']]);
    expect($scene['strips'][1]['stance'])->toBe('free');
});

it('adds two gels that share one line over the chosen plate, paints that line, and lets one stand on its own', function (): void {
    $scene = litScene();
    $figure = $scene['strips'][1]['id'];
    $scene = gestured($scene, 'add-pair', ['kind' => 'wash', 'centre' => [48, 32], 'span' => 64, 'above' => $figure]);
    [, , $one, $other] = $scene['strips'];
    expect($one['confinedTo'])->toBe($figure)->and($other)->toMatchArray(['complements' => $one['id'], 'confinedTo' => $figure, 'mode' => 'hard light', 'masks' => []])
        // upright through the middle of what is there of the plate
        ->and(($one['masks'][0]['values']['from'][0] + $one['masks'][0]['values']['to'][0]) / 2)->toEqualWithDelta(60.0, 0.6);
    // one stroke lies in both masks of the line; a second one goes where the first went
    foreach ([true, false] as $letsIn) {
        $scene = gestured($scene, 'paint-line', ['strip' => $one['id'], 'revision' => $scene['strips'][2]['revision'], 'stroke' => ['size' => 8, 'letsIn' => $letsIn, 'points' => [[55, 40, 1, 0], [65, 42, 1, 30]]]]);
    }
    $masks = $scene['strips'][2]['masks'];
    expect(array_column($masks, 'join'))->toBe(['intersect', 'add', 'intersect'])->and($masks[1]['values']['strokes'])->toHaveCount(2)->and($masks[2]['values']['strokes'])->toBe($masks[1]['values']['strokes'])->and($masks[2]['values']['start'])->toBe('shown');
    $before = pictureNow($scene);
    $own = gestured($scene, 'change-strip', ['strip' => $other['id'], 'revision' => $scene['strips'][3]['revision'], 'complements' => null]);
    expect($own['strips'][3]['masks'])->toHaveCount(3)->and($own['strips'][3])->not->toHaveKey('complements')->and(pictureNow($own) === $before)->toBeTrue();
    test()->postJson("/api/scenes/{$scene['id']}/undo", [])->assertOk();
    $left = gestured($scene, 'remove-strip', ['strip' => $one['id'], 'revision' => $scene['strips'][2]['revision']]);
    expect($left['strips'][2]['masks'])->toHaveCount(3)->and($left['strips'][2])->not->toHaveKey('complements');
    test()->postJson("/api/scenes/{$scene['id']}/gestures/add-pair", ['kind' => 'rim', 'centre' => [48, 32], 'span' => 64])->assertStatus(422);
});

it('adds two ramps that darken sky and ground, each to the horizon', function (): void {
    $lit = litScene();
    $scene = gestured($lit, 'add-pair', ['kind' => 'fill', 'centre' => [48, 32], 'span' => 64]);
    [$sky, $ground] = array_values(array_filter($scene['strips'], static fn (array $strip): bool => $strip['kind'] === 'fill'));
    [$middle, $height] = [$scene['width'] / 2, $scene['height']];
    expect([$sky['name'], $ground['name']])->toBe(['Sky', 'Ground'])
        ->and($sky['values'])->toMatchArray(['filled' => 'a linear ramp', 'from' => [$middle, 0], 'to' => [$middle, 20]])
        ->and($ground['values'])->toMatchArray(['filled' => 'a linear ramp', 'from' => [$middle, $height], 'to' => [$middle, 20]])
        ->and($sky['masks'])->toBe([])->and($ground['complements'] ?? null)->toBeNull()
        ->and($scene['undo'])->toBe('Add Sky and ground');
    // one step takes both away
    expect(test()->postJson("/api/scenes/{$scene['id']}/undo", [])->json('strips'))->toHaveCount(count($lit['strips']));
});

it('picks the colour of a dark place too: it need not shine', function (): void {
    $scene = litScene();
    expect(test()->postJson("/api/scenes/{$scene['id']}/colour", ['at' => [8, 8]])->assertOk()->json('swatch'))->toStartWith('#');
});
