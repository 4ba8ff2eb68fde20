<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * A plane of greys grown or shrunk by a distance, with its softness as it is: the largest value within that distance, or the
 * smallest (grey dilation and erosion by a flat disc; Serra, Image Analysis and Mathematical Morphology, 1982). The disc is the
 * sum of eight lines, a figure of sixteen sides that is nowhere further off than 1.6 % of its radius; along each line the
 * values between pixels are read on straight lines, so that fractions of a pixel count.
 */
final class Swollen
{
    /** Steps along a line in columns and rows, and half its length in radii. */
    private const LINES = [
        [1, 0, 0.2477], [0, 1, 0.2477], [1, 1, 0.1063], [-1, 1, 0.1063], [2, 1, 0.2186], [-2, 1, 0.2186], [1, 2, 0.2186], [-1, 2, 0.2186],
    ];

    /**
     * @param  list<float>  $values  0..1, row after row; within the distance of a border it may come out as it was
     * @param  float  $distance  pixels; below 0 it shrinks
     * @return list<float>
     */
    public static function by(array $values, int $columns, float $distance): array
    {
        if ($distance < 0) {
            return self::turned(self::by(self::turned($values), $columns, -$distance));
        }
        foreach (self::LINES as [$across, $down, $half]) {
            $values = self::along($values, $down * $columns + $across, $half * $distance / hypot($across, $down));
        }

        return $values;
    }

    /**
     * The largest value within so many steps, to both sides.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function along(array $values, int $step, float $half): array
    {
        $count = count($values);
        $whole = (int) $half;
        // the largest of so many places from each one on, by doubling
        [$length, $from] = [1, $values];
        while (2 * $length <= 2 * $whole + 1) {
            $from = self::larger($from, $from, $length * $step);
            $length *= 2;
        }
        $back = $whole * $step;
        $on = ($whole - $length + 1) * $step;
        $rest = $half - $whole;
        $grown = $values;
        for ($i = $back + $step, $end = $count - $back - $step; $i < $end; $i++) {
            $largest = $from[$i - $back];
            if ($from[$i + $on] > $largest) {
                $largest = $from[$i + $on];
            }
            $before = $values[$i - $back] + $rest * ($values[$i - $back - $step] - $values[$i - $back]);
            $after = $values[$i + $back] + $rest * ($values[$i + $back + $step] - $values[$i + $back]);
            if ($before > $largest) {
                $largest = $before;
            }
            $grown[$i] = $after > $largest ? $after : $largest;
        }

        /** @var list<float> $grown changed only where it had values already */
        return $grown;
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @return list<float> the larger of each value of the one, and of the other so many places on
     */
    private static function larger(array $one, array $other, int $by): array
    {
        for ($i = 0, $end = count($one) - $by; $i < $end; $i++) {
            if ($other[$i + $by] > $one[$i]) {
                $one[$i] = $other[$i + $by];
            }
        }

        return $one;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function turned(array $values): array
    {
        foreach ($values as $at => $value) {
            $values[$at] = 1.0 - $value;
        }

        return $values;
    }
}
