<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/**
 * How different two colours look: CIEDE2000, of CIE Lab under D65 (Sharma, Wu, Dalal, *The CIEDE2000 color-difference formula:
 * implementation notes, supplementary test data, and mathematical observations*, 2005). About 1 can just be told apart.
 */
final class Difference
{
    /** D65 of the sRGB standard. */
    private const WHITE = [0.95047, 1.0, 1.08883];

    private const POWER = 6103515625.0;

    /** Of two linear colours. */
    public static function of(Rgb $one, Rgb $other): float
    {
        return self::ofLab(self::lab($one), self::lab($other));
    }

    /** @return array{float, float, float} CIE L*a*b* of linear sRGB (IEC 61966-2-1; CIE 15) */
    public static function lab(Rgb $linear): array
    {
        [$r, $g, $b] = [$linear->red, $linear->green, $linear->blue];
        $f = static fn (float $t): float => $t > 216 / 24389 ? $t ** (1 / 3) : (24389 / 27 * $t + 16) / 116;
        $x = $f((0.4124564 * $r + 0.3575761 * $g + 0.1804375 * $b) / self::WHITE[0]);
        $y = $f((0.2126729 * $r + 0.7151522 * $g + 0.0721750 * $b) / self::WHITE[1]);
        $z = $f((0.0193339 * $r + 0.1191920 * $g + 0.9503041 * $b) / self::WHITE[2]);

        return [116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z)];
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     */
    public static function ofLab(array $one, array $other): float
    {
        [$l1, $a1, $b1] = $one;
        [$l2, $a2, $b2] = $other;
        $chroma = ((hypot($a1, $b1) + hypot($a2, $b2)) / 2) ** 7;
        $g = 0.5 * (1 - sqrt($chroma / ($chroma + self::POWER)));
        [$a1, $a2] = [(1 + $g) * $a1, (1 + $g) * $a2];
        [$c1, $c2] = [hypot($a1, $b1), hypot($a2, $b2)];
        $hue = static fn (float $a, float $b): float => $a === 0.0 && $b === 0.0 ? 0.0 : fmod(rad2deg(atan2($b, $a)) + 360, 360);
        [$h1, $h2] = [$hue($a1, $b1), $hue($a2, $b2)];
        $isGrey = $c1 * $c2 === 0.0;
        $turn = $isGrey ? 0.0 : fmod($h2 - $h1 + 540, 360) - 180;
        [$dl, $dc, $dh] = [$l2 - $l1, $c2 - $c1, 2 * sqrt($c1 * $c2) * sin(deg2rad($turn / 2))];
        [$l, $c] = [($l1 + $l2) / 2, ($c1 + $c2) / 2];
        $h = match (true) {
            $isGrey => $h1 + $h2,
            abs($h1 - $h2) <= 180 => ($h1 + $h2) / 2,
            $h1 + $h2 < 360 => ($h1 + $h2 + 360) / 2,
            default => ($h1 + $h2 - 360) / 2,
        };
        $t = 1 - 0.17 * cos(deg2rad($h - 30)) + 0.24 * cos(deg2rad(2 * $h)) + 0.32 * cos(deg2rad(3 * $h + 6)) - 0.20 * cos(deg2rad(4 * $h - 63));
        $sl = 1 + 0.015 * ($l - 50) ** 2 / sqrt(20 + ($l - 50) ** 2);
        [$sc, $sh] = [1 + 0.045 * $c, 1 + 0.015 * $c * $t];
        $rotation = -sin(deg2rad(60 * exp(-(($h - 275) / 25) ** 2))) * 2 * sqrt($c ** 7 / ($c ** 7 + self::POWER));

        return sqrt(($dl / $sl) ** 2 + ($dc / $sc) ** 2 + ($dh / $sh) ** 2 + $rotation * ($dc / $sc) * ($dh / $sh));
    }
}
