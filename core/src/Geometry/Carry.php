<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/**
 * What lies in one picture, told so that it can lie in another one: places as shares of the short side from a middle, lengths as
 * shares of it; and back into pixels. Works on values as they stand in JSON; what is none stays, and is refused where it is read.
 */
final readonly class Carry
{
    /** Digits of a share, and of a pixel. */
    private const SHARES = 9;

    private const PIXELS = 4;

    private function __construct(private Point $middle, private float $short, private bool $isBack)
    {
    }

    /** @param  float  $short  the picture's short side, px */
    public static function toShares(Point $middle, float $short): self
    {
        return new self($middle, $short, false);
    }

    public static function toPixels(Point $middle, float $short): self
    {
        return new self($middle, $short, true);
    }

    /** By how much lengths grow. */
    public function factor(): float
    {
        return $this->isBack ? $this->short : 1 / $this->short;
    }

    /** A length; in pixels within its range. */
    public function length(mixed $length, float $least = -INF, float $most = INF): mixed
    {
        if (! self::isNumber($length)) {
            return $length;
        }

        return $this->isBack ? max($least, min($most, round($length * $this->short, self::PIXELS))) : round($length / $this->short, self::SHARES);
    }

    /** A place [x, y]. */
    public function point(mixed $point): mixed
    {
        if (! self::isPair($point)) {
            return $point;
        }
        [$x, $y] = [(float) $point[0], (float) $point[1]];

        return $this->isBack ? [round($this->middle->x + $x * $this->short, self::PIXELS), round($this->middle->y + $y * $this->short, self::PIXELS)]
            : [round(($x - $this->middle->x) / $this->short, self::SHARES), round(($y - $this->middle->y) / $this->short, self::SHARES)];
    }

    /** A way [x, y] from one place to another. */
    public function way(mixed $way): mixed
    {
        return self::isPair($way) ? [$this->length($way[0]), $this->length($way[1])] : $way;
    }

    /** A list of places. */
    public function points(mixed $points): mixed
    {
        return is_array($points) ? array_map($this->point(...), $points) : $points;
    }

    /**
     * Some fields of an object, each in its way; those that it has not stay away.
     *
     * @param  array<string, callable(mixed): mixed>  $ways  by field
     */
    public static function fields(mixed $object, array $ways): mixed
    {
        if (! is_array($object)) {
            return $object;
        }
        foreach ($ways as $name => $way) {
            if (isset($object[$name])) {
                $object[$name] = $way($object[$name]);
            }
        }

        return $object;
    }

    /**
     * The same of each object in a list.
     *
     * @param  array<string, callable(mixed): mixed>  $ways  by field
     */
    public static function each(mixed $objects, array $ways): mixed
    {
        return is_array($objects) ? array_map(static fn (mixed $object): mixed => self::fields($object, $ways), $objects) : $objects;
    }

    /** @phpstan-assert-if-true int|float $value */
    private static function isNumber(mixed $value): bool
    {
        return is_int($value) || (is_float($value) && is_finite($value));
    }

    /** @phpstan-assert-if-true array{int|float, int|float} $value */
    private static function isPair(mixed $value): bool
    {
        return is_array($value) && array_keys($value) === [0, 1] && self::isNumber($value[0]) && self::isNumber($value[1]);
    }
}
