<?php

declare(strict_types=1);

use Tests\Support\PictureFile;

/* Rigs, from the routes on: kept, used, copied, as files, and over pictures. */

/** A wall with a disc on it, and a look of three strips: its shadow under the disc, a rim, and a leak of a picture. */
function marketStall(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => PictureFile::drawn('stall.png', 300, 200, fn (int $x, int $y): array => [60 + intdiv($x, 4), 60, 90, 1.0])])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    $disc = test()->postJson("{$url}/plates", ['file' => PictureFile::drawn('disc.png', 80, 80, fn (int $x, int $y): array => [130, 120, 90, hypot($x - 39.5, $y - 39.5) < 36 ? 1.0 : 0.0]), 'x' => 200, 'y' => 120])->assertCreated()->json('strips.1.id');
    $texture = test()->postJson("{$url}/pictures", ['file' => PictureFile::drawn('streaks.png', 40, 30, fn (int $x, int $y): array => [6 * $x, 0, 0, 1.0])])->assertCreated()->json('name');
    $add = fn (array $asked): array => test()->postJson("{$url}/gestures/add-strip", ['centre' => [200, 120], 'span' => 100, ...$asked])->assertOk()->json();
    $add(['kind' => 'rim', 'above' => $disc]);
    $state = $add(['kind' => 'leak']);
    $leak = collect($state['strips'])->firstWhere('kind', 'leak');
    $state = test()->postJson("{$url}/gestures/change-strip", ['strip' => $leak['id'], 'revision' => $leak['revision'], 'values' => ['texture' => 'a picture', 'picture' => $texture]])->assertOk()->json();

    return [$url, $state, collect($state['strips'])->firstWhere('kind', 'rim')['id'], $leak['id'], $disc];
}

/** Another wall, with a plate of another name. */
function ferryHut(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => PictureFile::drawn('hut.png', 150, 100, fn (int $x, int $y): array => [70, 60, 50, 1.0])])->assertCreated()->json();
    $state = test()->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::drawn('urn.png', 40, 40, fn (int $x, int $y): array => [90, 90, 90, $x > 5 && $x < 35 ? 1.0 : 0.0]), 'x' => 60, 'y' => 50])->assertCreated()->json();

    return ["/api/scenes/{$scene['id']}", $state];
}

it('keeps strips with their pictures, and uses them on another scene as one step', function (): void {
    [$url, , $rim, $leak, $disc] = marketStall();
    $kept = $this->postJson("{$url}/rigs", ['strips' => [$rim, $leak], 'plate' => $disc, 'name' => ' Warm edge '])->assertCreated()->json();
    expect($kept['strips'])->toBe(2)->and($kept['rigs'])->toHaveCount(1)->and($kept['rigs'][0])->toMatchArray(['name' => 'Warm edge', 'strips' => 2, 'subject' => 'Disc', 'pictures' => 1]);
    $id = $kept['rigs'][0]['id'];
    [$other, $state] = ferryHut();
    $used = $this->postJson("{$other}/gestures/use-rig", ['rig' => $id, 'plate' => $state['strips'][1]['id']])->assertOk()->json();
    $kinds = array_column($used['strips'], 'kind');
    expect($kinds)->toBe(['plate', 'plate', 'rim', 'leak'])->and($used['strips'][2]['values']['of'])->toBe($state['strips'][1]['id'])->and($used['undo'])->toBe('Use a rig')
        ->and($used['strips'][3]['values']['picture'])->toBe('streaks.png')->and((array) $used['pictures'])->toHaveKey('streaks.png');
    // lengths by the short side: 200 px to 100
    $width = collect($this->getJson($url)->json('strips'))->firstWhere('id', $rim)['values']['width'];
    expect($used['strips'][2]['values']['width'])->toEqualWithDelta($width / 2, 1e-3);
    expect($this->postJson("{$other}/undo")->assertOk()->json('strips'))->toHaveCount(2);
    // twice has other ids and names
    $this->postJson("{$other}/redo");
    $twice = $this->postJson("{$other}/gestures/use-rig", ['rig' => $id, 'plate' => $state['strips'][1]['id']])->assertOk()->json('strips');
    expect($twice)->toHaveCount(6)->and(array_unique(array_column($twice, 'id')))->toHaveCount(6)->and(array_unique(array_column($twice, 'name')))->toHaveCount(6);
});

it('copies strips in one scene and puts them into another', function (): void {
    [$other, $state] = ferryHut();
    $this->postJson("{$other}/gestures/use-rig", ['rig' => 'copied'])->assertStatus(422)->assertSee('No strips were copied yet');
    [$url, , $rim, $leak] = marketStall();
    $this->postJson("{$url}/rigs", ['strips' => [$rim]])->assertCreated()->assertJsonPath('rigs', []);
    $this->postJson("{$url}/rigs", ['strips' => [$leak]])->assertCreated()->assertJsonPath('strips', 1);
    expect(array_column($this->postJson("{$other}/gestures/use-rig", ['rig' => 'copied'])->assertOk()->json('strips'), 'kind'))->toBe(['plate', 'plate', 'leak']);
    // a rim of the disc, where there is no disc
    $this->postJson("{$url}/rigs", ['strips' => [$rim]])->assertCreated();
    $this->postJson("{$other}/gestures/use-rig", ['rig' => 'copied'])->assertStatus(422)->assertSee('This rig needs a plate called Disc, and there is none in this scene.');
    // in its own scene it finds its plate
    expect(array_column($this->postJson("{$url}/gestures/use-rig", ['rig' => 'copied'])->assertOk()->json('strips'), 'kind'))->toBe(['plate', 'plate', 'rim', 'leak', 'rim']);
});

it('goes out as a file and comes in again, with its pictures or without', function (): void {
    [$url, , $rim, $leak, $disc] = marketStall();
    $id = $this->postJson("{$url}/rigs", ['strips' => [$leak], 'name' => 'Streaks'])->json('rigs.0.id');
    $this->postJson("{$url}/rigs", ['strips' => [$rim], 'plate' => $disc, 'name' => 'Edge'])->assertCreated();
    $edge = collect($this->getJson('/api/rigs')->json('rigs'))->firstWhere('name', 'Edge')['id'];
    $json = $this->get("/api/rigs/{$edge}/file")->assertOk()->assertHeader('Content-Type', 'application/json')->getContent();
    $zip = file_get_contents($this->get("/api/rigs/{$id}/file")->assertOk()->baseResponse->getFile()->getPathname());
    expect($json)->toStartWith("{\n    \"aumbrelRig\": 1")->and($zip)->toStartWith("PK\x03\x04");
    // a name that is there already
    $this->postJson('/api/rigs', ['file' => PictureFile::of('edge.rig.json', $json)])->assertStatus(422)->assertSee('There is a rig called');
    foreach ([$id, $edge] as $gone) {
        $this->deleteJson("/api/rigs/{$gone}")->assertOk();
    }
    $this->postJson('/api/rigs', ['file' => PictureFile::of('edge.rig.json', $json)])->assertCreated();
    $back = $this->postJson('/api/rigs', ['file' => PictureFile::of('streaks.rig.zip', $zip)])->assertCreated()->json('rigs');
    expect(array_column($back, 'name'))->toBe(['Streaks', 'Edge'])->and($back[0]['pictures'])->toBe(1);
    [$other] = ferryHut();
    expect($this->postJson("{$other}/gestures/use-rig", ['rig' => $back[0]['id']])->assertOk()->json('strips.2.values.picture'))->toBe('streaks.png');
    $this->getJson("/api/rigs/{$id}/file")->assertStatus(422)->assertSee('not on the shelf any more');
});

it('refuses what is no rig, and takes nothing of it', function (string $name, string|Closure $bytes, string $says): void {
    $this->postJson('/api/rigs', ['file' => PictureFile::of($name, is_string($bytes) ? $bytes : $bytes())])->assertStatus(422)->assertSee($says);
    expect($this->getJson('/api/rigs')->json('rigs'))->toBe([]);
})->with([
    'words' => ['a.rig.json', 'hello', 'This is no JSON'],
    'a scene' => ['a.rig.json', '{"aumbrel": 2}', 'no rig that Aumbrel knows'],
    'a strip of no kind' => ['a.rig.json', '{"aumbrelRig": 1, "strips": [{"id": "a", "kind": "laser"}]}', 'kind'],
    'a ZIP without one' => ['a.rig.zip', function (): string {
        $zip = new ZipArchive;
        $zip->open($file = tempnam(sys_get_temp_dir(), 'rig'), ZipArchive::OVERWRITE);
        $zip->addFromString('scene.json', '{}');
        $zip->close();

        return (string) file_get_contents($file);
    }, 'holds no rig.json'],
]);

it('is used over a picture, which becomes a scene and an export; what needs a plate leaves nothing behind', function (): void {
    [$url, , $rim, $leak, $disc] = marketStall();
    $id = $this->postJson("{$url}/rigs", ['strips' => [$leak], 'name' => 'Streaks'])->json('rigs.0.id');
    $batch = str_pad('1', 26, '0');
    $before = $this->getJson('/api/scenes')->json('scenes');
    $made = $this->postJson("/api/rigs/{$id}/over", ['batch' => $batch, 'format' => 'jpeg', 'file' => PictureFile::png(120, 90)])->assertCreated()->json();
    expect(array_column($this->getJson("/api/scenes/{$made['scene']}")->json('strips'), 'kind'))->toBe(['plate', 'leak']);
    $exports = $this->getJson("/api/exports?batch={$batch}")->assertOk()->json('exports');
    expect($exports)->toHaveCount(1)->and($exports[0])->toMatchArray(['id' => $made['export'], 'scene' => $made['scene'], 'name' => 'marsh-at-dusk.jpg', 'state' => 'done', 'batch' => $batch]);
    $edge = collect($this->postJson("{$url}/rigs", ['strips' => [$rim], 'plate' => $disc, 'name' => 'Edge'])->json('rigs'))->firstWhere('name', 'Edge')['id'];
    $this->postJson("/api/rigs/{$edge}/over", ['batch' => $batch, 'format' => 'jpeg', 'file' => PictureFile::png(120, 90)])->assertStatus(422)->assertSee('choose the plate');
    expect($this->getJson('/api/scenes')->json('scenes'))->toHaveCount(count($before) + 1)->and($this->getJson('/api/scenes')->json('deleted'))->toBe([]);
});
