<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * The distance to a shape's border, finer than a pixel: to the line where coverage, taken linearly between pixel centres,
 * is a half. Positive inside.
 *
 * The line is made of short straight pieces. Which piece is nearest is handed on from pixel to pixel in sweeps there and
 * back (Danielsson, *Euclidean distance mapping*, 1980, eight neighbours), and each distance is taken to the piece itself.
 */
final class Distance
{
    /** Up to this reach every piece is tried at every pixel around it: that is exact, and quicker than handing pieces on. */
    private const CLOSE = 8.0;

    /** Side of the squares of which it is asked whether a border is near. */
    private const NEAR = 8;

    /**
     * @param  list<float>  $coverage  row after row; beyond the plane it goes on as at its border
     * @param  float  $reach  what lies further from the border need not be known
     * @param  bool  $isExact  otherwise a few distances near tight curves may be up to 0.04 px too long
     * @return list<float> in pixels; ±INF where there is no border within reach
     */
    public static function signed(array $coverage, int $columns, int $rows, float $reach = INF, bool $isExact = true): array
    {
        $pieces = self::pieces($coverage, $columns, $rows);
        if ($pieces !== [] && $reach <= self::CLOSE) {
            return self::close($pieces, $coverage, $columns, $rows, $reach);
        }
        $signed = [];
        foreach ($coverage as $value) {
            $signed[] = $value >= 0.5 ? INF : -INF;
        }
        if ($pieces === []) {
            return $signed;
        }
        $spans = self::spans($pieces, $columns, $rows, $reach);
        $squares = self::swept($pieces, $spans, $columns, $rows, $isExact);
        $pitch = $columns + 2;
        foreach ($spans as $row => $own) {
            foreach ($own as [$first, $end]) {
                for ($column = $first, $at = $row * $columns + $first, $padded = ($row + 1) * $pitch + $first + 1; $column < $end; $column++, $at++, $padded++) {
                    $signed[$at] = $coverage[$at] >= 0.5 ? sqrt($squares[$padded]) : -sqrt($squares[$padded]);
                }
            }
        }

        /** @var list<float> $signed changed only where it had values already */
        return $signed;
    }

    /**
     * @param  array<int, list<array{float, float, float, float, float}>>  $pieces  by cell
     * @param  list<float>  $coverage
     * @return list<float>
     */
    private static function close(array $pieces, array $coverage, int $columns, int $rows, float $reach): array
    {
        $squares = array_fill(0, $columns * $rows, INF);
        $most = $reach * $reach;
        foreach ($pieces as $own) {
            foreach ($own as [$x0, $y0, $dx, $dy, $perSquare]) {
                $left = (int) max(0, ceil(($dx < 0.0 ? $x0 + $dx : $x0) - $reach));
                $right = (int) min($columns - 1, floor(($dx > 0.0 ? $x0 + $dx : $x0) + $reach));
                $top = (int) max(0, ceil(($dy < 0.0 ? $y0 + $dy : $y0) - $reach));
                $bottom = (int) min($rows - 1, floor(($dy > 0.0 ? $y0 + $dy : $y0) + $reach));
                for ($row = $top; $row <= $bottom; $row++) {
                    for ($column = $left, $at = $row * $columns + $left; $column <= $right; $column++, $at++) {
                        $x = $column - $x0;
                        $y = $row - $y0;
                        $share = ($x * $dx + $y * $dy) * $perSquare;
                        $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;
                        $x -= $share * $dx;
                        $y -= $share * $dy;
                        $square = $x * $x + $y * $y;
                        if ($square < $squares[$at]) {
                            $squares[$at] = $square;
                        }
                    }
                }
            }
        }
        // in the squares themselves: a fresh plane costs as much as going through it
        for ($at = 0, $end = $columns * $rows; $at < $end; $at++) {
            $distance = $squares[$at] <= $most ? sqrt($squares[$at]) : INF;
            $squares[$at] = $coverage[$at] >= 0.5 ? $distance : -$distance;
        }

        /** @var list<float> $squares changed only where it had values already */
        return $squares;
    }

    /**
     * The columns of each row that lie within reach of a piece: first, and one after the last.
     *
     * @param  array<int, list<array{float, float, float, float, float}>>  $pieces  by cell
     * @return array<int, list<array{int, int}>>
     */
    private static function spans(array $pieces, int $columns, int $rows, float $reach): array
    {
        if ($reach >= $columns + $rows) {
            return array_fill(0, $rows, [[0, $columns]]);
        }
        $across = intdiv($columns - 1, self::NEAR) + 1;
        $down = intdiv($rows - 1, self::NEAR) + 1;
        $touched = [];
        foreach ($pieces as $cell => $own) {
            $touched[intdiv(intdiv($cell, $columns), self::NEAR) * $across + intdiv($cell % $columns, self::NEAR)] = true;
        }
        $steps = (int) ceil(($reach + 1) / self::NEAR);
        $near = [];
        foreach ($touched as $square => $is) {
            [$column, $row] = [$square % $across, intdiv($square, $across)];
            for ($y = max(0, $row - $steps), $lastY = min($down - 1, $row + $steps); $y <= $lastY; $y++) {
                for ($x = max(0, $column - $steps), $lastX = min($across - 1, $column + $steps); $x <= $lastX; $x++) {
                    $near[$y][$x] = true;
                }
            }
        }
        ksort($near);
        $spans = [];
        foreach ($near as $y => $squares) {
            ksort($squares);
            $own = [];
            foreach ($squares as $x => $is) {
                $end = min($columns, ($x + 1) * self::NEAR);
                if ($own !== [] && $own[count($own) - 1][1] === $x * self::NEAR) {
                    $own[count($own) - 1][1] = $end;
                } else {
                    $own[] = [$x * self::NEAR, $end];
                }
            }
            for ($row = $y * self::NEAR; $row < min($rows, ($y + 1) * self::NEAR); $row++) {
                $spans[$row] = $own;
            }
        }

        return $spans;
    }

    /**
     * The square of the distance to the nearest piece, on a plane with a margin of one pixel.
     *
     * @param  array<int, list<array{float, float, float, float, float}>>  $pieces  by cell
     * @param  array<int, list<array{int, int}>>  $spans  the columns that are asked for, by row
     * @return array<int, float>
     */
    private static function swept(array $pieces, array $spans, int $columns, int $rows, bool $isExact): array
    {
        $pitch = $columns + 2;
        $all = [];
        $nearest = array_fill(0, $pitch * ($rows + 2), -1);
        $squares = array_fill(0, $pitch * ($rows + 2), INF);
        foreach ($pieces as $cell => $own) {
            $column = $cell % $columns;
            $row = intdiv($cell, $columns);
            foreach ($own as $piece) {
                $all[] = $piece;
                $number = count($all) - 1;
                foreach ([[$column, $row], [$column + 1, $row], [$column, $row + 1], [$column + 1, $row + 1]] as [$x, $y]) {
                    $at = ($y + 1) * $pitch + $x + 1;
                    $square = self::square($piece, $x, $y);
                    if ($square < $squares[$at]) {
                        $squares[$at] = $square;
                        $nearest[$at] = $number;
                    }
                }
            }
        }
        foreach ($spans as $row => $own) {
            foreach ($own as $span) {
                self::sweepRow($all, $nearest, $squares, $row, $span, $pitch, 1, [-1, -$pitch, -$pitch - 1, -$pitch + 1]);
            }
            foreach ($own as $span) {
                self::sweepRow($all, $nearest, $squares, $row, $span, $pitch, -1, [1]);
            }
        }
        foreach (array_reverse($spans, true) as $row => $own) {
            foreach ($own as $span) {
                self::sweepRow($all, $nearest, $squares, $row, $span, $pitch, -1, [1, $pitch, $pitch - 1, $pitch + 1]);
            }
            foreach ($own as $span) {
                self::sweepRow($all, $nearest, $squares, $row, $span, $pitch, 1, [-1]);
            }
        }

        if ($isExact) {
            self::walk($all, $nearest, $squares, $spans, $columns);
        }

        return $squares;
    }

    /**
     * Tries for each pixel of a row the pieces that its neighbours have found.
     *
     * @param  list<array{float, float, float, float, float}>  $pieces
     * @param  array<int, int>  $nearest
     * @param  array<int, float>  $squares
     * @param  array{int, int}  $span
     * @param  1|-1  $way
     * @param  list<int>  $neighbours
     */
    private static function sweepRow(array $pieces, array &$nearest, array &$squares, int $row, array $span, int $pitch, int $way, array $neighbours): void
    {
        $count = $span[1] - $span[0];
        $column = $way === 1 ? $span[0] : $span[1] - 1;
        for ($n = 0, $at = ($row + 1) * $pitch + $column + 1; $n < $count; $n++, $at += $way, $column += $way) {
            $best = $squares[$at];
            $own = $nearest[$at];
            // the distance is written out, not called: this runs for every pixel of the plane four times
            foreach ($neighbours as $offset) {
                $number = $nearest[$at + $offset];
                if ($number < 0 || $number === $own) {
                    continue;
                }
                [$x0, $y0, $dx, $dy, $perSquare] = $pieces[$number];
                $share = (($column - $x0) * $dx + ($row - $y0) * $dy) * $perSquare;
                $share = $share < 0.0 ? 0.0 : ($share > 1.0 ? 1.0 : $share);
                $x = $column - $x0 - $share * $dx;
                $y = $row - $y0 - $share * $dy;
                $square = $x * $x + $y * $y;
                if ($square < $best) {
                    $best = $square;
                    $own = $number;
                }
            }
            $squares[$at] = $best;
            $nearest[$at] = $own;
        }
    }

    /**
     * From the piece that was found along the border to nearer ones. Sweeps hand on only what is nearest somewhere: a piece
     * whose region is thinner than a pixel is nearest nowhere, and lies beside one that is.
     *
     * @param  list<array{float, float, float, float, float}>  $pieces
     * @param  array<int, int>  $nearest
     * @param  array<int, float>  $squares
     * @param  array<int, list<array{int, int}>>  $spans
     */
    private static function walk(array $pieces, array $nearest, array &$squares, array $spans, int $columns): void
    {
        $beside = self::beside($pieces);
        $pitch = $columns + 2;
        $around = [0, -1, 1, -$pitch, $pitch];
        foreach ($spans as $row => $ranges) {
            foreach ($ranges as [$first, $end]) {
                for ($column = $first, $at = ($row + 1) * $pitch + $first + 1; $column < $end; $column++, $at++) {
                    $own = $nearest[$at];
                    if ($nearest[$at - 1] === $own && $nearest[$at + 1] === $own && $nearest[$at - $pitch] === $own && $nearest[$at + $pitch] === $own) {
                        // in the middle of a region nothing thin passes
                        continue;
                    }
                    $best = $squares[$at];
                    $tried = -1;
                    foreach ($around as $offset) {
                        $from = $nearest[$at + $offset];
                        if ($from === $tried || $from < 0) {
                            continue;
                        }
                        $tried = $from;
                        // written out, as in the sweeps
                        foreach ($beside[$from] as $number) {
                            [$x0, $y0, $dx, $dy, $perSquare] = $pieces[$number];
                            $x = $column - $x0;
                            $y = $row - $y0;
                            $share = ($x * $dx + $y * $dy) * $perSquare;
                            $share = $share < 0.0 ? 0.0 : ($share > 1.0 ? 1.0 : $share);
                            $x -= $share * $dx;
                            $y -= $share * $dy;
                            $square = $x * $x + $y * $y;
                            if ($square < $best) {
                                $best = $square;
                            }
                        }
                    }
                    $squares[$at] = $best;
                }
            }
        }
    }

    /**
     * The pieces that go on from each one, two on either side where there are.
     *
     * @param  list<array{float, float, float, float, float}>  $pieces
     * @return list<list<int>>
     */
    private static function beside(array $pieces): array
    {
        $ends = [];
        foreach ($pieces as $number => [$x, $y, $dx, $dy]) {
            $ends[self::place($x, $y)][] = $number;
            $ends[self::place($x + $dx, $y + $dy)][] = $number;
        }
        $next = [];
        foreach ($pieces as $number => [$x, $y, $dx, $dy]) {
            $next[] = array_values(array_diff([...$ends[self::place($x, $y)], ...$ends[self::place($x + $dx, $y + $dy)]], [$number]));
        }
        $beside = [];
        foreach ($next as $number => $ones) {
            $all = $ones;
            foreach ($ones as $one) {
                array_push($all, ...$next[$one]);
            }
            $beside[] = array_values(array_diff(array_unique($all), [$number]));
        }

        return $beside;
    }

    /** Names a place; the ends of two pieces that meet are the same up to rounding. */
    private static function place(float $x, float $y): string
    {
        return round($x * 1e6).' '.round($y * 1e6);
    }

    /** @param  array{float, float, float, float, float}  $piece */
    private static function square(array $piece, int $column, int $row): float
    {
        [$x0, $y0, $dx, $dy, $perSquare] = $piece;
        $share = max(0.0, min(1.0, (($column - $x0) * $dx + ($row - $y0) * $dy) * $perSquare));

        return ($column - $x0 - $share * $dx) ** 2 + ($row - $y0 - $share * $dy) ** 2;
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
            // most cells lie wholly inside or outside; the right corners of one are the left ones of the next
            $right = ($coverage[$at] >= 0.5 ? 1 : 0) + ($coverage[$at + $columns] >= 0.5 ? 1 : 0);
            for ($column = 0; $column + 1 < $columns; $column++, $at++) {
                $left = $right;
                $right = ($coverage[$at + 1] >= 0.5 ? 1 : 0) + ($coverage[$at + $columns + 1] >= 0.5 ? 1 : 0);
                if ($left === $right && $left !== 1) {
                    continue;
                }
                $pieces[$at] = self::cell($coverage[$at] - 0.5, $coverage[$at + 1] - 0.5, $coverage[$at + $columns + 1] - 0.5, $coverage[$at + $columns] - 0.5, $column, $row);
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
}
