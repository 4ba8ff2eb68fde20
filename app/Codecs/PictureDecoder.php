<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Plate\PackedWriter;
use Aumbrel\Core\Scene\Scene;
use Imagick;
use ImagickException;
use Throwable;

/**
 * Turns a PNG or JPEG file into packed rows: checked by content, turned upright, converted to sRGB.
 *
 * Everything that can be told from the header is told before a pixel is decoded.
 */
final class PictureDecoder
{
    public const MOST_BYTES = 200 * 1024 * 1024;

    /** Rows that are handed over at a time. */
    private const BAND = 64;

    private const JPEG_MIRRORED_OR_TURNED = 2;

    /**
     * @param  string  $folder  becomes the packed picture
     *
     * @throws UnreadablePicture
     */
    public function decode(string $path, string $name, string $folder): void
    {
        $format = $this->check($path, $name);
        try {
            $image = new Imagick;
            $image->readImage("{$format}:{$path}");
            $this->upright($image);
            $this->toSrgb($image);
            $this->write($image, $folder);
            $image->clear();
        } catch (ImagickException $error) {
            throw new UnreadablePicture("{$name} could not be decoded: the file seems to be damaged. Export it again as PNG or JPEG.", previous: $error);
        }
    }

    /**
     * @return 'png'|'jpeg'
     *
     * @throws UnreadablePicture
     */
    public function check(string $path, string $name): string
    {
        $bytes = (int) @filesize($path);
        if ($bytes === 0) {
            throw new UnreadablePicture("{$name} is empty (0 bytes).");
        }
        if ($bytes > self::MOST_BYTES) {
            throw new UnreadablePicture(sprintf('%s has %d MB; at most 200 MB are taken.', $name, $bytes >> 20));
        }
        $head = (string) file_get_contents($path, length: 32);
        $format = match (true) {
            str_starts_with($head, "\x89PNG\r\n\x1a\n") => 'png',
            str_starts_with($head, "\xFF\xD8\xFF") => 'jpeg',
            default => throw new UnreadablePicture("{$name} is not a PNG or JPEG picture, whatever its name says."),
        };
        $size = @getimagesize($path);
        $isHeadless = $format === 'png' && substr($head, 12, 4) !== 'IHDR';
        if ($isHeadless || $size === false || $size[0] < 1 || $size[1] < 1) {
            throw new UnreadablePicture("{$name} has a damaged header: its size cannot be read.");
        }
        if ($size[0] * $size[1] > Scene::MOST_PIXELS || max($size[0], $size[1]) > Scene::LARGEST_SIDE) {
            throw new UnreadablePicture(sprintf('%s is %d x %d px (%d megapixels); at most 100 megapixels are taken.', $name, $size[0], $size[1], round($size[0] * $size[1] / 1e6)));
        }
        $widest = (int) min(Imagick::getResourceLimit(Imagick::RESOURCETYPE_WIDTH), Imagick::getResourceLimit(Imagick::RESOURCETYPE_HEIGHT));
        if (max($size[0], $size[1]) > $widest) {
            throw new UnreadablePicture(sprintf('%s is %d x %d px; this machine\'s imaging library accepts sides of at most %d px (docs/deployment.md says how to raise that).', $name, $size[0], $size[1], $widest));
        }
        if (! $this->isWhole($path, $format)) {
            throw new UnreadablePicture("{$name} is cut off: its end is missing. Copy or export it again.");
        }

        return $format;
    }

    /** Whether the end of the picture's data is there: decoders fill a missing end with grey and say nothing. */
    private function isWhole(string $path, string $format): bool
    {
        $bytes = (string) file_get_contents($path);

        return $format === 'png'
            ? strrpos($bytes, 'IEND') !== false
            : (int) strrpos($bytes, "\xFF\xD9") > (int) strrpos($bytes, "\xFF\xDA");
    }

    private function upright(Imagick $image): void
    {
        if ($image->getImageOrientation() >= self::JPEG_MIRRORED_OR_TURNED) {
            $image->autoOrient();
        }
    }

    private function toSrgb(Imagick $image): void
    {
        if ($image->getImageProfiles('icc', false) !== []) {
            try {
                $image->profileImage('icc', SrgbProfile::bytes());
            } catch (ImagickException) {
                // a profile that cannot be read says nothing about the colours: they are taken as sRGB
                $image->stripImage();
            }
        }
        if ($image->getImageColorspace() !== Imagick::COLORSPACE_SRGB) {
            $image->transformImageColorspace(Imagick::COLORSPACE_SRGB);
        }
    }

    private function write(Imagick $image, string $folder): void
    {
        [$width, $height] = [$image->getImageWidth(), $image->getImageHeight()];
        $bits = $image->getImageDepth() > 8 ? 16 : 8;
        $writer = new PackedWriter($folder, $width, $height, $bits);
        for ($row = 0; $row < $height; $row += self::BAND) {
            $band = $image->getImageRegion($width, min(self::BAND, $height - $row), 0, $row);
            $band->setImagePage(0, 0, 0, 0);
            $band->setImageAlphaChannel(Imagick::ALPHACHANNEL_SET);
            $band->setImageDepth($bits);
            $band->setImageFormat('BGRA');
            $band->setOption('quantum:format', 'unsigned');
            if ($bits === 16) {
                $band->setOption('endian', 'LSB');
            }
            $writer->band($band->getImageBlob());
            $band->clear();
        }
        $writer->finish();
    }

    /** Removes a folder that did not become a picture. */
    public static function discard(string $folder): void
    {
        try {
            array_map('unlink', glob("{$folder}/*") ?: []);
            @rmdir($folder);
        } catch (Throwable) {
            // what is left is swept with the next start
        }
    }
}
