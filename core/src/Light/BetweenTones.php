<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** Tones between two limits, each with a soft shoulder. */
final readonly class BetweenTones
{
    /** Half the width of a shoulder, luma. */
    public const SHOULDER = 0.08;

    /**
     * @param  float  $darks  luma 0..1 in the middle of the lower shoulder; 0 for no lower limit
     * @param  float  $brights  in the middle of the upper one; 1 for no upper limit
     */
    public function __construct(public float $darks, public float $brights)
    {
    }

    /** smoothstep up over the lower shoulder, and down over the upper one. */
    public static function share(float $luma, float $darks, float $brights): float
    {
        $up = ($luma - $darks) * 6.25 + 0.5;
        $up = $darks > 0.0 ? ($up > 0.0 ? ($up < 1.0 ? $up : 1.0) : 0.0) : 1.0;
        $down = ($brights - $luma) * 6.25 + 0.5;
        $down = $brights < 1.0 ? ($down > 0.0 ? ($down < 1.0 ? $down : 1.0) : 0.0) : 1.0;

        return $up * $up * (3.0 - 2.0 * $up) * $down * $down * (3.0 - 2.0 * $down);
    }
}
