<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Geometry\Vector;

/** Light as shadows need it: parallel rays of something that is so wide as an angle, or rays from a place that is so wide in px. */
final readonly class Rays
{
    /** So much of its length along the ground a ray keeps across a sheet: seen edge-on that would throw nothing. */
    private const ACROSS = 0.35;

    /** The sine of the height angle at which a tip is held that is dragged further: a little above what still throws. */
    private const LOWEST = 0.06;

    /**
     * @param  Vector  $light  toward the light, of length 1; or its place
     * @param  float  $width  radians; or px
     */
    private function __construct(private Vector $light, public bool $isParallel, private float $width)
    {
    }

    /** @param  float  $angle  of the light, degrees */
    public static function parallel(Bearing $toward, float $angle): self
    {
        return new self(new Vector(...$toward->vector()), true, deg2rad($angle));
    }

    public static function from(Vector $place, float $width): self
    {
        return new self($place, false, $width);
    }

    /** Of parallel rays, where they come from. */
    public function bearing(Vector $seenFrom): Bearing
    {
        $way = $this->toward($seenFrom);

        return Bearing::toward($way->x, $way->y, $way->z);
    }

    /** The way to the light: of length 1 when parallel, else as long as it is. */
    public function toward(Vector $from): Vector
    {
        return $this->isParallel ? $this->light : $this->light->minus($from);
    }

    /** How wide the light is, seen from a place; radians. */
    public function angle(Vector $from): float
    {
        return $this->isParallel ? $this->width : $this->width / max(1e-9, $this->toward($from)->length());
    }

    /** Where it stands; null for parallel rays. */
    public function place(): ?Vector
    {
        return $this->isParallel ? null : $this->light;
    }

    public function width(): float
    {
        return $this->width;
    }

    /**
     * The same in another space.
     *
     * @param  callable(Vector): Vector  $map
     */
    public function placed(callable $map): self
    {
        return $this->isParallel ? $this : new self($map($this->light), false, $this->width);
    }

    /**
     * The same with the part of their way along the ground that goes across a sheet raised to a share of that way, so that the
     * sheet is never seen edge-on. The side is kept; none counts as before it.
     *
     * @param  Vector  $normal  of the sheet, along the ground, of length 1, toward the viewer
     * @param  Vector  $foot  where it stands
     */
    public function raised(Vector $normal, Vector $foot): self
    {
        $way = $this->toward($foot);
        $across = $way->dot($normal);
        $least = self::ACROSS * hypot($way->x, $way->z);
        if (abs($across) >= $least) {
            return $this;
        }
        $moved = $normal->times(($across < 0 ? -$least : $least) - $across);

        return $this->isParallel ? new self($this->light->plus($moved)->unit(), true, $this->width) : new self($this->light->plus($moved), false, $this->width);
    }

    /**
     * The nearest way to a light that throws from there as it is: not edge-on, and not so flat that it throws nothing.
     *
     * @param  Vector  $way  from what is thrown to the light
     * @param  Vector  $normal  of the sheet, as above
     * @return Vector of length 1
     */
    public static function reachable(Vector $way, Vector $normal): Vector
    {
        $beside = new Vector($normal->z, 0.0, -$normal->x);
        [$across, $along, $up] = [$way->dot($normal), $way->dot($beside), max(1e-6, $way->y)];
        $least = self::ACROSS / sqrt(1 - self::ACROSS ** 2);
        if (abs($across) < $least * abs($along)) {
            // down onto the border of what can be reached
            $side = $across < 0 ? -$least : $least;
            $share = (abs($along) + abs($side) * abs($across)) / (1 + $least * $least);
            [$along, $across] = [$along < 0 ? -$share : $share, $side * $share];
        }
        $flat = hypot($across, $along) * self::LOWEST / ($up * sqrt(1 - self::LOWEST ** 2));
        [$across, $along] = $flat > 1 ? [$across / $flat, $along / $flat] : [$across, $along];

        return $normal->times($across)->plus($beside->times($along))->plus(new Vector(0.0, $up, 0.0))->unit();
    }

    /** @return array{float, float, float, float} the light as a place, at infinity when parallel */
    public function homogeneous(): array
    {
        return [$this->light->x, $this->light->y, $this->light->z, $this->isParallel ? 0.0 : 1.0];
    }

    public function key(): string
    {
        return implode(' ', [...$this->homogeneous(), $this->width]);
    }
}
