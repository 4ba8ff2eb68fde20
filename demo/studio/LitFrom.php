<?php

declare(strict_types=1);

namespace Demo;

/** The same subject in a plain room, under a key light from elsewhere. */
final readonly class LitFrom implements Subject
{
    /** @param  array{float, float, float}  $light  unit vector toward the key light */
    public function __construct(private Subject $subject, private array $light)
    {
    }

    public function name(): string
    {
        return $this->subject->name();
    }

    public function size(): array
    {
        return $this->subject->size();
    }

    public function camera(): array
    {
        return $this->subject->camera();
    }

    public function focal(): float
    {
        return $this->subject->focal();
    }

    public function horizon(): float
    {
        return $this->subject->horizon();
    }

    public function distance(float $x, float $y, float $z): float
    {
        return $this->subject->distance($x, $y, $z);
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        return $this->subject->surface($x, $y, $z, $nx, $ny, $nz);
    }

    public function light(): array
    {
        return $this->light;
    }

    public function lightColour(): array
    {
        return $this->subject->lightColour();
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        return [0.24 + 0.06 * $dy, 0.25 + 0.06 * $dy, 0.28 + 0.06 * $dy];
    }

    public function hasBackground(): bool
    {
        return false;
    }
}
