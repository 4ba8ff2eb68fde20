<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** An upright rectangle, by its four sides. */
final readonly class Bounds
{
    public function __construct(public float $left, public float $top, public float $right, public float $bottom)
    {
    }

    public function middle(): Point
    {
        return new Point(($this->left + $this->right) / 2, ($this->top + $this->bottom) / 2);
    }

    /** @return array{float, float, float, float} left, top, right, bottom */
    public function toArray(): array
    {
        return [$this->left, $this->top, $this->right, $this->bottom];
    }
}
