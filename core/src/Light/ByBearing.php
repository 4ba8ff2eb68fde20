<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun;

/** For lights that have a direction and no place: a source that they hang on gives direction and colour. They have a `$bearing` and a `$colour`. */
trait ByBearing
{
    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    public function inForce(Drive $drive): array
    {
        $bearing = $drive->bearing();

        return ['azimuth' => $bearing->azimuth, 'elevation' => $bearing->elevation, 'colour' => $drive->source->kind->colour()->toArray()];
    }

    public function aim(): ?Point
    {
        return null;
    }

    public function bearingFrom(Footing $from, Stage $stage): Bearing
    {
        return $this->bearing;
    }

    public function turnedTo(Bearing $bearing, Footing $from, Stage $stage): array
    {
        return ['azimuth' => round($bearing->azimuth, 1), 'elevation' => round($bearing->elevation, 1)];
    }

    public function colour(): LightColour
    {
        return $this->colour;
    }
}
