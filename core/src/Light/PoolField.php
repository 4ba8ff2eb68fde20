<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** The formulas of a spot onto a surface; kernels inline the bodies. */
final class PoolField
{
    /**
     * The turn ({@see AngularLaw::turnOf()}) between the axis and a place.
     *
     * @param  float  $along  the place's distance from the lamp along the axis
     * @param  float  $squared  its distance from the lamp, squared
     */
    public static function turn(float $along, float $squared): float
    {
        $across = $squared - $along * $along;
        $side = $across > 0.0 ? sqrt($across) : 0.0;
        if ($along > 0.0) {
            $turn = $side / ($side + $along);
        } else {
            $turn = 2.0;
        }

        return $turn;
    }

    /** A sharp edge, antialiased over one pixel. */
    public static function sharp(float $inside): float
    {
        $kept = $inside + 0.5;
        if (! ($kept < 1.0)) {
            $kept = 1.0;
        }

        return $kept > 0.0 ? $kept : 0.0;
    }

    /**
     * How much of a soft edge is there at so many sigmas inside it: the normal distribution, by formula 26.2.17 of Abramowitz
     * and Stegun, *Handbook of Mathematical Functions* (error below 7.5e-8).
     */
    public static function soft(float $inside): float
    {
        $away = $inside < 0.0 ? -$inside : $inside;
        $t = 1.0 / (1.0 + 0.2316419 * $away);
        $rest = 0.3989422804014327 * exp(-0.5 * $away * $away) * $t * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $inside < 0.0 ? $rest : 1.0 - $rest;
    }
}
