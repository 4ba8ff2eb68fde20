<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** Something that has an effect only in a part of the scene. */
interface Extent
{
    /**
     * The stretch of a level line outside which there is nothing.
     *
     * @param  float  $y  scene pixels
     * @return array{float, float}|null from x and to x, which may be infinite; null where the whole line is free
     */
    public function span(float $y): ?array;

    /** The smallest upright rectangle round it; null when it has no end. */
    public function bounds(): ?Bounds;

    /** So many scene pixels further on every side, or a little more. */
    public function grown(float $by): self;
}
