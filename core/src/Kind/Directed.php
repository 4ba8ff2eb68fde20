<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\Stage;

/** A light that comes from somewhere: it has a bearing, seen from what it lights. */
interface Directed extends SeenFrom
{
    /** What it aims at; null when it aims at nothing but its plate. */
    public function aim(): ?Point;

    public function bearingFrom(Footing $from, Stage $stage): Bearing;

    /**
     * The values that make it come from elsewhere, seen from a place, at the same distance.
     *
     * @return array<string, mixed>
     */
    public function turnedTo(Bearing $bearing, Footing $from, Stage $stage): array;

    public function colour(): LightColour;
}
