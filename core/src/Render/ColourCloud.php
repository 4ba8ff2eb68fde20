<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;

/** The colours that a picture is made of, in some hundreds: the means of what lies together in sRGB, the commonest first. */
final class ColourCloud
{
    /** So many cells to each channel, and so many of them at most. */
    private const CELLS = 12;

    public const MOST = 260;

    /**
     * @param  string  $bytes  red, green, blue, alpha; pixels that are not there at all are left out
     * @return list<array{string, float, float, float, float}> colour, lightness and the two axes of Oklab, and the share of the pixels
     */
    public static function of(string $bytes): array
    {
        $cells = [];
        $all = 0;
        foreach (unpack('V*', $bytes) ?: [] as $pixel) {
            if (! is_int($pixel)) {
                $pixel = 0;
            }
            if ($pixel >> 24 > 0) {
                [$r, $g, $b] = [$pixel & 255, $pixel >> 8 & 255, $pixel >> 16 & 255];
                $cell = (intdiv($r * self::CELLS, 256) * self::CELLS + intdiv($g * self::CELLS, 256)) * self::CELLS + intdiv($b * self::CELLS, 256);
                $cells[$cell] ??= [0, 0, 0, 0];
                $cells[$cell][0]++;
                $cells[$cell][1] += $r;
                $cells[$cell][2] += $g;
                $cells[$cell][3] += $b;
                $all++;
            }
        }
        usort($cells, static fn (array $one, array $other): int => $other[0] <=> $one[0]);

        return array_map(static fn (array $cell): array => self::seen($cell, $all), array_slice($cells, 0, self::MOST));
    }

    /**
     * @param  array{int, int, int, int}  $cell  how many, and the sums of their channels
     * @return array{string, float, float, float, float}
     */
    private static function seen(array $cell, int $all): array
    {
        [$count, $r, $g, $b] = $cell;
        [$l, $a, $yellow] = Oklab::ofLinear(Srgb::decode($r / $count / 255), Srgb::decode($g / $count / 255), Srgb::decode($b / $count / 255));

        return [
            sprintf('#%02x%02x%02x', (int) round($r / $count), (int) round($g / $count), (int) round($b / $count)),
            round($l, 4), round($a, 4), round($yellow, 4), round($count / $all, 5),
        ];
    }
}
