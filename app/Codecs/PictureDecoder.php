<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Picture\PackedWriter;
use Closure;
use Imagick;
use ImagickException;
use Throwable;

/**
 * Turns a picture file into packed rows: checked by content, turned upright, converted to sRGB.
 *
 * Everything that can be told from the header is told before a pixel is decoded.
 */
final class PictureDecoder
{
    /** Rows that are handed over at a time. */
    private const BAND = 64;

    /** Shares of the work that are done when the data is checked, and when it is read. */
    private const CHECKED = 0.15;

    private const READ = 0.3;

    /** What the imaging library says when a limit of this machine is reached, not when a file is damaged. */
    private const LIMITS = '/exhausted|exceeds limit|resource limit|no space left|unable to extend|unable to create temporary|memory allocation|time limit/i';

    /**
     * @param  string  $folder  becomes the packed picture
     * @param  PictureHead|null  $head  what the file says of itself, where that was read already
     * @param  (Closure(float): void)|null  $progress  told the share that is done; may throw to end it
     *
     * @throws UnreadablePicture
     */
    public function decode(string $path, string $name, string $folder, ?PictureHead $head = null, ?Closure $progress = null): void
    {
        $progress ??= static fn (float $share) => null;
        $head ??= PictureHead::read($path, $name);
        $progress(0.0);
        if ($head->format === PictureFormat::Exr) {
            ExrPicture::write((string) file_get_contents($path), $name, $folder, $progress);

            return;
        }
        if ($head->format === PictureFormat::Hdr) {
            HdrPicture::write((string) file_get_contents($path), $name, $folder, $progress);

            return;
        }
        $this->checkData($head, $path, $name);
        $progress(self::CHECKED);
        try {
            $image = $this->read($head, $path, $name);
            if ($image->getImageWidth() !== $head->width || $image->getImageHeight() !== $head->height) {
                throw $this->damaged($name);
            }
            // where a trimmed picture once lay on its page is no business of ours
            $image->setImagePage(0, 0, 0, 0);
            $this->upright($image, $head->orientation);
            $this->toSrgb($image, $name);
            $progress(self::READ);
            $this->write($image, $folder, $progress);
            $image->clear();
        } catch (ImagickException $error) {
            throw preg_match(self::LIMITS, $error->getMessage()) === 1
                ? new UnreadablePicture(sprintf("%s has %d megapixels, for which a limit of this machine's imaging library is too low (memory, disk or time; docs/deployment.md says how to raise it). The file itself may be sound.", $name, round($head->width * $head->height / 1e6)), previous: $error)
                : $this->damaged($name, $error);
        }
    }

    private function read(PictureHead $head, string $path, string $name): Imagick
    {
        $image = new Imagick;
        if ($head->format === PictureFormat::Avif && str_contains((string) file_get_contents($path, length: 65536), 'auxiliary:alpha')) {
            // the imaging library loses what is clear in this format; the other image extension keeps it
            $seen = @imagecreatefromavif($path) ?: throw $this->damaged($name);
            imagesavealpha($seen, true);
            ob_start();
            imagepng($seen, quality: 0);
            $image->readImageBlob((string) ob_get_clean());

            return $image;
        }
        $image->readImage("{$head->format->value}:{$path}[0]");
        if ($head->format === PictureFormat::Avif || $head->format === PictureFormat::Heic) {
            $image->setImageAlphaChannel(Imagick::ALPHACHANNEL_OPAQUE);
        }

        return $image;
    }

    private function damaged(string $name, ?Throwable $previous = null): UnreadablePicture
    {
        return new UnreadablePicture("{$name} could not be decoded: the file seems to be damaged. Export it again, as PNG or JPEG for instance.", previous: $previous);
    }

    /**
     * Decoders fill what is missing of a JPEG with grey, and the imaging library says nothing of it. The other image
     * extension hands on what its decoder says.
     */
    private function checkData(PictureHead $head, string $path, string $name): void
    {
        if ($head->format !== PictureFormat::Jpeg) {
            return;
        }
        $says = '';
        set_error_handler(static function (int $kind, string $message) use (&$says): bool {
            $says .= $message;

            return true;
        });
        $ignored = ini_set('gd.jpeg_ignore_warning', '0');
        try {
            imagecreatefromjpeg($path);
        } finally {
            ini_set('gd.jpeg_ignore_warning', (string) $ignored);
            restore_error_handler();
        }
        if (preg_match('/premature end/i', $says) === 1) {
            throw new UnreadablePicture("{$name} is incomplete: a part of its data is missing, though it is closed properly. Copy or export it again.");
        }
    }

    /** Turns and mirrors as the orientation tells (Exif 2.32: which side of the scene the first row and column show). */
    private function upright(Imagick $image, int $orientation): void
    {
        match ($orientation) {
            2 => $image->flopImage(),
            3 => $image->rotateImage('none', 180),
            4 => $image->flipImage(),
            5 => $image->transposeImage(),
            6 => $image->rotateImage('none', 90),
            7 => $image->transverseImage(),
            8 => $image->rotateImage('none', 270),
            default => true,
        };
        $image->setImageOrientation(Imagick::ORIENTATION_TOPLEFT);
        $image->setImagePage(0, 0, 0, 0);
    }

    /** @throws UnreadablePicture when its colours cannot be told: inks without a profile */
    private function toSrgb(Imagick $image, string $name): void
    {
        $isInk = $image->getImageColorspace() === Imagick::COLORSPACE_CMYK;
        $unknown = new UnreadablePicture("{$name} is in CMYK and has no profile that could be read, so nobody can tell its colours. Export it again with its profile, or in RGB.");
        if ($isInk && $image->getImageProfiles('icc', false) === []) {
            throw $unknown;
        }
        if ($image->getImageProfiles('icc', false) !== []) {
            try {
                $image->profileImage('icc', SrgbProfile::bytes());
            } catch (ImagickException) {
                if ($isInk) {
                    throw $unknown;
                }
                // a profile that cannot be read says nothing about the colours: they are taken as sRGB
                $image->stripImage();
            }
        }
        if ($image->getImageColorspace() !== Imagick::COLORSPACE_SRGB) {
            $image->transformImageColorspace(Imagick::COLORSPACE_SRGB);
        }
    }

    /** @param  Closure(float): void  $progress */
    private function write(Imagick $image, string $folder, Closure $progress): void
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
            $progress(self::READ + (1 - self::READ) * min(1.0, ($row + self::BAND) / $height));
        }
        $writer->finish();
    }
}
