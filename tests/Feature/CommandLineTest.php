<?php

declare(strict_types=1);

use Tests\Support\Folder;
use Tests\Support\PictureFile;

/** @return array{status: int, out: string, err: string} */
function aumbrel(string ...$words): array
{
    $process = proc_open([base_path('bin/aumbrel'), ...$words], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
    $said = ['out' => (string) stream_get_contents($pipes[1]), 'err' => (string) stream_get_contents($pipes[2])];

    return ['status' => proc_close($process), ...$said];
}

/** A scene file with a plate of known colours beside it. */
function sceneFile(array $more = []): string
{
    $folder = Folder::of('scene-'.bin2hex(random_bytes(4)));
    copy(PictureFile::png(64, 40)->getPathname(), "{$folder}/marsh.png");
    file_put_contents("{$folder}/scene.json", json_encode(['aumbrel' => 1, 'title' => 'Marsh', 'size' => [64, 40], 'strips' => [
        ['id' => 'marsh', 'kind' => 'plate', 'values' => ['picture' => 'marsh.png']],
        ['id' => 'spot', 'kind' => 'spot', 'values' => ['origin' => [30, 2], 'target' => [32, 35], 'reach' => 50]],
    ], ...$more]));

    return "{$folder}/scene.json";
}

/** @return list<int> of a picture file, by the other image extension */
function pixelAt(string $file, int $x, int $y): array
{
    $image = imagecreatefrompng($file);
    $pixel = imagecolorat($image, $x, $y);

    return [$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255];
}

it('renders a scene file to a picture', function (): void {
    $scene = sceneFile();
    $out = dirname($scene).'/out.png';
    $said = aumbrel('render', $scene, '--out', $out);
    expect($said['status'])->toBe(0)->and(json_decode($said['out'], true))->toMatchArray(['columns' => 64, 'rows' => 40]);
    expect(pixelAt($out, 1, 38))->toBe(array_slice(PictureFile::colour(1, 38), 0, 3))->and(pixelAt($out, 31, 10))->not->toBe(array_slice(PictureFile::colour(31, 10), 0, 3));
    expect(aumbrel('render', $scene, '--out', $out, '--until', 'marsh')['status'])->toBe(0)->and(pixelAt($out, 31, 10))->toBe(array_slice(PictureFile::colour(31, 10), 0, 3));
});

it('renders windows at a scale, contributions, 16 bits and JPEG', function (array $words, string $name, array $size): void {
    $scene = sceneFile();
    $out = dirname($scene)."/{$name}";
    expect(aumbrel('render', $scene, '--out', $out, ...$words)['status'])->toBe(0)->and(array_slice(getimagesize($out), 0, 2))->toBe($size);
})->with([
    [['--scale', '0.5', '--window', '10,4,40,20'], 'window.png', [20, 10]], [['--strip', 'spot'], 'spot.png', [64, 40]],
    [['--bits', '16'], 'deep.png', [64, 40]], [['--quality', '80'], 'out.jpg', [64, 40]],
]);

it('ends with one clear line for bad input, and leaves nothing behind', function (Closure $words, string $says): void {
    $scene = sceneFile();
    $said = aumbrel(...$words($scene, dirname($scene)));
    expect($said['status'])->toBe(2)->and($said['err'])->toContain($says)->and(substr_count($said['err'], "\n"))->toBe(1)->and($said['out'])->toBe('');
    expect(glob(dirname($scene).'/{bad,*.rows,*.png.*}*', GLOB_BRACE))->toBe([]);
})->with([
    'no command' => [fn () => [], 'which command'],
    'no scene' => [fn () => ['render', '/nowhere/scene.json', '--out', '/tmp/bad.png'], 'no scene file'],
    'no output' => [fn ($scene) => ['render', $scene], 'where to'],
    'an unknown option' => [fn ($scene, $folder) => ['render', $scene, '--out', "{$folder}/bad.png", '--colour', 'red'], '--colour'],
    'an unknown format' => [fn ($scene, $folder) => ['render', $scene, '--out', "{$folder}/bad.gif"], '.png, .jpg, .tif, .webp, .avif or .exr'],
    'a folder that is not there' => [fn ($scene) => ['render', $scene, '--out', '/nowhere/at/all/bad.png'], 'cannot be written'],
    'a scale that is none' => [fn ($scene, $folder) => ['render', $scene, '--out', "{$folder}/bad.png", '--scale', 'NaN'], '--scale'],
    'a window of three' => [fn ($scene, $folder) => ['render', $scene, '--out', "{$folder}/bad.png", '--window', '1,2,3'], '--window'],
    'a strip that is not there' => [fn ($scene, $folder) => ['render', $scene, '--out', "{$folder}/bad.png", '--strip', 'moon'], 'moon'],
    'a picture that is not there' => [function ($scene, $folder) {
        unlink("{$folder}/marsh.png");

        return ['render', $scene, '--out', "{$folder}/bad.png"];
    }, 'marsh.png'],
    'a picture that is none' => [function ($scene, $folder) {
        file_put_contents("{$folder}/marsh.png", 'words');

        return ['render', $scene, '--out', "{$folder}/bad.png"];
    }, 'not a picture in PNG, JPEG'],
    'a scene that is none' => [function ($scene, $folder) {
        file_put_contents($scene, '{');

        return ['render', $scene, '--out', "{$folder}/bad.png"];
    }, 'JSON'],
]);

it('renders a packed scene like the scene that was packed', function (): void {
    $scene = addSpot(aScene());
    $zip = Folder::of('packed-scenes').'/scene.zip';
    copy($this->get("/api/scenes/{$scene['id']}/packed")->assertOk()->assertDownload('marsh-at-dusk.zip')->baseResponse->getFile()->getPathname(), $zip);
    $out = dirname($zip).'/out.png';
    expect(aumbrel('render', $zip, '--out', $out))->toMatchArray(['status' => 0, 'err' => '']);
    $here = (new App\Render\Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes')))->paint(asked($scene));
    $image = imagecreatefrompng($out);
    foreach ([[0, 0], [33, 20], [63, 39]] as [$x, $y]) {
        $pixel = imagecolorat($image, $x, $y);
        expect([$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255])->toBe(array_values(unpack('C3', substr($here->bytes, ($y * 64 + $x) * 4, 3))));
    }
});

it('takes no packed scene with paths in it, and no ZIP without a scene', function (string $name, string $says): void {
    $zip = Folder::of('packed-scenes').'/'.bin2hex(random_bytes(4)).'.zip';
    $archive = new ZipArchive;
    $archive->open($zip, ZipArchive::CREATE);
    $archive->addFromString($name, '{}');
    $archive->close();
    $said = aumbrel('render', $zip, '--out', dirname($zip).'/bad.png');
    expect($said['status'])->toBe(2)->and($said['err'])->toContain($says)->and(is_file(dirname($zip, 3).'/escaped'))->toBeFalse();
})->with([['../../escaped', 'plain file names'], ['notes.txt', 'no scene.json']]);

it('exports what the command renders, pixel for pixel', function (string $format): void {
    $scene = addSpot(aScene());
    $export = $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => $format, 'bits' => $format === 'png' ? 16 : 8])->assertCreated()->json();
    $this->getJson("/api/scenes/{$scene['id']}/exports")->assertJsonPath('exports.0.state', 'done')->assertJsonPath('exports.0.progress', 1);
    $file = $this->get("/api/scenes/{$scene['id']}/exports/{$export['id']}/file")->assertOk()->assertDownload()->baseResponse->getFile()->getPathname();
    $folder = Folder::of('again');
    copy(App\Models\Picture::query()->firstOrFail()->id ? config('aumbrel.pictures').'/'.App\Models\Picture::query()->firstOrFail()->id.'/original' : '', "{$folder}/{$scene['strips'][0]['values']['picture']}");
    file_put_contents("{$folder}/scene.json", $this->get("/api/scenes/{$scene['id']}/file")->getContent());
    $again = "{$folder}/again.".($format === 'png' ? 'png' : 'jpg');
    expect(aumbrel('render', "{$folder}/scene.json", '--out', $again, '--bits', $format === 'png' ? '16' : '8')['status'])->toBe(0);
    [$a, $b] = array_map(fn (string $path): string => (new Imagick($path))->getImageSignature(), [$file, $again]);
    expect($a)->toBe($b);
})->with(['png', 'jpeg']);

it('tells why an export failed, and can be cancelled before it runs', function (): void {
    $scene = aScene();
    exec('rm -rf '.escapeshellarg(config('aumbrel.pictures').'/'.App\Models\Picture::query()->firstOrFail()->id));
    $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => 'png']);
    $this->getJson("/api/scenes/{$scene['id']}/exports")->assertJsonPath('exports.0.state', 'failed');
    expect($this->getJson("/api/scenes/{$scene['id']}/exports")->json('exports.0.problem'))->not->toBeEmpty();
    Illuminate\Support\Facades\Queue::fake();
    $export = $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => 'png'])->json();
    $this->deleteJson("/api/scenes/{$scene['id']}/exports/{$export['id']}")->assertOk()->assertJsonPath('state', 'cancelled');
    (new App\Export\RunExport($export['id']))->handle(app(App\Export\Exports::class), app(App\Scenes\SceneStore::class), app(App\Scenes\PictureLibrary::class));
    $this->getJson("/api/scenes/{$scene['id']}/exports")->assertJsonPath('exports.0.state', 'cancelled');
    $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => 'bmp'])->assertStatus(422);
});

it('tells how it is used', function (): void {
    $help = aumbrel('--help');
    expect($help['status'])->toBe(0)->and($help['out'])->toContain('aumbrel render SCENE --out FILE')->toContain('aumbrel store SCENE')->and($help['err'])->toBe('');
    foreach (['render' => '--window x,y,w,h', 'bearing' => '--mask PICTURE', 'readings' => 'JSON list', 'store' => 'prints the id', 'timings' => '--no-browser'] as $command => $says) {
        expect(aumbrel($command, '--help'))->toMatchArray(['status' => 0, 'err' => ''])->and(aumbrel($command, '--help')['out'])->toStartWith("aumbrel {$command} ")->toContain($says);
    }
    expect(aumbrel()['status'])->toBe(2)->and(aumbrel('polish')['err'])->toContain('aumbrel COMMAND --help');
});

it('names every option in its help that the command takes', function (): void {
    foreach (['render', 'bearing', 'timings'] as $command) {
        preg_match('/there are (.+)$/m', aumbrel($command, 'x', '--nothing-like-it')['err'], $named);
        preg_match_all('/--[a-z-]+/', $named[1], $options);
        expect($options[0])->not->toBe([]);
        foreach ($options[0] as $option) {
            expect(aumbrel($command, '--help')['out'])->toContain($option);
        }
    }
});

it('measures in the browser that the tests drive, and says which one is missing', function (): void {
    $timings = fn (string $settings): string => (string) shell_exec('cd '.escapeshellarg(base_path())." && {$settings} node tests/browser/timings.mjs 2>&1");
    expect(json_decode($timings('ONLY=browser'), true))->toHaveKey('browser');
    putenv('CHROMIUM=/nowhere/browser');
    try {
        expect((new App\CommandLine\Timings\BrowserTimings)->measure()['skipped'])->toContain('/nowhere/browser')->toContain('bin/setup test');
    } finally {
        putenv('CHROMIUM');
    }
});

it('does not show what people cannot read', function (): void {
    // a folder where a file is expected: whatever goes wrong inside, no trace and no class comes out
    $folder = Folder::of('faulty');
    @mkdir("{$folder}/picture.png");
    file_put_contents("{$folder}/scene.json", json_encode(['aumbrel' => 1, 'title' => 'x', 'size' => [4, 4], 'strips' => [['id' => 'a', 'kind' => 'plate', 'values' => ['picture' => 'picture.png']]]]));
    $said = aumbrel('render', "{$folder}/scene.json", '--out', "{$folder}/out.png");
    expect($said['status'])->toBe(2)->and($said['err'])->not->toMatch('/unexpectedly|SQLSTATE|Exception|\\.php|#0/')->and(substr_count($said['err'], "\n"))->toBe(1);
});
