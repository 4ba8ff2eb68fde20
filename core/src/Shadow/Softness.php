<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

/** How soft a shadow is at a place: a Gaussian in the picture, by its covariance, and how much of the density is left there. */
final readonly class Softness
{
    public float $xx;

    public float $xy;

    public float $yy;

    /** The smaller sigma, px. */
    public float $smaller;

    /**
     * @param  array{float, float}  $one  px; its length is a sigma
     * @param  array{float, float}  $other  px, of the other way
     * @param  float  $least  both axes of the Gaussian are at least so long, px
     * @param  float  $left  0..1
     */
    public function __construct(array $one, array $other, float $least = 0.0, public float $left = 1.0)
    {
        $xx = $one[0] * $one[0] + $other[0] * $other[0];
        $xy = $one[0] * $one[1] + $other[0] * $other[1];
        $yy = $one[1] * $one[1] + $other[1] * $other[1];
        $middle = ($xx + $yy) / 2;
        $half = sqrt((($xx - $yy) / 2) ** 2 + $xy * $xy);
        [$large, $small] = [max($middle + $half, $least * $least), max($middle - $half, $least * $least, 0.0)];
        // the axes stay where they are; a circle has none
        [$cos, $sin] = $half > 1e-12 ? [($xx - $yy) / 2 / $half, $xy / $half] : [1.0, 0.0];
        $this->xx = ($large + $small) / 2 + ($large - $small) / 2 * $cos;
        $this->yy = ($large + $small) / 2 - ($large - $small) / 2 * $cos;
        $this->xy = ($large - $small) / 2 * $sin;
        $this->smaller = sqrt($small);
    }

    /** The sigma of a linear function of the place, x times one number plus y times another one. */
    public function along(float $x, float $y): float
    {
        return sqrt(max(0.0, $x * $x * $this->xx + 2 * $x * $y * $this->xy + $y * $y * $this->yy));
    }
}
