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
        match ($format) {
            PictureFormat::Png => $this->makePng($image, $bits),
            PictureFormat::Jpeg => $this->makeJpeg($image, $quality),
            PictureFormat::Tiff => $this->makeTiff($image, $bits),
            PictureFormat::WebP => $this->makeWebP($image, $quality),
            PictureFormat::Avif => $this->makeAvif($image, $quality),
            PictureFormat::Heic, PictureFormat::Exr => throw new InvalidArgumentException("{$format->label()} is read only"),
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
