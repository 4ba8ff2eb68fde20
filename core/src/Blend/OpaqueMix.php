<?php

declare(strict_types=1);

namespace Aumbrel\Core\Blend;

/**
 * below + cover (B(below, source) - below) for opaque colours, for modes in which it can be arranged as
 * below x something + something: what does not hang on the picture below is then worked out beside it instead of after it,
 * which is what a long stack of kernels waits for. What the cover leaves, 1 - cover, is handed in: where the cover is the same
 * everywhere it is worked out once. The formulas are those of {@see ChannelBlend} (a test holds them together); values 0..1.
 * Kernels inline the bodies.
 */
final class OpaqueMix
{
    public static function normal(float $below, float $source, float $cover, float $rest): float
    {
        return $below * $rest + $cover * $source;
    }

    public static function multiply(float $below, float $source, float $cover, float $rest): float
    {
        return $below * ($rest + $cover * $source);
    }

    public static function screen(float $below, float $source, float $cover, float $rest): float
    {
        return $below * (1.0 - $cover * $source) + $cover * $source;
    }

    public static function overlay(float $below, float $source, float $cover, float $rest): float
    {
        return $below <= 0.5
            ? $below * ($rest + 2.0 * $cover * $source)
            : $below * (1.0 + $cover - 2.0 * $cover * $source) + $cover * (2.0 * $source - 1.0);
    }

    public static function hardLight(float $below, float $source, float $cover, float $rest): float
    {
        return $source <= 0.5
            ? $below * ($rest + 2.0 * $cover * $source)
            : $below * (1.0 + $cover - 2.0 * $cover * $source) + $cover * (2.0 * $source - 1.0);
    }

    public static function softLight(float $below, float $source, float $cover, float $rest): float
    {
        return $source <= 0.5
            ? $below * (1.0 - $cover * (1.0 - 2.0 * $source) * (1.0 - $below))
            : $below * (1.0 - $cover * (2.0 * $source - 1.0)) + $cover * (2.0 * $source - 1.0) * ($below <= 0.25
                ? ((16.0 * $below - 12.0) * $below + 4.0) * $below
                : (((((-0.499476297 * $below + 2.22177131) * $below - 4.19206673) * $below + 4.43296376) * $below - 3.02164285) * $below + 1.8993506) * $below + 0.159088842);
    }

    public static function colorDodge(float $below, float $source, float $cover, float $rest): float
    {
        return $below <= 0.0 ? 0.0 : ($below >= 1.0 - $source
            ? $below * $rest + $cover
            : $below * ($rest + $cover / (1.0 - $source)));
    }

    /** The sum, not a mix: the cover weighs the source alone. */
    public static function add(float $below, float $source, float $cover, float $rest): float
    {
        return $below + $cover * $source < 1.0 ? $below + $cover * $source : 1.0;
    }
}
