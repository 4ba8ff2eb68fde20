<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

/** Brightness that is fitted by an ambient part and one light, outliers counting little. */
final class ShadeFit
{
    /**
     * Least squares of brightness against `ambient + strength max(0, n . l)`.
     *
     * @param  list<array{float, float, float, float, float}>  $points
     * @param  list<float>  $weights
     * @param  array{float, float, float}  $l
     * @return array{float, float, float} the weighted sum of squares left over, ambient, strength
     */
    public static function fit(array $points, array $weights, array $l): array
    {
        [$lx, $ly, $lz] = $l;
        $n = $s = $ss = $b = $sb = $bb = 0.0;
        foreach ($points as $at => [$nx, $ny, $nz, $brightness]) {
            $weight = $weights[$at];
            $shade = $nx * $lx + $ny * $ly + $nz * $lz;
            if (! ($shade > 0.0)) {
                $shade = 0.0;
            }
            $n += $weight;
            $s += $weight * $shade;
            $ss += $weight * $shade * $shade;
            $b += $weight * $brightness;
            $sb += $weight * $shade * $brightness;
            $bb += $weight * $brightness * $brightness;
        }

        return self::solved($n, $s, $ss, $b, $sb, $bb);
    }

    /** @return array{float, float, float} */
    private static function solved(float $n, float $s, float $ss, float $b, float $sb, float $bb): array
    {
        $determinant = $n * $ss - $s * $s;
        $strength = $determinant > 1e-12 * $n * $n ? ($n * $sb - $s * $b) / $determinant : 0.0;
        $strength = max(0.0, $strength);
        $ambient = ($b - $strength * $s) / $n;
        if ($ambient < 0) {
            $ambient = 0.0;
            $strength = $ss > 0 ? max(0.0, $sb / $ss) : 0.0;
        }
        $left = $bb - 2 * $ambient * $b - 2 * $strength * $sb + $n * $ambient * $ambient + 2 * $ambient * $strength * $s + $strength * $strength * $ss;

        return [max(0.0, $left), $ambient, $strength];
    }

    /**
     * Tukey's biweight on what the fit leaves over.
     *
     * @param  list<array{float, float, float, float, float}>  $points
     * @param  array{float, float, float}  $l
     * @param  array{float, float, float}  $fit
     * @return list<float>
     */
    public static function reweighted(array $points, array $l, array $fit): array
    {
        [$lx, $ly, $lz] = $l;
        $left = [];
        foreach ($points as [$nx, $ny, $nz, $brightness]) {
            $left[] = $brightness - $fit[1] - $fit[2] * max(0.0, $nx * $lx + $ny * $ly + $nz * $lz);
        }

        return self::biweights($left);
    }

    /**
     * @param  list<float>  $left
     * @return list<float>
     */
    private static function biweights(array $left): array
    {
        $sorted = array_map(abs(...), $left);
        sort($sorted);
        $reach = 4.685 * 1.4826 * max(1e-4, $sorted[intdiv(count($sorted), 2)]);

        return array_map(static function (float $value) use ($reach): float {
            $share = $value / $reach;

            return abs($share) >= 1 ? 0.02 : max(0.02, (1 - $share * $share) ** 2);
        }, $left);
    }
}
