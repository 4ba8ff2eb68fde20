<?php

declare(strict_types=1);

use App\Codecs\PictureHead;
use App\Codecs\UnreadablePicture;
use App\Export\Exports;
use App\Export\Ordered;
use App\Export\Writes;
use App\Http\ListLimits;
use App\Models\Export;
use App\Models\Scene;
use App\Render\Cores;
use App\Storage\DiskRoom;
use App\Storage\Storage;
use Aumbrel\Core\Render\Memory;
use Illuminate\Validation\ValidationException;
use Tests\Support\Folder;

/* Answers that are never half, files that stay, heads that claim too much, lists that are too long, and how it stands. */

it('says how long its answers are', function (): void {
    $scene = aScene();
    foreach (["/api/scenes/{$scene['id']}", '/api/health', '/api/scenes'] as $path) {
        $plain = $this->getJson($path)->assertOk();
        expect((int) $plain->headers->get('Content-Length'))->toBe(strlen((string) $plain->getContent()));
        $packed = $this->getJson($path, ['Accept-Encoding' => 'gzip'])->assertOk();
        expect((int) $packed->headers->get('Content-Length'))->toBe(strlen((string) $packed->getContent()));
    }
});

it('refuses a name of a gesture that was one of another scene', function (): void {
    [$one, $other] = [aScene(), aScene(90, 60)];
    $add = fn (string $scene) => $this->postJson("/api/scenes/{$scene}/gestures/add-strip", ['kind' => 'fill', 'centre' => [1, 2], 'span' => 10], ['Idempotency-Key' => 'the-same-name']);
    $add($one['id'])->assertOk();
    $add($one['id'])->assertOk();
    $said = $add($other['id'])->assertStatus(422)->json();
    expect($said['message'])->toContain('in another scene')->and(Scene::query()->findOrFail($other['id'])->strips()->where('kind', 'fill')->count())->toBe(0)
        ->and(Scene::query()->findOrFail($one['id'])->strips()->where('kind', 'fill')->count())->toBe(1);
});

it('keeps the files of finished exports of every kind, and says when one is gone', function (): void {
    $scene = aScene();
    $files = [];
    foreach (Writes::cases() as $writes) {
        foreach (['png', 'tiff', 'exr'] as $format) {
            $ordered = Ordered::of(['writes' => $writes->value, 'format' => $format, 'bits' => 8]);
            $export = app(Exports::class)->order(Scene::query()->findOrFail($scene['id']), $ordered);
            $export->update(['state' => Export::DONE, 'bytes' => 3]);
            @mkdir(dirname(app(Exports::class)->path($export)), 0o700, true);
            file_put_contents($files[] = app(Exports::class)->path($export), 'abc');
            touch($files[array_key_last($files)], time() - 3 * 24 * 3600);
        }
    }
    expect(array_unique(array_map(static fn (string $file): string => pathinfo($file, PATHINFO_EXTENSION), $files)))->toContain('ora', 'zip', 'png');
    app(Storage::class)->sweep();
    expect(array_filter($files, static fn (string $file): bool => ! is_file($file)))->toBe([]);
    $shown = fn (): array => array_column($this->getJson("/api/scenes/{$scene['id']}/exports")->assertOk()->json('exports'), 'isThere');
    expect($shown())->not->toContain(false);
    unlink($files[0]);
    expect(array_filter($shown(), static fn (bool $isThere): bool => ! $isThere))->toHaveCount(1);
});

/** A chunk of a PNG file. */
function pngChunk(string $type, string $data): string
{
    return pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
}

/** A PNG file that claims a size, with chunks after its head. */
function pngClaiming(int $width, int $height, string ...$chunks): string
{
    $path = Folder::of('files').'/'.bin2hex(random_bytes(6)).'.png';
    $data = gzcompress(str_repeat("\0".str_repeat("\x80\x40\x20", min($width, 64)), min($height, 64)));
    file_put_contents($path, "\x89PNG\r\n\x1a\n".pngChunk('IHDR', pack('NNC5', $width, $height, 8, 2, 0, 0, 0)).implode('', $chunks).pngChunk('IDAT', (string) $data).pngChunk('IEND', ''));

    return $path;
}

it('refuses a head that claims more than can be, and does not fail over it', function (int $width, int $height): void {
    expect(static fn () => PictureHead::read(pngClaiming($width, $height), 'huge.png'))->toThrow(UnreadablePicture::class);
})->with([[2147483647, 2147483647], [4294967295, 4294967295], [2147483647, 1], [1, 2147483647], [60000, 60000]]);

it('refuses words and profiles that unpack to more than a picture needs, before they are unpacked', function (string $chunk): void {
    $path = pngClaiming(64, 64, $chunk);
    expect(filesize($path))->toBeLessThan(600_000);
    $before = memory_get_peak_usage();
    expect(static fn () => PictureHead::read($path, 'bomb.png'))->toThrow(UnreadablePicture::class, 'unpack to more than');
    expect(memory_get_peak_usage() - $before)->toBeLessThan(40 * 1024 * 1024);
})->with(function (): array {
    $bomb = (string) gzcompress(str_repeat('a', 300 * 1024 * 1024), 9);

    return ['words' => [pngChunk('zTXt', "Comment\0\0{$bomb}")], 'words of any language' => [pngChunk('iTXt', "Comment\0\1\0en\0Kommentar\0{$bomb}")], 'a profile' => [pngChunk('iCCP', "Marsh\0\0{$bomb}")]];
});

it('takes words and profiles of a usual size', function (): void {
    $words = (string) gzcompress(str_repeat('salt marsh ', 20_000));
    $head = PictureHead::read(pngClaiming(64, 64, pngChunk('zTXt', "Comment\0\0{$words}"), pngChunk('iTXt', "Title\0\0\0en\0Titel\0plain words"), pngChunk('tEXt', "Author\0nobody")), 'words.png');
    expect([$head->width, $head->height])->toBe([64, 64]);
});

it('looks how long lists are before it looks into them', function (): void {
    $rules = ['strips' => 'required|array|list|max:40', 'strips.*' => 'string|max:40', 'masks.*.points' => 'array|max:3', 'masks.*.points.*' => 'numeric'];
    ListLimits::check(['strips' => array_fill(0, 40, 'a'), 'masks' => [['points' => [1, 2, 3]]]], $rules);
    foreach ([['strips' => array_fill(0, 41, 'a')], ['masks' => array_fill(0, 1001, [])], ['masks' => [['points' => [1, 2]], ['points' => [1, 2, 3, 4]]]]] as $fields) {
        expect(static fn () => ListLimits::check($fields, $rules))->toThrow(ValidationException::class, 'entries; at most');
    }
});

it('refuses endless lists in every route and gesture within a second of work', function (): void {
    $scene = aScene();
    $names = ['strips', 'plates', 'accepted', 'order', 'scenes', 'changes', 'masks', 'line', 'corners', 'places', 'window', 'at', 'solo'];
    $gestures = array_map(static fn (string $gesture): string => "/api/scenes/{$scene['id']}/gestures/{$gesture}", array_keys(App\Http\Api\OpenApi::gestures()));
    $worked = static function (string $path, int $count) use ($names): array {
        $begun = getrusage();
        $status = test()->postJson($path, array_fill_keys($names, array_fill(0, $count, 'x')))->status();
        $ended = getrusage();

        return [$status, $ended['ru_utime.tv_sec'] - $begun['ru_utime.tv_sec'] + ($ended['ru_utime.tv_usec'] - $begun['ru_utime.tv_usec']) / 1e6];
    };
    $slow = [];
    foreach ([...$gestures, '/api/scenes/lay', ...array_map(static fn (string $route): string => "/api/scenes/{$scene['id']}/{$route}", ['picture', 'tones', 'contributions', 'masks', 'scopes', 'colour'])] as $path) {
        [$status, $seconds] = $worked($path, 4000);
        if ($status >= 500 || $seconds > 1.0) {
            $slow[$path] = [$status, round($seconds, 2)];
        }
    }
    expect($slow)->toBe([]);
    // and whoever brings more than anything needs is turned away before it is looked through
    [$status, $seconds] = $worked("/api/scenes/{$scene['id']}/picture", 60_000);
    expect($status)->toBe(422)->and($seconds)->toBeLessThan(1.0);
});

it('says how it stands to whoever is let in', function (): void {
    expect($this->getJson('/api/health')->assertOk()->json())->toHaveKeys(['answers', 'instance'])->not->toHaveKey('disk');
    $scene = aScene();
    Export::query()->create(['scene_id' => $scene['id'], 'format' => 'png', 'bits' => 8, 'state' => Export::WAITING, 'scene' => [], 'name' => 'x.png', 'created_at' => now()->subSeconds(90)]);
    $all = $this->getJson('/api/health?all=1')->assertOk()->json();
    expect($all['version'])->not->toBe('')->and($all['disk']['free'])->toBeGreaterThan(0)->and($all['disk']['whole'])->toBeGreaterThanOrEqual($all['disk']['free'])
        ->and($all['queue']['waiting'])->toBe(1)->and($all['queue']['running'])->toBe(0)->and($all['queue']['oldestWaits'])->toBeGreaterThanOrEqual(0)
        ->and(array_key_exists('renderProcesses', $all))->toBeTrue();
});

it('says in time that there is little room', function (): void {
    $gigabyte = 1024 ** 3;
    expect(DiskRoom::isLow(0.9 * $gigabyte, 10 * $gigabyte))->toBeTrue()->and(DiskRoom::isLow(4 * $gigabyte, 100 * $gigabyte))->toBeTrue()->and(DiskRoom::isLow(6 * $gigabyte, 100 * $gigabyte))->toBeFalse();
    expect($this->getJson('/api/storage')->assertOk()->json('isLow'))->toBeBool();
});

it('divides one limit of memory over its processes', function (): void {
    // a quarter of 8 GB for eight processes, of 24 GB for two, and of a small machine
    expect(8 * Cores::share(Cores::usual(8192), 8))->toBeLessThanOrEqual(2048)->and(2 * Cores::share(Cores::usual(24_576), 2))->toBeLessThanOrEqual(6144)
        ->and(Cores::usual(1024))->toBe(800)->and(Cores::share(800, 2))->toBe(400)->and(Cores::share(100_000, 2))->toBe(1600);
});

it('keeps eight render processes below what all of them may use', function (): void {
    // each with its share of 8 GB, over more plates than that has room for; beside what any process holds, code and the picture of the moment
    $share = Cores::share(Cores::usual(8192), 8);
    $memory = new Memory($share * 1024 * 1024);
    for ($plane = 0; $plane < 60; $plane++) {
        $memory->put("plane {$plane}", array_fill(0, 600_000, $plane / 7));
        expect(memory_get_usage())->toBeLessThan(($share + 20) * 1024 * 1024);
    }
    expect($memory->holds('plane 59'))->toBeTrue()->and($memory->holds('plane 0'))->toBeFalse();
});
