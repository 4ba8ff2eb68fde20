<?php

declare(strict_types=1);

use App\Codecs\ExrFile;
use App\Codecs\UnreadablePicture;
use App\Scenes\PictureLibrary;
use Aumbrel\Core\Color\HalfFloat;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Picture\PackedPicture;
use Tests\Support\Exr;
use Tests\Support\Folder;
use Tests\Support\PictureFile;

/* EXR files, from their bytes to a plate with its passes. */

it('reads what a general-purpose library wrote to the last bit', function (string $compression, string $type): void {
    $file = Folder::of('exr').'/written.exr';
    exec('node '.escapeshellarg(base_path('tests/Support/exr.mjs'))." {$file} {$compression} {$type} 23 37", $said, $status);
    expect($status)->toBe(0);
    /** @var list<list<int|float>> $rows */
    $rows = json_decode($said[0], true, flags: JSON_THROW_ON_ERROR);
    $read = ExrFile::read((string) file_get_contents($file), 'written.exr');
    expect([$read->width(), $read->height()])->toBe([23, 37])->and(array_keys($read->channels))->toEqualCanonicalizing(['A', 'B', 'G', 'R']);
    $seen = 0;
    foreach ($read->rows(['R', 'G', 'B', 'A']) as $y => $row) {
        foreach (['R', 'G', 'B', 'A'] as $k => $channel) {
            $written = array_map(static fn (int $x): int|float => $rows[$y][4 * $x + $k], range(0, 22));
            expect($row[$channel])->toBe($type === 'half' ? HalfFloat::all($written) : array_map(floatval(...), $written));
            $seen += count($written);
        }
    }
    expect($seen)->toBe(4 * 23 * 37);
})->with(['none', 'zips', 'zip'])->with(['half', 'float']);

it('knows halves as IEEE 754-2008 tells them', function (): void {
    // worked examples of the standard's format: 1, -2, the largest, the smallest normal, the smallest, a third
    expect(HalfFloat::all([0x3C00, 0xC000, 0x7BFF, 0x0400, 0x0001, 0x3555, 0x0000, 0x7C00, 0x7E00]))->toBe([1.0, -2.0, 65504.0, 2.0 ** -14, 2.0 ** -24, 0.333251953125, 0.0, 0.0, 0.0]);
});

it('refuses with a sentence what it does not read', function (string $bytes, string $says): void {
    expect(function () use ($bytes): void {
        foreach (ExrFile::read($bytes, 'render.exr')->rows(['R']) as $row) {
        }
    })->toThrow(UnreadablePicture::class, $says);
})->with([
    'tiles' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['version' => 2 | 0x200]), 'stored in tiles'],
    'deep' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['version' => 2 | 0x800]), 'as deep data'],
    'parts' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['version' => 2 | 0x1000]), 'in several parts'],
    'wavelets' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['compression' => 4]), 'compressed by PIZ'],
    'halved colours' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['sampling' => 2]), 'lower size'],
    'cut off' => [fn (): string => substr(Exr::bytes(40, 40, ['R' => fn (int $x): float => $x]), 0, -900), 'incomplete'],
    'a torn block' => [fn (): string => substr_replace($whole = Exr::bytes(40, 40, ['R' => fn (int $x): float => $x], ['compression' => 3]), str_repeat('x', 60), strlen($whole) - 80, 60), 'could not be decoded'],
    'a header that ends' => [fn (): string => substr(Exr::bytes(4, 4, ['R' => fn (): float => 1.0]), 0, 60), 'damaged header'],
    'a size of nothing' => [fn (): string => Exr::bytes(4, 4, ['R' => fn (): float => 1.0], ['shown' => [0, 0, -5, -5]]), 'damaged header'],
]);

it('keeps what goes beyond white, and what is clear', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(40, 30)])->assertCreated()->json();
    $file = Exr::file('lamp.exr', 16, 12, ['R' => fn (int $x): float => $x < 8 ? 5.0 : 0.18 * 0.5, 'G' => fn (int $x): float => $x < 8 ? 2.0 : 0.18 * 0.5, 'B' => fn (): float => 0.09, 'A' => fn (int $x): float => $x < 8 ? 1.0 : 0.5], ['compression' => 3]);
    $added = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => $file, 'x' => 20, 'y' => 15])->assertCreated()->json();
    $values = $added['strips'][1]['values'];
    expect($values['exposure'])->toEqual(2.5);
    $picture = PackedPicture::open(app(PictureLibrary::class)->path(hash('sha256', $file->getContent())));
    expect($picture->bits())->toBe(16)->and($picture->white)->toEqualWithDelta(2 ** 2.5, 1e-9)->and($picture->opaque())->toBeFalse();
    [$first, $last] = [$picture->pixels(0, 0, 0, 1, 1)[0], $picture->pixels(0, 15, 0, 1, 1)[0]];
    $linear = static fn (int $pixel, int $shift): float => Srgb::decode(($pixel >> $shift & 65535) / 65535) * 2 ** 2.5;
    expect($linear($first, 32))->toEqualWithDelta(5.0, 0.001)->and($linear($first, 16))->toEqualWithDelta(2.0, 0.001)
        // half covered: as bright as it is without its alpha
        ->and($linear($last, 32))->toEqualWithDelta(0.18, 0.0005)->and($last >> 48 & 65535)->toBe(32768);
});

it('brings colour, normals, depth and occlusion in one file', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(60, 40)])->assertCreated()->json();
    $file = Exr::file('urn.exr', 24, 20, [
        'R' => fn (): float => 0.2, 'G' => fn (): float => 0.3, 'B' => fn (): float => 0.4, 'A' => fn (): float => 1.0,
        'normal.X' => fn (int $x): float => ($x - 12) / 12, 'normal.Y' => fn (int $x, int $y): float => (10 - $y) / 12, 'normal.Z' => fn (): float => 0.6,
        'depth.Z' => fn (int $x, int $y): float => $x === 0 ? 1e10 : 2.0 + $y, 'AO.R' => fn (int $x): float => $x / 23,
    ], ['half' => false]);
    $values = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => $file, 'x' => 30, 'y' => 20])->assertCreated()->json()['strips'][1]['values'];
    expect([$values['normals'], $values['occlusion'], $values['depth']])->toBe(['urn-normals.png', 'urn-occlusion.png', 'urn-depth.png'])
        ->and($values['depthEnds'])->toBe('black is near')->and($values['depthNear'])->toEqual(1)->and($values['depthFar'])->toEqual(10.5)->and($values['exposure'])->toEqual(0);
    // as tones of sixteen bits, to the last of them
    $pictures = collect(Illuminate\Support\Facades\DB::table('scene_pictures')->where('scene_id', $scene['id'])->pluck('picture_id', 'name'));
    $at = static fn (string $name, int $x, int $y): int => PackedPicture::open(app(PictureLibrary::class)->path($pictures[$name]))->pixels(0, $x, $y, 1, 1)[0];
    $word = static fn (float $tone): int => (int) round(65535 * $tone);
    expect($at('urn-normals.png', 18, 4) >> 32 & 65535)->toBe($word(0.5 + 0.5 * 0.5))->and($at('urn-normals.png', 18, 4) >> 16 & 65535)->toBe($word(0.5 + 0.5 * 0.5))
        ->and($at('urn-depth.png', 5, 0) >> 32 & 65535)->toBe(0)->and($at('urn-depth.png', 5, 19) >> 32 & 65535)->toBe(65535)->and($at('urn-depth.png', 0, 3) >> 32 & 65535)->toBe(65535)
        ->and($at('urn-occlusion.png', 23, 3) >> 32 & 65535)->toBe(65535);
    // chosen as a pass, a file of signed normals becomes tones too
    $alone = Exr::file('n.exr', 12, 10, ['normals.X' => fn (): float => -1.0, 'normals.Y' => fn (): float => 0.0, 'normals.Z' => fn (): float => 0.0]);
    $name = $this->postJson("/api/scenes/{$scene['id']}/pictures", ['file' => $alone])->assertCreated()->json('name');
    expect(PackedPicture::open(app(PictureLibrary::class)->path(hash('sha256', $alone->getContent())))->pixels(0, 3, 3, 1, 1)[0] & 0xFFFFFFFFFFFF)->toBe(0 << 32 | 32768 << 16 | 32768)->and($name)->toBe('n.exr');
});

it('begins a scene with what a render brings along', function (): void {
    $file = Exr::file('kiln.exr', 24, 20, [
        'R' => fn (): float => 3.0, 'G' => fn (): float => 0.3, 'B' => fn (): float => 0.4,
        'normal.X' => fn (int $x): float => ($x - 12) / 12, 'normal.Y' => fn (int $x, int $y): float => (10 - $y) / 12, 'normal.Z' => fn (): float => 0.6,
        'depth.Z' => fn (int $x, int $y): float => 2.0 + $y,
    ]);
    $scene = $this->postJson('/api/scenes', ['file' => $file])->assertCreated()->json();
    $values = $scene['strips'][0]['values'];
    expect([$values['normals'], $values['depth'], $values['occlusion']])->toBe(['kiln-normals.png', 'kiln-depth.png', null])->and($values['exposure'])->toBeGreaterThan(1)->and($values['depthFar'])->toEqual(10.5);
    // and the scene's file has them
    expect(Illuminate\Support\Facades\DB::table('scene_pictures')->where('scene_id', $scene['id'])->pluck('name')->all())->toContain('kiln-normals.png', 'kiln-depth.png');
});

it('takes a pass as TIFF of sixteen bits', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(60, 40)])->assertCreated()->json();
    $scene = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::png(24, 20), 'x' => 30, 'y' => 20])->assertCreated()->json();
    $image = new Imagick;
    $image->newImage(12, 10, 'black');
    $pixels = [];
    for ($at = 0; $at < 120; $at++) {
        array_push($pixels, (0x1234 + 100 * ($at % 12)) / 65535, 0x8000 / 65535, 0xC0DE / 65535);
    }
    $image->importImagePixels(0, 0, 12, 10, 'RGB', Imagick::PIXEL_DOUBLE, $pixels);
    $image->setImageDepth(16);
    $image->setImageFormat('tiff');
    $bytes = $image->getImageBlob();
    $added = $this->postJson("/api/scenes/{$scene['id']}/plates", ['file' => PictureFile::of('urn-normals.tif', $bytes), 'x' => 30, 'y' => 20])->assertCreated()->json();
    expect($added['strips'])->toHaveCount(2)->and($added['strips'][1]['values']['normals'])->toBe('urn-normals.tif');
    $pixel = PackedPicture::open(app(PictureLibrary::class)->path(hash('sha256', $bytes)))->pixels(0, 3, 3, 1, 1)[0];
    expect($pixel >> 32 & 65535)->toBe(0x1234 + 300)->and($pixel & 65535)->toBe(0xC0DE);
});
