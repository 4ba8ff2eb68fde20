<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * Smoke: gradient noise in up to five octaves, its places moved by noise themselves, so that it curls.
 *
 * p = the place turned by the drift and divided by the size, its first part by the stretch too; p += 0.5 (n(p, seed + 101),
 * n(p, seed + 102)); v = sum 2^-k n(2^k p, seed + k) / sum 2^-k over the octaves whose size in full-size pixels is at least 2;
 * shape = smoothstep(1 - density - q, 1 - density + q, 0.5 + 1.8 v), q = 0.05 + 0.25 softness.
 */
final readonly class Smoke
{
    private const OCTAVES = 5;

    private const CURLS = [101, 102];

    /** Octaves whose lattice is finer than this many full-size pixels are left out. */
    private const FINEST = 2.0;

    private float $cos;

    private float $sin;

    /**
     * @param  float  $size  of the largest swirls, scene pixels
     * @param  float  $density  0..1
     * @param  float  $softness  0..1
     * @param  float  $drift  degrees, counter-clockwise as seen
     * @param  float  $stretch  along the drift
     * @param  int  $octaves  at most
     */
    public function __construct(public float $size, public float $density, public float $softness, public float $drift, public float $stretch, public int $seed, public int $octaves = self::OCTAVES)
    {
        $this->cos = cos(deg2rad($drift));
        $this->sin = sin(deg2rad($drift));
    }

    /**
     * How much there is at each of the places, 0..1.
     *
     * @param  list<float>  $x  scene pixels
     * @param  list<float>  $y
     * @return list<float>
     */
    public function at(array $x, array $y): array
    {
        $px = $py = [];
        $across = 1 / ($this->size * $this->stretch);
        $down = 1 / $this->size;
        foreach ($x as $at => $u) {
            $v = $y[$at];
            $px[] = ($u * $this->cos - $v * $this->sin) * $across;
            $py[] = ($u * $this->sin + $v * $this->cos) * $down;
        }
        $curlX = NoiseSheet::at($px, $py, $this->seed + self::CURLS[0]);
        $curlY = NoiseSheet::at($px, $py, $this->seed + self::CURLS[1]);
        foreach ($curlX as $at => $curl) {
            $px[$at] += 0.5 * $curl;
            $py[$at] += 0.5 * $curlY[$at];
        }
        /** @var list<float> $px
         * @var list<float> $py changed only where they had values already */
        $sum = array_fill(0, count($px), 0.0);
        $weights = 0.0;
        for ($k = 0; $k < $this->octaves && ($k === 0 || $this->size / 2 ** $k >= self::FINEST); $k++) {
            $weight = 2.0 ** -$k;
            $weights += $weight;
            foreach (NoiseSheet::at($px, $py, $this->seed + $k, 2.0 ** $k) as $at => $value) {
                $sum[$at] += $weight * $value;
            }
        }
        $q = 0.05 + 0.25 * $this->softness;
        $from = 1 - $this->density - $q;
        $shape = [];
        foreach ($sum as $value) {
            $share = (0.5 + 1.8 * $value / $weights - $from) / (2 * $q);
            $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;
            $shape[] = $share * $share * (3.0 - 2.0 * $share);
        }

        return $shape;
    }
}
