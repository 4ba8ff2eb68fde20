<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

/** Darks, mids and lights: weights by encoded luma that come to one. */
final class Ranges
{
    /** Where darks begin to end, and have ended. */
    private const DARK = 0.1;

    private const NOT_DARK = 0.55;

    /** Where lights begin, and are all there is. */
    private const NOT_LIGHT = 0.45;

    private const LIGHT = 0.9;

    public static function darks(float $luma): float
    {
        $t = ($luma - self::DARK) / (self::NOT_DARK - self::DARK);
        $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);

        return 1.0 - $t * $t * (3.0 - 2.0 * $t);
    }

    public static function lights(float $luma): float
    {
        $t = ($luma - self::NOT_LIGHT) / (self::LIGHT - self::NOT_LIGHT);
        $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);

        return $t * $t * (3.0 - 2.0 * $t);
    }
}
