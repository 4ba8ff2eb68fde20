<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** Numbers that look like chance and are always the same at the same place: a hash of whole numbers, and gradient noise on it. */
final class Noise
{
    private const ALL = 0xFFFFFFFF;

    /** Slopes of the eight gradients, 45 degrees apart. */
    private const SLOPES = [[1.0, 0.0], [M_SQRT1_2, M_SQRT1_2], [0.0, 1.0], [-M_SQRT1_2, M_SQRT1_2], [-1.0, 0.0], [-M_SQRT1_2, -M_SQRT1_2], [0.0, -1.0], [M_SQRT1_2, -M_SQRT1_2]];

    /** A hash of 32 bits; both products stay within 63 bits. */
    public static function hash(int $x): int
    {
        $x &= self::ALL;
        $x ^= $x >> 16;
        $x = $x * 0x21F0AAAD & self::ALL;
        $x ^= $x >> 15;
        $x = $x * 0x735A2D97 & self::ALL;

        return $x ^ $x >> 15;
    }

    /** Of a place of the lattice: column and row. */
    public static function at(int $i, int $j, int $seed): int
    {
        return self::hash(self::hash(self::hash($seed) + $i) + $j);
    }

    /** Gradient noise, about -0.7..0.7, smooth to the second derivative (Ken Perlin, *Improving noise*, 2002). */
    public static function gradient(float $x, float $y, int $seed): float
    {
        [$i, $j] = [(int) floor($x), (int) floor($y)];
        [$u, $v] = [$x - $i, $y - $j];
        $slope = static function (int $di, int $dj) use ($i, $j, $u, $v, $seed): float {
            [$gx, $gy] = self::SLOPES[self::at($i + $di, $j + $dj, $seed) & 7];

            return $gx * ($u - $di) + $gy * ($v - $dj);
        };
        [$fu, $fv] = [self::fade($u), self::fade($v)];
        [$upper, $lower] = [$slope(0, 0) + $fu * ($slope(1, 0) - $slope(0, 0)), $slope(0, 1) + $fu * ($slope(1, 1) - $slope(0, 1))];

        return $upper + $fv * ($lower - $upper);
    }

    private static function fade(float $t): float
    {
        return $t * $t * $t * ($t * ($t * 6.0 - 15.0) + 10.0);
    }
}
