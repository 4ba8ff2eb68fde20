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
        $this->makeJpeg($image, $quality);
        $file = $image->getImageBlob();
        $image->clear();

        return $file;
    }

    /**
     * Writes a picture file beside its place and renames it, so that there is never half a one.
     *
     * @param  string  $raw  a file of rendered rows
     * @param  'png'|'jpeg'  $format
     * @param  8|16  $bits
     */
    public function write(string $raw, int $columns, int $rows, int $bits, string $file, string $format, int $quality = 92): void
    {
        $bytes = file_get_contents($raw);
        $image = $this->image($bytes === false ? '' : $bytes, $columns, $rows, $bits);
        unset($bytes);
        if ($format === 'jpeg') {
            $this->makeJpeg($image, $quality);
        } else {
            $this->makePng($image, $bits);
        }
        $aside = $file.'.'.bin2hex(random_bytes(6));
        try {
            $image->writeImage("{$format}:{$aside}");
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

    private function makeJpeg(Imagick $image, int $quality): void
    {
        $image->setImageBackgroundColor(self::GROUND);
        $image->setImageAlphaChannel(Imagick::ALPHACHANNEL_REMOVE);
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
