<?php

declare(strict_types=1);

namespace Demo;

/** A carved head from an old ferry's bow, photographed in a studio with its light from the front and above. */
final class Figurehead implements Subject
{
    public function name(): string
    {
        return 'figurehead';
    }

    public function size(): array
    {
        return [880, 1100];
    }

    public function camera(): array
    {
        return [0.0, -0.1, 5.6];
    }

    public function focal(): float
    {
        return 3.8;
    }

    public function horizon(): float
    {
        return 0.47;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [-0.3244, 0.5407, 0.7762];
    }

    public function lightColour(): array
    {
        return [1.5, 1.46, 1.4];
    }

    public function distance(float $x, float $y, float $z): float
    {
        // turned a little to its right
        [$x, $z] = [0.94 * $x + 0.342 * $z, -0.342 * $x + 0.94 * $z];
        $side = abs($x);

        $head = Shapes::egg($x, $y - 0.14, $z + 0.05, 0.37, 0.47, 0.43);
        $head = Shapes::melt($head, Shapes::egg($x, $y + 0.24, $z - 0.11, 0.24, 0.28, 0.25), 0.14);
        $head = Shapes::melt($head, Shapes::egg($side - 0.17, $y + 0.07, $z - 0.285, 0.12, 0.1, 0.1), 0.1);
        $head = Shapes::melt($head, Shapes::egg($x, $y + 0.435, $z - 0.3, 0.1, 0.085, 0.09), 0.09);
        $head = Shapes::melt($head, Shapes::rod($side, $y, $z, 0.04, 0.2, 0.4, 0.25, 0.19, 0.27, 0.05, 0.045), 0.05);
        // sockets, and in them eyes with heavy lids
        $head = self::carved($head, Shapes::egg($side - 0.145, $y - 0.085, $z - 0.42, 0.105, 0.07, 0.09), 0.04);
        $eye = Shapes::egg($side - 0.145, $y - 0.075, $z - 0.318, 0.078, 0.05, 0.048);
        $lid = min(Shapes::rod($side, $y, $z, 0.075, 0.096, 0.368, 0.215, 0.088, 0.33, 0.022, 0.016), Shapes::rod($side, $y, $z, 0.085, 0.04, 0.36, 0.205, 0.05, 0.325, 0.012, 0.01));
        $head = Shapes::melt(Shapes::melt($head, $eye, 0.012), $lid, 0.018);
        $nose = Shapes::rod($x, $y, $z, 0.0, 0.17, 0.385, 0.0, -0.085, 0.51, 0.038, 0.062);
        $nose = Shapes::melt($nose, Shapes::egg($side - 0.06, $y + 0.105, $z - 0.435, 0.04, 0.032, 0.05), 0.03);
        $head = Shapes::melt($head, $nose, 0.055);
        $head = Shapes::melt($head, Shapes::rod($side, $y, $z, 0.0, -0.232, 0.405, 0.115, -0.255, 0.335, 0.034, 0.014), 0.025);
        $head = Shapes::melt($head, Shapes::rod($side, $y, $z, 0.0, -0.3, 0.398, 0.09, -0.29, 0.34, 0.04, 0.016), 0.025);
        $head = self::carved($head, Shapes::rod($side, $y, $z, 0.0, -0.265, 0.445, 0.125, -0.268, 0.36, 0.012, 0.006), 0.015);
        $head = Shapes::melt($head, Shapes::egg($side - 0.375, $y - 0.02, $z + 0.05, 0.04, 0.12, 0.075), 0.03);

        $neck = Shapes::rod($x, $y, $z, 0.0, -0.32, -0.07, 0.0, -0.85, -0.1, 0.19, 0.225);
        $breast = Shapes::egg($x, $y + 1.12, $z + 0.06, 0.62, 0.34, 0.36);
        $body = Shapes::melt(Shapes::melt($head, $neck, 0.12), $breast, 0.14);

        // hair in carved waves, combed back from the brow
        $wave = 0.016 * sin(24 * ($y + 0.25 * sin(3.1 * $x) - 0.9 * $z) + 2.0 * $side);
        $hair = Shapes::egg($x, $y - 0.17, $z + 0.1, 0.425, 0.51, 0.465) + $wave;
        $line = ($z - 0.2) - 0.75 * ($y - 0.3) + 0.35 * $side;
        $hair = max($hair, 0.6 * $line);
        $knot = Shapes::egg($x, $y + 0.08, $z + 0.5, 0.2, 0.2, 0.16) + 0.012 * sin(30 * ($x + $y));

        // a scarf with a fold
        $scarf = Shapes::ring($x, $z + 0.09, ($y + 0.78) - 0.12 * $z, 0.3, 0.062) + 0.01 * sin(14 * atan2($x, $z) + 9 * $y);

        return 0.82 * min(Shapes::melt(Shapes::melt($body, $hair, 0.03), $knot, 0.05), Shapes::melt($body, $scarf, 0.02));
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        // oak: rings of the trunk, pores along the grain, and where old paint is left
        $ring = 0.5 + 0.5 * sin(38 * sqrt(($x + 0.35) ** 2 + ($z + 1.1) ** 2) + 3 * Shapes::clouds($x * 2 + 7, $y * 0.8 + $z, 3));
        $pore = Shapes::noise($x * 70 + $z * 40, $y * 9);
        $crack = Shapes::clouds($x * 6 + $z * 3, $y * 1.2 + 3, 4);
        $dark = 0.78 + 0.22 * $ring - 0.12 * ($pore > 0.8 ? 1 : 0) - ($crack > 0.78 ? 0.28 : 0.0);
        $paint = Shapes::clouds($x * 5 + 2, $y * 5 + $z * 4, 4);
        if ($paint > 0.54 && $y < -0.62) {
            return [0.10 * $dark, 0.20 * $dark, 0.24 * $dark, 0.14, 0.0];
        }

        return [0.42 * $dark, 0.285 * $dark, 0.175 * $dark, 0.12, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $left = max(0.0, -0.85 * $dx + 0.3 * $dy + 0.4 * $dz) ** 6 * 0.55;
        $right = max(0.0, 0.95 * $dx + 0.1 * $dy + 0.1 * $dz) ** 8 * 0.5;
        $fill = 0.13 + 0.08 * $dy;

        return [$fill + $left + $right, $fill + $left + $right, $fill * 1.05 + $left + $right];
    }

    /** One body carved out of another, with a soft edge of width k. */
    private static function carved(float $from, float $what, float $k): float
    {
        return -Shapes::melt(-$from, $what, $k);
    }
}
