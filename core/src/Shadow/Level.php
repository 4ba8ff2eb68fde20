<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Window;

/** One level of a stack: a cut-out blurred by so much, on points as far apart as that allows. */
final readonly class Level
{
    /**
     * @param  int  $offset  where its values begin in the stack
     * @param  float  $variance  as it is read between its points, px²
     * @param  int  $halvings  of the finest pitch
     */
    public function __construct(public Window $points, public int $offset, public float $variance, public int $halvings)
    {
    }

    public function size(): int
    {
        return $this->points->columns * $this->points->rows;
    }

    /** The variance of the values themselves; reading between points adds a sixth of their pitch squared. */
    public function ofValues(): float
    {
        return max(0.0, $this->variance - $this->points->step() ** 2 / 6);
    }
}
