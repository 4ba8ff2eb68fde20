<?php

declare(strict_types=1);

use App\Codecs\HdrFile;
use App\Codecs\UnreadablePicture;
use App\Scenes\PictureLibrary;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Picture\PackedPicture;
use Tests\Support\PictureFile;

/* Radiance pictures. */

/** @param  string  $rows  after the header */
function radiance(int $width, int $height, string $rows, string $head = "FORMAT=32-bit_rle_rgbe\n"): string
{
    return "#?RADIANCE\n{$head}\n-Y {$height} +X {$width}\n{$rows}";
}

it('reads what an imaging library wrote', function (): void {
    $image = new Imagick;
    $image->newImage(40, 6, 'black');
    $values = [];
    for ($at = 0; $at < 240; $at++) {
        array_push($values, ($at % 40) / 40, 0.25, 1 - ($at % 40) / 40);
    }
    $image->importImagePixels(0, 0, 40, 6, 'RGB', Imagick::PIXEL_DOUBLE, $values);
    $image->setImageFormat('hdr');
    $file = HdrFile::read($image->getImageBlob(), 'a.hdr');
    expect([$file->width, $file->height])->toBe([40, 6]);
    $looked = 0;
    foreach ($file->rows() as $row) {
        foreach ([1, 20, 39] as $x) {
            // the library writes its values as light: eight bits of a shared exponent
            expect($row[0][$x])->toEqualWithDelta($x / 40, 0.006)->and($row[1][$x])->toEqualWithDelta(0.25, 0.006);
            $looked++;
        }
    }
    expect($looked)->toBe(18);
});

it('keeps what is brighter than white, in plain rows and in runs', function (): void {
    // 128 of 256 at an exponent of 131 is 128.5/256 x 2^3
    $plain = radiance(2, 2, str_repeat(pack('C4', 128, 64, 32, 131).pack('C4', 0, 0, 0, 0), 2));
    $run = static fn (int $value): string => pack('C2', 128 + 8, $value);
    $runs = radiance(8, 1, "\x02\x02\x00\x08".$run(128).$run(64).pack('C', 8).str_repeat("\x20", 8).$run(131));
    foreach ([$plain, $runs] as $bytes) {
        foreach (HdrFile::read($bytes, 'a.hdr')->rows() as $row) {
            expect($row[0][0])->toEqualWithDelta(128.5 / 256 * 8, 1e-9)->and($row[2][0])->toEqualWithDelta(32.5 / 256 * 8, 1e-9);
        }
    }
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::of('sky.hdr', $plain)])->assertCreated()->json();
    expect($scene['strips'][0]['values']['exposure'])->toEqualWithDelta(2.5, 1e-6);
    $picture = PackedPicture::open(app(PictureLibrary::class)->path(hash('sha256', $plain)));
    expect(Srgb::decode(($picture->pixels(0, 0, 0, 1, 1)[0] >> 32 & 65535) / 65535) * 2 ** 2.5)->toEqualWithDelta(128.5 / 32, 0.002);
    // an exposure that the file names is taken out again (the format's own words: divide by it)
    foreach (HdrFile::read(radiance(1, 1, pack('C4', 128, 128, 128, 129), "FORMAT=32-bit_rle_rgbe\nEXPOSURE=2\nEXPOSURE=2\n"), 'a.hdr')->rows() as $row) {
        expect($row[0][0])->toEqualWithDelta(128.5 / 256 * 2 / 4, 1e-9);
    }
});

it('refuses what is damaged or stored otherwise in a sentence', function (string $bytes, string $says): void {
    expect(function () use ($bytes): void {
        foreach (HdrFile::read($bytes, 'sky.hdr')->rows() as $row) {
        }
    })->toThrow(UnreadablePicture::class, $says);
})->with([
    'no size' => ["#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\nhello\n", 'damaged header'],
    'from below' => [strtr(radiance(2, 1, str_repeat('x', 8)), ['-Y' => '+Y']), 'do not go from the top left'],
    'another space' => [radiance(2, 1, str_repeat('x', 8), "FORMAT=32-bit_rle_xyze\n"), 'is stored as 32-bit_rle_xyze'],
    'cut off' => [radiance(20, 20, str_repeat('x', 300)), 'incomplete or damaged'],
    'a run that is too long' => [radiance(8, 1, "\x02\x02\x00\x08\xFF\x01"), 'incomplete or damaged'],
    'a run of nothing' => [radiance(8, 1, "\x02\x02\x00\x08\x00\x01"), 'incomplete or damaged'],
]);

it('refuses a few bytes that claim a hundred megapixels', function (): void {
    $this->postJson('/api/scenes', ['file' => PictureFile::of('sky.hdr', radiance(10000, 10000, 'xxxx'))])->assertStatus(422)->assertSee('most of it is missing');
});
