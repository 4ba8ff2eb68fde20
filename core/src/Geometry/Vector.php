<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** A place or a way in the scene's space: x to the right, y up, z toward the viewer. */
final readonly class Vector
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function cross(self $other): self
    {
        return new self($this->y * $other->z - $this->z * $other->y, $this->z * $other->x - $this->x * $other->z, $this->x * $other->y - $this->y * $other->x);
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }

    /** Of length 1; a vector without a length stays what it is. */
    public function unit(): self
    {
        $length = $this->length();

        return $length > 0 ? $this->times(1 / $length) : $this;
    }
}
