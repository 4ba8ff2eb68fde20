<?php

declare(strict_types=1);

use App\Gestures\Gesture;
use App\Scenes\FlatScene;
use Illuminate\Support\Str;
use Tests\Support\Gestured;

/** @return list<string> the names of all gestures, from their files */
function gestureNames(): array
{
    $names = array_map(static fn (string $file): string => Str::kebab(basename($file, '.php')), glob(app_path('Gestures/*.php')) ?: []);

    return array_values(array_filter($names, static fn (string $name): bool => Gesture::named($name) !== null));
}

it('finds every gesture by its name, and none by a name that is no gesture', function (): void {
    expect(count(gestureNames()))->toBeGreaterThan(12)->and(gestureNames())->toContain('add-strip', 'change-strip', 'mend', 'estimate-bearing');
    $scene = aScene();
    foreach (['gesture', 'of-strip', 'asked', 'placed', 'addstrip', 'nothing-at-all'] as $none) {
        $this->postJson("/api/scenes/{$scene['id']}/gestures/{$none}", ['strip' => 'x'])->assertNotFound();
    }
    $this->postJson("/api/scenes/{$scene['id']}/gestures/..%2Fmend")->assertNotFound();
    $this->getJson("/api/scenes/{$scene['id']}/gestures/mend")->assertStatus(405);
});

it('says what is missing of each gesture', function (string $name): void {
    $scene = aScene();
    $reply = $this->postJson("/api/scenes/{$scene['id']}/gestures/{$name}", []);
    // a scene may be changed by nothing
    expect($reply->getStatusCode())->toBe($name === 'change-scene' ? 200 : 422);
})->with(fn (): array => array_map(static fn (string $file): string => Str::kebab(basename($file, '.php')), array_filter(
    glob(dirname(__DIR__, 2).'/app/Gestures/*.php') ?: [],
    static fn (string $file): bool => ! in_array(basename($file), ['Gesture.php', 'Asked.php', 'OfStrip.php', 'Placed.php'], true),
)));

/** @return FlatScene a plate that is turned and mirrored, a spot and a rim on it */
function turningScene(): FlatScene
{
    return FlatScene::fromDocument(['aumbrel' => 1, 'title' => 'T', 'size' => [400, 300], 'strips' => [
        ['id' => 'ground', 'kind' => 'plate', 'values' => ['picture' => 'g']],
        ['id' => 'plate', 'kind' => 'plate', 'values' => ['picture' => 'p', 'turn' => 30, 'mirrored' => true]],
        ['id' => 'spot', 'kind' => 'spot', 'values' => ['origin' => [300, 50], 'target' => [260, 60]]],
        ['id' => 'rim', 'kind' => 'rim', 'values' => ['of' => 'plate']],
        ['id' => 'fill', 'kind' => 'fill'],
    ]])->normalised();
}

it('turns lights and plates as the core says', function (): void {
    $turn = static fn (string $strip, float $azimuth, float $elevation): array => Gestured::onto(turningScene(), 'change-strip', ['strip' => $strip, 'turn' => ['azimuth' => $azimuth, 'elevation' => $elevation]])->strips[$strip]['values'];
    // the spot is seen from where it aims, 41.2 px away; its origin goes straight above
    $spot = $turn('spot', 90, 12);
    expect($spot['origin'])->toEqual([260.0, round(60 - hypot(40, 10), 1)])->and($spot['elevation'])->toEqual(12.0)->and($spot['target'])->toEqual([260.0, 60.0]);
    expect($turn('rim', -150, -40))->toMatchArray(['azimuth' => -150.0, 'elevation' => -40.0, 'of' => 'plate']);
    // seen at 50 on a plate that is turned by 30 and mirrored: 180 - (50 - 30)
    expect($turn('plate', 50, 20)['bearing'])->toMatchArray(['by' => 'sphere', 'azimuth' => 160.0, 'elevation' => 20.0]);
    expect(fn () => $turn('fill', 10, 10))->toThrow(Aumbrel\Core\Fault\SceneError::class, 'comes from nowhere that could be turned');
});

it('turns in a draft what it turns when it is written', function (): void {
    $scene = addSpot(aScene());
    $spot = $scene['strips'][1];
    $turn = ['azimuth' => 120, 'elevation' => 30];
    $head = framesOf($this->postJson("/api/scenes/{$scene['id']}/picture", [
        'view' => 'v', 'number' => 1, 'draft' => true, 'window' => [0, 0, 64, 40], 'scale' => 1, 'changes' => [$spot['id'] => ['turn' => $turn]],
    ])->assertOk()->getContent())[0]['head'];
    $written = $this->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $spot['revision'], 'turn' => $turn])->assertOk()->json();
    expect($head['outlines'][$spot['id']]['beam'])->toEqual($written['strips'][1]['outlines']['beam'])->and($written['strips'][1]['values']['elevation'])->toEqual(30);
    foreach ([['azimuth' => 400, 'elevation' => 0], ['azimuth' => 10], ['azimuth' => 'up', 'elevation' => 0]] as $odd) {
        $this->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $written['strips'][1]['revision'], 'turn' => $odd])->assertStatus(422);
    }
});

it('gives a new rim the plate that is chosen, or the one that it comes to lie over', function (): void {
    $rim = static fn (?string $above): ?string => collect(Gestured::onto(turningScene(), 'add-strip', ['kind' => 'rim', 'centre' => [200, 150], 'span' => 300, 'above' => $above])->strips)->last()['values']['of'];
    expect($rim('plate'))->toBe('plate')->and($rim(null))->toBe('plate')->and($rim('spot'))->toBe('plate')->and($rim('ground'))->toBe('ground');
});

it('lays a new pattern on the wall that was marked last, a haze along its line and off the darks, and lets a glow shine from the one plate that there is', function (): void {
    $added = static fn (array $document, array $asked): array => collect(Gestured::onto(FlatScene::fromDocument($document)->normalised(), 'add-strip', ['centre' => [200, 150], 'span' => 300, ...$asked])->strips)->last();
    $plain = ['aumbrel' => 2, 'title' => 'T', 'size' => [400, 300], 'strips' => [['id' => 'ground', 'kind' => 'plate', 'values' => ['picture' => 'g']]]];
    $wall = static fn (string $id, int $left): array => ['id' => $id, 'name' => $id, 'corners' => [[$left, 40], [$left + 100, 50], [$left + 100, 200], [$left, 210]]];
    $pattern = $added([...$plain, 'stage' => ['walls' => [$wall('first', 20), $wall('last', 200)]]], ['kind' => 'pattern']);
    expect($pattern['values'])->toMatchArray(['surface' => 'last', 'corners' => null, 'middle' => [250.0, 125.0], 'width' => 80.0, 'height' => 136.0]);
    expect($added($plain, ['kind' => 'pattern'])['values']['surface'] ?? null)->toBeNull();
    $haze = $added($plain, ['kind' => 'haze', 'line' => [[10, 20], [30, 250]]]);
    expect($haze['values'])->toMatchArray(['from' => [10.0, 20.0], 'to' => [30.0, 250.0]])->and($haze['tones']['of'])->toBe('below')->and($haze['tones']['darks'][1])->toBeGreaterThan(0.1);
    expect($added($plain, ['kind' => 'glow'])['values']['of'])->toBe('ground')->and($added($plain, ['kind' => 'sun'])['values']['behind'])->toBeNull();
});

/** @return FlatScene two lights of different looks, one of them with all kinds of falloff, and a plate */
function alikeScene(): FlatScene
{
    return FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'T', 'size' => [400, 300], 'strips' => [
        ['id' => 'ground', 'kind' => 'plate', 'values' => ['picture' => 'g']],
        ['id' => 'plate', 'kind' => 'plate', 'values' => ['picture' => 'p', 'place' => [100, 80], 'turn' => 30, 'pivot' => [5, 6], 'scale' => 2]],
        ['id' => 'spot', 'kind' => 'spot', 'level' => 2, 'mode' => 'screen', 'values' => ['origin' => [300, 50], 'target' => [260, 60], 'beam' => 31, 'field' => 50, 'colour' => ['swatch' => '#ff8800']], 'masks' => [
            ['id' => 'l', 'kind' => 'linear', 'values' => ['from' => [10, 20], 'to' => [30, 40]]],
            ['id' => 'r', 'kind' => 'radial', 'values' => ['centre' => [50, 60], 'turn' => 25]],
            ['id' => 'o', 'kind' => 'outline', 'values' => ['path' => [['at' => [0, 0], 'out' => [5, 1]], ['at' => [90, 10]], ['at' => [40, 70]]]]],
            ['id' => 's', 'kind' => 'strokes', 'values' => ['strokes' => [['size' => 10, 'points' => [[20, 30], [60, 35, 0.5, 40]]]]]],
        ]],
        ['id' => 'rim', 'kind' => 'rim', 'level' => 1, 'values' => ['of' => 'plate', 'azimuth' => 20, 'elevation' => -30]],
        ['id' => 'pool', 'kind' => 'spot-onto', 'values' => ['lamp' => [50, 60], 'target' => [70, 80], 'cuts' => [['from' => [0, 100], 'to' => [200, 110], 'softness' => 4]]]],
    ]])->normalised();
}

it('mirrors a strip with its falloff about the picture, a plate or a line, and twice is as it was', function (): void {
    $mirrored = static fn (FlatScene $scene, string $strip, array $about = []): FlatScene => Gestured::onto($scene, 'mirror-strip', ['strip' => $strip, ...$about])->normalised();
    $spot = $mirrored(alikeScene(), 'spot')->strips['spot'];
    expect($spot['values']['origin'])->toEqual([100, 50])->and($spot['values']['target'])->toEqual([140, 60]);
    [$linear, $radial, $outline, $strokes] = $spot['masks'];
    expect($linear['values']['from'])->toEqual([390, 20])->and($radial['values'])->toMatchArray(['centre' => [350.0, 60.0], 'turn' => 155.0])->and($outline['values']['path'][0])->toEqual(['at' => [400.0, 0.0], 'out' => [-5.0, 1.0]])
        ->and($strokes['values']['strokes'][0]['points'])->toEqual([[380, 30, 1, 0], [340, 35, 0.5, 40]]);
    // about a level line: what came from the upper right comes from the lower right
    expect($mirrored(alikeScene(), 'rim', ['line' => [[0, 100], [50, 100]]])->strips['rim']['values']['azimuth'])->toEqual(-20.0)->and($mirrored(alikeScene(), 'rim')->strips['rim']['values']['azimuth'])->toEqual(160.0);
    // what an edge keeps is on the other side of the mirror, and so is what it went toward
    expect($mirrored(alikeScene(), 'pool', ['line' => [[200, 0], [200, 9]]])->strips['pool']['values']['cuts'][0])->toEqual(['from' => [200.0, 110.0], 'to' => [400.0, 100.0], 'softness' => 4.0]);
    $plate = $mirrored(alikeScene(), 'plate')->strips['plate']['values'];
    expect($plate['place'])->toEqual([300, 80])->and($plate['turn'])->toEqual(-30.0)->and($plate['mirrored'])->toBeTrue()->and($plate['pivot'])->toEqual([5, 6]);
    foreach (['spot', 'rim', 'pool', 'plate'] as $strip) {
        foreach ([[], ['line' => [[10, 20], [130, 90]]]] as $about) {
            expect($mirrored($mirrored(alikeScene(), $strip, $about), $strip, $about)->strips[$strip])->toEqualWithDelta(alikeScene()->strips[$strip], 1e-4, "{$strip} ".json_encode($about));
        }
    }
});

it('takes the whole look of another strip, and leaves it where it is', function (): void {
    $taken = static fn (string $strip, string $from): array => Gestured::onto(alikeScene(), 'take-look', ['strip' => $strip, 'from' => $from])->normalised()->strips[$strip];
    expect($taken('pool', 'spot'))->toMatchArray(['level' => 2.0, 'mode' => 'screen'])->and($taken('pool', 'spot')['values'])->toMatchArray(['beam' => 31.0, 'field' => 50.0, 'colour' => ['swatch' => '#ff8800'], 'lamp' => [50.0, 60.0]]);
    expect($taken('plate', 'ground')['values'])->toMatchArray(['picture' => 'p', 'place' => [100.0, 80.0], 'scale' => 2.0])->and($taken('rim', 'spot')['values'])->toMatchArray(['of' => 'plate', 'azimuth' => 20.0]);
    expect(fn () => $taken('rim', 'none'))->toThrow(Aumbrel\Core\Fault\SceneError::class, 'no strip');
});

it('puts a new light on the plate that is chosen, and aims at it; over the backdrop it goes by the view', function (): void {
    $scene = aScene();
    $scene = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => Tests\Support\PictureFile::png(12, 12), 'x' => 46, 'y' => 26])->assertCreated()->json();
    [$ground, $heron] = array_column($scene['strips'], 'id');
    $spot = fn (?string $above): array => gestured($scene, 'add-strip', ['kind' => 'spot', 'centre' => [20, 20], 'span' => 40, 'above' => $above]);
    $at = static fn (array $scene, string $kind): array => array_values(array_filter($scene['strips'], static fn (array $strip): bool => $strip['kind'] === $kind))[0]['values'];
    $aimed = $at($spot($heron), 'spot');
    expect($aimed['target'])->toBe([46, 26])->and($aimed['origin'][1])->toBeLessThan(20)->and(hypot($aimed['origin'][0] - 46, $aimed['origin'][1] - 26))->toBeLessThan(20);
    $scene = $this->postJson("/api/scenes/{$scene['id']}/undo")->json();
    $free = $at($spot($ground), 'spot');
    expect($free['target'][0])->toBeLessThan(24);
    $scene = $this->postJson("/api/scenes/{$scene['id']}/undo")->json();
    $glow = $at(gestured($scene, 'add-strip', ['kind' => 'glow', 'centre' => [20, 20], 'span' => 40, 'above' => $heron]), 'glow');
    expect($glow['centre'])->toBe([46, 26]);
});

it('lays a new gradient beside the handles of its light', function (): void {
    $scene = addSpot(aScene());
    $spot = $scene['strips'][1];
    $own = [$spot['values']['origin'], $spot['values']['target']];
    foreach (['linear' => ['from', 'to'], 'radial' => ['centre']] as $kind => $names) {
        // right on one of them
        $scene = gestured($scene, 'add-mask', ['strip' => $spot['id'], 'kind' => $kind, 'centre' => $own[1], 'span' => 40]);
        $mask = end($scene['strips'][1]['masks'])['values'];
        foreach ($names as $name) {
            foreach ($own as [$x, $y]) {
                expect(hypot($mask[$name][0] - $x, $mask[$name][1] - $y))->toBeGreaterThan(3.1, "{$kind} {$name}");
            }
        }
    }
});
