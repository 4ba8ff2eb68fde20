<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/** The pieces that a shape consists of, and its holes. */
final class Pieces
{
    /**
     * Numbers from 1 for pixels above a half that hang together over their sides; 0 elsewhere.
     *
     * @param  array<int, float>  $alpha
     * @return array{list<int>, int} labels, and how many pieces there are
     */
    public static function label(array $alpha, int $columns, int $rows): array
    {
        $labels = array_fill(0, $columns * $rows, 0);
        $count = 0;
        foreach ($alpha as $start => $value) {
            if ($value < 0.5 || $labels[$start] !== 0) {
                continue;
            }
            $labels[$start] = ++$count;
            $open = [$start];
            while ($open !== []) {
                $at = array_pop($open);
                $column = $at % $columns;
                foreach ([$column > 0 ? $at - 1 : -1, $column + 1 < $columns ? $at + 1 : -1, $at - $columns, $at + $columns] as $next) {
                    if (isset($labels[$next]) && $labels[$next] === 0 && $alpha[$next] >= 0.5) {
                        $labels[$next] = $count;
                        $open[] = $next;
                    }
                }
            }
        }

        /** @var list<int> $labels changed only where it had values already */
        return [$labels, $count];
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
