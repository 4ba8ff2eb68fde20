<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * How wide an edge is, from one side of it to the other: what it rises by, over its steepest step, measured across it. Of a step
 * that was blurred by a Gaussian of sigma that is sigma times the square root of 2 pi (its slope in the middle, by definition).
 */
final class EdgeWidth
{
    /** How far it is followed to either side, pixels. */
    public const REACH = 7;

    /** Samples at the ends of which the sides are the means. */
    private const SIDE = 3;

    /** What rises by less is no edge. */
    private const LEAST = 0.1;

    /** A step that is steeper than what the whole rises by belongs to a line, not to an edge; so do sides that differ in themselves. */
    private const STEEPEST = 1.15;

    /** The steepest step lies in the middle. */
    private const OFF = 2;

    /**
     * Null where there is no edge.
     *
     * @param  list<float>  $plane  row after row
     * @param  float  $x  in pixels, of a place on it
     * @param  float  $towardX  of the direction across it, of length 1
     */
    public static function at(array $plane, int $columns, int $rows, float $x, float $y, float $towardX, float $towardY): ?float
    {
        $values = [];
        for ($n = -self::REACH; $n <= self::REACH; $n++) {
            [$u, $v] = [$x + $n * $towardX, $y + $n * $towardY];
            if ($u < 0 || $v < 0 || $u > $columns - 1.001 || $v > $rows - 1.001) {
                return null;
            }
            [$column, $row] = [(int) $u, (int) $v];
            [$fx, $fy, $at] = [$u - $column, $v - $row, $row * $columns + $column];
            $values[] = (1 - $fy) * ((1 - $fx) * $plane[$at] + $fx * $plane[$at + 1]) + $fy * ((1 - $fx) * $plane[$at + $columns] + $fx * $plane[$at + $columns + 1]);
        }
        $rise = abs(array_sum(array_slice($values, -self::SIDE)) - array_sum(array_slice($values, 0, self::SIDE))) / self::SIDE;
        [$steepest, $where] = [0.0, 0];
        for ($n = 1; $n < count($values); $n++) {
            $step = abs($values[$n] - $values[$n - 1]);
            [$steepest, $where] = $step > $steepest ? [$step, $n] : [$steepest, $where];
        }

        return $rise < self::LEAST || $steepest > self::STEEPEST * $rise || abs($where - self::REACH - 0.5) > self::OFF ? null : max(1.0, $rise / $steepest);
    }

    /** The sigma that a blur must have to make an edge of one width as wide as another. */
    public static function blur(float $width, float $wanted): float
    {
        return sqrt(max(0.0, $wanted ** 2 - $width ** 2) / (2 * M_PI));
    }
}
