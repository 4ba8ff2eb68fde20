<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** Points of a plane of colours, each with the nearest of a few means: k-means. */
final class Clusters
{
    /**
     * The means of the points that are nearest to each, again and again; one that nothing is near stays.
     *
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<array{float, float}>  $means
     * @return non-empty-list<array{float, float}>
     */
    public static function settled(array $points, array $means, int $rounds): array
    {
        for ($round = 0; $round < $rounds; $round++) {
            $sums = array_fill(0, count($means), [0.0, 0.0, 0]);
            foreach ($points as [$x, $y]) {
                $k = self::nearest($x, $y, $means);
                $sums[$k] = [$sums[$k][0] + $x, $sums[$k][1] + $y, $sums[$k][2] + 1];
            }
            foreach ($sums as $k => [$x, $y, $count]) {
                $means[$k] = $count > 0 ? [$x / $count, $y / $count] : $means[$k];
            }
        }

        return $means;
    }

    /** @param  non-empty-list<array{float, float}>  $means */
    public static function nearest(float $x, float $y, array $means): int
    {
        $best = 0;
        $least = INF;
        foreach ($means as $k => [$mx, $my]) {
            $square = ($x - $mx) ** 2 + ($y - $my) ** 2;
            if ($square < $least) {
                $least = $square;
                $best = $k;
            }
        }

        return $best;
    }
}
