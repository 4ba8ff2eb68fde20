<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use InvalidArgumentException;

/**
 * The colour of light by its temperature.
 *
 * Below 4000 K Planck's law, integrated with the CIE 1931 2-degree observer; above 4500 K the CIE daylight locus
 * (CIE 15); between them x and y are mixed linearly.
 */
final class Kelvin
{
    public const COOLEST = 1000.0;

    public const HOTTEST = 25000.0;

    /** Below this a scene white has a channel of zero and cannot divide. */
    public const LOWEST_WHITE = 1901.0;

    /** Second radiation constant, m K (ITS-90). */
    private const C2 = 1.4388e-2;

    /** @return array{float, float} CIE 1931 x and y */
    public static function chromaticity(float $kelvin): array
    {
        if (! ($kelvin >= self::COOLEST && $kelvin <= self::HOTTEST)) {
            throw new InvalidArgumentException("a colour temperature lies between 1000 and 25000 K, not at {$kelvin}");
        }
        if ($kelvin <= 4000) {
            return self::planck($kelvin);
        }
        if ($kelvin >= 4500) {
            return self::daylight($kelvin);
        }
        $share = ($kelvin - 4000) / 500;
        [$px, $py] = self::planck($kelvin);
        [$dx, $dy] = self::daylight($kelvin);

        return [$px + $share * ($dx - $px), $py + $share * ($dy - $py)];
    }

    /** Linear sRGB with the largest channel 1 and none below 0. */
    public static function rgb(float $kelvin): Rgb
    {
        [$x, $y] = self::chromaticity($kelvin);
        $bigX = $x / $y;
        $bigZ = (1 - $x - $y) / $y;
        // XYZ to linear sRGB, IEC 61966-2-1
        $rgb = new Rgb(
            3.2406 * $bigX - 1.5372 - 0.4986 * $bigZ,
            -0.9689 * $bigX + 1.8758 + 0.0415 * $bigZ,
            0.0557 * $bigX - 0.2040 + 1.0570 * $bigZ,
        );
        $negative = min(0, $rgb->smallest());

        return $rgb->map(static fn (float $value): float => $value - $negative)->normalised();
    }

    /** Light of one temperature as a scene balanced for another white shows it; linear, largest channel 1. */
    public static function under(float $kelvin, float $sceneWhite): Rgb
    {
        if ($sceneWhite < self::LOWEST_WHITE) {
            throw new InvalidArgumentException("a scene white lies at 1901 K or above, not at {$sceneWhite}");
        }
        $light = self::rgb($kelvin);
        $white = self::rgb($sceneWhite);

        return (new Rgb($light->red / $white->red, $light->green / $white->green, $light->blue / $white->blue))->normalised();
    }

    /** @return array{float, float} */
    private static function planck(float $kelvin): array
    {
        $x = $y = $z = 0.0;
        foreach (Observer::Y as $k => $weight) {
            $metres = (Observer::FIRST + $k * Observer::STEP) * 1e-9;
            $power = 1e-30 / ($metres ** 5 * (exp(self::C2 / ($metres * $kelvin)) - 1));
            $x += $power * Observer::X[$k];
            $y += $power * $weight;
            $z += $power * Observer::Z[$k];
        }

        return [$x / ($x + $y + $z), $y / ($x + $y + $z)];
    }

    /** @return array{float, float} */
    private static function daylight(float $kelvin): array
    {
        $x = $kelvin <= 7000
            ? -4.6070e9 / $kelvin ** 3 + 2.9678e6 / $kelvin ** 2 + 0.09911e3 / $kelvin + 0.244063
            : -2.0064e9 / $kelvin ** 3 + 1.9018e6 / $kelvin ** 2 + 0.24748e3 / $kelvin + 0.237040;

        return [$x, -3.000 * $x * $x + 2.870 * $x - 0.275];
    }
}
