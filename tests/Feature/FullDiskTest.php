<?php

declare(strict_types=1);

use Tests\Support\OwnData;
use Tests\Support\PictureFile;

/*
 * A small file system that is really full. Where one cannot be mounted (not root, or a closed container) this is skipped;
 * the database's part is tested without one in DatabaseTest.
 */

/** Mounts a file system of so many megabytes for the length of a test. */
function smallDisk(int $megabytes): string
{
    $folder = sys_get_temp_dir().'/aumbrel-small-'.bin2hex(random_bytes(4));
    mkdir($folder);
    exec('mount -t tmpfs -o size='.$megabytes.'m aumbrel '.escapeshellarg($folder).' 2>&1', $says, $status);
    if ($status !== 0) {
        rmdir($folder);
        test()->markTestSkipped('no file system can be mounted here: '.implode(' ', $says));
    }
    test()->beforeApplicationDestroyed(function () use ($folder): void {
        exec('umount -l '.escapeshellarg($folder));
        @rmdir($folder);
    });

    return $folder;
}

it('says that the disk is full for an edit, an upload, an undo and a picture, keeps what there was, and goes on', function (): void {
    $data = new OwnData(smallDisk(24));
    [$scene, $plate] = explode(' ', $data->run(NEW_SCENE, PictureFile::png(400, 300)->getPathname()));
    $said = json_decode($data->run('[, $scene, $plate, $picture] = $argv;
        $upload = function () use ($picture) { $request = Illuminate\Http\Request::create("http://127.0.0.1/api/scenes", "POST", [], [], ["file" => new Illuminate\Http\UploadedFile($picture, "reeds.png", test: true)], ["HTTP_ACCEPT" => "application/json"]);
            $response = app(Illuminate\Contracts\Http\Kernel::class)->handle($request); return ["status" => $response->getStatusCode(), "says" => json_decode((string) $response->getContent(), true)]; };
        $add = fn () => ask("POST", "/api/scenes/{$scene}/gestures/add-strip", ["kind" => "spot", "centre" => [200, 150], "span" => 200]);
        // a cut-out that nobody has seen yet: its picture has to be kept
        $cut = fn () => ask("POST", "/api/scenes/{$scene}/gestures/change-strips", ["revisions" => [$plate => App\Models\Strip::query()->where("key", $plate)->value("revision")], "changes" => [$plate => ["values" => ["exposure" => 1]]]]);
        $look = fn () => ask("POST", "/api/scenes/{$scene}/picture", ["view" => "v", "number" => 1, "draft" => false, "window" => [0, 0, 400, 300], "scale" => 1]);
        $add();
        $fill = fopen(dirname(config("database.connections.sqlite.database"))."/filler", "wb"); while (@fwrite($fill, str_repeat("x", 4096)) === 4096); fclose($fill);
        $strips = App\Models\Strip::query()->count();
        for ($k = 0; $k < 12; $k++) { $edit = $add(); if ($edit["status"] !== 200) break; }
        $full = ["edit" => $edit, "undo" => ask("POST", "/api/scenes/{$scene}/undo"), "upload" => $upload(), "picture" => $look()];
        $left = [glob(config("aumbrel.pictures")."/*.*"), App\Models\Scene::query()->count(), ask("GET", "/api/scenes/{$scene}")["status"]];
        unlink(dirname(config("database.connections.sqlite.database"))."/filler");
        echo json_encode(["full" => $full, "left" => $left, "after" => [$add()["status"], $upload()["status"], $look()["status"], ask("POST", "/api/scenes/{$scene}/undo")["status"]]]);', $scene, $plate, PictureFile::png(500, 400)->getPathname()), true);
    foreach (['edit', 'undo', 'upload'] as $what) {
        expect($said['full'][$what]['status'])->toBeIn($what === 'undo' ? [200, 507] : [507], $what);
        if ($said['full'][$what]['status'] === 507) {
            expect($said['full'][$what]['says']['message'])->toContain('the disk seems to be full');
        }
    }
    // a picture of a kind that was not rendered before needs a kernel kept
    expect($said['full']['picture']['status'])->toBeIn([200, 507])->and($said['left'])->toBe([[], 1, 200])->and($said['after'])->toBe([200, 201, 200, 200]);
});

it('keeps an export that finds the disk full from running for ever, and the worker from being stuck', function (): void {
    $data = new OwnData(smallDisk(40));
    $export = $data->run(LONG_EXPORT, PictureFile::png(2400, 1600)->getPathname());
    $worker = worker($data);
    // 2400 x 1600 at 16 bits are 31 MB of rows: more than there is room for
    $failed = exportOnceIt($data, $export, fn (array $state): bool => $state['state'] === 'failed');
    expect($failed['problem'])->toContain('the disk seems to be full')->not->toContain('SQLSTATE')->and(glob("{$data->root}/exports/*"))->toBe([]);
    // the same worker writes a smaller one
    $next = $data->run('$scene = app(App\Scenes\NewScene::class)->of(new App\Scenes\IncomingPicture($argv[1], "quay.png")); echo app(App\Export\Exports::class)->order($scene, App\Export\Ordered::picture(App\Codecs\PictureFormat::Jpeg, 8, 80))->id;', PictureFile::png(200, 100)->getPathname());
    exportOnceIt($data, $next, fn (array $state): bool => $state['state'] === 'done');
    killed($worker);
});
