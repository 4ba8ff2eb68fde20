<?php

declare(strict_types=1);

namespace Demo;

/** Something to be photographed. x to the right, y up, z toward the camera; lengths in metres. */
interface Subject
{
    public function name(): string;

    /** @return array{int, int} */
    public function size(): array;

    /** @return array{float, float, float} where the camera stands; it looks along -z, level */
    public function camera(): array;

    /** Focal length in picture widths. */
    public function focal(): float;

    /** The row of the horizon, 0 top to 1 bottom: the lens is shifted, so that uprights stay upright. */
    public function horizon(): float;

    /** Distance to the nearest surface. */
    public function distance(float $x, float $y, float $z): float;

    /**
     * What the surface is made of at a place.
     *
     * @return array{float, float, float, float, float} red, green, blue (linear), how glossy, how metallic
     */
    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array;

    /** @return array{float, float, float} unit vector toward the key light */
    public function light(): array;

    /** @return array{float, float, float} its colour and strength, linear */
    public function lightColour(): array;

    /**
     * Light from everywhere else in a direction.
     *
     * @return array{float, float, float}
     */
    public function sky(float $dx, float $dy, float $dz): array;

    /** Whether rays that hit nothing show the sky, or nothing at all. */
    public function hasBackground(): bool;
}
