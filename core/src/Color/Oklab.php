<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** Oklab, in which equal distances look about equal: Björn Ottosson, *A perceptual color space for image processing*, 2020. */
final class Oklab
{
    /** Linear sRGB of a colour; channels may lie outside of 0..1. */
    public static function toLinear(float $lightness, float $a, float $b): Rgb
    {
        self::leave($lightness, $a, $b);

        return new Rgb($lightness, $a, $b);
    }

    /** @return array{float, float, float} lightness 0..1, and the two axes of colour, of linear sRGB */
    public static function ofLinear(float $red, float $green, float $blue): array
    {
        self::enter($red, $green, $blue);

        return [$red, $green, $blue];
    }

    /** Linear sRGB, not below 0, to lightness and the two axes of colour, in place. */
    public static function enter(float &$red, float &$green, float &$blue): void
    {
        self::cones($red, $green, $blue);
        [$red, $green, $blue] = [$red ** (1 / 3), $green ** (1 / 3), $blue ** (1 / 3)];
        self::axes($red, $green, $blue);
    }

    /** What three kinds of cones see of linear sRGB, in place; for kernels to inline. */
    public static function cones(float &$red, float &$green, float &$blue): void
    {
        $l = 0.4122214708 * $red + 0.5363325363 * $green + 0.0514459929 * $blue;
        $m = 0.2119034982 * $red + 0.6806995451 * $green + 0.1073969566 * $blue;
        $s = 0.0883024619 * $red + 0.2817188376 * $green + 0.6299787005 * $blue;
        $red = $l;
        $green = $m;
        $blue = $s;
    }

    /** Lightness and the two axes of colour of the cube roots of what cones see, in place; for kernels to inline. */
    public static function axes(float &$l, float &$m, float &$s): void
    {
        $lightness = 0.2104542553 * $l + 0.7936177850 * $m - 0.0040720468 * $s;
        $a = 1.9779984951 * $l - 2.4285922050 * $m + 0.4505937099 * $s;
        $b = 0.0259040371 * $l + 0.7827717662 * $m - 0.8086757660 * $s;
        $l = $lightness;
        $m = $a;
        $s = $b;
    }

    /**
     * The cube roots of what cones see of a colour whose two axes are multiplied and shifted, its lightness kept, in place; the same
     * as by way of the axes, in half of the steps. For kernels to inline.
     *
     * @param  float  $ofL  what the shift of the axes is to each kind of cone, {@see shifts()}
     */
    public static function moved(float &$l, float &$m, float &$s, float $scale, float $ofL, float $ofM, float $ofS): void
    {
        $rest = (1.0 - $scale) * (0.2104542553 * $l + 0.7936177850 * $m - 0.0040720468 * $s);
        $l = $scale * $l + $rest + $ofL;
        $m = $scale * $m + $rest + $ofM;
        $s = $scale * $s + $rest + $ofS;
    }

    /** @return array{float, float, float} what a shift of the two axes is to the cube roots of what cones see */
    public static function shifts(float $a, float $b): array
    {
        return [0.3963377774 * $a + 0.2158037573 * $b, -0.1055613458 * $a - 0.0638541728 * $b, -0.0894841775 * $a - 1.2914855480 * $b];
    }

    /** Back to linear sRGB from the cube roots of what cones see, in place; for kernels to inline. */
    public static function seen(float &$l, float &$m, float &$s): void
    {
        $l = $l * $l * $l;
        $m = $m * $m * $m;
        $s = $s * $s * $s;
        $red = 4.0767416621 * $l - 3.3077115913 * $m + 0.2309699292 * $s;
        $green = -1.2684380046 * $l + 2.6097574011 * $m - 0.3413193965 * $s;
        $s = -0.0041960863 * $l - 0.7034186147 * $m + 1.7076147010 * $s;
        $l = $red;
        $m = $green;
    }

    /** The cube roots of what cones see of lightness and the two axes of colour, in place; for kernels to inline. */
    public static function roots(float &$lightness, float &$a, float &$b): void
    {
        $l = $lightness + 0.3963377774 * $a + 0.2158037573 * $b;
        $m = $lightness - 0.1055613458 * $a - 0.0638541728 * $b;
        $s = $lightness - 0.0894841775 * $a - 1.2914855480 * $b;
        $lightness = $l;
        $a = $m;
        $b = $s;
    }

    /** Back to linear sRGB, in place; channels may lie outside of 0..1. */
    public static function leave(float &$lightness, float &$a, float &$b): void
    {
        self::roots($lightness, $a, $b);
        self::seen($lightness, $a, $b);
    }
}
