<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * A membrane that is held along the outline of a shape and blown up evenly: u with laplace u = -4 inside, 0 on the outline.
 *
 * Five-point formula; beside the outline with its own distance to it (Shortley, Weller, *The numerical solution of Laplace's
 * equation*, 1938), so that circles and ellipses come out exactly. Solved on a small copy first, and from there at twice the size
 * again and again, where few sweeps are left to do (nested iteration).
 */
final readonly class Membrane
{
    private const INSIDE = 0.5;

    /** Sweeps on the smallest copy, and on each larger one. */
    private const SWEEPS = [160, 8];

    private const SMALLEST = 2500;

    /** The outline is never nearer to a pixel than this. */
    private const NEAREST = 0.05;

    /**
     * @param  list<float>  $heights  u, square pixels; 0 outside
     * @param  list<float>  $across  its slope to the right; outside, next to the outline, that of the nearest inside
     * @param  list<float>  $down  the same down
     */
    private function __construct(public array $heights, public array $across, public array $down)
    {
    }

    /** @param  list<float>  $shape  0..1, row after row */
    public static function over(array $shape, int $columns, int $rows): self
    {
        $edges = self::edges($shape, $columns, $rows);
        $heights = self::solved($shape, $columns, $rows, $edges);

        return self::withSlopes($heights, $edges, $columns, $rows);
    }

    /**
     * @param  list<float>  $shape
     * @param  array<int, array{float, float, float, float}>  $edges
     * @return list<float>
     */
    private static function solved(array $shape, int $columns, int $rows, array $edges): array
    {
        if ($columns * $rows <= self::SMALLEST || min($columns, $rows) < 8) {
            return self::swept(array_fill(0, $columns * $rows, 0.0), $shape, $columns, $rows, $edges, self::SWEEPS[0], 2 / (1 + sin(M_PI / max(8, min($columns, $rows)))));
        }
        [$small, $across, $below] = Halved::ofAny($shape, $columns, $rows);
        $coarse = self::solved($small, $across, $below, self::edges($small, $across, $below));
        $heights = [];
        foreach ($shape as $at => $is) {
            if ($is < self::INSIDE) {
                $heights[] = 0.0;

                continue;
            }
            $u = max(0.0, min($across - 1.001, ($at % $columns + 0.5) / 2 - 0.5));
            $v = max(0.0, min($below - 1.001, (intdiv($at, $columns) + 0.5) / 2 - 0.5));
            $from = (int) $v * $across + (int) $u;
            [$fx, $fy] = [$u - (int) $u, $v - (int) $v];
            // twice the pixels, four times the square pixels
            $heights[] = 4 * ((1 - $fy) * ((1 - $fx) * $coarse[$from] + $fx * $coarse[$from + 1]) + $fy * ((1 - $fx) * $coarse[$from + $across] + $fx * $coarse[$from + $across + 1]));
        }

        return self::swept($heights, $shape, $columns, $rows, $edges, self::SWEEPS[1], 1.2);
    }

    /**
     * @param  list<float>  $heights
     * @param  list<float>  $shape
     * @param  array<int, array{float, float, float, float}>  $edges
     * @return list<float>
     */
    private static function swept(array $heights, array $shape, int $columns, int $rows, array $edges, int $sweeps, float $haste): array
    {
        $halves = [[], []];
        foreach ($shape as $at => $is) {
            if ($is >= self::INSIDE && ! isset($edges[$at])) {
                $halves[(intdiv($at, $columns) + $at) & 1][] = $at;
            }
        }
        $beside = self::weighed($edges, $columns);
        for ($sweep = 0; $sweep < $sweeps; $sweep++) {
            foreach ($beside as $at => [$left, $right, $up, $down, $all, $toLeft, $toRight, $toUp, $toDown]) {
                $heights[$at] = (4.0 + $left * $heights[$toLeft] + $right * $heights[$toRight] + $up * $heights[$toUp] + $down * $heights[$toDown]) * $all;
            }
            foreach ($halves as $half) {
                foreach ($half as $at) {
                    $heights[$at] += $haste * (0.25 * ($heights[$at - 1] + $heights[$at + 1] + $heights[$at - $columns] + $heights[$at + $columns]) + 1.0 - $heights[$at]);
                }
            }
        }

        /** @var list<float> $heights changed only where it had values already */
        return $heights;
    }

    /**
     * What each neighbour counts for beside the outline: the outline itself is 0 and counts for nothing.
     *
     * @param  array<int, array{float, float, float, float}>  $edges
     * @return array<int, array{float, float, float, float, float, int, int, int, int}> weights to the left, right, up, down, one over their sum, and where they are
     */
    private static function weighed(array $edges, int $columns): array
    {
        $weighed = [];
        foreach ($edges as $at => [$left, $right, $up, $down]) {
            [$across, $along] = [2 / ($left + $right), 2 / ($up + $down)];
            $weighed[$at] = [
                $left < 1.0 ? 0.0 : $across, $right < 1.0 ? 0.0 : $across, $up < 1.0 ? 0.0 : $along, $down < 1.0 ? 0.0 : $along,
                1 / ($across / $left + $across / $right + $along / $up + $along / $down),
                $left < 1.0 ? $at : $at - 1, $right < 1.0 ? $at : $at + 1, $up < 1.0 ? $at : $at - $columns, $down < 1.0 ? $at : $at + $columns,
            ];
        }

        return $weighed;
    }

    /**
     * The pixels next to the outline, with how far it is to the left, to the right, up and down: below 1 where it comes before the
     * next pixel.
     *
     * @param  list<float>  $shape
     * @return array<int, array{float, float, float, float}>
     */
    private static function edges(array $shape, int $columns, int $rows): array
    {
        $edges = [];
        foreach ($shape as $at => $is) {
            if ($is < self::INSIDE) {
                continue;
            }
            $x = $at % $columns;
            // past the border of the plane there is nothing
            $left = $x > 0 ? $shape[$at - 1] : 0.0;
            $right = $x + 1 < $columns ? $shape[$at + 1] : 0.0;
            $up = $shape[$at - $columns] ?? 0.0;
            $down = $shape[$at + $columns] ?? 0.0;
            if ($left < self::INSIDE || $right < self::INSIDE || $up < self::INSIDE || $down < self::INSIDE) {
                $edges[$at] = [self::way($is, $left), self::way($is, $right), self::way($is, $up), self::way($is, $down)];
            }
        }

        return $edges;
    }

    private static function way(float $is, float $next): float
    {
        return $next >= self::INSIDE ? 1.0 : max(self::NEAREST, min(0.999, ($is - self::INSIDE) / ($is - $next)));
    }

    /**
     * @param  list<float>  $heights
     * @param  array<int, array{float, float, float, float}>  $edges
     */
    private static function withSlopes(array $heights, array $edges, int $columns, int $rows): self
    {
        $across = $down = array_fill(0, count($heights), 0.0);
        foreach ($heights as $at => $height) {
            if ($height > 0.0 && ! isset($edges[$at])) {
                $across[$at] = 0.5 * ($heights[$at + 1] - $heights[$at - 1]);
                $down[$at] = 0.5 * ($heights[$at + $columns] - $heights[$at - $columns]);
            }
        }
        foreach ($edges as $at => [$left, $right, $up, $below]) {
            $height = $heights[$at];
            $across[$at] = self::slope($height, $left < 1.0 ? 0.0 : $heights[$at - 1], $right < 1.0 ? 0.0 : $heights[$at + 1], $left, $right);
            $down[$at] = self::slope($height, $up < 1.0 ? 0.0 : $heights[$at - $columns], $below < 1.0 ? 0.0 : $heights[$at + $columns], $up, $below);
        }
        $beyond = self::beyond($heights, array_keys($edges), $columns, $rows);

        return new self($heights, self::goingOn($across, $beyond), self::goingOn($down, $beyond));
    }

    /** Of three values at unequal distances, in the middle one. */
    private static function slope(float $own, float $before, float $after, float $toBefore, float $toAfter): float
    {
        return (($after - $own) / $toAfter * $toBefore + ($own - $before) / $toBefore * $toAfter) / ($toBefore + $toAfter);
    }

    /**
     * What lies up to two pixels past the outline, nearer ones first, and which pixels it takes its slopes from: those next to it on
     * the way inside. So they can be read between pixels, and under what is half covered.
     *
     * @param  list<float>  $heights
     * @param  list<int>  $front  the pixels next to the outline
     * @return array<int, non-empty-list<int>>
     */
    private static function beyond(array $heights, array $front, int $columns, int $rows): array
    {
        $beyond = [];
        for ($round = 0; $round < 2; $round++) {
            $next = [];
            foreach ($front as $at) {
                $x = $at % $columns;
                foreach ([$x > 0 ? $at - 1 : -1, $x + 1 < $columns ? $at + 1 : -1, $at - $columns, $at + $columns] as $beside) {
                    if ($beside >= 0 && $beside < $columns * $rows && $heights[$beside] <= 0.0 && ! isset($beyond[$beside])) {
                        $next[$beside][] = $at;
                    }
                }
            }
            $beyond += $next;
            $front = array_keys($next);
        }

        return $beyond;
    }

    /**
     * @param  array<int, float>  $slopes
     * @param  array<int, non-empty-list<int>>  $beyond
     * @return list<float>
     */
    private static function goingOn(array $slopes, array $beyond): array
    {
        foreach ($beyond as $at => $from) {
            $slopes[$at] = array_sum(array_map(static fn (int $one): float => $slopes[$one], $from)) / count($from);
        }

        return array_values($slopes);
    }
}
