<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** A plane at half its size. */
final class Halved
{
    /**
     * @param  list<float>  $fine  2 x columns by 2 x rows
     * @return list<float> columns x rows, each the mean of four
     */
    public static function of(array $fine, int $columns, int $rows): array
    {
        $means = [];
        $pitch = 2 * $columns;
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0, $at = 2 * $row * $pitch; $column < $columns; $column++, $at += 2) {
                $means[] = 0.25 * ($fine[$at] + $fine[$at + 1] + $fine[$at + $pitch] + $fine[$at + $pitch + 1]);
            }
        }

        return $means;
    }

    /**
     * Of any size: where a row or a column is left over it is met by itself.
     *
     * @param  list<float>  $fine  row after row
     * @return array{list<float>, int, int} the half, its columns and rows
     */
    public static function ofAny(array $fine, int $columns, int $rows): array
    {
        $means = [];
        for ($row = 0; $row < $rows; $row += 2) {
            [$upper, $lower] = [$row * $columns, min($rows - 1, $row + 1) * $columns];
            for ($column = 0; $column < $columns; $column += 2) {
                $right = $column + 1 < $columns ? $column + 1 : $column;
                $means[] = 0.25 * ($fine[$upper + $column] + $fine[$upper + $right] + $fine[$lower + $column] + $fine[$lower + $right]);
            }
        }

        return [$means, intdiv($columns + 1, 2), intdiv($rows + 1, 2)];
    }
}
