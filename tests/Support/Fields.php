<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;

/** Planes worked out as plainly as can be, to hold lights that are blurred shapes against. */
final class Fields
{
    /**
     * Coverage at pixel centres.
     *
     * @param  Closure(float, float): float  $value  of x and y
     * @return list<float>
     */
    public static function of(int $columns, int $rows, Closure $value): array
    {
        $plane = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $plane[] = $value($column + 0.5, $row + 0.5);
            }
        }

        return $plane;
    }

    /**
     * The sampled, normalised Gaussian; nothing lies outside the plane.
     *
     * @param  list<float>  $plane
     * @return list<float>
     */
    public static function blurred(array $plane, int $columns, int $rows, float $sigma): array
    {
        $reach = (int) ceil(5 * $sigma);
        $weights = array_map(static fn (int $k): float => exp(-$k * $k / (2 * $sigma * $sigma)), range(-$reach, $reach));
        $sum = array_sum($weights);
        $weights = array_map(static fn (float $weight): float => $weight / $sum, $weights);
        foreach ([[$columns, 1], [$rows, $columns]] as [$length, $stride]) {
            $next = [];
            foreach ($plane as $at => $value) {
                $place = intdiv($at, $stride) % $length;
                $mean = 0.0;
                for ($k = max(-$reach, -$place), $last = min($reach, $length - 1 - $place); $k <= $last; $k++) {
                    $mean += $weights[$k + $reach] * $plane[$at + $k * $stride];
                }
                $next[] = $mean;
            }
            $plane = $next;
        }

        return $plane;
    }

    /** A Gaussian-blurred upright rectangle at a place, exactly. */
    public static function softBox(float $x, float $y, float $left, float $top, float $right, float $bottom, float $sigma): float
    {
        $side = static fn (float $at, float $from, float $to): float => (self::erf(($to - $at) / ($sigma * M_SQRT2)) - self::erf(($from - $at) / ($sigma * M_SQRT2))) / 2;

        return $side($x, $left, $right) * $side($y, $top, $bottom);
    }

    /** Abramowitz and Stegun, *Handbook of Mathematical Functions*, 7.1.26: within 1.5e-7. */
    public static function erf(float $x): float
    {
        $t = 1 / (1 + 0.3275911 * abs($x));
        $value = 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$x * $x);

        return $x < 0 ? -$value : $value;
    }

    /**
     * A colour ramp as [offset, [r, g, b] 0..255, opacity], mixed premultiplied: unpremultiplied colour 0..1 and opacity.
     *
     * @return array{float, float, float, float}
     */
    public static function colourRamp(array $stops, float $t): array
    {
        $of = static fn (array $stop): array => [...array_map(static fn (int $byte): float => $byte / 255 * $stop[2], $stop[1]), $stop[2]];
        $mixed = $of($stops[0]);
        foreach (range(1, count($stops) - 1) as $k) {
            if ($t >= $stops[$k][0]) {
                $mixed = $of($stops[$k]);
            } elseif ($t > $stops[$k - 1][0]) {
                $u = ($t - $stops[$k - 1][0]) / ($stops[$k][0] - $stops[$k - 1][0]);
                $mixed = array_map(static fn (float $a, float $b): float => $a + $u * ($b - $a), $of($stops[$k - 1]), $of($stops[$k]));
            }
        }

        return $mixed[3] > 0 ? [$mixed[0] / $mixed[3], $mixed[1] / $mixed[3], $mixed[2] / $mixed[3], $mixed[3]] : [0, 0, 0, 0];
    }
}
