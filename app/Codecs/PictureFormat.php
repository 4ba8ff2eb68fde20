<?php

declare(strict_types=1);

namespace App\Codecs;

/**
 * The picture formats that are read and written, each by its open or published specification: PNG (W3C, third edition), JPEG
 * (ITU-T T.81), TIFF (revision 6.0), WebP (RFC 9649), AVIF (AOMedia, on ISO/IEC 23008-12), HEIC (ISO/IEC 23008-12; read only), EXR ({@see ExrFile}; written by {@see ExrWriter}), HDR ({@see HdrFile}; read only).
 */
enum PictureFormat: string
{
    case Png = 'png';
    case Jpeg = 'jpeg';
    case Tiff = 'tiff';
    case WebP = 'webp';
    case Avif = 'avif';
    case Heic = 'heic';
    case Exr = 'exr';
    case Hdr = 'hdr';

    public static function ofContent(string $bytes): ?self
    {
        return match (true) {
            str_starts_with($bytes, "\x89PNG\r\n\x1a\n") => self::Png,
            str_starts_with($bytes, "\xFF\xD8\xFF") => self::Jpeg,
            str_starts_with($bytes, "II*\0"), str_starts_with($bytes, "MM\0*") => self::Tiff,
            str_starts_with($bytes, 'RIFF') && substr($bytes, 8, 4) === 'WEBP' => self::WebP,
            str_starts_with($bytes, ExrFile::MAGIC) => self::Exr,
            str_starts_with($bytes, HdrFile::MAGIC.'RADIANCE'), str_starts_with($bytes, HdrFile::MAGIC.'RGBE') => self::Hdr,
            substr($bytes, 4, 4) === 'ftyp' => self::ofBrands($bytes),
            default => null,
        };
    }

    /** The brands that an ISO base media file says it keeps to, in its first box. */
    private static function ofBrands(string $bytes): ?self
    {
        $length = min(4096, unpack('N', $bytes)[1] ?? 0);
        $brands = str_split(substr($bytes, 8, max(0, $length - 8)), 4);

        return match (true) {
            array_intersect($brands, ['avif', 'avis']) !== [] => self::Avif,
            array_intersect($brands, ['heic', 'heix', 'heim', 'heis', 'hevc', 'hevx']) !== [] => self::Heic,
            default => null,
        };
    }

    public static function ofEnding(string $file): ?self
    {
        return match (strtolower(pathinfo($file, PATHINFO_EXTENSION))) {
            'png' => self::Png,
            'jpg', 'jpeg' => self::Jpeg,
            'tif', 'tiff' => self::Tiff,
            'webp' => self::WebP,
            'avif' => self::Avif,
            'heic' => self::Heic,
            'exr' => self::Exr,
            'hdr' => self::Hdr,
            default => null,
        };
    }

    /** @return list<self> those that are written */
    public static function written(): array
    {
        return [self::Png, self::Jpeg, self::Tiff, self::WebP, self::Avif];
    }

    public function ending(): string
    {
        return match ($this) {
            self::Jpeg => 'jpg',
            self::Tiff => 'tif',
            default => $this->value,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::WebP => 'WebP',
            default => strtoupper($this->value),
        };
    }

    /** @return list<8|16> bits a channel that are written */
    public function bits(): array
    {
        return match ($this) {
            self::Png, self::Tiff => [8, 16],
            self::Exr => [16],
            default => [8],
        };
    }

    /** Whether a quality decides how much is lost. */
    public function isLossy(): bool
    {
        return in_array($this, [self::Jpeg, self::WebP, self::Avif], true);
    }

    /** Whether what is clear stays clear; elsewhere it is laid on black. */
    public function keepsAlpha(): bool
    {
        return in_array($this, [self::Png, self::Tiff, self::WebP, self::Exr], true);
    }
}
