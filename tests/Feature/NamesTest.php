<?php

declare(strict_types=1);

use App\Models\Picture;
use App\Scenes\IncomingPicture;
use App\Scenes\StrokeShelf;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Support\PictureFile;

/* Names that people and hostile pages give to files: they become titles and plain names, never paths. */

it('makes a title and a plain name of what a file is called', function (string $called, string $title, string $name): void {
    $file = new IncomingPicture('/tmp/x', $called);
    expect($file->title())->toBe($title)->and($file->fileName(new Picture(['format' => 'png'])))->toBe($name);
})->with([
    ['marsh_at-dusk.png', 'Marsh at dusk', 'marsh_at-dusk.png'], ['IMG 4711 (2).JPG', 'IMG 4711 (2)', 'IMG 4711 (2).png'], ['öresund.png', 'Öresund', 'öresund.png'],
    ['.hidden', 'Untitled', 'picture.png'], ['___.png', 'Untitled', '___.png'], ['a/b.png', 'B', 'b.png'], ['<b>.png', '<b>', 'b.png'], ['', 'Untitled', 'picture.png'],
    [str_repeat('long ', 60).'.png', mb_strtoupper('l').mb_substr(trim(str_repeat('long ', 60)), 1, 79), mb_substr(str_repeat('long ', 60), 0, 100).'.png'],
]);

it('keeps to plain names whatever an upload is called', function (string $called): void {
    $scene = $this->postJson('/api/scenes', ['file' => new UploadedFile(PictureFile::png(20, 10)->getPathname(), $called, test: true)])->assertCreated()->json();
    $name = $scene['strips'][0]['values']['picture'];
    expect($name)->toMatch('/^\w[\w .()+-]{0,199}$/u')->not->toContain('..')->and(mb_strlen($scene['title']))->toBeLessThanOrEqual(120);
    // it comes back in the file, and nothing lies outside the folder of pictures
    expect($this->get("/api/scenes/{$scene['id']}/file")->assertOk()->getContent())->toContain($name);
    foreach (glob(config('aumbrel.pictures').'/*') as $folder) {
        expect(basename($folder))->toMatch('/^[0-9a-f]{64}$/');
    }
})->with(['../../../etc/passwd', "nul\0byte.png", 'C:\\temp\\plate.png', '..png', str_repeat('x', 300).'.png', 'plate;rm -rf.png', "new\nline.png", 'ナイト.png', ' .png']);

it('gives the second picture of the same name another one', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => new UploadedFile(PictureFile::png(20, 10)->getPathname(), 'plate.png', test: true)])->json();
    $add = fn (UploadedFile $file): array => $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => $file])->assertCreated()->json('strips');
    $names = array_map(fn (array $strip): string => $strip['values']['picture'], $add(new UploadedFile(PictureFile::png(30, 10)->getPathname(), 'plate.png', test: true)));
    expect(count(array_unique($names)))->toBe(2)->and($names[1])->toMatch('/^plate-[0-9a-f]{6}\.png$/');
    // the same picture again needs no new name
    $again = array_map(fn (array $strip): string => $strip['values']['picture'], $add(new UploadedFile(PictureFile::png(20, 10)->getPathname(), 'plate.png', test: true)));
    expect($again[2])->toBe('plate.png');
});

it('keeps strokes once, wherever in a document they stand, and gives them back as they were', function (): void {
    $scene = aScene();
    $stroke = fn (int $x): array => ['size' => 9.5, 'points' => [[$x, 2.25, 1, 0]]];
    $fields = ['values' => ['strokes' => [$stroke(1), $stroke(2)]], 'masks' => [['values' => ['strokes' => [$stroke(2)]]], ['values' => ['strokes' => []]]], 'other' => ['strokes' => 'a word', 'deep' => [['strokes' => [$stroke(1)]]]]];
    $put = (new StrokeShelf($scene['id']))->put($fields);
    expect(DB::table('strokes')->where('scene_id', $scene['id'])->count())->toBe(2)->and(strlen(json_encode($put)))->toBeLessThan(strlen(json_encode($fields)))->and($put['other']['strokes'])->toBe('a word');
    expect((new StrokeShelf($scene['id']))->take($put))->toEqual($fields)->and((new StrokeShelf($scene['id']))->put($put))->toBe($put);
    expect(fn () => (new StrokeShelf($scene['id']))->take(['strokes' => ['nobody']]))->toThrow(LogicException::class);
});

it('renames a scene in one edit, and balances its white', function (): void {
    $scene = aScene();
    $at = "/api/scenes/{$scene['id']}";
    $this->postJson("{$at}/gestures/change-scene", ['title' => '  Ferry hut  '])->assertOk()->assertJsonPath('title', 'Ferry hut')->assertJsonPath('undo', 'Change the scene');
    $this->postJson("{$at}/gestures/change-scene", ['white' => 4300])->assertOk()->assertJsonPath('white', 4300);
    foreach ([['title' => ''], ['title' => str_repeat('x', 200)], ['white' => 900], ['white' => 'warm'], ['title' => ['a']]] as $odd) {
        $this->postJson("{$at}/gestures/change-scene", $odd)->assertStatus(422);
    }
    $this->postJson("{$at}/undo")->assertOk()->assertJsonPath('white', 6500)->assertJsonPath('title', 'Ferry hut');
    $this->postJson("{$at}/undo")->assertOk()->assertJsonPath('title', $scene['title']);
});
