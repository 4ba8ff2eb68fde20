<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** An upright rectangle, by its four sides. */
final readonly class Bounds implements Extent
{
    public function __construct(public float $left, public float $top, public float $right, public float $bottom)
    {
    }

    /**
     * The rectangle round some places; null when there are none.
     *
     * @param  list<array{float, float}>  $places
     */
    public static function round(array $places): ?self
    {
        return $places === [] ? null : new self(min(array_column($places, 0)), min(array_column($places, 1)), max(array_column($places, 0)), max(array_column($places, 1)));
    }

    /**
     * The rectangle round several; null where one of them has no end or is no rectangle.
     *
     * @param  non-empty-list<Extent|null>  $extents
     */
    public static function around(array $extents): ?self
    {
        $all = null;
        foreach ($extents as $extent) {
            if (! $extent instanceof self) {
                return null;
            }
            $all = $all?->with($extent) ?? $extent;
        }

        return $all;
    }

    public function bounds(): self
    {
        return $this;
    }

    /** So much wider on every side. */
    public function grown(float $by): self
    {
        return new self($this->left - $by, $this->top - $by, $this->right + $by, $this->bottom + $by);
    }

    public function with(self $other): self
    {
        return new self(min($this->left, $other->left), min($this->top, $other->top), max($this->right, $other->right), max($this->bottom, $other->bottom));
    }

    public function middle(): Point
    {
        return new Point(($this->left + $this->right) / 2, ($this->top + $this->bottom) / 2);
    }

    public function span(float $y): ?array
    {
        return $y < $this->top || $y > $this->bottom ? null : [$this->left, $this->right];
    }

    /** @return array{float, float, float, float} left, top, right, bottom */
    public function toArray(): array
    {
        return [$this->left, $this->top, $this->right, $this->bottom];
    }
}
