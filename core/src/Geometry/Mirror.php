<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** A line about which something is mirrored. */
final readonly class Mirror
{
    /** @param  float  $angle  of the line, degrees, counter-clockwise as seen */
    private function __construct(private Point $through, public float $angle)
    {
    }

    public static function about(Line $line): self
    {
        return new self($line->from, rad2deg(atan2(-($line->to->y - $line->from->y), $line->to->x - $line->from->x)));
    }

    /** About an upright line through a column. */
    public static function upright(float $x): self
    {
        return new self(new Point($x, 0.0), 90.0);
    }

    public function point(Point $point): Point
    {
        [$x, $y] = $this->way($point->x - $this->through->x, $point->y - $this->through->y);

        return new Point($this->through->x + $x, $this->through->y + $y);
    }

    /**
     * A way from one place to another.
     *
     * @return array{float, float}
     */
    public function way(float $x, float $y): array
    {
        [$cos, $sin] = [cos(deg2rad(2 * $this->angle)), sin(deg2rad(2 * $this->angle))];

        // y runs down, the angle goes up
        return [self::plain($cos * $x - $sin * $y), self::plain(-$sin * $x - $cos * $y)];
    }

    /** A direction in the picture, degrees, within (-180, 180]. */
    public function direction(float $degrees): float
    {
        $turned = fmod(2 * $this->angle - $degrees, 360);

        return self::plain($turned > 180 ? $turned - 360 : ($turned <= -180 ? $turned + 360 : $turned));
    }

    /** Without the last traces of a cosine. */
    private static function plain(float $value): float
    {
        return round($value, 6) + 0.0;
    }
}
