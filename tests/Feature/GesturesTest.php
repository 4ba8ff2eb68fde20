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

it('gives a new rim the plate that is chosen, or the one that the chosen strip is confined to', function (): void {
    $rim = static fn (?string $above): ?string => collect(Gestured::onto(turningScene(), 'add-strip', ['kind' => 'rim', 'centre' => [200, 150], 'span' => 300, 'above' => $above])->strips)->last()['values']['of'];
    expect($rim('plate'))->toBe('plate')->and($rim(null))->toBeNull()->and($rim('spot'))->toBeNull();
});
