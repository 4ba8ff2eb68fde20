<?php

declare(strict_types=1);

namespace App\Codecs;

/**
 * Small profiles of sRGB and of Display P3, written from the standard: ICC.1:2010 (version 4 layout), primaries and white of IEC 61966-2-1
 * adapted to D50, and its transfer function as a parametric curve of type 3.
 */
final class SrgbProfile
{
    /** Primaries of sRGB adapted to D50, as the standard gives them. */
    private const SRGB = [[0.43607, 0.22249, 0.01392], [0.38515, 0.71687, 0.09708], [0.14307, 0.06061, 0.71410]];

    /**
     * Primaries of Display P3 (SMPTE EG 432-1: x y of 0.680 0.320, 0.265 0.690, 0.150 0.060; white D65) adapted to D50 by Bradford.
     * From memory of the published profile, and checked in a test against the primaries.
     */
    private const P3 = [[0.515102, 0.241182, -0.001049], [0.291965, 0.692236, 0.041882], [0.157153, 0.066582, 0.784378]];

    public static function bytes(): string
    {
        return self::written('sRGB (Aumbrel)', self::SRGB);
    }

    public static function displayP3(): string
    {
        return self::written('Display P3 (Aumbrel)', self::P3);
    }

    /** @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $primaries  XYZ of red, green and blue */
    private static function written(string $name, array $primaries): string
    {
        $curve = 'para'.pack('N', 0).pack('n2', 3, 0).self::fixed(2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045);
        $tags = [
            'desc' => self::text($name),
            'cprt' => self::text('No copyright, use freely'),
            'wtpt' => self::xyz(0.96420, 1.00000, 0.82491),
            'chad' => 'sf32'.pack('N', 0).self::fixed(1.04788, 0.02292, -0.05022, 0.02959, 0.99048, -0.01707, -0.00925, 0.01508, 0.75168),
            'rXYZ' => self::xyz(...$primaries[0]),
            'gXYZ' => self::xyz(...$primaries[1]),
            'bXYZ' => self::xyz(...$primaries[2]),
            'rTRC' => $curve,
            'gTRC' => $curve,
            'bTRC' => $curve,
        ];
        $table = pack('N', count($tags));
        $data = '';
        $start = 128 + 4 + 12 * count($tags);
        foreach ($tags as $name => $value) {
            $table .= $name.pack('N2', $start + strlen($data), strlen($value));
            $data .= str_pad($value, (int) ceil(strlen($value) / 4) * 4, "\0");
        }
        $header = pack('N', $start + strlen($data))."\0\0\0\0".pack('N', 0x04200000).'mntrRGB XYZ '
            .pack('n6', 2026, 1, 1, 0, 0, 0).'acsp'.str_repeat("\0", 28).self::fixed(0.96420, 1.0, 0.82491);

        return str_pad($header, 128, "\0").$table.$data;
    }

    private static function text(string $text): string
    {
        $utf16 = mb_convert_encoding($text, 'UTF-16BE', 'UTF-8');

        return 'mluc'.pack('N3', 0, 1, 12).'enUS'.pack('N2', strlen($utf16), 28).$utf16;
    }

    private static function xyz(float $x, float $y, float $z): string
    {
        return 'XYZ '.pack('N', 0).self::fixed($x, $y, $z);
    }

    private static function fixed(float ...$values): string
    {
        return implode('', array_map(static fn (float $value): string => pack('N', (int) round($value * 65536) & 0xFFFFFFFF), $values));
    }
}
