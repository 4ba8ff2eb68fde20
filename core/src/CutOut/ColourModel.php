<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/**
 * What colours a region has: a mixture of Gaussians, as in Rother, Kolmogorov, Blake, *GrabCut* (2004). Means are
 * found by repeated assignment to the nearest (Lloyd), starting from the samples that lie farthest from each other.
 */
final readonly class ColourModel
{
    private const MOST = 6;

    private const ROUNDS = 6;

    /** Least variance of colour: what lies closer is one. */
    private const LEAST = 0.00012;

    /** The same of lightness, larger: strokes do not see every tone of a body. */
    private const LEAST_LIGHTNESS = 0.0002;

    /** @param  list<array{float, float, float, float, float, float, float, float, float, float}>  $parts  factor, mean, and the inverse covariance (6 of it) */
    private function __construct(private array $parts)
    {
    }

    /** @param  list<array{float, float, float}>  $samples at least one */
    public static function of(array $samples): self
    {
        $means = self::startingMeans($samples);
        $count = count($means);
        $members = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $members = array_fill(0, $count, []);
            foreach ($samples as $sample) {
                $nearest = 0;
                $least = INF;
                foreach ($means as $k => $mean) {
                    $distance = ($sample[0] - $mean[0]) ** 2 + ($sample[1] - $mean[1]) ** 2 + ($sample[2] - $mean[2]) ** 2;
                    if ($distance < $least) {
                        $least = $distance;
                        $nearest = $k;
                    }
                }
                $members[$nearest][] = $sample;
            }
            foreach ($members as $k => $own) {
                if ($own !== []) {
                    $n = count($own);
                    $means[$k] = [array_sum(array_column($own, 0)) / $n, array_sum(array_column($own, 1)) / $n, array_sum(array_column($own, 2)) / $n];
                }
            }
        }
        $parts = [];
        foreach ($members as $k => $own) {
            if ($own !== []) {
                $parts[] = self::part($own, $means[$k], count($own) / count($samples));
            }
        }

        return new self($parts);
    }

    /** @return list<array{float, float, float, float, float, float, float, float, float, float}> for loops that work the density out in place */
    public function parts(): array
    {
        return $this->parts;
    }

    /**
     * Of one colour.
     *
     * @param  array{float, float, float}  $colour
     */
    public function density(array $colour): float
    {
        $density = 0.0;
        foreach ($this->parts as [$factor, $ml, $ma, $mb, $xx, $yy, $zz, $xy, $xz, $yz]) {
            [$x, $y, $z] = [$colour[0] - $ml, $colour[1] - $ma, $colour[2] - $mb];
            $density += $factor * exp(-0.5 * ($xx * $x * $x + $yy * $y * $y + $zz * $z * $z + 2.0 * ($xy * $x * $y + $xz * $x * $z + $yz * $y * $z)));
        }

        return $density;
    }

    /**
     * @param  list<array{float, float, float}>  $samples
     * @return list<array{float, float, float}>
     */
    private static function startingMeans(array $samples): array
    {
        $means = [$samples[intdiv(count($samples), 2)]];
        while (count($means) < self::MOST) {
            $farthest = null;
            $most = self::LEAST;
            for ($k = 0, $n = count($samples), $step = max(1, intdiv($n, 600)); $k < $n; $k += $step) {
                $sample = $samples[$k];
                $least = INF;
                foreach ($means as $mean) {
                    $least = min($least, ($sample[0] - $mean[0]) ** 2 + ($sample[1] - $mean[1]) ** 2 + ($sample[2] - $mean[2]) ** 2);
                }
                if ($least > $most) {
                    $most = $least;
                    $farthest = $sample;
                }
            }
            if ($farthest === null) {
                break;
            }
            $means[] = $farthest;
        }

        return $means;
    }

    /**
     * @param  list<array{float, float, float}>  $own
     * @param  array{float, float, float}  $mean
     * @return array{float, float, float, float, float, float, float, float, float, float}
     */
    private static function part(array $own, array $mean, float $weight): array
    {
        $xx = $yy = $zz = $xy = $xz = $yz = 0.0;
        foreach ($own as [$x, $y, $z]) {
            [$x, $y, $z] = [$x - $mean[0], $y - $mean[1], $z - $mean[2]];
            $xx += $x * $x;
            $yy += $y * $y;
            $zz += $z * $z;
            $xy += $x * $y;
            $xz += $x * $z;
            $yz += $y * $z;
        }
        $n = count($own);
        [$xx, $yy, $zz] = [$xx / $n + self::LEAST_LIGHTNESS, $yy / $n + self::LEAST, $zz / $n + self::LEAST];
        [$xy, $xz, $yz] = [$xy / $n, $xz / $n, $yz / $n];
        $determinant = $xx * ($yy * $zz - $yz * $yz) - $xy * ($xy * $zz - $yz * $xz) + $xz * ($xy * $yz - $yy * $xz);

        return [
            $weight / sqrt($determinant), ...$mean,
            ($yy * $zz - $yz * $yz) / $determinant, ($xx * $zz - $xz * $xz) / $determinant, ($xx * $yy - $xy * $xy) / $determinant,
            ($xz * $yz - $xy * $zz) / $determinant, ($xy * $yz - $xz * $yy) / $determinant, ($xy * $xz - $xx * $yz) / $determinant,
        ];
    }
}
