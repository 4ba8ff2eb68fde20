<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Geometry\Point;

/** A light that comes from somewhere: it has a bearing, seen from what it lights. */
interface Directed
{
    /** What it aims at. */
    public function aim(): Point;

    public function bearingFrom(Point $place): Bearing;

    /**
     * The values that make it come from elsewhere, seen from a place, at the same distance.
     *
     * @return array<string, mixed>
     */
    public function turnedTo(Bearing $bearing, Point $place): array;
}
