<?php

declare(strict_types=1);

namespace App\Codecs;

use App\Faults\DiskFull;
use Imagick;
use ImagickException;
use InvalidArgumentException;

/** Turns rendered rows (red, green, blue, alpha; sRGB-encoded, unpremultiplied; 16 bits big-endian) into picture files. */
final class PictureEncoder
{
    /** What a picture without alpha is laid on in formats that have none. */
    private const GROUND = 'black';

    public function jpegOf(string $bytes, int $columns, int $rows, int $quality): string
    {
        $image = $this->image($bytes, $columns, $rows, 8);
        $this->layOnGround($image);
        $this->makeJpeg($image, $quality);
        $file = $image->getImageBlob();
        $image->clear();

        return $file;
    }

    /**
     * Writes a picture file beside its place and renames it, so that there is never half a one.
     *
     * @param  string  $raw  a file of rendered rows
     * @param  8|16  $bits
     * @param  Finish  $finish  what is done to it before
     */
    public function write(string $raw, int $columns, int $rows, int $bits, string $file, PictureFormat $format, int $quality = 92, Finish $finish = new Finish): void
    {
        $bytes = file_get_contents($raw);
        $image = $this->image($bytes === false ? '' : $bytes, $columns, $rows, $bits);
        unset($bytes);
        if (! $format->keepsAlpha()) {
            $this->layOnGround($image);
        }
        $finish->onto($image);
        $this->put($image, $file, $format, $bits, $quality);
    }

    /** A picture that was put together otherwise, in the same way. */
    public function file(Imagick $image, string $file, PictureFormat $format, int $quality = 92): void
    {
        $image->profileImage('icc', SrgbProfile::bytes());
        $this->put($image, $file, $format, 8, $quality);
    }

    /** Rendered rows of 8 bits as a picture, to be laid on another one. */
    public function rows(string $raw, int $columns, int $rows): Imagick
    {
        return $this->image((string) file_get_contents($raw), $columns, $rows, 8);
    }

    /**
     * Rendered rows as a PNG.
     *
     * @param  8|16  $bits  of both
     */
    public function whole(string $raw, int $columns, int $rows, int $bits): string
    {
        $image = $this->image((string) file_get_contents($raw), $columns, $rows, $bits);
        $this->makePng($image, $bits);
        $png = $image->getImageBlob();
        $image->clear();

        return $png;
    }

    private function put(Imagick $image, string $file, PictureFormat $format, int $bits, int $quality): void
    {
        match ($format) {
            PictureFormat::Png => $this->makePng($image, $bits),
            PictureFormat::Jpeg => $this->makeJpeg($image, $quality),
            PictureFormat::Tiff => $this->makeTiff($image, $bits),
            PictureFormat::WebP => $this->makeWebP($image, $quality),
            PictureFormat::Avif => $this->makeAvif($image, $quality),
            PictureFormat::Heic, PictureFormat::Hdr, PictureFormat::Exr => throw new InvalidArgumentException("{$format->label()} is read only"),
        };
        $aside = $file.'.'.bin2hex(random_bytes(6));
        try {
            $image->writeImage("{$format->value}:{$aside}");
            if (! @rename($aside, $file)) {
                throw DiskFull::writing('The picture file');
            }
        } catch (ImagickException $error) {
            throw DiskFull::writing('The picture file', $error);
        } finally {
            $image->clear();
            @unlink($aside);
        }
    }

    /**
     * A part of rendered rows as a PNG: what of them is not wholly clear.
     *
     * @param  string  $raw  a file of rendered rows of 16 bits
     * @param  8|16  $bits  of the PNG
     * @return array{png: string, x: int, y: int} and where it lies; one pixel where everything is clear
     */
    public function layer(string $raw, int $columns, int $rows, int $bits): array
    {
        $bytes = file_get_contents($raw);
        $image = $this->image($bytes === false ? '' : $bytes, $columns, $rows, 16);
        $box = self::there($bytes === false ? '' : $bytes, $columns, $rows);
        $image->cropImage($box['width'], $box['height'], $box['x'], $box['y']);
        $image->setImagePage(0, 0, 0, 0);
        unset($bytes);
        $this->makePng($image, $bits);
        // with its alpha even where that is the same everywhere
        $image->setOption('png:color-type', '6');
        $png = $image->getImageBlob();
        $image->clear();

        return ['png' => $png, 'x' => $box['x'], 'y' => $box['y']];
    }

    /** A PNG in small: neither side longer than that. */
    public function small(string $png, int $side): string
    {
        $image = new Imagick;
        $image->readImageBlob($png);
        $image->thumbnailImage($side, $side, true);
        $this->makePng($image, 8);
        $small = $image->getImageBlob();
        $image->clear();

        return $small;
    }

    /** @return array{x: int, y: int, width: int, height: int} the part in which anything is */
    private static function there(string $bytes, int $columns, int $rows): array
    {
        [$left, $right, $top, $bottom] = [$columns, -1, $rows, -1];
        $clear = str_repeat("\0\0\0\0\0\0\0\0", $columns);
        for ($row = 0; $row < $rows; $row++) {
            $line = substr($bytes, 8 * $columns * $row, 8 * $columns);
            if ($line === $clear) {
                continue;
            }
            [$top, $bottom] = [min($top, $row), $row];
            $left = min($left, intdiv(strspn($line, "\0"), 8));
            $right = max($right, intdiv(strlen(rtrim($line, "\0")) - 1, 8));
        }

        return $right < 0 ? ['x' => 0, 'y' => 0, 'width' => 1, 'height' => 1] : ['x' => $left, 'y' => $top, 'width' => $right - $left + 1, 'height' => $bottom - $top + 1];
    }

    private function image(string $bytes, int $columns, int $rows, int $bits): Imagick
    {
        if (strlen($bytes) !== $columns * $rows * $bits / 2) {
            throw new InvalidArgumentException('the rendered rows do not make a whole picture');
        }
        $image = new Imagick;
        $image->setSize($columns, $rows);
        $image->setOption('depth', (string) $bits);
        $image->setFormat('RGBA');
        if ($bits === 16) {
            $image->setOption('endian', 'MSB');
        }
        $image->readImageBlob($bytes);
        $image->setImageColorspace(Imagick::COLORSPACE_SRGB);
        $image->profileImage('icc', SrgbProfile::bytes());

        return $image;
    }

    private function layOnGround(Imagick $image): void
    {
        $image->setImageBackgroundColor(self::GROUND);
        $image->setImageAlphaChannel(Imagick::ALPHACHANNEL_REMOVE);
    }

    private function makeTiff(Imagick $image, int $bits): void
    {
        $image->setFormat('tiff');
        $image->setImageFormat('tiff');
        $image->setImageDepth($bits);
        $image->setImageCompression(Imagick::COMPRESSION_ZIP);
        // as it is everywhere else: colours are not multiplied by what lets them through (TIFF 6.0, ExtraSamples 2)
        $image->setOption('tiff:alpha', 'unassociated');
    }

    /** At the highest quality nothing is lost. */
    private function makeWebP(Imagick $image, int $quality): void
    {
        $image->setFormat('webp');
        $image->setImageFormat('webp');
        $image->setOption('webp:lossless', $quality === 100 ? 'true' : 'false');
        $image->setOption('webp:exact', 'true');
        $image->setImageCompressionQuality($quality);
    }

    private function makeAvif(Imagick $image, int $quality): void
    {
        $image->setFormat('avif');
        $image->setImageFormat('avif');
        $image->setImageCompressionQuality($quality);
    }

    private function makeJpeg(Imagick $image, int $quality): void
    {
        $image->setFormat('jpeg');
        $image->setImageFormat('jpeg');
        $image->setImageCompressionQuality($quality);
        $image->setSamplingFactors(['1x1']);
    }

    private function makePng(Imagick $image, int $bits): void
    {
        $image->setFormat('png');
        $image->setImageFormat('png');
        $image->setOption('png:bit-depth', (string) $bits);
        $image->setOption('png:compression-level', '4');
        $image->setOption('png:exclude-chunk', 'date,tIME');
        $image->setImageDepth($bits);
    }
}
