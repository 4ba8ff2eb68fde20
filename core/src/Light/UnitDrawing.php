<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** What a pattern draws in the unit square: how much light passes at a place of it. */
interface UnitDrawing
{
    /** The same with all that takes long to work out. */
    public function prepared(): self;

    /**
     * The mean over a small rectangle, 0..1.
     *
     * @param  float  $u  its middle; 0 at the left side, 1 at the right
     * @param  float  $v  0 at the top, 1 at the bottom
     * @param  float  $du  half its width
     * @param  float  $dv  half its height
     */
    public function mean(float $u, float $v, float $du, float $dv): float;
}
