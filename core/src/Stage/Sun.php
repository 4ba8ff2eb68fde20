<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A sun or a moon: infinitely far, so that its rays are parallel. */
final readonly class Sun implements Source
{
    /** Kelvin of a high sun, and of one on the horizon. */
    private const HIGH = 5500;

    private const LOW = 2200;

    /** Degrees over which it loses most of its red. */
    private const REDDENS = 18;

    private function __construct(private Bearing $bearing, public float $width, private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'sun';
    }

    public static function label(): string
    {
        return 'Sun';
    }

    public static function hint(): string
    {
        return 'A sun or a moon, infinitely far: press where it stands';
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'source', LightColour::kelvin(4800)),
            NumberValue::direction('azimuth', 'Azimuth', 'source', 60),
            NumberValue::named('elevation', 'Elevation', 'source', Unit::Degrees, -90, 90, -20),
            // seen from the earth (mean of the year: 31.6 to 32.7 minutes of arc, astronomical almanacs; from memory)
            NumberValue::named('width', 'Width', 'source', Unit::Degrees, 0, 60, 0.53, 0.05),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(new Bearing($values->number('azimuth'), $values->number('elevation')), $values->number('width'), $values->object('colour', LightColour::class));
    }

    public static function placed(Point $at, Stage $stage): array
    {
        $values = self::movedTo($at, $stage->camera);

        return [...$values, 'colour' => ['kelvin' => self::byHeight($values['azimuth'], $values['elevation'])]];
    }

    /**
     * The lower it stands, the redder: 2200 K on the horizon, 3600 at 10 degrees, 5200 at 45 (common practice, no source).
     *
     * @return int kelvin
     */
    private static function byHeight(float $azimuth, float $elevation): int
    {
        $height = rad2deg(asin((new Bearing($azimuth, $elevation))->vector()[1]));

        return (int) round(self::HIGH - (self::HIGH - self::LOW) * exp(-max(0.0, $height) / self::REDDENS), -2);
    }

    /**
     * One that is seen stands behind everything.
     *
     * @return array{azimuth: float, elevation: float}
     */
    public static function movedTo(Point $at, Camera $camera): array
    {
        $ray = $camera->ray($at);

        return self::along(Bearing::toward($ray->x, $ray->y, $ray->z));
    }

    /** A sky is bright too, and no sun. */
    public static function seenFrom(): float
    {
        return 0.9;
    }

    public function colour(): LightColour
    {
        return $this->colour;
    }

    /** Over the picture its direction turns, so that a sun that is seen rims the side on which it is seen. */
    public function bearingFrom(Footing $from, Camera $camera): Bearing
    {
        [$x, $y, $z] = $this->bearing->vector();

        return Bearing::toward($x + $z * ($from->middle->x - $camera->column) / $camera->focal, $y - $z * ($from->middle->y - $camera->eyeRow()) / $camera->focal, $z);
    }

    public function seenAt(Camera $camera): ?Point
    {
        [$x, $y, $z] = $this->bearing->vector();

        return $z >= -1e-6 ? null : new Point($camera->column + $camera->focal * $x / -$z, $camera->eyeRow() - $camera->focal * $y / -$z);
    }

    /** Its rays are parallel: over the picture its direction does not turn. */
    public function rays(Camera $camera): Rays
    {
        return Rays::parallel($this->bearing, $this->width);
    }

    public function place(Camera $camera): ?Vector
    {
        return null;
    }

    public function turnedTo(Bearing $bearing, Footing $from, Camera $camera): array
    {
        [$x, $y, $z] = $bearing->vector();

        return self::along(Bearing::toward($x - $z * ($from->middle->x - $camera->column) / $camera->focal, $y + $z * ($from->middle->y - $camera->eyeRow()) / $camera->focal, $z));
    }

    public function shiningThrough(Vector $place, Vector $toward, Camera $camera): array
    {
        return self::along(Bearing::toward($toward->x, $toward->y, $toward->z));
    }

    /** @return array{azimuth: float, elevation: float} */
    private static function along(Bearing $bearing): array
    {
        return ['azimuth' => round($bearing->azimuth, 2), 'elevation' => round($bearing->elevation, 2)];
    }
}
