<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/**
 * The lines along which a cut-out is half there, as closed rings: marching squares with points placed by linear interpolation
 * (W. E. Lorensen and H. E. Cline, "Marching cubes", SIGGRAPH 1987, in two dimensions), thinned by the distance of points from
 * the line that is left (D. H. Douglas and T. K. Peucker, 1973). What is inside lies to the left, going along a ring.
 */
final class Contour
{
    private const HALF = 0.5;

    /** Rings with fewer points than this are specks. */
    private const FEWEST = 6;

    /** As many rings as one looks at; the largest stay. */
    private const MOST_RINGS = 24;

    /**
     * From which side of a cell to which a ring goes, by the corners that are inside (upper left 1, upper right 2, lower
     * right 4, lower left 8); sides are 0 top, 1 right, 2 bottom, 3 left.
     */
    private const WAYS = [1 => [[3, 0]], [[0, 1]], [[3, 1]], [[1, 2]], [[3, 0], [1, 2]], [[0, 2]], [[3, 2]], [[2, 3]], [[2, 0]], [[0, 1], [2, 3]], [[2, 1]], [[1, 3]], [[1, 0]], [[0, 3]]];

    /**
     * @param  list<float>  $alpha  0..1, row by row
     * @param  float  $scale  what a pixel of these is long
     * @param  float  $loose  by how much of a pixel a point may lie off the line that is left
     * @return list<list<array{float, float}>> points of each ring, the ring that encloses most first
     */
    public static function of(array $alpha, int $columns, int $rows, float $scale = 1.0, float $loose = 0.35): array
    {
        // a border of nothing closes every ring
        $wide = $columns + 2;
        $at = array_fill(0, $wide * ($rows + 2), 0.0);
        for ($row = 0; $row < $rows; $row++) {
            array_splice($at, ($row + 1) * $wide + 1, $columns, array_slice($alpha, $row * $columns, $columns));
        }
        $next = self::ways($at, $wide, $rows + 2);
        $rings = [];
        while ($next !== []) {
            $start = $edge = array_key_first($next);
            $ring = [];
            do {
                $ring[] = self::crossing($at, $wide, $edge, $scale);
                [$edge, $gone] = [$next[$edge], $edge];
                unset($next[$gone]);
            } while ($edge !== $start && isset($next[$edge]));
            if (count($ring) >= self::FEWEST) {
                $rings[] = self::thinned($ring, $loose * $scale);
            }
        }
        usort($rings, static fn (array $one, array $other): int => abs(self::area($other)) <=> abs(self::area($one)));

        return array_slice($rings, 0, self::MOST_RINGS);
    }

    /**
     * Twice the area that a ring encloses; negative where what is inside lies around it.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function area(array $ring): float
    {
        $sum = 0.0;
        foreach ($ring as $at => [$x, $y]) {
            [$u, $v] = $ring[$at + 1] ?? $ring[0];
            $sum += $u * $y - $x * $v;
        }

        return $sum;
    }

    /**
     * The edges of the grid that rings cross, each with the one that comes after it.
     *
     * @param  list<float>  $at
     * @return array<int, int>
     */
    private static function ways(array $at, int $wide, int $high): array
    {
        $next = [];
        for ($row = 0; $row < $high - 1; $row++) {
            for ($column = 0; $column < $wide - 1; $column++) {
                $first = $row * $wide + $column;
                $inside = ($at[$first] >= self::HALF ? 1 : 0) | ($at[$first + 1] >= self::HALF ? 2 : 0) | ($at[$first + $wide + 1] >= self::HALF ? 4 : 0) | ($at[$first + $wide] >= self::HALF ? 8 : 0);
                foreach (self::WAYS[$inside] ?? [] as [$from, $to]) {
                    $next[self::edge($first, $wide, $from)] = self::edge($first, $wide, $to);
                }
            }
        }

        return $next;
    }

    /** Edges that go right from a point have even numbers, those that go down odd ones. */
    private static function edge(int $first, int $wide, int $side): int
    {
        return match ($side) {
            0 => 2 * $first,
            1 => 2 * ($first + 1) + 1,
            2 => 2 * ($first + $wide),
            default => 2 * $first + 1,
        };
    }

    /**
     * @param  list<float>  $at
     * @return array{float, float}
     */
    private static function crossing(array $at, int $wide, int $edge, float $scale): array
    {
        $from = intdiv($edge, 2);
        $isDown = $edge % 2 === 1;
        [$one, $other] = [$at[$from], $at[$from + ($isDown ? $wide : 1)]];
        $share = (self::HALF - $one) / ($other - $one);
        // the middle of the first pixel lies half a pixel from the border
        [$x, $y] = [$from % $wide - 0.5, intdiv($from, $wide) - 0.5];

        return [($x + ($isDown ? 0.0 : $share)) * $scale, ($y + ($isDown ? $share : 0.0)) * $scale];
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}>
     */
    private static function thinned(array $ring, float $loose): array
    {
        $count = count($ring);
        $keep = [0 => true, intdiv($count, 2) => true];
        $open = [[0, intdiv($count, 2)], [intdiv($count, 2), $count]];
        while ($open !== []) {
            [$from, $to] = array_pop($open);
            [$x, $y] = $ring[$from];
            [$u, $v] = $ring[$to % $count];
            $length = hypot($u - $x, $v - $y);
            [$worst, $where] = [$loose, null];
            for ($at = $from + 1; $at < $to; $at++) {
                [$p, $q] = $ring[$at];
                $off = $length < 1e-9 ? hypot($p - $x, $q - $y) : abs(($u - $x) * ($y - $q) - ($x - $p) * ($v - $y)) / $length;
                if ($off > $worst) {
                    [$worst, $where] = [$off, $at];
                }
            }
            if ($where !== null) {
                $keep[$where] = true;
                array_push($open, [$from, $where], [$where, $to]);
            }
        }
        ksort($keep);

        return array_map(static fn (int $at): array => $ring[$at], array_keys($keep));
    }
}
