<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * The distance to a shape's border, finer than a pixel: to the line where coverage, taken linearly between pixel centres,
 * is a half. Positive inside.
 *
 * The nearest crossing cell of every pixel is found exactly (Felzenszwalb and Huttenlocher, *Distance transforms of
 * sampled functions*, 2012, carrying along which sample was nearest); the distance is then taken to the pieces of the line
 * in that cell and the ones around it.
 */
final class Distance
{
    /**
     * @param  list<float>  $coverage  row after row; beyond the plane it goes on as at its border
     * @return list<float> in pixels; ±INF everywhere when there is no border
     */
    public static function signed(array $coverage, int $columns, int $rows): array
    {
        $pieces = self::pieces($coverage, $columns, $rows);
        if ($pieces === []) {
            return array_map(static fn (float $value): float => $value >= 0.5 ? INF : -INF, $coverage);
        }
        $nearest = self::nearest(array_keys($pieces), $columns, $rows);
        $signed = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $cell = $nearest[$at];
                $least = INF;
                foreach ([$cell - $columns - 1, $cell - $columns, $cell - $columns + 1, $cell - 1, $cell, $cell + 1, $cell + $columns - 1, $cell + $columns, $cell + $columns + 1] as $near) {
                    foreach ($pieces[$near] ?? [] as [$x0, $y0, $dx, $dy, $perSquare]) {
                        $share = (($column - $x0) * $dx + ($row - $y0) * $dy) * $perSquare;
                        $share = $share < 0.0 ? 0.0 : ($share > 1.0 ? 1.0 : $share);
                        $x = $column - $x0 - $share * $dx;
                        $y = $row - $y0 - $share * $dy;
                        $square = $x * $x + $y * $y;
                        if ($square < $least) {
                            $least = $square;
                        }
                    }
                }
                $signed[] = $coverage[$at] >= 0.5 ? sqrt($least) : -sqrt($least);
            }
        }

        return $signed;
    }

    /**
     * The border's pieces by the cell (the square between four pixel centres, named after its upper left one) they lie in.
     *
     * @param  list<float>  $coverage
     * @return array<int, list<array{float, float, float, float, float}>> start, way, and one over the way's square
     */
    private static function pieces(array $coverage, int $columns, int $rows): array
    {
        $pieces = [];
        for ($row = 0; $row + 1 < $rows; $row++) {
            $at = $row * $columns;
            for ($column = 0; $column + 1 < $columns; $column++, $at++) {
                $a = $coverage[$at] - 0.5;
                $b = $coverage[$at + 1] - 0.5;
                $c = $coverage[$at + $columns + 1] - 0.5;
                $d = $coverage[$at + $columns] - 0.5;
                $inside = ($a >= 0 ? 1 : 0) + ($b >= 0 ? 1 : 0) + ($c >= 0 ? 1 : 0) + ($d >= 0 ? 1 : 0);
                if ($inside === 0 || $inside === 4) {
                    continue;
                }
                $pieces[$at] = self::cell($a, $b, $c, $d, $column, $row);
            }
        }

        return $pieces;
    }

    /**
     * The pieces in one cell; where the corners alternate, the middle decides which are held together.
     *
     * @return list<array{float, float, float, float, float}>
     */
    private static function cell(float $a, float $b, float $c, float $d, int $column, int $row): array
    {
        $top = $a >= 0 !== $b >= 0 ? [$column + $a / ($a - $b), (float) $row] : null;
        $right = $b >= 0 !== $c >= 0 ? [$column + 1.0, $row + $b / ($b - $c)] : null;
        $bottom = $d >= 0 !== $c >= 0 ? [$column + $d / ($d - $c), $row + 1.0] : null;
        $left = $a >= 0 !== $d >= 0 ? [(float) $column, $row + $a / ($a - $d)] : null;
        if ($top !== null && $right !== null && $bottom !== null && $left !== null) {
            $isHeld = $a + $b + $c + $d >= 0 === $a >= 0;
            $pairs = $isHeld ? [[$top, $right], [$bottom, $left]] : [[$top, $left], [$bottom, $right]];
        } else {
            // a line that comes in goes out: two sides are crossed
            $crossed = array_values(array_filter([$top, $right, $bottom, $left]));
            $pairs = isset($crossed[0], $crossed[1]) ? [[$crossed[0], $crossed[1]]] : [];
        }
        $pieces = [];
        foreach ($pairs as [[$x0, $y0], [$x1, $y1]]) {
            $square = ($x1 - $x0) ** 2 + ($y1 - $y0) ** 2;
            $pieces[] = [$x0, $y0, $x1 - $x0, $y1 - $y0, $square > 0 ? 1 / $square : 0.0];
        }

        return $pieces;
    }

    /**
     * The cell nearest to each pixel, by the distance between pixel and the cell's middle.
     *
     * @param  list<int>  $cells
     * @return list<int>
     */
    private static function nearest(array $cells, int $columns, int $rows): array
    {
        // along columns: the nearest cell in the same column, above or below
        $none = -1;
        $inColumn = array_fill(0, $columns * $rows, $none);
        foreach ($cells as $cell) {
            $inColumn[$cell] = $cell;
        }
        for ($row = 1, $at = $columns; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                if ($inColumn[$at] < 0) {
                    $inColumn[$at] = $inColumn[$at - $columns];
                }
            }
        }
        for ($row = $rows - 2; $row >= 0; $row--) {
            for ($column = 0, $at = $row * $columns; $column < $columns; $column++, $at++) {
                $below = $inColumn[$at + $columns];
                if ($below < 0) {
                    continue;
                }
                $here = $inColumn[$at];
                $down = intdiv($below, $columns) + 0.5 - $row;
                if ($here < 0 || abs($down) < abs(intdiv($here, $columns) + 0.5 - $row)) {
                    $inColumn[$at] = $below;
                }
            }
        }
        $nearest = [];
        for ($row = 0; $row < $rows; $row++) {
            array_push($nearest, ...self::alongRow(array_slice($inColumn, $row * $columns, $columns), $row, $columns));
        }

        return $nearest;
    }

    /**
     * The lower envelope of the parabolas over one row.
     *
     * @param  list<int>  $candidates  the nearest cell of each column, -1 for none
     * @return list<int>
     */
    private static function alongRow(array $candidates, int $row, int $columns): array
    {
        $places = $heights = $starts = $owners = [];
        $k = -1;
        for ($column = 0; $column < $columns; $column++) {
            $cell = $candidates[$column];
            if ($cell < 0) {
                continue;
            }
            $place = $column + 0.5;
            $height = (intdiv($cell, $columns) + 0.5 - $row) ** 2;
            $start = -INF;
            while ($k >= 0) {
                $start = ($height + $place * $place - $heights[$k] - $places[$k] ** 2) / (2 * ($place - $places[$k]));
                if ($start > $starts[$k]) {
                    break;
                }
                $k--;
            }
            $k++;
            $starts[$k] = $k === 0 ? -INF : $start;
            $places[$k] = $place;
            $heights[$k] = $height;
            $owners[$k] = $cell;
        }
        $found = [];
        for ($column = 0, $n = 0; $column < $columns; $column++) {
            while ($n < $k && $starts[$n + 1] <= $column) {
                $n++;
            }
            $found[] = $owners[$n];
        }

        return $found;
    }
}
