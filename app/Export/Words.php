<?php

declare(strict_types=1);

namespace App\Export;

use Imagick;
use ImagickDraw;

/** Words on a sheet, in the typeface of the interface. */
final class Words
{
    /** Where its file may lie: as the interface is built with it, or as its package brings it. */
    private const FONTS = ['public/build/assets/instrument-sans-latin-wght-normal-*.woff2', 'node_modules/@fontsource-variable/instrument-sans/files/instrument-sans-latin-wght-normal.woff2'];

    private const INK = '#dcdcdc';

    /** Of the height of a line. */
    private const SIZE = 0.56;

    /** Under a picture, cut off where it ends. */
    public static function under(Imagick $sheet, string $words, int $x, int $y, int $width, float $line): void
    {
        $draw = new ImagickDraw;
        $font = self::font();
        if ($font !== null) {
            $draw->setFont($font);
        }
        $draw->setFontSize(self::SIZE * $line);
        $draw->setFillColor(self::INK);
        for ($shown = $words; mb_strlen($shown) > 1 && $sheet->queryFontMetrics($draw, $shown)['textWidth'] > $width; $shown = mb_substr($shown, 0, -2).'…') {
        }
        $sheet->annotateImage($draw, $x, $y + 0.72 * $line, 0, $shown);
    }

    private static function font(): ?string
    {
        foreach (self::FONTS as $place) {
            $found = glob(dirname(__DIR__, 2)."/{$place}") ?: [];
            if ($found !== []) {
                return $found[0];
            }
        }

        return null;
    }
}
