<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Scene\Scene;
use Imagick;
use ImagickException;

/**
 * What a picture file says of itself before a pixel is decoded: checked by content, so that what cannot become a plate is
 * told early and cheaply.
 *
 * PNG: W3C *Portable Network Graphics, third edition* (chunks, `acTL` for animation, `eXIf`). JPEG: ITU-T T.81 (markers).
 * WebP: RFC 9649 (RIFF chunks, flags of `VP8X`). TIFF 6.0. AVIF and HEIC: ISO/IEC 23008-12. Orientation: Exif 2.32, tag
 * 0x0112, which TIFF has in the same form; how AVIF and HEIC are turned their decoder knows.
 */
final readonly class PictureHead
{
    public const MOST_BYTES = 200 * 1024 * 1024;

    /** No deflated byte becomes more than this many (RFC 1951: a match of 258 bytes takes two bits at least). */
    private const MOST_INFLATED = 1032;

    /** A block of 64 samples takes a bit at least in any scan that fills it, so a byte holds no more pixels than this. */
    private const MOST_PIXELS_A_BYTE = 512;

    /** Chunks of a PNG file that have something packed behind a word, and what that may unpack to at most, bytes; taken in pieces. */
    private const PACKED_AFTER = ['zTXt' => true, 'iTXt' => true, 'iCCP' => true];

    private const MOST_BESIDE = 16 * 1024 * 1024;

    private const PIECE = 4096;

    private const CHANNELS = [0 => 1, 2 => 3, 3 => 1, 4 => 2, 6 => 4];

    /**
     * @param  int  $width  as stored, before it is turned upright
     * @param  int  $orientation  1 to 8
     */
    private function __construct(public PictureFormat $format, public int $width, public int $height, public int $orientation, public bool $isAnimated)
    {
    }

    /**
     * @param  string  $name  what the person calls the file, for messages only
     *
     * @throws UnreadablePicture
     */
    public static function read(string $path, string $name): self
    {
        $size = (int) @filesize($path);
        if ($size === 0) {
            throw new UnreadablePicture("{$name} is empty (0 bytes).");
        }
        if ($size > self::MOST_BYTES) {
            throw new UnreadablePicture(sprintf('%s has %d MB; at most 200 MB are taken.', $name, $size >> 20));
        }
        $bytes = (string) file_get_contents($path);
        $format = PictureFormat::ofContent($bytes);
        $head = match ($format) {
            PictureFormat::Png => self::png($bytes, $name),
            PictureFormat::Jpeg => self::jpeg($bytes, $name),
            PictureFormat::Exr => self::exr($bytes, $name),
            PictureFormat::Hdr => self::hdr($bytes, $name),
            null => throw new UnreadablePicture("{$name} is not a picture in PNG, JPEG, TIFF, WebP, AVIF, HEIC, EXR or HDR, whatever its name says."),
            default => self::asTheLibrarySays($format, $bytes, $path, $name),
        };
        $head->checkSize($name);

        return $head;
    }

    private function checkSize(string $name): void
    {
        if ($this->width * $this->height > Scene::MOST_PIXELS || max($this->width, $this->height) > Scene::LARGEST_SIDE) {
            throw new UnreadablePicture(sprintf('%s is %d x %d px (%.0f megapixels); at most 100 megapixels are taken.', $name, $this->width, $this->height, $this->width * $this->height / 1e6));
        }
        $widest = (int) min(Imagick::getResourceLimit(Imagick::RESOURCETYPE_WIDTH), Imagick::getResourceLimit(Imagick::RESOURCETYPE_HEIGHT));
        if (max($this->width, $this->height) > $widest) {
            throw new UnreadablePicture(sprintf('%s is %d x %d px; this machine\'s imaging library accepts sides of at most %d px (docs/deployment.md says how to raise that).', $name, $this->width, $this->height, $widest));
        }
    }

    private static function exr(string $bytes, string $name): self
    {
        $file = ExrFile::read($bytes, $name);
        self::checkWork(strlen($bytes) * self::MOST_INFLATED, $file->work(), $name, $file->width(), $file->height());

        return new self(PictureFormat::Exr, $file->width(), $file->height(), 1, false);
    }

    private static function hdr(string $bytes, string $name): self
    {
        $file = HdrFile::read($bytes, $name);
        self::checkWork(strlen($bytes), $file->work(), $name, $file->width, $file->height);

        return new self(PictureFormat::Hdr, $file->width, $file->height, 1, false);
    }

    private static function png(string $bytes, string $name): self
    {
        $about = substr($bytes, 12, 4) === 'IHDR' ? unpack('Nwidth/Nheight/Cbits/Ckind', $bytes, 16) : false;
        if ($about === false || $about['width'] < 1 || $about['height'] < 1 || ! isset(self::CHANNELS[$about['kind']])) {
            throw new UnreadablePicture("{$name} has a damaged header: its size cannot be read.");
        }
        $data = 0;
        $orientation = 1;
        $isAnimated = $isWhole = false;
        for ($at = 8, $end = strlen($bytes); $at + 12 <= $end;) {
            $length = unpack('N', $bytes, $at)[1] ?? 0;
            $type = substr($bytes, $at + 4, 4);
            if ($at + 12 + $length > $end) {
                break;
            }
            $data += $type === 'IDAT' ? $length : 0;
            $isAnimated = $isAnimated || $type === 'acTL';
            $orientation = $type === 'eXIf' ? self::orientationIn(substr($bytes, $at + 8, $length)) : $orientation;
            if (isset(self::PACKED_AFTER[$type])) {
                self::checkUnpacked($type, substr($bytes, $at + 8, $length), $name);
            }
            if ($type === 'IEND') {
                $isWhole = true;
                break;
            }
            $at += 12 + $length;
        }
        $raw = $about['height'] * (1 + ceil($about['width'] * self::CHANNELS[$about['kind']] * $about['bits'] / 8));
        // a damaged type or length of a chunk is told by the decoder; a missing end is told here
        if (! $isWhole && strrpos($bytes, 'IEND') === false) {
            throw new UnreadablePicture("{$name} is cut off: its end is missing. Copy or export it again.");
        }
        self::checkWork($data * self::MOST_INFLATED, $raw, $name, $about['width'], $about['height']);

        return new self(PictureFormat::Png, $about['width'], $about['height'], $orientation, $isAnimated);
    }

    /**
     * Text and profile of a PNG file lie in it packed: unpacked they must not take more room than a picture needs beside its pixels.
     *
     * @throws UnreadablePicture
     */
    private static function checkUnpacked(string $type, string $chunk, string $name): void
    {
        $inflating = inflate_init(ZLIB_ENCODING_DEFLATE);
        $size = 0;
        $start = self::packedFrom($type, $chunk);
        for ($at = $start; $start !== null && $inflating !== false && $at < strlen($chunk); $at += self::PIECE) {
            $size += strlen((string) @inflate_add($inflating, substr($chunk, $at, self::PIECE)));
            if ($size > self::MOST_BESIDE) {
                throw new UnreadablePicture(sprintf('%s holds words or a colour profile that unpack to more than %d MB: save it without them.', $name, self::MOST_BESIDE >> 20));
            }
        }
    }

    /** Where the packed part of a chunk begins; null when it is not packed. */
    private static function packedFrom(string $type, string $chunk): ?int
    {
        $end = strpos($chunk, "\0");
        if ($end === false) {
            return null;
        }
        if ($type !== 'iTXt') {
            return $end + 2;
        }
        if (($chunk[$end + 1] ?? '') !== "\1") {
            return null;
        }
        $language = strpos($chunk, "\0", $end + 3);
        $translated = $language === false ? false : strpos($chunk, "\0", $language + 1);

        return $translated === false ? null : $translated + 1;
    }

    private static function jpeg(string $bytes, string $name): self
    {
        $width = $height = 0;
        $orientation = 1;
        for ($at = 2, $end = strlen($bytes); $at + 4 <= $end;) {
            if ($bytes[$at] !== "\xFF") {
                $at++;

                continue;
            }
            $marker = ord($bytes[$at + 1]);
            // fill bytes, and markers without a length
            if ($marker === 0xFF || $marker === 0x01 || ($marker >= 0xD0 && $marker <= 0xD8)) {
                $at += $marker === 0xFF ? 1 : 2;

                continue;
            }
            $length = unpack('n', $bytes, $at + 2)[1] ?? 0;
            if ($marker >= 0xC0 && $marker <= 0xCF && ! in_array($marker, [0xC4, 0xC8, 0xCC], true) && $at + 9 <= $end) {
                ['height' => $height, 'width' => $width] = unpack('nheight/nwidth', $bytes, $at + 5) ?: ['height' => 0, 'width' => 0];
            } elseif ($marker === 0xE1 && substr($bytes, $at + 4, 6) === "Exif\0\0") {
                $orientation = self::orientationIn(substr($bytes, $at + 10, max(0, $length - 8)));
            } elseif ($marker === 0xDA || $marker === 0xD9) {
                break;
            }
            $at += 2 + max(2, $length);
        }
        if ($width < 1 || $height < 1) {
            throw new UnreadablePicture("{$name} has a damaged header: its size cannot be read.");
        }
        if ((int) strrpos($bytes, "\xFF\xD9") <= (int) strrpos($bytes, "\xFF\xDA")) {
            throw new UnreadablePicture("{$name} is cut off: its end is missing. Copy or export it again.");
        }
        self::checkWork(strlen($bytes) * self::MOST_PIXELS_A_BYTE, $width * $height, $name, $width, $height);

        return new self(PictureFormat::Jpeg, $width, $height, $orientation, false);
    }

    /** Formats whose header the imaging library reads without decoding. */
    private static function asTheLibrarySays(PictureFormat $format, string $bytes, string $path, string $name): self
    {
        if ($format === PictureFormat::WebP && 8 + (unpack('V', $bytes, 4)[1] ?? 0) > strlen($bytes)) {
            throw new UnreadablePicture("{$name} is cut off: its end is missing. Copy or export it again.");
        }
        try {
            $image = new Imagick;
            $image->pingImage("{$format->value}:{$path}");
            $pictures = $image->getNumberImages();
            $image->setFirstIterator();
            [$width, $height] = [$image->getImageWidth(), $image->getImageHeight()];
            $image->clear();
        } catch (ImagickException $error) {
            throw new UnreadablePicture("{$name} has a damaged header: its size cannot be read.", previous: $error);
        }
        if ($format === PictureFormat::Tiff) {
            self::checkWork(strlen($bytes) * self::MOST_INFLATED, $width * $height, $name, $width, $height);
        }
        $orientation = match ($format) {
            PictureFormat::Tiff => self::orientationIn($bytes),
            PictureFormat::WebP => self::orientationIn(self::exifOfWebP($bytes)),
            default => 1,
        };

        return new self($format, $width, $height, $orientation, $pictures > 1 || in_array(substr($bytes, 8, 4), ['avis', 'hevc', 'hevx'], true));
    }

    /** The Exif block of a WebP file; empty when it has none. */
    private static function exifOfWebP(string $bytes): string
    {
        for ($at = 12; $at + 8 <= strlen($bytes);) {
            $length = unpack('V', $bytes, $at + 4)[1] ?? 0;
            if (substr($bytes, $at, 4) === 'EXIF') {
                $exif = substr($bytes, $at + 8, $length);

                return str_starts_with($exif, "Exif\0\0") ? substr($exif, 6) : $exif;
            }
            $at += 8 + $length + $length % 2;
        }

        return '';
    }

    /** A few bytes that claim a hundred megapixels would cost as much work as if they were there. */
    private static function checkWork(int $most, int|float $claimed, string $name, int $width, int $height): void
    {
        // one that is too large anyway is told so
        if ($claimed > $most && $width * $height <= Scene::MOST_PIXELS) {
            throw new UnreadablePicture("{$name} says that it is {$width} x {$height} px, but has not the data for that many: most of it is missing. Copy or export it again.");
        }
    }

    /** An Exif block that says that its picture stands upright, as one does that was turned already. */
    public static function upright(string $exif): string
    {
        $start = str_starts_with($exif, "Exif\0\0") ? 6 : 0;
        $tiff = substr($exif, $start);
        $at = self::orientationAt($tiff);

        return $at === null ? $exif : substr_replace($exif, pack(str_starts_with($tiff, 'II') ? 'v' : 'n', 1), $start + $at, 2);
    }

    /** The orientation that an Exif block tells; 1 when it tells none. */
    private static function orientationIn(string $tiff): int
    {
        $at = self::orientationAt($tiff);
        $value = $at === null ? 1 : unpack(str_starts_with($tiff, 'II') ? 'v' : 'n', $tiff, $at)[1] ?? 1;

        return $value >= 1 && $value <= 8 ? $value : 1;
    }

    /** Where the orientation stands in an Exif block; null when it tells none. */
    private static function orientationAt(string $tiff): ?int
    {
        $isLittle = str_starts_with($tiff, 'II');
        $short = static fn (int $at): int => $at + 2 <= strlen($tiff) ? unpack($isLittle ? 'v' : 'n', $tiff, $at)[1] ?? 0 : 0;
        $first = strlen($tiff) >= 8 ? unpack($isLittle ? 'V' : 'N', $tiff, 4)[1] ?? 0 : 0;
        if (! in_array(substr($tiff, 0, 2), ['II', 'MM'], true) || $first < 8 || $first > strlen($tiff)) {
            return null;
        }
        for ($entry = 0; $entry < $short($first); $entry++) {
            $at = $first + 2 + 12 * $entry;
            if ($short($at) === 0x0112 && $at + 10 <= strlen($tiff)) {
                return $at + 8;
            }
        }

        return null;
    }
}
