<?php

declare(strict_types=1);

use App\Export\Exports;
use App\Models\Export;
use App\Models\Picture;
use App\Models\Scene;
use App\Scenes\NoPackedScene;
use App\Scenes\PackedScene;
use App\Storage\Storage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Support\Folder;
use Tests\Support\OwnData;
use Tests\Support\PictureFile;

/* What lies on the disk: taken in whole or not at all, and gone when it is needed no more. */

function aged(string $path): void
{
    touch($path, time() - 3 * 24 * 3600);
}

it('frees what belongs to nothing, and nothing else', function (): void {
    $kept = aScene();
    $gone = aScene(80, 50);
    $recent = aScene(90, 60);
    $pictures = config('aumbrel.pictures');
    $folder = fn (array $scene): string => $pictures.'/'.DB::table('scene_pictures')->where('scene_id', $scene['id'])->value('picture_id');
    [$keptFolder, $goneFolder, $recentFolder] = [$folder($kept), $folder($gone), $folder($recent)];
    $this->deleteJson("/api/scenes/{$gone['id']}")->assertNoContent();
    $this->deleteJson("/api/scenes/{$recent['id']}")->assertNoContent();
    Scene::onlyTrashed()->whereKey($gone['id'])->update(['deleted_at' => now()->subDays(31)]);
    Picture::query()->update(['updated_at' => now()->subDays(2)]);
    $export = Scene::query()->findOrFail($kept['id'])->exports()->create(['format' => 'png', 'bits' => 8, 'state' => Export::DONE, 'scene' => [], 'name' => 'x.png', 'bytes' => 3]);
    $exports = app(Exports::class);
    @mkdir(config('aumbrel.exports'), 0o700, true);
    file_put_contents($exports->path($export), 'abc');
    $halves = ["{$pictures}/".str_repeat('a', 64).'.half', config('aumbrel.exports').'/01arz3ndektsv4rrffq69g5fav.png.scene', config('aumbrel.temporary').'/lost'];
    foreach ($halves as $half) {
        @mkdir($half, 0o700, true);
        touch("{$half}/rows");
        aged($half);
    }
    $fresh = "{$pictures}/".str_repeat('b', 64).'.half';
    mkdir($fresh);
    $this->beforeApplicationDestroyed(fn () => @rmdir($fresh));
    $swept = app(Storage::class)->sweep();
    expect($swept)->toMatchArray(['scenes' => 1, 'exports' => 0, 'pictures' => 2])->and(is_dir($goneFolder))->toBeFalse()->and(Scene::withTrashed()->find($gone['id']))->toBeNull()
        ->and(is_dir($keptFolder))->toBeTrue()->and(is_dir($recentFolder))->toBeTrue()->and(is_file($exports->path($export)))->toBeTrue()->and(is_dir($fresh))->toBeTrue()
        ->and(array_filter($halves, is_dir(...)))->toBe([]);
    // what was deleted lately comes back whole
    $this->postJson("/api/scenes/{$recent['id']}/restore")->assertOk();
    $this->get("/api/scenes/{$recent['id']}/thumbnail")->assertOk();
    // an old export goes with its file
    Export::query()->update(['created_at' => now()->subDays(40)]);
    expect(app(Storage::class)->sweep()['exports'])->toBe(1)->and(is_file($exports->path($export)))->toBeFalse();
});

it('forgets strokes that no mask and no edit names', function (): void {
    $scene = addSpot(aScene());
    $mask = $this->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", ['strip' => $scene['strips'][1]['id'], 'kind' => 'strokes', 'centre' => [0, 0], 'span' => 1, 'values' => ['strokes' => [['points' => [[1, 2], [3, 4]]]]]])->assertOk();
    DB::table('strokes')->insert(['scene_id' => $scene['id'], 'key' => 'orphan', 'stroke' => '{}']);
    $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk();
    expect(app(Storage::class)->sweep()['strokes'])->toBe(1)->and(DB::table('strokes')->count())->toBe(1);
    $this->postJson("/api/scenes/{$scene['id']}/redo")->assertOk()->assertJsonCount(1, 'strips.1.masks.0.values.strokes');
});

it('says what is used, and lists what can be brought back', function (): void {
    $scene = aScene();
    $used = $this->getJson('/api/storage')->assertOk()->json();
    expect($used['used']['pictures'])->toBeGreaterThan(64 * 40 * 4)->and($used['free'])->toBeGreaterThan(0)->and($used['daysToRestore'])->toBe(30);
    $this->deleteJson("/api/scenes/{$scene['id']}");
    expect($this->getJson('/api/scenes')->json())->toMatchArray(['scenes' => []])->and($this->getJson('/api/scenes')->json('deleted.0.id'))->toBe($scene['id']);
});

it('takes in again what it has packed, by the wall and by the command line', function (): void {
    $scene = change(addSpot(aScene()), 1, ['level' => 2])->json();
    $file = Folder::of('packed').'/scene.zip';
    copy($this->get("/api/scenes/{$scene['id']}/packed")->assertOk()->getFile()->getPathname(), $file);
    $again = $this->postJson('/api/scenes', ['file' => new UploadedFile($file, 'scene.zip', test: true)])->assertCreated()->json();
    expect($again['id'])->not->toBe($scene['id'])->and($again['strips'][1]['level'])->toBe(2)->and($again['title'])->toBe($scene['title']);
    expect($this->get("/api/scenes/{$again['id']}/file")->getContent())->toBe($this->get("/api/scenes/{$scene['id']}/file")->getContent());
    $data = new OwnData;
    $this->beforeApplicationDestroyed(fn () => $data->remove());
    $said = $data->say(base_path('bin/aumbrel'), 'store', $file);
    expect(trim($said))->toMatch('/^[0-9a-z]{26}$/')->and($data->run('echo app(App\Scenes\SceneStore::class)->flat(App\Models\Scene::query()->findOrFail($argv[1]))->scene["title"];', trim($said)))->toBe($scene['title']);
    expect(Scene::query()->count())->toBe(2)->and(glob(config('aumbrel.temporary').'/*', GLOB_ONLYDIR))->toBe([]);
});

it('takes a scene file together with its pictures, and says which are missing', function (): void {
    $scene = aScene();
    $text = $this->get("/api/scenes/{$scene['id']}/file")->getContent();
    $name = array_key_first($scene['pictures']);
    $json = fn (): UploadedFile => PictureFile::of('marsh.json', $text);
    $picture = PictureFile::png(64, 40);
    $this->postJson('/api/scenes', ['file' => $json()])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, $name) && str_contains($says, 'missing'));
    $this->postJson('/api/scenes', ['file' => $json(), 'pictures' => [new UploadedFile($picture->getPathname(), $name, test: true)]])->assertCreated()->assertJsonPath('title', $scene['title']);
    $this->postJson('/api/scenes', ['file' => PictureFile::of('x.json', '{"aumbrel": 7}')])->assertStatus(422);
    expect(Scene::query()->count())->toBe(2);
});

/** A ZIP of one stored entry, written byte by byte so that it can lie. */
function zipOf(string $name, string $bytes, ?int $size = null, ?int $sum = null, bool $deflate = false): string
{
    $data = $deflate ? gzdeflate($bytes) : $bytes;
    $about = pack('vvvvvVVVvv', 20, 0, $deflate ? 8 : 0, 0, 0x21, $sum ?? crc32($bytes), strlen($data), $size ?? strlen($bytes), strlen($name), 0);

    return "PK\x03\x04{$about}{$name}{$data}PK\x01\x02".pack('v', 20).$about.pack('vvvVV', 0, 0, 0, 0, 0)."{$name}PK\x05\x06".pack('vvvvVVv', 0, 0, 1, 1, 46 + strlen($name), 30 + strlen($name) + strlen($data), 0);
}

it('believes nothing that a packed scene says of itself', function (string $bytes, string $says): void {
    $file = Folder::of('zips').'/'.bin2hex(random_bytes(4)).'.zip';
    file_put_contents($file, $bytes);
    $folder = Folder::of('zips').'/'.bin2hex(random_bytes(4));
    mkdir($folder);
    expect(fn () => PackedScene::unpack($file, $folder))->toThrow(NoPackedScene::class, $says);
    expect(array_sum(array_map(filesize(...), glob("{$folder}/*"))))->toBeLessThan(1 << 20);
    $this->postJson('/api/scenes', ['file' => new UploadedFile($file, 'scene.zip', test: true)])->assertStatus(422)->assertJsonPath('field', 'file');
    expect(Scene::query()->count())->toBe(0)->and(glob(config('aumbrel.temporary').'/*', GLOB_ONLYDIR))->toBe([]);
})->with([
    'an entry that is larger than it says' => [fn () => zipOf('scene.json', str_repeat('a', 40_000_000), 100, deflate: true), 'damaged'],
    'a wrong checksum' => [fn () => zipOf('scene.json', '{"aumbrel":1}', sum: 12345), 'damaged'],
    'a way out of the folder' => [fn () => zipOf('../scene.json', '{}'), 'only plain file names'],
    'no scene' => [fn () => zipOf('picture.png', 'x'), 'holds no scene.json'],
    'a scene file of 70 MB' => [fn () => zipOf('scene.json', str_repeat(' ', 70_000_000), deflate: true), 'more than 64 MB'],
    'rubbish' => ["PK\x03\x04".str_repeat('x', 200), 'cannot be read'],
]);

it('keeps what its owner has to itself', function (): void {
    exec('stat -c %a '.escapeshellarg(base_path('.env')).' '.escapeshellarg(base_path('storage')), $modes);
    expect($modes)->toBe(['600', '700']);
    exec('stat -c %a '.implode(' ', array_map(escapeshellarg(...), glob(database_path('*.sqlite*')))), $files);
    expect(array_unique($files))->toBe(['600']);
});
