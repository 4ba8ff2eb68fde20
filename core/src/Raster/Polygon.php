<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * The exact share of every pixel that a closed polygon covers, by the nonzero rule.
 *
 * Each side adds the signed area to its right, pixel by pixel; running sums along the rows give the winding number's mean
 * over each pixel, whose amount is the coverage. In pixels where parts that wind opposite ways meet, it is their difference.
 */
final class Polygon
{
    /**
     * @param  list<array{float, float}>  $points  in pixels, the first pixel reaching from 0 to 1
     * @return list<float> 0..1, row after row
     */
    public static function coverage(array $points, int $columns, int $rows): array
    {
        $pitch = $columns + 2;
        $sums = array_fill(0, $pitch * $rows, 0.0);
        $count = count($points);
        for ($k = 0; $k < $count; $k++) {
            [$x0, $y0] = $points[$k];
            [$x1, $y1] = $points[$k + 1 < $count ? $k + 1 : 0];
            if ($y0 != $y1 && max($y0, $y1) > 0 && min($y0, $y1) < $rows) {
                self::side($sums, $x0, $y0, $x1, $y1, $columns, $rows, $pitch);
            }
        }
        $coverage = [];
        for ($row = 0; $row < $rows; $row++) {
            $sum = 0.0;
            for ($column = 0, $at = $row * $pitch; $column < $columns; $column++, $at++) {
                $sum += $sums[$at];
                $share = $sum < 0.0 ? -$sum : $sum;
                $coverage[] = $share < 1.0 ? ($share > 1e-9 ? $share : 0.0) : 1.0;
            }
        }

        return $coverage;
    }

    /**
     * Splits a side where it passes the left and right border; what lies left of the first column counts for its border.
     *
     * @param  array<int, float>  $sums
     */
    private static function side(array &$sums, float $x0, float $y0, float $x1, float $y1, int $columns, int $rows, int $pitch): void
    {
        $cuts = [0.0, 1.0];
        foreach ([0.0, (float) $columns] as $border) {
            if (($x0 - $border) * ($x1 - $border) < 0) {
                $cuts[] = ($border - $x0) / ($x1 - $x0);
            }
        }
        sort($cuts);
        for ($k = 1; $k < count($cuts); $k++) {
            [$from, $to] = [$cuts[$k - 1], $cuts[$k]];
            $middle = $x0 + ($from + $to) / 2 * ($x1 - $x0);
            $clip = static fn (float $x): float => max(0.0, min((float) $columns, $x));
            if ($middle < $columns) {
                self::piece(
                    $sums, $clip($x0 + $from * ($x1 - $x0)), $y0 + $from * ($y1 - $y0), $clip($x0 + $to * ($x1 - $x0)), $y0 + $to * ($y1 - $y0), $rows, $pitch,
                );
            }
        }
    }

    /** @param  array<int, float>  $sums */
    private static function piece(array &$sums, float $x0, float $y0, float $x1, float $y1, int $rows, int $pitch): void
    {
        if ($y0 == $y1) {
            return;
        }
        $way = 1.0;
        if ($y0 > $y1) {
            [$x0, $y0, $x1, $y1, $way] = [$x1, $y1, $x0, $y0, -1.0];
        }
        $slope = ($x1 - $x0) / ($y1 - $y0);
        $x = $y0 < 0 ? $x0 - $y0 * $slope : $x0;
        $last = min($rows, (int) ceil($y1));
        for ($row = max(0, (int) floor($y0)); $row < $last; $row++) {
            $height = min($row + 1.0, $y1) - max((float) $row, $y0);
            $next = $x + $slope * $height;
            self::run($sums, $row * $pitch, min($x, $next), max($x, $next), $way * $height);
            $x = $next;
        }
    }

    /**
     * The part of a side inside one row.
     *
     * @param  array<int, float>  $sums
     * @param  float  $height  signed
     */
    private static function run(array &$sums, int $at, float $left, float $right, float $height): void
    {
        $left = max(0.0, $left);
        $first = (int) $left;
        $end = (int) ceil($right);
        if ($end <= $first + 1) {
            $middle = ($left + $right) / 2 - $first;
            $sums[$at + $first] += $height * (1 - $middle);
            $sums[$at + $first + 1] += $height * $middle;

            return;
        }
        // the area right of the side, column by column, less that of the column before
        $perColumn = $height / ($right - $left);
        $before = 0.0;
        for ($column = $first; $column < $end; $column++) {
            $from = $column > $left ? (float) $column : $left;
            $to = $column + 1 < $right ? $column + 1.0 : $right;
            $passed = ($column > $left ? $column - $left : 0.0) * $perColumn;
            $area = $passed + ($to - $from) * $perColumn * ($column + 1 - ($from + $to) / 2);
            $sums[$at + $column] += $area - $before;
            $before = $area;
        }
        $sums[$at + $end] += $height - $before;
    }
}
