<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Values;

/** A kind of source: what it is in space, and how its light comes to a place. */
interface Source
{
    /** Its name in the scene file. */
    public static function key(): string;

    public static function label(): string;

    /** One sentence for whoever adds one. */
    public static function hint(): string;

    /** @return list<Parameter> */
    public static function parameters(): array;

    public static function from(Values $values): self;

    /**
     * Values of a new one that is seen at a place of the picture.
     *
     * @return array<string, mixed>
     */
    public static function placed(Point $at, Stage $stage): array;

    /**
     * The values that let it be seen at a place of the picture.
     *
     * @return array<string, mixed>
     */
    public static function movedTo(Point $at, Camera $camera): array;

    /** How bright it must be, linear, where a new one is placed, for that to be a light whose colour it takes. */
    public static function seenFrom(): float;

    public function colour(): LightColour;

    /** Where its light comes from, as seen from what stands there. */
    public function bearingFrom(Footing $from, Camera $camera): Bearing;

    /** Where it is seen in the picture; null when it is not. */
    public function seenAt(Camera $camera): ?Point;

    /** Its light as shadows need it, in the camera's space. */
    public function rays(Camera $camera): Rays;

    /** Where it stands in space; null for one that is infinitely far. */
    public function place(Camera $camera): ?Vector;

    /**
     * The values that let its light come from elsewhere, as seen from there.
     *
     * @return array<string, mixed>
     */
    public function turnedTo(Bearing $bearing, Footing $from, Camera $camera): array;

    /**
     * The values that let its light come through a place of the camera's space from a direction, from as far as it is.
     *
     * @param  Vector  $toward  of length 1
     * @return array<string, mixed>
     */
    public function shiningThrough(Vector $place, Vector $toward, Camera $camera): array;
}
