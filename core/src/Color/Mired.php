<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** Colour temperature as a million by kelvin, in which a gel shifts every light by the same. */
final class Mired
{
    public const LEAST = 40.0;

    public const MOST = 1000.0;

    public static function of(float $kelvin): float
    {
        return 1e6 / $kelvin;
    }

    /** The temperature of a light behind a gel, within what there is. */
    public static function shifted(float $kelvin, float $shift): float
    {
        return 1e6 / max(self::LEAST, min(self::MOST, self::of($kelvin) + $shift));
    }

    /** Whether a gel would take a light further than there is. */
    public static function isClamped(float $kelvin, float $shift): bool
    {
        $wanted = self::of($kelvin) + $shift;

        return $wanted < self::LEAST || $wanted > self::MOST;
    }
}
