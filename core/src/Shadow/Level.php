<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Window;

/** One level of a stack: a cut-out blurred by so much, on points as far apart as that allows. */
final readonly class Level
{
    /**
     * @param  int  $offset  where its values begin in the stack
     * @param  float  $variance  as it is read between its points, px²; a cut-out that is read between the pixels of the scene has none
     * @param  int  $halvings  of the finest pitch
     */
    public function __construct(public Window $points, public int $offset, public float $variance, public int $halvings)
    {
    }

    public function size(): int
    {
        return $this->points->columns * $this->points->rows;
    }

    /** The variance of values that nothing has blurred, as they are read between points so far apart, px². */
    public static function softened(float $pitch): float
    {
        return max(0.0, $pitch ** 2 - 1.0) / 6;
    }

    /** The variance of the values themselves, an edge of the cut-out being a ramp of one pixel; reading between points adds a sixth of their pitch squared. */
    public function ofValues(): float
    {
        return max(-1 / 8, $this->variance - $this->points->step() ** 2 / 6);
    }
}
