<?php

declare(strict_types=1);

namespace Demo;

/**
 * Signed distances of simple bodies, and the ways to join them, as in Inigo Quilez' articles on distance functions
 * (formulas from memory).
 */
final class Shapes
{
    public static function box(float $x, float $y, float $z, float $w, float $h, float $d, float $round = 0.0): float
    {
        $qx = abs($x) - $w + $round;
        $qy = abs($y) - $h + $round;
        $qz = abs($z) - $d + $round;
        $ox = $qx > 0 ? $qx : 0.0;
        $oy = $qy > 0 ? $qy : 0.0;
        $oz = $qz > 0 ? $qz : 0.0;
        $in = $qx > $qy ? ($qx > $qz ? $qx : $qz) : ($qy > $qz ? $qy : $qz);

        return sqrt($ox * $ox + $oy * $oy + $oz * $oz) + ($in < 0 ? $in : 0.0) - $round;
    }

    /** A rod from a to b, thick r at a and s at b. */
    public static function rod(float $x, float $y, float $z, float $ax, float $ay, float $az, float $bx, float $by, float $bz, float $r, float $s): float
    {
        $px = $x - $ax;
        $py = $y - $ay;
        $pz = $z - $az;
        $dx = $bx - $ax;
        $dy = $by - $ay;
        $dz = $bz - $az;
        $h = ($px * $dx + $py * $dy + $pz * $dz) / ($dx * $dx + $dy * $dy + $dz * $dz);
        $h = $h < 0 ? 0.0 : ($h > 1 ? 1.0 : $h);
        $px -= $h * $dx;
        $py -= $h * $dy;
        $pz -= $h * $dz;

        return sqrt($px * $px + $py * $py + $pz * $pz) - ($r + $h * ($s - $r));
    }

    /** An ellipsoid; near enough to its distance for marching. */
    public static function egg(float $x, float $y, float $z, float $a, float $b, float $c): float
    {
        $k0 = sqrt(($x / $a) ** 2 + ($y / $b) ** 2 + ($z / $c) ** 2);
        $k1 = sqrt(($x / ($a * $a)) ** 2 + ($y / ($b * $b)) ** 2 + ($z / ($c * $c)) ** 2);

        return $k1 < 1e-9 ? -$a : $k0 * ($k0 - 1) / $k1;
    }

    /** An upright cylinder. */
    public static function drum(float $x, float $y, float $z, float $radius, float $half, float $round = 0.0): float
    {
        $dx = sqrt($x * $x + $z * $z) - $radius + $round;
        $dy = abs($y) - $half + $round;
        $ox = $dx > 0 ? $dx : 0.0;
        $oy = $dy > 0 ? $dy : 0.0;
        $in = $dx > $dy ? $dx : $dy;

        return ($in < 0 ? $in : 0.0) + sqrt($ox * $ox + $oy * $oy) - $round;
    }

    public static function ring(float $x, float $y, float $z, float $radius, float $thick): float
    {
        $q = sqrt($x * $x + $y * $y) - $radius;

        return sqrt($q * $q + $z * $z) - $thick;
    }

    /** A star of five points in the plane, as far from its middle to a tip as the size says; its edges are near enough. */
    public static function star(float $x, float $y, float $size): float
    {
        $part = M_PI / 5;
        $turn = atan2($x, $y);
        $turn = abs($turn - 2 * $part * round($turn / (2 * $part)));
        $far = hypot($x, $y);
        [$px, $py] = [$far * cos($turn), $far * sin($turn)];
        // the edge from the tip to the notch beside it
        [$ex, $ey] = [0.45 * $size * cos($part) - $size, 0.45 * $size * sin($part)];

        return (($px - $size) * $ey - $py * $ex) / hypot($ex, $ey);
    }

    /** Joins two distances with a soft seam of width k. */
    public static function melt(float $a, float $b, float $k): float
    {
        $h = $k - abs($a - $b);
        $low = $a < $b ? $a : $b;

        return $h <= 0 ? $low : $low - $h * $h / (4 * $k);
    }

    /** Value noise in two dimensions, 0..1. */
    public static function noise(float $x, float $y): float
    {
        $ix = (int) floor($x);
        $iy = (int) floor($y);
        $fx = $x - $ix;
        $fy = $y - $iy;
        $fx = $fx * $fx * (3 - 2 * $fx);
        $fy = $fy * $fy * (3 - 2 * $fy);
        $a = self::hash($ix, $iy);
        $b = self::hash($ix + 1, $iy);
        $c = self::hash($ix, $iy + 1);
        $d = self::hash($ix + 1, $iy + 1);

        return $a + $fx * ($b - $a) + $fy * ($c - $a + $fx * ($a - $b - $c + $d));
    }

    /** Noise of several sizes, 0..1. */
    public static function clouds(float $x, float $y, int $octaves = 4): float
    {
        $sum = 0.0;
        $weight = 0.5;
        for ($k = 0; $k < $octaves; $k++) {
            $sum += $weight * self::noise($x, $y);
            $x = $x * 2.03 + 17.3;
            $y = $y * 2.01 + 9.1;
            $weight *= 0.5;
        }

        return $sum / (1 - $weight * 2);
    }

    public static function hash(int $x, int $y): float
    {
        $n = ($x * 374761393 + $y * 668265263) & 0xFFFFFFFF;
        $n = (($n ^ ($n >> 13)) * 1274126177) & 0xFFFFFFFF;

        return (($n ^ ($n >> 16)) & 0xFFFFFF) / 16777216.0;
    }
}
