<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** The formulas of a spot; kernels inline the bodies. */
final class SpotField
{
    /**
     * The turn ({@see AngularLaw::turnOf()}) between the axis and the pixel, seen from the origin: 0 on the axis, 2 behind.
     *
     * @param  float  $along  the pixel's distance from the origin along the axis
     * @param  float  $across  the same across it, of either sign
     */
    public static function turn(float $along, float $across): float
    {
        $side = $across < 0.0 ? -$across : $across;
        if ($along > 0.0) {
            $turn = $side / ($side + $along);
        } elseif ($along < 0.0 || $side > 0.0) {
            $turn = 2.0 - $side / ($side - $along);
        } else {
            $turn = 0.0;
        }

        return $turn;
    }

    /** @param  list<float>  $table of {@see AngularLaw::table()}
     * @param  float  $perTurn  intervals a turn */
    public static function angular(array $table, float $turn, float $perTurn): float
    {
        $place = $turn * $perTurn;
        $entry = (int) $place;
        $start = $table[$entry];

        return $start + ($place - $entry) * ($table[$entry + 1] - $start);
    }

    public static function linear(float $squared, float $reach): float
    {
        $left = 1.0 - sqrt($squared) / $reach;

        return $left > 0.0 ? $left : 0.0;
    }

    /**
     * @param  float  $squared  distance from the light, squared
     * @param  float  $strength  d0² + s²
     * @param  float  $size  s²
     */
    public static function inverseSquare(float $squared, float $strength, float $size): float
    {
        // a light without a size is without end at its origin: a thousandth of a pixel beside it stands in for that
        $away = $squared + $size;

        return $strength / ($away > 1.0e-6 ? $away : 1.0e-6);
    }

    /** The window that lets a light end at its reach: max(0, 1 - (d / reach)⁴)². */
    public static function reachWindow(float $squared, float $reachSquared): float
    {
        $share = $squared / $reachSquared;
        $left = 1.0 - $share * $share;

        return $left > 0.0 ? $left * $left : 0.0;
    }
}
