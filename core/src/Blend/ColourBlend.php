<?php

declare(strict_types=1);

namespace Aumbrel\Core\Blend;

/**
 * The two steps of which the non-separable modes are made: W3C Compositing and Blending Level 1, section 9.2,
 * on encoded values 0..1, with that standard's own luminosity weights. Kernels inline the bodies.
 */
final class ColourBlend
{
    /** SetSat: writes the first colour, at the saturation of the second, to r, g, b; its darkest channel becomes 0. */
    public static function withSaturationOf(float &$r, float &$g, float &$b, float $cr, float $cg, float $cb, float $sr, float $sg, float $sb): void
    {
        $low = $cr < $cg ? ($cr < $cb ? $cr : $cb) : ($cg < $cb ? $cg : $cb);
        $high = $cr > $cg ? ($cr > $cb ? $cr : $cb) : ($cg > $cb ? $cg : $cb);
        $otherLow = $sr < $sg ? ($sr < $sb ? $sr : $sb) : ($sg < $sb ? $sg : $sb);
        $otherHigh = $sr > $sg ? ($sr > $sb ? $sr : $sb) : ($sg > $sb ? $sg : $sb);
        $gain = $high > $low ? ($otherHigh - $otherLow) / ($high - $low) : 0.0;
        $r = ($cr - $low) * $gain;
        $g = ($cg - $low) * $gain;
        $b = ($cb - $low) * $gain;
    }

    /** SetLum with ClipColor: moves r, g, b to the luminosity of the other colour and back into range. */
    public static function withLuminosityOf(float &$r, float &$g, float &$b, float $cr, float $cg, float $cb): void
    {
        $shift = 0.3 * ($cr - $r) + 0.59 * ($cg - $g) + 0.11 * ($cb - $b);
        $r += $shift;
        $g += $shift;
        $b += $shift;
        $lum = 0.3 * $r + 0.59 * $g + 0.11 * $b;
        $least = $r < $g ? ($r < $b ? $r : $b) : ($g < $b ? $g : $b);
        $most = $r > $g ? ($r > $b ? $r : $b) : ($g > $b ? $g : $b);
        if ($least < 0.0) {
            $clip = $lum / ($lum - $least);
            $r = $lum + ($r - $lum) * $clip;
            $g = $lum + ($g - $lum) * $clip;
            $b = $lum + ($b - $lum) * $clip;
        }
        if ($most > 1.0) {
            $clip = (1.0 - $lum) / ($most - $lum);
            $r = $lum + ($r - $lum) * $clip;
            $g = $lum + ($g - $lum) * $clip;
            $b = $lum + ($b - $lum) * $clip;
        }
    }
}
