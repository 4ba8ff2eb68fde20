<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A lamp: seen at a place of the picture and so far before (z above 0) or behind the contact row; or off the picture, at its
 * own place in space.
 */
final readonly class Lamp implements Source
{
    /** A lamp that is seen stands before the camera: at most so much of the way to it. */
    private const NEAREST = 0.9;

    /** Of a new one, in focal lengths: how wide it is, and how far it stands before a wall, or before what it lights. */
    private const WIDTH = 0.02;

    private const BEFORE = 0.2;

    private function __construct(private Point $at, private float $depth, private bool $isSeen, public float $width, private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'lamp';
    }

    public static function label(): string
    {
        return 'Lamp';
    }

    public static function hint(): string
    {
        return 'A light that stands in the scene: press where it is seen';
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'source', LightColour::kelvin(2800)),
            PointValue::named('place', 'Place', 'source', new Point(0, 0)),
            NumberValue::named('depth', 'Toward you', 'source', Unit::Pixels, -100000, 100000, 0, 1),
            ToggleValue::named('unseen', 'Off the picture', 'source'),
            NumberValue::named('width', 'Width', 'source', Unit::Pixels, 0, 10000, 20, 1),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('place', Point::class), $values->number('depth'), ! $values->toggle('unseen'), $values->number('width'), $values->object('colour', LightColour::class));
    }

    public static function placed(Point $at, Stage $stage): array
    {
        $focal = $stage->camera->focal;

        return [...self::movedTo($at, $stage->camera), 'depth' => round(self::depthAt($at, $stage), 0), 'width' => round(self::WIDTH * $focal, 1)];
    }

    /**
     * One that is placed on a wall stands before it; where no floor says how deep things stand, a little before what it lights.
     * In the plane of what it lights it would only graze it.
     */
    private static function depthAt(Point $at, Stage $stage): float
    {
        $before = self::BEFORE * $stage->camera->focal;
        $surface = $stage->surfaceAt($at);
        if ($surface !== null && $surface !== Stage::FLOOR) {
            return ($stage->face($surface)?->seenAt($at, $stage->camera)->z ?? 0.0) + $before;
        }

        return $stage->floor === null ? $before : 0.0;
    }

    public static function movedTo(Point $at, Camera $camera): array
    {
        return ['place' => [round($at->x, 1), round($at->y, 1)]];
    }

    /** One that is out is darker. */
    public static function seenFrom(): float
    {
        return 0.35;
    }

    public function colour(): LightColour
    {
        return $this->colour;
    }

    public function place(Camera $camera): Vector
    {
        if ($this->isSeen) {
            return $camera->place($this->at, $this->depth($camera));
        }

        return new Vector($this->at->x - $camera->column, $camera->eyeRow() - $this->at->y, $this->depth);
    }

    public function rays(Camera $camera): Rays
    {
        return Rays::from($this->place($camera), $this->width);
    }

    /** Its way is that from the plate in the picture, so that the azimuth is always the direction that one sees. */
    public function bearingFrom(Footing $from, Camera $camera): Bearing
    {
        $way = $this->wayFrom($from, $camera);

        return $way->length() > 0 ? Bearing::toward($way->x, $way->y, $way->z) : Bearing::toward(0.0, 0.0, 1.0);
    }

    public function seenAt(Camera $camera): ?Point
    {
        return $this->isSeen ? $this->at : null;
    }

    /** It goes round at its distance; one that is seen stays before the camera. */
    public function turnedTo(Bearing $bearing, Footing $from, Camera $camera): array
    {
        $distance = max(1.0, $this->wayFrom($from, $camera)->length());
        $way = (new Vector(...$bearing->vector()))->times($distance);
        if (! $this->isSeen) {
            return self::unseenAt($from->place($camera)->plus($way), $camera);
        }
        $depth = min($from->depth + $way->z, self::NEAREST * $camera->focal);
        $scale = $camera->scale($depth);

        return ['place' => [round($from->middle->x + $way->x / $scale, 1), round($from->middle->y - $way->y / $scale, 1)], 'depth' => round($depth, 1)];
    }

    /** One that is seen stays before the camera. */
    public function shiningThrough(Vector $place, Vector $toward, Camera $camera): array
    {
        $there = $place->plus($toward->times(max(1.0, $this->place($camera)->minus($place)->length())));
        if (! $this->isSeen) {
            return self::unseenAt($there, $camera);
        }
        $depth = min($there->z, self::NEAREST * $camera->focal);
        $scale = $camera->scale($depth);

        return ['place' => [round($camera->column + $there->x / $scale, 1), round($camera->eyeRow() - $there->y / $scale, 1)], 'depth' => round($depth, 1)];
    }

    /** @return array<string, mixed> of a lamp that is off the picture, by its place in space */
    private static function unseenAt(Vector $place, Camera $camera): array
    {
        return ['place' => [round($place->x + $camera->column, 1), round($camera->eyeRow() - $place->y, 1)], 'depth' => round($place->z, 1)];
    }

    private function wayFrom(Footing $from, Camera $camera): Vector
    {
        if (! $this->isSeen) {
            return $this->place($camera)->minus($from->place($camera));
        }
        $scale = $camera->scale($this->depth($camera));

        return new Vector(($this->at->x - $from->middle->x) * $scale, -($this->at->y - $from->middle->y) * $scale, $this->depth($camera) - $from->depth);
    }

    private function depth(Camera $camera): float
    {
        return min($this->depth, self::NEAREST * $camera->focal);
    }
}
