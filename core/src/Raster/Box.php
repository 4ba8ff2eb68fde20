<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** Means over squares, by running sums: the cost does not grow with the radius. At borders only what is there counts. */
final class Box
{
    /**
     * Means in which each pixel counts by its weight; where nothing around has any, a value stays as it is.
     *
     * @param  array<int, float>  $values  row after row
     * @param  list<float>  $weights
     * @param  list<float>  $meanWeights  their own means over the same squares
     * @return list<float>
     */
    public static function weighted(array $values, array $weights, array $meanWeights, int $columns, int $rows, int $radius): array
    {
        $products = [];
        foreach ($weights as $at => $weight) {
            $products[] = $values[$at] * $weight;
        }
        $means = [];
        foreach (self::mean($products, $columns, $rows, $radius) as $at => $sum) {
            $means[] = $meanWeights[$at] > 1e-5 ? $sum / $meanWeights[$at] : $values[$at];
        }

        return $means;
    }

    /**
     * @param  list<float>  $plane  row after row
     * @return list<float> the mean over (2 radius + 1) squared pixels
     */
    public static function mean(array $plane, int $columns, int $rows, int $radius): array
    {
        if ($radius < 1) {
            return $plane;
        }
        $across = [];
        for ($row = 0; $row < $rows; $row++) {
            $start = $row * $columns;
            $sum = 0.0;
            for ($column = 0, $last = min($columns, $radius); $column < $last; $column++) {
                $sum += $plane[$start + $column];
            }
            for ($column = 0; $column < $columns; $column++) {
                if ($column + $radius < $columns) {
                    $sum += $plane[$start + $column + $radius];
                }
                if ($column > $radius) {
                    $sum -= $plane[$start + $column - $radius - 1];
                }
                $across[] = $sum;
            }
        }
        $sums = array_fill(0, $columns, 0.0);
        for ($at = 0, $last = min($rows, $radius) * $columns; $at < $last; $at++) {
            $sums[$at % $columns] += $across[$at];
        }
        $means = [];
        for ($row = 0; $row < $rows; $row++) {
            $add = $row + $radius < $rows ? ($row + $radius) * $columns : -1;
            $drop = $row > $radius ? ($row - $radius - 1) * $columns : -1;
            $high = min($rows - 1, $row + $radius) - max(0, $row - $radius) + 1;
            for ($column = 0; $column < $columns; $column++) {
                $sum = $sums[$column];
                if ($add >= 0) {
                    $sum += $across[$add + $column];
                }
                if ($drop >= 0) {
                    $sum -= $across[$drop + $column];
                }
                $sums[$column] = $sum;
                $right = $column + $radius < $columns ? $column + $radius : $columns - 1;
                $left = $column > $radius ? $column - $radius : 0;
                $means[] = $sum / ($high * ($right - $left + 1));
            }
        }

        return $means;
    }
}
