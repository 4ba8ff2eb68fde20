<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Support\PictureFile;

/* Named variants of a scene. */

/** @return array{string, array<string, mixed>} a dark wall with a spot and a painted light */
function litWall(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => PictureFile::drawn('wall.png', 120, 80, fn (int $x, int $y): array => [60, 60, 60, 1.0])])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    test()->postJson("{$url}/gestures/add-strip", ['kind' => 'spot', 'centre' => [60, 40], 'span' => 60])->assertOk();
    $state = test()->postJson("{$url}/gestures/add-strip", ['kind' => 'paint', 'centre' => [60, 40], 'span' => 60])->assertOk()->json();
    $paint = $state['strips'][2];
    $stroke = ['size' => 20, 'points' => [[20, 20, 1, 0], [90, 60, 1, 200]]];
    $state = test()->postJson("{$url}/gestures/change-strip", ['strip' => $paint['id'], 'revision' => $paint['revision'], 'masks' => [$paint['masks'][0]['id'] => ['stroke' => $stroke]]])->assertOk()->json();

    return [$url, $state];
}

/** The mean of a picture's bytes. */
function meanOf(string $url, array $more = []): float
{
    $frames = test()->postJson("{$url}/picture", ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 120, 80], 'scale' => 1, ...$more])->assertOk()->getContent();
    $pixels = array_values((array) unpack('C*', substr($frames, -4 * 120 * 80)));

    return array_sum($pixels) / count($pixels);
}

it('keeps the scene as it is under a name, shows it, and goes back to it in one step', function (): void {
    [$url, $state] = litWall();
    $kept = $this->postJson("{$url}/snapshots", ['name' => 'Bright'])->assertCreated()->json();
    expect($kept['snapshots'])->toHaveCount(1)->and($kept['snapshots'][0]['name'])->toBe('Bright')->and($kept['revision'])->toBe($state['revision']);
    [$bright, $id] = [meanOf($url), $kept['snapshots'][0]['id']];
    $spot = $state['strips'][1];
    $this->postJson("{$url}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $spot['revision'], 'level' => -4])->assertOk();
    $dim = meanOf($url);
    expect($dim)->toBeLessThan($bright - 1)->and(meanOf($url, ['number' => 2, 'snapshot' => $id]))->toEqualWithDelta($bright, 1e-9);
    $back = $this->postJson("{$url}/gestures/take-snapshot", ['snapshot' => $id])->assertOk()->json();
    expect($back['strips'][1]['level'])->toEqual($spot['level'])->and($back['undo'])->toBe('Go to a snapshot')->and(meanOf($url, ['number' => 3]))->toEqualWithDelta($bright, 1e-9)
        ->and($this->postJson("{$url}/undo")->json('strips.1.level'))->toEqual(-4);
    // going to where one is changes nothing
    $this->postJson("{$url}/redo");
    expect($this->postJson("{$url}/gestures/take-snapshot", ['snapshot' => $id])->assertOk()->json('revision'))->toBe($this->getJson($url)->json('revision'));
});

it('makes one from another, names it, throws it away and brings it back', function (): void {
    [$url] = litWall();
    $first = $this->postJson("{$url}/snapshots", ['name' => 'Dusk'])->json('snapshots.0.id');
    $made = $this->postJson("{$url}/snapshots", ['name' => 'Dusk, colder', 'of' => $first])->assertCreated()->json('snapshots');
    expect(array_column($made, 'name'))->toBe(['Dusk', 'Dusk, colder'])->and($made[1]['id'])->not->toBe($first)
        ->and($this->patchJson("{$url}/snapshots/{$first}", ['name' => 'Evening'])->assertOk()->json('snapshots.0.name'))->toBe('Evening');
    expect($this->deleteJson("{$url}/snapshots/{$first}")->assertOk()->json('snapshots'))->toHaveCount(1);
    $this->postJson("{$url}/gestures/take-snapshot", ['snapshot' => $first])->assertStatus(422)->assertSee('not there any more');
    $this->postJson("{$url}/picture", ['view' => 'v', 'number' => 9, 'draft' => false, 'window' => [0, 0, 120, 80], 'scale' => 1, 'snapshot' => $first])->assertStatus(422);
    expect($this->postJson("{$url}/snapshots/{$first}/restore")->assertOk()->json('snapshots'))->toHaveCount(2);
    $this->postJson("{$url}/snapshots", ['name' => ''])->assertStatus(422);
});

it('lies in the scene file with its strokes, comes back with it, and costs a draft nothing', function (): void {
    [$url, $state] = litWall();
    $this->postJson("{$url}/snapshots", ['name' => 'Painted'])->assertCreated();
    $paint = $state['strips'][2];
    $this->postJson("{$url}/gestures/remove-strip", ['strip' => $paint['id'], 'revision' => $paint['revision']])->assertOk();
    $file = $this->getJson("{$url}/file")->json();
    expect($file['snapshots'][0]['name'])->toBe('Painted')->and($file['snapshots'][0]['strips'][2]['masks'][0]['values']['strokes'][0]['points'])->toHaveCount(2)->and($file['strips'])->toHaveCount(2);
    $zip = $this->get("{$url}/packed")->assertOk()->baseResponse->getFile();
    $again = $this->postJson('/api/scenes', ['file' => PictureFile::of('scene.zip', (string) file_get_contents($zip->getPathname()))])->assertCreated()->json();
    $there = "/api/scenes/{$again['id']}";
    expect($this->getJson("{$there}/file")->json('snapshots'))->toEqual($file['snapshots'])
        ->and(meanOf($there, ['snapshot' => $again['snapshots'][0]['id']]))->toEqualWithDelta(meanOf($url, ['snapshot' => $file['snapshots'][0]['id']]), 1e-9);
    // what only a snapshot names is not swept
    $strokes = DB::table('strokes')->count();
    DB::table('edits')->delete();
    $this->artisan('aumbrel:sweep')->assertExitCode(0);
    expect(DB::table('strokes')->count())->toBe($strokes);
});

it('refuses snapshots that are no scenes', function (mixed $snapshots, string $says): void {
    $document = ['aumbrel' => 2, 'title' => 'T', 'size' => [40, 30], 'strips' => [], 'snapshots' => $snapshots];
    $this->postJson('/api/scenes', ['file' => PictureFile::of('scene.json', json_encode($document))])->assertStatus(422)->assertSee($says);
})->with([
    'a strip of no kind' => [[['id' => 'a', 'name' => 'A', 'strips' => [['id' => 's', 'kind' => 'laser']]]], 'snapshots[0].strips[0].kind'],
    'twice the same id' => [[['id' => 'a'], ['id' => 'a']], 'Two snapshots have the id'],
    'no id' => [[['name' => 'A']], 'snapshots[0].id'],
    'a picture that is missing' => [[['id' => 'a', 'strips' => [['id' => 's', 'kind' => 'plate', 'values' => ['picture' => 'gone.png']]]]], 'gone.png'],
]);
