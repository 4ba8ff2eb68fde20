<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Halved;

/**
 * A cut-out blurred by Gaussians of growing width, each of twice the variance of the one before (a scale space: Lindeberg,
 * *Scale-Space Theory in Computer Vision*, 1994): every place of a shadow reads between the two that are nearest to its own. It
 * does not depend on the light, so that a light that is dragged finds it there.
 */
final readonly class Stack implements Plane
{
    /** Sigma of the first blurred level, in points. */
    private const FIRST = 0.8;

    /** Points stand no further apart than this, in sigmas. */
    private const POINTS_PER_SIGMA = 1.6;

    /** Points of the finest level at most: a larger cut-out is taken coarser. */
    private const MOST_POINTS = 800_000;

    private const MOST_LEVELS = 32;

    /** @var list<Level> the sharp one first */
    public array $levels;

    /** @param  float  $step  scene pixels between the finest points */
    public function __construct(private CastShape $shape, float $step)
    {
        $this->levels = self::levels($shape->extent(), $step);
    }

    /** By hand: all levels follow from the shape and the finest points. */
    public function key(): string
    {
        return "stack of {$this->shape->key()} at {$this->levels[0]->points->key()}";
    }

    /** @return list<float> the values of all levels, one after the other */
    public function fill(Planes $planes): array
    {
        $all = $values = $this->shape->coverage($planes, $this->levels[0]->points);
        foreach (array_slice($this->levels, 1) as $k => $level) {
            $values = self::next($values, $this->levels[$k], $level);
            array_push($all, ...$values);
        }

        return $all;
    }

    /** @return list<Level> */
    private static function levels(Bounds $extent, float $step): array
    {
        [$width, $height] = [max(1.0, $extent->right - $extent->left), max(1.0, $extent->bottom - $extent->top)];
        $pitch = max($step, 0.5, sqrt($width * $height / self::MOST_POINTS));
        $levels = [new Level(self::points($extent, $pitch, 2.0 * $pitch), 0, Level::softened($pitch), 0)];
        for ($sigma = self::FIRST * $pitch; count($levels) < self::MOST_LEVELS && ($sigma < max($width, $height) || count($levels) < 3); $sigma *= M_SQRT2) {
            $halvings = max(0, (int) floor(log($sigma / self::POINTS_PER_SIGMA / $pitch, 2) + 1e-9));
            $before = $levels[count($levels) - 1];
            $levels[] = new Level(self::points($extent, $pitch * 2 ** $halvings, Gaussian::REACH * $sigma), $before->offset + $before->size(), $sigma ** 2, $halvings);
        }

        return $levels;
    }

    /** Points round something with a margin, anchored to the scene. */
    private static function points(Bounds $extent, float $pitch, float $margin): Window
    {
        [$left, $top] = [floor(($extent->left - $margin) / $pitch), floor(($extent->top - $margin) / $pitch)];
        [$columns, $rows] = [ceil(($extent->right + $margin) / $pitch) - $left + 1, ceil(($extent->bottom + $margin) / $pitch) - $top + 1];

        return new Window($left * $pitch, $top * $pitch, $columns * $pitch, $rows * $pitch, 1 / $pitch);
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function next(array $values, Level $from, Level $to): array
    {
        $halved = $to->halvings > $from->halvings;
        [$pitch, $factor] = [$from->points->step(), $halved ? 2 : 1];
        [$columns, $rows] = [$to->points->columns * $factor, $to->points->rows * $factor];
        $left = (int) round(($from->points->x - $to->points->x) / $pitch);
        $top = (int) round(($from->points->y - $to->points->y) / $pitch);
        $framed = self::framed($values, $from->points->columns, $from->points->rows, $columns, $rows, $left, $top);
        // means of four points soften by a quarter of the pitch squared
        $variance = $to->ofValues() - $from->ofValues() - ($halved ? $pitch ** 2 / 4 : 0.0);
        $blurred = Gaussian::blur($framed, $columns, $rows, sqrt(max(0.0, $variance)) / $pitch);

        return $halved ? Halved::of($blurred, $to->points->columns, $to->points->rows) : $blurred;
    }

    /**
     * In a larger frame, with nothing around; what lies outside of it is left out.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function framed(array $values, int $ownColumns, int $ownRows, int $columns, int $rows, int $left, int $top): array
    {
        $framed = array_fill(0, $columns * $rows, 0.0);
        [$first, $end] = [max(0, -$left), min($ownColumns, $columns - $left)];
        for ($row = max(0, -$top); $row < min($ownRows, $rows - $top); $row++) {
            for ($column = $first, $from = $row * $ownColumns + $first, $to = ($row + $top) * $columns + $left + $first; $column < $end; $column++, $from++, $to++) {
                $framed[$to] = $values[$from];
            }
        }

        /** @var list<float> $framed written only where it had values already */
        return $framed;
    }
}
