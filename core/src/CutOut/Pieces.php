<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/** The pieces that a shape consists of, and its holes. */
final class Pieces
{
    /**
     * Numbers from 1 for pixels that hang together over their sides; 0 elsewhere. Runs of rows are joined, not pixels (He,
     * Chao, Suzuki, *A run-based two-scan labeling algorithm*, 2008).
     *
     * @param  array<int, float>  $alpha
     * @param  float  $least  what belongs to a piece
     * @return array{list<int>, int} labels, and how many pieces there are
     */
    public static function label(array $alpha, int $columns, int $rows, float $least = 0.5): array
    {
        $labels = array_fill(0, $columns * $rows, 0);
        $count = 0;
        foreach (self::runs($alpha, $columns, $rows, $least) as [$first, $end, $number]) {
            $count = max($count, $number);
            for ($at = $first; $at < $end; $at++) {
                $labels[$at] = $number;
            }
        }

        /** @var list<int> $labels changed only where it had values already */
        return [$labels, $count];
    }

    /**
     * The runs of pixels along the rows that pieces consist of.
     *
     * @param  array<int, float>  $alpha
     * @param  float  $least  what belongs to a piece
     * @return list<array{int, int, int}> the first pixel, the one after the last, and the number of the piece, from 1
     */
    public static function runs(array $alpha, int $columns, int $rows, float $least): array
    {
        /** @var list<array{int, int}> $runs first pixel of each, and one after its last */
        $runs = [];
        /** @var array<int, int> $parents by run */
        $parents = [];
        [$above, $aboveEnd] = [0, 0];
        for ($row = 0; $row < $rows; $row++) {
            $begin = count($runs);
            $end = ($row + 1) * $columns;
            for ($at = $row * $columns; $at < $end; $at++) {
                if ($alpha[$at] < $least) {
                    continue;
                }
                $first = $at;
                while ($at < $end && $alpha[$at] >= $least) {
                    $at++;
                }
                $own = count($runs);
                $runs[] = [$first, $at];
                $parents[] = $own;
                while ($above < $aboveEnd && $runs[$above][1] + $columns <= $first) {
                    $above++;
                }
                for ($k = $above; $k < $aboveEnd && $runs[$k][0] + $columns < $at; $k++) {
                    self::join($parents, $own, $k);
                }
            }
            [$above, $aboveEnd] = [$begin, count($runs)];
        }

        return self::numbered($runs, $parents);
    }

    /** @param  array<int, int>  $parents  by run: one before it that it hangs together with, or itself */
    private static function join(array &$parents, int $one, int $other): void
    {
        while ($parents[$one] !== $one) {
            $one = $parents[$one];
        }
        while ($parents[$other] !== $other) {
            $other = $parents[$other];
        }
        $parents[max($one, $other)] = min($one, $other);
    }

    /**
     * @param  list<array{int, int}>  $runs
     * @param  array<int, int>  $parents
     * @return list<array{int, int, int}>
     */
    private static function numbered(array $runs, array $parents): array
    {
        $numbered = [];
        /** @var array<int, int> $numbers by run */
        $numbers = [];
        $count = 0;
        foreach ($runs as $k => [$first, $end]) {
            // a run's parent is one before it, which has its number already
            $numbers[$k] = $number = $parents[$k] === $k ? ++$count : $numbers[$parents[$k]];
            $numbered[] = [$first, $end, $number];
        }

        return $numbered;
    }

    /**
     * How many pieces of a shape have no pixel left afterwards.
     *
     * @param  list<float>  $before
     * @param  list<float>  $after
     */
    public static function vanished(array $before, array $after, int $columns, int $rows): int
    {
        [$labels, $count] = self::label($before, $columns, $rows);
        $left = [];
        foreach ($labels as $at => $label) {
            if ($label !== 0 && $after[$at] >= 0.5) {
                $left[$label] = true;
            }
        }

        return $count - count($left);
    }

    /**
     * The shape with its holes filled: what lies below a half and cannot be reached from the border.
     *
     * @param  list<float>  $alpha
     * @return list<float> 1 in holes, 0 elsewhere
     */
    public static function holes(array $alpha, int $columns, int $rows): array
    {
        $outside = array_map(static fn (float $value): float => $value < 0.5 ? 1.0 : 0.0, $alpha);
        [$labels] = self::label($outside, $columns, $rows);
        $reached = [];
        for ($column = 0; $column < $columns; $column++) {
            $reached[$labels[$column]] = $reached[$labels[($rows - 1) * $columns + $column]] = true;
        }
        for ($row = 0; $row < $rows; $row++) {
            $reached[$labels[$row * $columns]] = $reached[$labels[$row * $columns + $columns - 1]] = true;
        }

        return array_map(static fn (int $label): float => $label !== 0 && ! isset($reached[$label]) ? 1.0 : 0.0, $labels);
    }
}
