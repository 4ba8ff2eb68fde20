<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Pull;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** What shadows have in common that a light throws: one of their own, or a source on which they hang. */
trait ByLight
{
    use Throws;

    private Rays $rays;

    /** The least sigma, px. */
    private float $contact;

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate === null ? [] : [$plate], 'contact' => self::contactOf(0.4 * $span)];
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    public function inForce(Drive $drive): array
    {
        $rays = $drive->source->kind->rays($drive->stage->camera);
        $bearing = $rays->isParallel ? $rays->bearing(new Vector(0.0, 0.0, 0.0)) : $drive->bearing();

        return ['azimuth' => $bearing->azimuth, 'elevation' => $bearing->elevation, 'width' => min(90.0, rad2deg($rays->angle($drive->from->place($drive->stage->camera))))];
    }

    public function driven(Drive $drive, Values $own): StripKind
    {
        $driven = clone $this;
        $driven->rays = $drive->source->kind->rays($drive->stage->camera);

        return $driven;
    }

    public function lightFrom(): ?Bearing
    {
        return $this->rays->isParallel ? $this->rays->bearing(new Vector(0.0, 0.0, 0.0)) : null;
    }

    /** @return list<Layer> */
    public function layers(Site $site): array
    {
        return $this->darkening($site, $this->field($site), $this->grounds?->bySameSource($this->isOnWall()) ?? []);
    }

    /** @return list<Parameter> */
    private static function ofLight(float $azimuth, float $elevation, float $width, float $step): array
    {
        return [
            NumberValue::named('contact', 'Contact softness', 'softness', Unit::Pixels, 0, 500, 1, 0.1),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', $azimuth),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, $elevation),
            NumberValue::named('width', 'Light\'s width', 'softness', Unit::Degrees, 0, 90, $width, $step),
        ];
    }

    private static function raysOf(Values $values): Rays
    {
        return Rays::parallel(new Bearing($values->number('azimuth'), $values->number('elevation')), $values->number('width'));
    }

    /** @param  float  $size  the shorter side of what throws it, px */
    private static function contactOf(float $size): float
    {
        return round(max(0.6, 0.004 * $size), 1);
    }

    /**
     * @param  Vector  $way  to the light
     * @param  Vector|null  $through  where it passes, in the camera's space
     */
    private static function turned(Vector $way, ?Vector $through): Pull
    {
        $bearing = Bearing::toward($way->x, $way->y, $way->z);

        return new Pull(['azimuth' => round($bearing->azimuth, 2), 'elevation' => round($bearing->elevation, 2)], $through, $way);
    }
}
