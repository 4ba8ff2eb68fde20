<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use InvalidArgumentException;

/**
 * The perspective map that takes four points to four others: the direct linear transform (Hartley and Zisserman,
 * *Multiple View Geometry in Computer Vision*, section 4.1), with the last entry set to 1 and solved by elimination.
 */
final readonly class Homography
{
    /** Pivots below this share of the largest entry mean that three of the points lie on a line. */
    private const FLAT = 1e-10;

    /** @param  array{float, float, float, float, float, float, float, float}  $h  row after row, without the last 1 */
    private function __construct(private array $h)
    {
    }

    /**
     * @param  array{Point, Point, Point, Point}  $from
     * @param  array{Point, Point, Point, Point}  $to
     *
     * @throws InvalidArgumentException when three of the points of one side lie on a line
     */
    public static function between(array $from, array $to): self
    {
        $rows = [];
        foreach ($from as $k => $p) {
            $q = $to[$k];
            $rows[] = [$p->x, $p->y, 1.0, 0.0, 0.0, 0.0, -$q->x * $p->x, -$q->x * $p->y, $q->x];
            $rows[] = [0.0, 0.0, 0.0, $p->x, $p->y, 1.0, -$q->y * $p->x, -$q->y * $p->y, $q->y];
        }

        return new self(self::solve($rows));
    }

    public function map(Point $point): Point
    {
        [$a, $b, $c, $d, $e, $f, $g, $h] = $this->h;
        $w = $g * $point->x + $h * $point->y + 1;

        return new Point(($a * $point->x + $b * $point->y + $c) / $w, ($d * $point->x + $e * $point->y + $f) / $w);
    }

    /**
     * Elimination with the largest pivot.
     *
     * @param  list<list<float>>  $rows  eight equations, the right side last
     * @return array{float, float, float, float, float, float, float, float}
     */
    private static function solve(array $rows): array
    {
        $scale = max(1.0, ...array_map(abs(...), array_merge(...$rows)));
        for ($k = 0; $k < 8; $k++) {
            $pivot = $k;
            for ($row = $k + 1; $row < 8; $row++) {
                $pivot = abs($rows[$row][$k]) > abs($rows[$pivot][$k]) ? $row : $pivot;
            }
            if (abs($rows[$pivot][$k]) < self::FLAT * $scale) {
                throw new InvalidArgumentException('three of the four points lie on a line');
            }
            [$rows[$k], $rows[$pivot]] = [$rows[$pivot], $rows[$k]];
            for ($row = 0; $row < 8; $row++) {
                $factor = $row === $k ? 0.0 : $rows[$row][$k] / $rows[$k][$k];
                for ($column = $k; $column < 9 && $factor != 0.0; $column++) {
                    $rows[$row][$column] -= $factor * $rows[$k][$column];
                }
            }
        }
        $h = static fn (int $k): float => $rows[$k][8] / $rows[$k][$k];

        return [$h(0), $h(1), $h(2), $h(3), $h(4), $h(5), $h(6), $h(7)];
    }
}
