<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Http\UploadedFile;
use Imagick;
use ImagickPixel;

/** Picture files for tests: sound ones with known colours, and broken ones. */
final class PictureFile
{
    /** @return array{int, int, int, int} */
    public static function colour(int $x, int $y): array
    {
        return [($x * 4) % 256, ($y * 6) % 256, ($x * 7 + $y * 3) % 256, 255];
    }

    /**
     * Drawn pixel by pixel.
     *
     * @param  callable(int, int): array{int, int, int, float}  $colour  red, green, blue 0..255, and alpha 0..1
     */
    public static function drawn(string $name, int $width, int $height, callable $colour): UploadedFile
    {
        $image = imagecreatetruecolor($width, $height);
        imagealphablending($image, false);
        imagesavealpha($image, true);
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                [$r, $g, $b, $a] = $colour($x, $y);
                imagesetpixel($image, $x, $y, (int) round(127 * (1 - $a)) << 24 | $r << 16 | $g << 8 | $b);
            }
        }
        ob_start();
        imagepng($image);

        return self::of($name, (string) ob_get_clean());
    }

    public static function png(int $width, int $height, bool $transparent = false): UploadedFile
    {
        $image = imagecreatetruecolor($width, $height);
        imagealphablending($image, false);
        imagesavealpha($image, $transparent);
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                [$r, $g, $b] = self::colour($x, $y);
                imagesetpixel($image, $x, $y, ($transparent && $x < $width / 2 ? 127 : 0) << 24 | $r << 16 | $g << 8 | $b);
            }
        }
        ob_start();
        imagepng($image);

        return self::of('marsh_at-dusk.png', (string) ob_get_clean());
    }

    /** A JPEG whose orientation says that it was taken upright. */
    public static function turnedJpeg(int $width, int $height): UploadedFile
    {
        $image = imagecreatetruecolor($width, $height);
        imagefill($image, 0, 0, 0x204060);
        ob_start();
        imagejpeg($image, quality: 90);
        $jpeg = (string) ob_get_clean();
        // an Exif block with the one entry "orientation: 6" (Exif 2.3, tag 0x0112)
        $tiff = "MM\0\x2A\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\0\0\0\0";
        $exif = "Exif\0\0".$tiff;

        return self::of('upright.jpg', substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2));
    }

    public static function cutJpeg(): UploadedFile
    {
        $image = new Imagick;
        $image->newImage(200, 120, new ImagickPixel('#336699'));
        $image->setImageFormat('jpeg');

        return self::of('cut.jpg', substr($image->getImageBlob(), 0, -40));
    }

    public static function cutPng(): UploadedFile
    {
        return self::of('cut.png', substr((string) self::png(64, 40)->getContent(), 0, -60));
    }

    /** A sound header that promises 900 megapixels, with next to nothing behind it. */
    public static function hugeHeader(): UploadedFile
    {
        return self::of('huge.png', self::pngOf(30000, 30000, (string) gzcompress('')));
    }

    /** A sound picture whose width Debian's policy of the imaging library (16,000 px) forbids. */
    public static function wide(): UploadedFile
    {
        return self::of('wide.png', self::pngOf(18000, 2, (string) gzcompress(str_repeat("\0".str_repeat("\x40\x50\x60", 18000), 2))));
    }

    /** A sound header, and pixels that were never compressed. */
    public static function rubbishPixels(): UploadedFile
    {
        return self::of('rubbish.png', self::pngOf(40, 30, str_repeat('rubbish', 99)));
    }

    /** @param  callable(int, int): array{int, int, int}  $colour 0..65535 */
    public static function deep(int $width, int $height, callable $colour): UploadedFile
    {
        $rows = '';
        for ($y = 0; $y < $height; $y++) {
            $rows .= "\0";
            for ($x = 0; $x < $width; $x++) {
                $rows .= pack('n3', ...$colour($x, $y));
            }
        }

        return self::of('deep.png', self::pngOf($width, $height, (string) gzcompress($rows), 16));
    }

    private static function pngOf(int $width, int $height, string $pixels, int $bits = 8): string
    {
        $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));

        return "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('N2C5', $width, $height, $bits, 2, 0, 0, 0)).$chunk('IDAT', $pixels).$chunk('IEND', '');
    }

    public static function of(string $name, string $bytes): UploadedFile
    {
        $path = Folder::of('files').'/'.bin2hex(random_bytes(6));
        file_put_contents($path, $bytes);

        return new UploadedFile($path, $name, test: true);
    }
}
