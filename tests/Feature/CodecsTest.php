<?php

declare(strict_types=1);

use App\Codecs\PictureDecoder;
use App\Codecs\PictureEncoder;
use App\Codecs\SrgbProfile;
use Aumbrel\Core\Plate\PackedPicture;
use Tests\Support\Folder;
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
    (new PictureEncoder)->write($raw, 8, 8, 8, $path, 'png');
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
    expect(fn () => (new PictureEncoder)->write($raw, 8, 8, 8, Folder::of('files').'/half.png', 'png'))->toThrow(InvalidArgumentException::class);
    expect(glob(Folder::of('files').'/half*'))->toBe([]);
});
