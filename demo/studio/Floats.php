<?php

declare(strict_types=1);

namespace Demo;

/** Three old net floats of bottle glass, roped, photographed in flat light from above. */
final class Floats implements Subject
{
    /** Middle and radius of each. */
    private const BALLS = [[-0.36, 0.34, 0.05, 0.34], [0.30, 0.27, 0.20, 0.27], [0.16, 0.72, -0.12, 0.22]];

    public function name(): string
    {
        return 'floats';
    }

    public function size(): array
    {
        return [900, 740];
    }

    public function camera(): array
    {
        return [0.0, 0.5, 4.4];
    }

    public function focal(): float
    {
        return 2.55;
    }

    public function horizon(): float
    {
        return 0.5;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [0.25, 0.82, 0.5145];
    }

    public function lightColour(): array
    {
        return [0.9, 0.92, 0.95];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $nearest = INF;
        foreach (self::BALLS as $k => [$bx, $by, $bz, $r]) {
            [$px, $py, $pz] = [$x - $bx, $y - $by, $z - $bz];
            // a blown seal on each, and rope round it two ways
            $ball = min(sqrt($px * $px + $py * $py + $pz * $pz) - $r, sqrt(($px - 0.42 * $r) ** 2 + ($py - 0.84 * $r) ** 2 + ($pz - 0.3 * $r) ** 2) - 0.12 * $r);
            $turn = 0.5 + 1.1 * $k;
            [$u, $w] = [cos($turn) * $px + sin($turn) * $pz, -sin($turn) * $px + cos($turn) * $pz];
            $rope = min(Shapes::ring($u, $w, $py, $r + 0.006, 0.016), Shapes::ring($py, $u, $w, $r + 0.006, 0.016), Shapes::ring($w, $py, $u, $r + 0.006, 0.016));
            $nearest = min($nearest, $ball, $rope);
        }

        return $nearest * 0.92;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        foreach (self::BALLS as $k => [$bx, $by, $bz, $r]) {
            $far = sqrt(($x - $bx) ** 2 + ($y - $by) ** 2 + ($z - $bz) ** 2);
            if ($far > $r + 0.003 && $far < $r + 0.03 && ($x - $bx - 0.42 * $r) ** 2 + ($y - $by - 0.84 * $r) ** 2 > (0.13 * $r) ** 2) {
                $twist = 0.7 + 0.4 * sin(160 * ($x + $y) + 90 * $z);

                return [0.42 * $twist, 0.33 * $twist, 0.21 * $twist, 0.1, 0.0];
            }
            if ($far < $r + 0.05) {
                $green = [[0.13, 0.34, 0.27], [0.10, 0.26, 0.36], [0.26, 0.36, 0.20]][$k];
                // thicker toward the rim, with seeds and streaks in it
                $rim = 0.55 + 0.75 * (1 - abs($nz)) ** 1.5;
                $seeds = 0.82 + 0.36 * Shapes::clouds($x * 11, $y * 11 + 7 * $k, 4);

                return [$green[0] * $seeds / $rim, $green[1] * $seeds / $rim, $green[2] * $seeds / $rim, 0.9, 0.05];
            }
        }

        return [0.3, 0.3, 0.3, 0.1, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.10 + 0.16 * ($dy + 1) / 2 + 0.9 * max(0.0, 0.2 * $dx + 0.9 * $dy + 0.2 * $dz) ** 10;

        return [$light, $light * 1.02, $light * 1.05];
    }
}
