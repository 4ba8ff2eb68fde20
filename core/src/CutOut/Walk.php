<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/**
 * Walkers that go from pixel to pixel, the more easily the more alike two are: the chance that one from here meets the
 * subject first. Successive over-relaxation of what Grady's random walks with priors come to.
 */
final class Walk
{
    /** At most. */
    private const SWEEPS = 60;

    /** A sweep that changes no pixel by more than half a step of 8 bits is the last. */
    private const STILL = 0.002;

    private const BAND_SWEEPS = 14;

    /** Over-relaxation of the sweeps. */
    private const HASTE = 1.7;

    /** How much lightness counts where neighbours are compared: the edge of a shadow on a body is none of the body's. */
    private const LIGHTNESS = 0.5;

    private const COLOUR = 2.0;

    /** So many times their mean differences of neighbours count as an edge. */
    private const EDGE = 0.5;

    /** The same along the border, where few sweeps do. */
    private const BAND_HASTE = 1.3;

    /** What passes over any edge. */
    private const LEAK = 0.002;

    /**
     * How alike neighbours are, 0..1: to the right and below.
     *
     * @return array{array<int, float>, array<int, float>}
     */
    public static function likeness(Colours $colours): array
    {
        [$l, $a, $b, $columns, $rows] = [$colours->lightness, $colours->first, $colours->second, $colours->columns, $colours->rows];
        $right = $down = [];
        $sum = 0.0;
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $next = $column + 1 < $columns ? $at + 1 : $at;
                $below = $row + 1 < $rows ? $at + $columns : $at;
                $right[] = $across = self::LIGHTNESS * ($l[$at] - $l[$next]) ** 2 + self::COLOUR * (($a[$at] - $a[$next]) ** 2 + ($b[$at] - $b[$next]) ** 2);
                $down[] = $along = self::LIGHTNESS * ($l[$at] - $l[$below]) ** 2 + self::COLOUR * (($a[$at] - $a[$below]) ** 2 + ($b[$at] - $b[$below]) ** 2);
                $sum += $across + $along;
            }
        }
        $steepness = 1 / max(1e-6, self::EDGE * $sum / (2 * $columns * $rows));
        for ($at = 0, $count = $columns * $rows; $at < $count; $at++) {
            $right[$at] = exp(-$right[$at] * $steepness) + self::LEAK;
            $down[$at] = exp(-$down[$at] * $steepness) + self::LEAK;
        }

        return [$right, $down];
    }

    /**
     * Successive over-relaxation toward the walkers' potentials.
     *
     * @param  array<int, float>  $values
     * @param  array<int, float>  $prior
     * @param  array<int, int>  $marks
     * @param  array<int, float>  $right
     * @param  array<int, float>  $down
     * @return array<int, float>
     */
    public static function everywhere(array $values, array $prior, array $marks, array $right, array $down, int $columns, int $rows, float $weight): array
    {
        for ($sweep = 0; $sweep < self::SWEEPS; $sweep++) {
            $most = 0.0;
            for ($row = 0, $at = 0; $row < $rows; $row++) {
                for ($column = 0; $column < $columns; $column++, $at++) {
                    if ($marks[$at] !== 0) {
                        continue;
                    }
                    $pull = $weight;
                    $sum = $weight * $prior[$at];
                    if ($column > 0) {
                        $like = $right[$at - 1];
                        $pull += $like;
                        $sum += $like * $values[$at - 1];
                    }
                    if ($column + 1 < $columns) {
                        $like = $right[$at];
                        $pull += $like;
                        $sum += $like * $values[$at + 1];
                    }
                    if ($row > 0) {
                        $like = $down[$at - $columns];
                        $pull += $like;
                        $sum += $like * $values[$at - $columns];
                    }
                    if ($row + 1 < $rows) {
                        $like = $down[$at];
                        $pull += $like;
                        $sum += $like * $values[$at + $columns];
                    }
                    $change = self::HASTE * ($sum / $pull - $values[$at]);
                    $values[$at] += $change;
                    if ($change < 0.0) {
                        $change = -$change;
                    }
                    if ($change > $most) {
                        $most = $change;
                    }
                }
            }
            if ($most < self::STILL) {
                break;
            }
        }

        return $values;
    }

    /**
     * @param  array<int, float>  $values
     * @param  list<int>  $band
     * @param  array<int, float>  $prior  of the band's pixels
     * @return array<int, float>
     */
    public static function alongBand(Colours $colours, array $values, array $band, array $prior, float $weight): array
    {
        [$l, $a, $b, $columns] = [$colours->lightness, $colours->first, $colours->second, $colours->columns];
        $count = $colours->columns * $colours->rows;
        $neighbours = $weights = [];
        $sum = 0.0;
        foreach ($band as $at) {
            $column = $at % $columns;
            foreach ([$column > 0 ? $at - 1 : $at, $column + 1 < $columns ? $at + 1 : $at, $at >= $columns ? $at - $columns : $at, $at + $columns < $count ? $at + $columns : $at] as $next) {
                $neighbours[] = $next;
                $weights[] = $difference = self::LIGHTNESS * ($l[$at] - $l[$next]) ** 2 + self::COLOUR * (($a[$at] - $a[$next]) ** 2 + ($b[$at] - $b[$next]) ** 2);
                $sum += $difference;
            }
        }
        $steepness = 1 / max(1e-6, self::EDGE * $sum / max(1, count($weights)));
        foreach ($weights as $k => $difference) {
            $weights[$k] = exp(-$difference * $steepness) + self::LEAK;
        }
        for ($sweep = 0; $sweep < self::BAND_SWEEPS; $sweep++) {
            $k = 0;
            foreach ($band as $n => $at) {
                [$w0, $w1, $w2, $w3] = [$weights[$k], $weights[$k + 1], $weights[$k + 2], $weights[$k + 3]];
                $mean = ($w0 * $values[$neighbours[$k]] + $w1 * $values[$neighbours[$k + 1]] + $w2 * $values[$neighbours[$k + 2]] + $w3 * $values[$neighbours[$k + 3]] + $weight * $prior[$n])
                    / ($w0 + $w1 + $w2 + $w3 + $weight);
                $values[$at] += self::BAND_HASTE * ($mean - $values[$at]);
                $k += 4;
            }
        }

        return $values;
    }
}
