<?php

declare(strict_types=1);

namespace Aumbrel\Core\Blend;

/**
 * B(below, source) of one channel: W3C Compositing and Blending Level 1, section 9.1, on encoded values 0..1.
 *
 * Kernels inline these bodies: one `return`, at the end.
 */
final class ChannelBlend
{
    public static function multiply(float $below, float $source): float
    {
        return $below * $source;
    }

    public static function screen(float $below, float $source): float
    {
        return $below + $source - $below * $source;
    }

    public static function overlay(float $below, float $source): float
    {
        return $below <= 0.5 ? 2.0 * $below * $source : 1.0 - 2.0 * (1.0 - $below) * (1.0 - $source);
    }

    public static function darken(float $below, float $source): float
    {
        return $below < $source ? $below : $source;
    }

    public static function lighten(float $below, float $source): float
    {
        return $below > $source ? $below : $source;
    }

    public static function colorDodge(float $below, float $source): float
    {
        if ($below <= 0.0) {
            $dodged = 0.0;
        } elseif ($below >= 1.0 - $source) {
            $dodged = 1.0;
        } else {
            $dodged = $below / (1.0 - $source);
        }

        return $dodged;
    }

    public static function colorBurn(float $below, float $source): float
    {
        if ($below >= 1.0) {
            $burned = 1.0;
        } elseif (1.0 - $below >= $source) {
            $burned = 0.0;
        } else {
            $burned = 1.0 - (1.0 - $below) / $source;
        }

        return $burned;
    }

    public static function hardLight(float $below, float $source): float
    {
        return $source <= 0.5 ? 2.0 * $below * $source : 1.0 - 2.0 * (1.0 - $below) * (1.0 - $source);
    }

    public static function softLight(float $below, float $source): float
    {
        if ($source <= 0.5) {
            $soft = $below - (1.0 - 2.0 * $source) * $below * (1.0 - $below);
        } else {
            // above a quarter the standard has the square root: fitted, since a call would cost a kernel more than all the rest
            // (core/tests/reference/fit_transfer.py; the error is below 0.003/255)
            $lifted = $below <= 0.25 ? ((16.0 * $below - 12.0) * $below + 4.0) * $below
                : (((((-0.499476297 * $below + 2.22177131) * $below - 4.19206673) * $below + 4.43296376) * $below - 3.02164285) * $below + 1.8993506) * $below + 0.159088842;
            $soft = $below + (2.0 * $source - 1.0) * ($lifted - $below);
        }

        return $soft;
    }

    public static function difference(float $below, float $source): float
    {
        return $below > $source ? $below - $source : $source - $below;
    }

    public static function exclusion(float $below, float $source): float
    {
        return $below + $source - 2.0 * $below * $source;
    }

    /** Our own: brightens what is already bright; blacks stay black and a black source changes nothing. */
    public static function kindle(float $below, float $source): float
    {
        $left = 1.0 - $source * $below;

        return $below >= $left ? 1.0 : $below / $left;
    }

    /** The standard's lighter, on premultiplied values; it never lowers what is below. */
    public static function add(float $below, float $source): float
    {
        $sum = $below + $source;

        return $sum < 1.0 ? $sum : ($below > 1.0 ? $below : 1.0);
    }
}
