<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

/** Normals that are moved toward a light, or away from it, in the plane of both, until they face it as far as is seen. */
final class Bending
{
    /** A normal never faces the light quite: then there would be no plane. */
    public const MOST = 0.999;

    /** What lies in the dark and faces away from the light tells nothing. */
    private const DARK = 0.03;

    /**
     * @param  float  $facing  n.l
     * @param  float  $seen  how far it seems to face the light, 0..1; below 0 where that is not known
     * @param  float  $weight  0..1
     */
    public static function facing(float $facing, float $seen, float $weight): float
    {
        return $seen < 0.0 || ($seen <= self::DARK && $facing < self::DARK) ? $facing : $facing + $weight * ($seen - $facing);
    }

    /**
     * @param  array{float, float, float}  $normal  of length 1
     * @param  array{float, float, float}  $toward  the unit vector toward the light
     * @return array{float, float, float} of any length above 0, toward the viewer
     */
    public static function of(array $normal, array $toward, float $seen, float $weight): array
    {
        [$x, $y, $z] = $normal;
        [$lx, $ly, $lz] = $toward;
        $is = $x * $lx + $y * $ly + $z * $lz;
        $wanted = self::facing($is, $seen, $weight);
        if ($wanted === $is) {
            return $normal;
        }
        [$x, $y, $z] = [$x - $is * $lx, $y - $is * $ly, $z - $is * $lz];
        $beside = sqrt(max(0.0, 1 - $wanted * $wanted) / max(1e-9, $x * $x + $y * $y + $z * $z));

        return [$wanted * $lx + $beside * $x, $wanted * $ly + $beside * $y, max(0.0, $wanted * $lz + $beside * $z)];
    }
}
