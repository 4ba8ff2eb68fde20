<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

use Aumbrel\Core\Raster\Noise;

/** Light through leaves: bright patches that stay where they are while the hand goes over them. */
final readonly class Dapples
{
    /** The size of a patch, of the brush's radius. */
    private const SIZE = 0.55;

    /** How far the noise goes from dark to light. */
    private const EDGES = [-0.12, 0.2];

    /** @param  float  $amount  0..1
     * @param  float  $radius  of the brush, px of the ground */
    public function __construct(private float $amount, private float $radius, private int $seed)
    {
    }

    /** How much is left of the light at a place of the ground, 0..1. */
    public function at(float $x, float $y): float
    {
        $size = max(1.0, self::SIZE * $this->radius);
        $noise = Noise::gradient($x / $size, $y / $size, $this->seed) + 0.5 * Noise::gradient(2 * $x / $size, 2 * $y / $size, $this->seed + 1);
        $share = max(0.0, min(1.0, ($noise - self::EDGES[0]) / (self::EDGES[1] - self::EDGES[0])));

        return 1.0 - $this->amount * (1.0 - $share * $share * (3.0 - 2.0 * $share));
    }
}
