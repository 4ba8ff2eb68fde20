<?php

declare(strict_types=1);

use App\Models\Scene;
use Aumbrel\Core\Registry;
use Illuminate\Http\UploadedFile;
use Tests\Support\PictureFile;

it('makes a scene of a picture, with the picture as its backdrop', function (): void {
    $scene = aScene();
    expect($scene['width'])->toBe(64)->and($scene['height'])->toBe(40)->and($scene['strips'])->toHaveCount(1)
        ->and($scene['strips'][0]['kind'])->toBe('plate')->and($scene['title'])->toBe('Marsh at dusk')->and($scene['undo'])->toBeNull();
    $this->getJson('/api/scenes')->assertOk()->assertJsonPath('scenes.0.id', $scene['id']);
    $thumbnail = $this->get("/api/scenes/{$scene['id']}/thumbnail")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
    expect(array_slice(getimagesizefromstring($thumbnail), 0, 3))->toBe([64, 40, IMAGETYPE_JPEG]);
});

it('keeps a small picture of each scene, shows the last one at once, and renders only what has changed', function (): void {
    $scene = aScene();
    $small = fn (string $more = ''): Illuminate\Testing\TestResponse => $this->get("/api/scenes/{$scene['id']}/thumbnail{$more}");
    $files = fn (): array => glob(config('aumbrel.kept')."/{$scene['id']}-*") ?: [];
    $small('?kept=1')->assertNotFound();
    expect($files())->toBe([]);
    $first = $small()->assertOk()->getContent();
    expect($small('?kept=1')->assertOk()->getContent())->toBe($first)->and($files())->toHaveCount(1);
    // as it is kept: nobody renders it again
    file_put_contents($files()[0], 'as kept');
    expect($small()->getContent())->toBe('as kept');
    change($scene, 0, ['values' => ['exposure' => -2]])->assertOk();
    expect($small('?kept=1')->getContent())->toBe('as kept');
    $darker = $small()->assertOk()->getContent();
    expect($darker)->not->toBe($first)->and($small('?kept=1')->getContent())->toBe($darker)->and($files())->toHaveCount(1);
    // where nothing can be kept it is shown all the same
    config(['aumbrel.kept' => '/dev/null/nowhere']);
    app()->forgetInstance(App\Scenes\KeptPictures::class);
    expect($small()->assertOk()->getContent())->toBe($darker);
});

it('says which plates are seen at a place, the foremost first; what is clear or muted is not seen', function (): void {
    $scene = aScene();
    $add = fn (array $place) => $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::png(20, 20, true), ...$place])->assertCreated()->json();
    $add(['x' => 20, 'y' => 20]);
    $scene = $add(['x' => 24, 'y' => 20]);
    [$ground, $back, $front] = array_column($scene['strips'], 'id');
    $at = fn (float $x, float $y): array => $this->postJson("/api/scenes/{$scene['id']}/plates-at", ['x' => $x, 'y' => $y])->assertOk()->json('plates');
    // their left halves are clear: the one behind is there from 20 on, the other one from 24 on
    expect($at(12, 20))->toBe([$ground])->and($at(22, 20))->toBe([$back, $ground])->and($at(28, 20))->toBe([$front, $back, $ground])->and($at(32, 20))->toBe([$front, $ground])
        ->and($at(-3, 20))->toBe([])->and($at(63.9, 39.9))->toBe([$ground])->and($at(64, 40))->toBe([]);
    change($scene, 2, ['muted' => true])->assertOk();
    expect($at(28, 20))->toBe([$back, $ground]);
    $this->postJson("/api/scenes/{$scene['id']}/plates-at", ['x' => 'NaN', 'y' => 1])->assertStatus(422);
});

it('locks the backdrop of a new scene, and nothing that is made of it', function (): void {
    $scene = aScene();
    expect($scene['strips'][0]['locked'])->toBeTrue();
    $scene = gestured($scene, 'duplicate', ['strip' => $scene['strips'][0]['id'], 'revision' => $scene['strips'][0]['revision']]);
    expect($scene['strips'][1])->not->toHaveKey('locked');
    $scene = change($scene, 0, ['locked' => false])->assertOk()->json();
    expect($scene['strips'][0])->not->toHaveKey('locked');
    $scene = $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk()->json();
    expect($scene['strips'][0]['locked'])->toBeTrue();
    change($scene, 0, ['locked' => 'perhaps'])->assertStatus(422);
});

it('takes JPEG too, upright', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::turnedJpeg(64, 40)])->assertCreated()->json();
    expect([$scene['width'], $scene['height']])->toBe([40, 64]);
});

it('refuses what is no picture in a sentence, and stores nothing', function (UploadedFile $file, string $says): void {
    $this->postJson('/api/scenes', ['file' => $file])->assertStatus(422)->assertJsonPath('field', 'file');
    expect($this->postJson('/api/scenes', ['file' => $file])->json('message'))->toContain($says);
    expect(Scene::query()->count())->toBe(0)->and(App\Models\Picture::query()->count())->toBe(0)
        ->and(glob(config('aumbrel.pictures').'/*.*') ?: [])->toBe([]);
})->with([
    'a text file by another name' => [fn () => PictureFile::of('notes.png', "not a picture at all\n"), 'is not a picture in PNG, JPEG'],
    'no bytes' => [fn () => PictureFile::of('empty.png', ''), 'empty'],
    'a JPEG that ends too early' => [fn () => PictureFile::cutJpeg(), 'cut off'],
    'a PNG that ends too early' => [fn () => PictureFile::cutPng(), 'cut off'],
    'a header of 30,000 x 30,000' => [fn () => PictureFile::hugeHeader(), 'at most 100 megapixels'],
    'a picture wider than the imaging library takes' => [fn () => PictureFile::wide(), 'imaging library accepts'],
    'a PNG with rubbish for pixels' => [fn () => PictureFile::rubbishPixels(), 'damaged'],
    'a PNG of rubbish' => [fn () => PictureFile::of('rubbish.png', "\x89PNG\r\n\x1a\n".str_repeat('x', 400).'IEND'), 'damaged'],
]);

it('says that no file came', function (): void {
    $this->postJson('/api/scenes')->assertStatus(422)->assertJsonPath('field', 'file');
});

it('adds a spot where one looks, above the chosen strip', function (): void {
    $scene = addSpot(aScene());
    expect($scene['strips'][1]['values']['origin'])->toBe([37, 5])->and($scene['strips'][1]['mode'])->toBe('airlight')
        ->and($scene['strips'][1]['outlines'])->toHaveKeys(['beam', 'field'])->and($scene['undo'])->toBe('Add spot');
    $scene = addSpot($scene, ['above' => $scene['strips'][0]['id']]);
    expect(array_column($scene['strips'], 'name'))->toBe(['Backdrop', 'Spot 2', 'Spot']);
});

it('writes a gesture as one edit that can be undone and done again', function (): void {
    $scene = addSpot(aScene());
    $scene = change($scene, 1, ['level' => 1.5, 'values' => ['target' => [10, 30]], 'label' => 'Target'])->assertOk()->json();
    expect($scene['strips'][1]['level'])->toBe(1.5)->and($scene['undo'])->toBe('Target');
    $back = $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk()->json();
    expect($back['strips'][1]['level'])->toBe(0)->and($back['redo'])->toBe('Target')->and($back['undo'])->toBe('Add spot');
    $gone = $this->postJson("/api/scenes/{$scene['id']}/undo")->json();
    expect($gone['strips'])->toHaveCount(1);
    $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk()->assertJsonPath('undo', null);
    $this->postJson("/api/scenes/{$scene['id']}/redo");
    $again = $this->postJson("/api/scenes/{$scene['id']}/redo")->json();
    expect($again['strips'][1]['values']['target'])->toBe([10, 30])->and($again['redo'])->toBeNull();
});

it('keeps the history when something new is done after an undo', function (): void {
    $scene = addSpot(aScene());
    $scene = change($scene, 1, ['level' => 1])->json();
    $scene = $this->postJson("/api/scenes/{$scene['id']}/undo")->json();
    $scene = change($scene, 1, ['level' => -1])->json();
    expect($scene['redo'])->toBeNull()->and($scene['strips'][1]['level'])->toBe(-1);
    expect($this->postJson("/api/scenes/{$scene['id']}/undo")->json('strips.1.level'))->toBe(0);
});

it('tells the second of two tabs that the strip has changed, and loses nothing', function (): void {
    $scene = addSpot(aScene());
    change($scene, 1, ['level' => 2])->assertOk();
    change($scene, 1, ['level' => -3])->assertStatus(409)->assertJsonPath('strip', $scene['strips'][1]['id']);
    expect($this->getJson("/api/scenes/{$scene['id']}")->json('strips.1.level'))->toBe(2);
});

it('checks every field with its range', function (array $change, string $field): void {
    $scene = addSpot(aScene());
    $reply = change($scene, 1, $change)->assertStatus(422);
    expect($reply->json('field') ?? array_key_first($reply->json('errors')))->toContain($field);
    expect($this->getJson("/api/scenes/{$scene['id']}")->json('strips.1'))->toEqual($scene['strips'][1]);
})->with([
    [['level' => 7], 'level'], [['level' => 'loud'], 'level'], [['mode' => 'glue'], 'mode'], [['name' => ''], 'name'],
    [['values' => ['beam' => 0]], 'beam'], [['values' => ['origin' => [1, 'x']]], 'origin'], [['values' => ['colour' => ['kelvin' => 90000]]], 'kelvin'],
    [['values' => ['reach' => -4]], 'reach'], [['values' => ['target' => [1e9, 0]]], 'target'], [['confinedTo' => 'nothing'], 'strips'], [['muted' => 'yes'], 'muted'],
    [['masks' => ['zzz' => ['inverted' => true]]], 'mask'],
]);

it('gives a strip masks that stay editable', function (): void {
    $scene = addSpot(aScene());
    $spot = $scene['strips'][1];
    $scene = $this->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", ['strip' => $spot['id'], 'kind' => 'linear', 'centre' => [32, 20], 'span' => 40])->assertOk()->json();
    $mask = $scene['strips'][1]['masks'][0];
    $scene = change($scene, 1, ['masks' => [$mask['id'] => ['inverted' => true, 'values' => ['to' => [5, 6]]]]])->assertOk()->json();
    expect($scene['strips'][1]['masks'][0])->toMatchArray(['inverted' => true, 'kind' => 'linear'])->and($scene['strips'][1]['masks'][0]['values']['to'])->toBe([5, 6])
        ->and($scene['strips'][1]['masks'][0]['values']['from'])->toBe($mask['values']['from']);
    $this->postJson("/api/scenes/{$scene['id']}/gestures/remove-mask", ['strip' => $spot['id'], 'mask' => $mask['id'], 'revision' => $scene['strips'][1]['revision']])->assertOk()->assertJsonPath('strips.1.masks', []);
    expect($this->postJson("/api/scenes/{$scene['id']}/undo")->json('strips.1.masks.0.inverted'))->toBeTrue();
});

it('reorders, duplicates and deletes', function (): void {
    $scene = addSpot(aScene());
    $this->postJson("/api/scenes/{$scene['id']}/gestures/reorder", ['strips' => array_reverse(array_column($scene['strips'], 'id'))])->assertOk()->assertJsonPath('strips.0.kind', 'spot');
    $this->postJson("/api/scenes/{$scene['id']}/gestures/reorder", ['strips' => ['x']])->assertStatus(422);
    $scene = $this->postJson("/api/scenes/{$scene['id']}/undo")->json();
    $scene = $this->postJson("/api/scenes/{$scene['id']}/gestures/duplicate", ['strip' => $scene['strips'][1]['id']])->assertOk()->json();
    expect(array_column($scene['strips'], 'name'))->toBe(['Backdrop', 'Spot', 'Spot 2']);
    $this->postJson("/api/scenes/{$scene['id']}/gestures/remove-strip", ['strip' => $scene['strips'][2]['id'], 'revision' => $scene['strips'][2]['revision']])->assertOk()->assertJsonCount(2, 'strips');
    expect($this->postJson("/api/scenes/{$scene['id']}/undo")->json('strips'))->toHaveCount(3);
});

it('adds a plate with transparency, no larger than the scene', function (): void {
    $scene = aScene();
    $scene = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::png(200, 100, true), 'x' => 30, 'y' => 20])->assertCreated()->json();
    expect($scene['strips'][1]['values'])->toMatchArray(['place' => [30, 20], 'pivot' => [100, 50], 'scale' => 0.256])->and($scene['pictures'][$scene['strips'][1]['values']['picture']]['opaque'])->toBeFalse();
    $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::of('x.png', 'x')])->assertStatus(422);
});

it('frees what was confined to a plate that is deleted', function (): void {
    $scene = addSpot(aScene());
    $scene = change($scene, 1, ['confinedTo' => $scene['strips'][0]['id']])->assertOk()->json();
    expect($scene['strips'][1]['confinedTo'])->toBe($scene['strips'][0]['id']);
    $scene = $this->postJson("/api/scenes/{$scene['id']}/gestures/remove-strip", ['strip' => $scene['strips'][0]['id'], 'revision' => $scene['strips'][0]['revision']])->assertOk()->json();
    expect($scene['strips'][0])->not->toHaveKey('confinedTo');
});

it('deletes a scene and brings it back', function (): void {
    $scene = aScene();
    $this->deleteJson("/api/scenes/{$scene['id']}")->assertNoContent();
    $this->getJson("/api/scenes/{$scene['id']}")->assertNotFound()->assertJsonStructure(['message']);
    $this->postJson("/api/scenes/{$scene['id']}/restore")->assertOk();
    $this->getJson("/api/scenes/{$scene['id']}")->assertOk();
});

it('answers 404 for what is not there', function (string $method, string $path): void {
    $scene = aScene();
    $this->json($method, str_replace('ID', $scene['id'], $path))->assertNotFound();
})->with([
    ['GET', '/api/scenes/01arz3ndektsv4rrffq69g5fav'], ['POST', '/api/scenes/01arz3ndektsv4rrffq69g5fav/undo'], ['GET', '/api/scenes/ID/exports/nope/file'],
    ['DELETE', '/api/scenes/ID/exports/nope'], ['GET', '/api/nothing'], ['GET', '/api/scenes/..%2F..%2Fetc'],
]);

it('hands out the scene file', function (): void {
    $scene = addSpot(aScene());
    $file = $this->get("/api/scenes/{$scene['id']}/file")->assertOk()->assertDownload('marsh-at-dusk.json');
    expect(Aumbrel\Core\Scene\Scene::fromJson($file->getContent(), Registry::kinds())->strips)->toHaveCount(2);
});

it('does not answer under a foreign host name', function (): void {
    $this->get('http://evil.example/api/scenes')->assertStatus(421);
    $this->get('http://127.0.0.1:9999/api/scenes')->assertOk();
});

it('asks for the token against forged requests', function (): void {
    $this->app['env'] = 'production';
    $this->withMiddleware()->post('/api/scenes')->assertStatus(419);
});

it('duplicates a scene as it is, and lays scenes into folders without touching them', function (): void {
    $scene = addSpot(aScene());
    $copy = $this->postJson("/api/scenes/{$scene['id']}/duplicate")->assertCreated()->json();
    expect($copy['title'])->toBe('Marsh at dusk, copy')->and($copy['strips'])->toBe(2)->and($copy['id'])->not->toBe($scene['id']);
    $whole = fn (string $id): array => ['title' => '', ...array_diff_key($this->getJson("/api/scenes/{$id}/file")->json(), ['title' => 0])];
    expect($whole($copy['id']))->toBe($whole($scene['id']))->and($this->getJson("/api/scenes/{$copy['id']}")->json('undo'))->toBeNull();
    // its pictures are its own: the first one can go
    $this->deleteJson("/api/scenes/{$scene['id']}")->assertNoContent();
    $this->get("/api/scenes/{$copy['id']}/thumbnail")->assertOk();
    $this->postJson("/api/scenes/{$scene['id']}/restore")->assertOk();
    $cards = fn (): array => array_column($this->getJson('/api/scenes')->json('scenes'), null, 'id');
    $before = $cards();
    $this->postJson('/api/scenes/lay', ['scenes' => [$scene['id'], $copy['id']], 'folder' => 'Market'])->assertOk();
    expect(array_column($cards(), 'folder'))->toBe(['Market', 'Market'])->and(array_column($cards(), 'touched', 'id'))->toBe(array_column($before, 'touched', 'id'))
        ->and($this->postJson("/api/scenes/{$copy['id']}/duplicate")->json('folder'))->toBe('Market');
    $this->postJson('/api/scenes/lay', ['scenes' => [$scene['id']], 'folder' => null])->assertOk();
    expect($cards()[$scene['id']]['folder'])->toBeNull()->and($cards()[$copy['id']]['folder'])->toBe('Market');
    foreach ([['scenes' => [], 'folder' => 'x'], ['scenes' => ['short'], 'folder' => 'x'], ['scenes' => [$scene['id']]], ['scenes' => [$scene['id']], 'folder' => str_repeat('x', 81)]] as $wrong) {
        $this->postJson('/api/scenes/lay', $wrong)->assertStatus(422);
    }
});
