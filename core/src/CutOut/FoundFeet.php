<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Feet;

/** Where a cut-out touches the ground, by its lower edge: the ends of its legs, each lower than the edge beside it. */
final class FoundFeet
{
    /** A leg ends at least so much below the edge between it and the next one, of the height. */
    private const PROMINENT = 0.06;

    /** No foot is higher than this, of the height over the lowest. */
    private const HIGHEST = 0.35;

    /** Places so near to the end of a leg, of the height, are its end too: a foot stands in the middle of its sole. */
    private const SOLE = 0.01;

    private const HALF = 0.5;

    /**
     * @param  list<float>  $alpha  0..1, row by row
     * @return list<array{float, float}> from left to right, in pixels of the grid; at most {@see Feet::MOST}, the lowest of them
     */
    public static function of(array $alpha, int $columns, int $rows): array
    {
        [$low, $top] = self::lowerEdge($alpha, $columns, $rows);
        $bottom = max([0.0, ...array_filter($low, is_float(...))]);
        $height = max(1.0, $bottom - $top);
        $feet = [];
        for ($column = 0; $column < $columns; $column++) {
            $here = $low[$column];
            if ($here === null || $here < $bottom - self::HIGHEST * $height || ! self::stands($low, $column, self::PROMINENT * $height)) {
                continue;
            }
            $end = $column;
            while (isset($low[$end + 1]) && $low[$end + 1] >= $here - self::SOLE * $height && $low[$end + 1] <= $here) {
                $end++;
            }
            $start = $column;
            while (isset($low[$start - 1]) && $low[$start - 1] >= $here - self::SOLE * $height) {
                $start--;
            }
            $feet[] = [($start + $end + 1) / 2, $here];
            $column = $end;
        }
        usort($feet, static fn (array $one, array $other): int => $other[1] <=> $one[1]);
        $feet = array_slice($feet, 0, Feet::MOST);
        sort($feet);

        return $feet;
    }

    /**
     * @param  list<float>  $alpha
     * @return array{list<float|null>, float} the lower edge in each column, between two rows where it is crossed, null where nothing is; and the uppermost row
     */
    private static function lowerEdge(array $alpha, int $columns, int $rows): array
    {
        $low = array_fill(0, $columns, null);
        $top = (float) $rows;
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                if ($alpha[$at] >= self::HALF) {
                    $next = $row + 1 < $rows ? $alpha[$at + $columns] : 0.0;
                    $low[$column] = $row + ($next >= self::HALF ? 1.0 : 0.5 + ($alpha[$at] - self::HALF) / max(1e-9, $alpha[$at] - $next));
                    $top = min($top, (float) $row);
                }
            }
        }

        return [array_values($low), $top];
    }

    /**
     * Whether going away from a column to either side the edge rises by so much before it falls lower.
     *
     * @param  list<float|null>  $low
     */
    private static function stands(array $low, int $column, float $prominent): bool
    {
        $here = $low[$column] ?? 0.0;
        foreach ([-1, 1] as $step) {
            for ($other = $column + $step; ; $other += $step) {
                $there = $low[$other] ?? null;
                if ($there === null || $there <= $here - $prominent) {
                    break;
                }
                // of two that are equally low the left one counts
                if ($there > $here || ($there === $here && $step < 0)) {
                    return false;
                }
            }
        }

        return true;
    }
}
