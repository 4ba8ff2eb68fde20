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
}
