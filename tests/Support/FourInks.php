<?php

declare(strict_types=1);

namespace Tests\Support;

use Imagick;

/** Pictures in CMYK, with a small profile of four made-up inks (ICC.1:2010, lut8Type) or without one. */
final class FourInks
{
    /** CIELAB of paper, of each ink, and of what lies over one another; black hides all. */
    private const INKS = ['000' => [100, 0, 0], '100' => [55, -37, -50], '010' => [48, 74, -3], '001' => [89, -5, 93], '110' => [24, 22, -46], '101' => [50, -68, 33], '011' => [47, 68, 48], '111' => [23, 0, 0]];

    public static function profile(): string
    {
        $fixed = static fn (float ...$values): string => implode('', array_map(static fn (float $value): string => pack('N', (int) round($value * 65536) & 0xFFFFFFFF), $values));
        $grid = '';
        for ($at = 0; $at < 16; $at++) {
            [$l, $a, $b] = ($at & 1) === 1 ? [0, 0, 0] : self::INKS[($at >> 3 & 1).($at >> 2 & 1).($at >> 1 & 1)];
            $grid .= pack('C3', (int) round($l * 2.55), $a + 128, $b + 128);
        }
        $ramp = pack('C*', ...range(0, 255));
        $text = static fn (string $words): string => 'mluc'.pack('N3', 0, 1, 12).'enUS'.pack('N2', 2 * strlen($words), 28).mb_convert_encoding($words, 'UTF-16BE');
        $tags = [
            'desc' => $text('Four inks'), 'cprt' => $text('none'), 'wtpt' => 'XYZ '.pack('N', 0).$fixed(0.9642, 1, 0.82491),
            'A2B0' => 'mft1'.pack('N', 0).pack('C4', 4, 3, 2, 0).$fixed(1, 0, 0, 0, 1, 0, 0, 0, 1).str_repeat($ramp, 4).$grid.str_repeat($ramp, 3),
        ];
        [$table, $data, $start] = [pack('N', count($tags)), '', 132 + 12 * count($tags)];
        foreach ($tags as $name => $value) {
            $table .= $name.pack('N2', $start + strlen($data), strlen($value));
            $data .= str_pad($value, (int) ceil(strlen($value) / 4) * 4, "\0");
        }
        $head = pack('N', $start + strlen($data))."\0\0\0\0".pack('N', 0x04200000).'prtrCMYKLab '.pack('n6', 2026, 1, 1, 0, 0, 0).'acsp'.str_repeat("\0", 28).$fixed(0.9642, 1, 0.82491);

        return str_pad($head, 128, "\0").$table.$data;
    }

    /** @return string bytes of a file: bare paper, the first ink, black; each 8 px wide */
    public static function file(string $format, ?string $profile): string
    {
        $image = new Imagick;
        $image->newImage(24, 8, 'white');
        $image->transformImageColorspace(Imagick::COLORSPACE_CMYK);
        $row = [...array_merge(...array_fill(0, 8, [0, 0, 0, 0])), ...array_merge(...array_fill(0, 8, [255, 0, 0, 0])), ...array_merge(...array_fill(0, 8, [0, 0, 0, 255]))];
        $image->importImagePixels(0, 0, 24, 8, 'CMYK', Imagick::PIXEL_CHAR, array_merge(...array_fill(0, 8, $row)));
        if ($profile !== null) {
            $image->setImageProfile('icc', $profile);
        }
        $image->setImageFormat($format);
        $image->setImageCompressionQuality(98);

        return $image->getImageBlob();
    }
}
