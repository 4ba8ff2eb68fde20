<?php

declare(strict_types=1);

use App\Codecs\PictureDecoder;
use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use App\Codecs\SrgbProfile;
use App\Codecs\UnreadablePicture;
use Aumbrel\Core\Picture\PackedPicture;
use Tests\Support\Folder;
use Tests\Support\FourInks;
use Tests\Support\PictureFile;

function decoded(string $path): PackedPicture
{
    $folder = Folder::of('decoded').'/'.bin2hex(random_bytes(6));
    (new PictureDecoder)->decode($path, basename($path), $folder);

    return PackedPicture::open($folder);
}

it('decodes what the other image extension wrote, pixel for pixel', function (bool $transparent): void {
    $picture = decoded(PictureFile::png(37, 23, $transparent)->getPathname());
    expect([$picture->width(), $picture->height(), $picture->bits(), $picture->opaque()])->toBe([37, 23, 8, ! $transparent]);
    foreach ([[20, 0], [36, 22], [25, 11]] as [$x, $y]) {
        [$pixel] = $picture->pixels(0, $x, $y, 1, 1);
        expect([$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255, $pixel >> 24 & 255])->toBe(PictureFile::colour($x, $y));
    }
    if ($transparent) {
        expect($picture->pixels(0, 2, 5, 1, 1)[0] >> 24 & 255)->toBe(0);
    }
})->with([false, true]);

it('halves five times, down to one pixel', function (): void {
    $picture = decoded(PictureFile::png(40, 24)->getPathname());
    expect($picture->pixels(5, 0, 0, 2, 1))->toHaveCount(2)->and($picture->pixels(1, 0, 0, 20, 12))->toHaveCount(240);
    // a halving is the mean of four
    $mean = array_sum(array_map(fn (int $pixel): int => $pixel >> 16 & 255, $picture->pixels(0, 4, 6, 2, 2))) / 4;
    expect($picture->pixels(1, 2, 3, 1, 1)[0] >> 16 & 255)->toEqualWithDelta($mean, 0.51);
});

it('keeps 16 bits', function (): void {
    $path = PictureFile::deep(5, 4, fn (int $x, int $y): array => [($y * 5 + $x) * 3000 + 7, 65535 - ($y * 5 + $x) * 100, 1234])->getPathname();
    $picture = decoded($path);
    expect($picture->bits())->toBe(16);
    [$pixel] = $picture->pixels(0, 2, 1, 1, 1);
    expect([$pixel >> 32 & 65535, $pixel >> 16 & 65535, $pixel & 65535, $pixel >> 48 & 65535])->toBe([7 * 3000 + 7, 65535 - 700, 1234, 65535]);
});

it('turns greys, palettes and other colour spaces into sRGB', function (): void {
    $grey = new Imagick;
    $grey->newImage(6, 6, 'rgb(90,90,90)');
    $grey->setImageType(Imagick::IMGTYPE_GRAYSCALE);
    $grey->writeImage('png:'.$path = Folder::of('files').'/grey.png');
    expect(decoded($path)->pixels(0, 1, 1, 1, 1)[0] & 0xFFFFFF)->toBe(0x5A5A5A);
    $palette = imagecreate(6, 6);
    imagecolorallocate($palette, 200, 100, 50);
    imagepng($palette, $path = Folder::of('files').'/palette.png');
    expect(decoded($path)->pixels(0, 1, 1, 1, 1)[0] & 0xFFFFFF)->toBe(0xC86432);
});

it('carries an sRGB profile that the imaging extension reads as the identity', function (): void {
    $profile = SrgbProfile::bytes();
    expect(substr($profile, 36, 4))->toBe('acsp')->and(unpack('N', $profile)[1])->toBe(strlen($profile));
    $path = Folder::of('files').'/out.png';
    $rows = '';
    foreach (range(0, 63) as $k) {
        $rows .= pack('C4', $k * 4, 255 - $k * 3, ($k * 37) % 256, 255);
    }
    file_put_contents($raw = "{$path}.rows", $rows);
    (new PictureEncoder)->write($raw, 8, 8, 8, $path, PictureFormat::Png);
    $image = new Imagick($path);
    expect($image->getImageProfiles('icc', false))->not->toBe([]);
    // through the profile into itself: nothing changes
    $pixels = array_values(unpack('C*', $rows));
    $picture = decoded($path);
    foreach ($picture->pixels(0, 0, 0, 8, 8) as $k => $pixel) {
        expect(abs(($pixel >> 16 & 255) - $pixels[$k * 4]))->toBeLessThanOrEqual(1)->and(abs(($pixel >> 8 & 255) - $pixels[$k * 4 + 1]))->toBeLessThanOrEqual(1);
    }
});

it('writes no half picture', function (): void {
    file_put_contents($raw = Folder::of('files').'/short.rows', 'abc');
    expect(fn () => (new PictureEncoder)->write($raw, 8, 8, 8, Folder::of('files').'/half.png', PictureFormat::Png))->toThrow(InvalidArgumentException::class);
    expect(glob(Folder::of('files').'/half*'))->toBe([]);
});

/** A file of a marked corner picture with an orientation: red at the stored top left, green at the top right, blue at the bottom left. */
function orientedFile(string $format, int $orientation, bool $isLittle = false): string
{
    $image = imagecreatetruecolor(48, 32);
    imagefill($image, 0, 0, 0x808080);
    foreach ([[0, 0, 0xF00000], [32, 0, 0x00F000], [0, 16, 0x0000F0]] as [$x, $y, $colour]) {
        imagefilledrectangle($image, $x, $y, $x + 15, $y + 15, $colour);
    }
    ob_start();
    $format === 'jpeg' ? imagejpeg($image, quality: 98) : imagepng($image);
    $bytes = (string) ob_get_clean();
    $tiff = $isLittle ? "II\x2A\0\x08\0\0\0\x01\0\x12\x01\x03\0\x01\0\0\0".pack('v', $orientation)."\0\0\0\0\0\0" : "MM\0\x2A\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01".pack('n', $orientation)."\0\0\0\0\0\0";
    $bytes = $format === 'jpeg'
        ? substr($bytes, 0, 2)."\xFF\xE1".pack('n', strlen($tiff) + 8)."Exif\0\0{$tiff}".substr($bytes, 2)
        : substr($bytes, 0, 33).pack('N', strlen($tiff)).'eXIf'.$tiff.pack('N', crc32("eXIf{$tiff}")).substr($bytes, 33);

    return PictureFile::of("turned.{$format}", $bytes)->getPathname();
}

// Exif 2.32, orientation: where the stored first row and first column lie in the upright picture
it('turns every orientation upright', function (string $format, int $orientation, array $red, array $green, array $blue): void {
    foreach ([false, true] as $isLittle) {
        $picture = decoded(orientedFile($format, $orientation, $isLittle));
        [$width, $height] = [$picture->width(), $picture->height()];
        expect([$width, $height])->toBe($orientation >= 5 ? [32, 48] : [48, 32]);
        foreach ([[$red, 16], [$green, 8], [$blue, 0]] as [[$right, $below], $shift]) {
            [$pixel] = $picture->pixels(0, $right ? $width - 4 : 3, $below ? $height - 4 : 3, 1, 1);
            expect($pixel >> $shift & 255)->toBeGreaterThan(200)->and(array_sum(array_map(fn (int $other): int => $pixel >> $other & 255, [16, 8, 0])) - ($pixel >> $shift & 255))->toBeLessThan(80);
        }
    }
})->with(['jpeg', 'png'])->with([
    [1, [0, 0], [1, 0], [0, 1]], [2, [1, 0], [0, 0], [1, 1]], [3, [1, 1], [0, 1], [1, 0]], [4, [0, 1], [1, 1], [0, 0]],
    [5, [0, 0], [0, 1], [1, 0]], [6, [1, 0], [1, 1], [0, 0]], [7, [1, 1], [1, 0], [0, 1]], [8, [0, 1], [0, 0], [1, 1]],
]);

it('takes a trimmed picture that remembers its page', function (array $page): void {
    $image = new Imagick;
    $image->newImage(20, 12, 'rgb(200,100,50)');
    $image->setImageFormat('png');
    $image->setImagePage(...$page);
    $image->writeImage('png:'.$path = Folder::of('files').'/trimmed.png');
    $picture = decoded($path);
    expect([$picture->width(), $picture->height()])->toBe([20, 12])->and($picture->pixels(0, 19, 11, 1, 1)[0] & 0xFFFFFF)->toBe(0xC86432);
})->with([[[400, 300, 37, 21]], [[400, 300, -5, -3]], [[10, 10, 0, 0]]]);

it('says that a JPEG is incomplete though it is closed properly', function (): void {
    $image = imagecreatefrompng(PictureFile::png(400, 300)->getPathname());
    ob_start();
    imagejpeg($image, quality: 90);
    $jpeg = (string) ob_get_clean();
    foreach ([0.4, 0.7, 0.95] as $share) {
        $path = PictureFile::of('part.jpg', substr($jpeg, 0, (int) (strlen($jpeg) * $share))."\xFF\xD9")->getPathname();
        expect(fn () => decoded($path))->toThrow(UnreadablePicture::class, 'incomplete');
    }
    expect(decoded(PictureFile::of('whole.jpg', $jpeg)->getPathname())->width())->toBe(400);
});

it('does not work for what a few bytes only claim', function (): void {
    $begun = microtime(true);
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $png = "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('N2C5', 10000, 10000, 8, 2, 0, 0, 0)).$chunk('IDAT', (string) gzcompress(str_repeat("\0", 9_000_000))).$chunk('IEND', '');
    expect(fn () => decoded(PictureFile::of('claims.png', $png)->getPathname()))->toThrow(UnreadablePicture::class, 'has not the data');
    ob_start();
    imagejpeg(imagecreatetruecolor(64, 64), quality: 90);
    $jpeg = (string) ob_get_clean();
    $at = strpos($jpeg, "\xFF\xC0");
    $jpeg = substr_replace($jpeg, pack('n2', 10000, 10000), $at + 5, 4).str_repeat("\0", 11_000)."\xFF\xD9";
    expect(fn () => decoded(PictureFile::of('claims.jpg', $jpeg)->getPathname()))->toThrow(UnreadablePicture::class, 'has not the data');
    expect(microtime(true) - $begun)->toBeLessThan(1.0);
    // one colour compresses well, and is taken
    plainPng($path = Folder::of('files').'/plain.png', 3000, 2000);
    expect(decoded($path)->width())->toBe(3000);
});

it('takes or refuses damaged files, and meets no fault of its own', function (string $format): void {
    $image = imagecreatefrompng(PictureFile::png(90, 70)->getPathname());
    ob_start();
    $format === 'jpeg' ? imagejpeg($image, quality: 85) : imagepng($image);
    $whole = (string) ob_get_clean();
    mt_srand(5);
    $taken = 0;
    for ($k = (int) (getenv('DAMAGED_FILES') ?: 180); $k > 0; $k--) {
        $bytes = $whole;
        match (mt_rand(0, 3)) {
            0 => $bytes[mt_rand(2, strlen($bytes) - 1)] = chr(mt_rand(0, 255)),
            1 => $bytes = substr_replace($bytes, '', mt_rand(2, strlen($bytes) - 20), mt_rand(1, 19)),
            2 => $bytes = substr_replace($bytes, random_bytes(mt_rand(1, 9)), mt_rand(2, strlen($bytes) - 1), 0),
            default => $bytes[$at = mt_rand(2, min(700, strlen($bytes)) - 1)] = chr(ord($bytes[$at]) ^ 1 << mt_rand(0, 7)),
        };
        try {
            $picture = decoded(PictureFile::of("damaged.{$format}", $bytes)->getPathname());
            $taken++;
            expect($picture->width() * $picture->height())->toBeGreaterThan(0)->and($picture->pixels(0, 0, 0, 1, 1))->toHaveCount(1);
        } catch (UnreadablePicture $said) {
            expect($said->getMessage())->toEndWith('.')->not->toContain('Imagick');
        }
    }
    // a bit in the middle of the pixels does not make a file unreadable
    expect($taken)->toBeGreaterThan($format === 'jpeg' ? 20 : -1);
})->with(['jpeg', 'png']);

it('takes the first picture of an animation, and says so', function (): void {
    $plain = (string) file_get_contents(PictureFile::png(64, 40)->getPathname());
    $control = pack('N2', 2, 0);
    $animated = substr($plain, 0, 33).pack('N', 8).'acTL'.$control.pack('N', crc32("acTL{$control}")).substr($plain, 33);
    $this->postJson('/api/scenes', ['file' => PictureFile::of('tide.png', $animated)])->assertCreated()->assertJsonPath('notice', 'tide.png holds several pictures: the first one was taken.');
    $this->postJson('/api/scenes', ['file' => PictureFile::png(64, 40)])->assertCreated()->assertJsonPath('notice', null);
});

it('takes pictures in CMYK by their profile, and refuses those without one', function (string $format): void {
    $taken = $this->postJson('/api/scenes', ['file' => PictureFile::of("print.{$format}", FourInks::file($format, FourInks::profile()))])->assertCreated()->json();
    $reply = $this->postJson("/api/scenes/{$taken['id']}/picture", ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 24, 8], 'scale' => 1])->assertOk()->getContent();
    $pixels = array_values((array) unpack('C*', substr($reply, -4 * 24 * 8)));
    $at = fn (int $x): array => array_slice($pixels, 4 * (4 * 24 + $x), 3);
    // paper, L* 55 a* -37 b* -50 in sRGB, black
    expect($at(4))->toEqualWithDelta([255, 255, 255], 2)->and($at(12))->toEqualWithDelta([0, 150, 218], 6)->and($at(20))->toEqualWithDelta([0, 0, 0], 4);
    foreach ([null, 'no profile at all'] as $profile) {
        $this->postJson('/api/scenes', ['file' => PictureFile::of("print.{$format}", FourInks::file($format, $profile))])->assertStatus(422)->assertSee('is in CMYK and has no profile');
    }
})->with(['jpeg', 'tiff']);
