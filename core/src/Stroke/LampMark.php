<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

/**
 * What a lamp leaves that hangs straight over a place: its light by inverse square and Lambert's cosine, which together are
 * (1 + (d/h)²)^(-3/2) of that right under it. The brush's radius is where half is left; a window ends it at three radii.
 */
final class LampMark
{
    public const REACH = 3.0;

    /** h² in radii: (1 + 1/h²)^(-3/2) = 1/2. */
    private const HEIGHT_SQUARED = 1.702414384;

    /** @param  float  $squared  the distance from the place in radii, squared */
    public static function at(float $squared): float
    {
        $near = 1.0 + $squared / self::HEIGHT_SQUARED;
        $left = 1.0 - $squared * $squared / (self::REACH ** 4);

        return $left > 0.0 ? $left * $left / ($near * sqrt($near)) : 0.0;
    }
}
