<?php

declare(strict_types=1);

namespace Demo;

/** A quay of worn stone slabs on an overcast day: a kerb, mooring rings and bollards along it, grey water and a far shore. */
final class Quay implements Subject
{
    private const SLAB = [0.95, 0.62];

    public function name(): string
    {
        return 'quay';
    }

    public function size(): array
    {
        return [1300, 860];
    }

    public function camera(): array
    {
        return [0.0, 1.45, 4.0];
    }

    public function focal(): float
    {
        return 0.95;
    }

    public function horizon(): float
    {
        return 0.30;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [0.30, 0.86, 0.41];
    }

    public function lightColour(): array
    {
        return [0.20, 0.205, 0.215];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $water = $y + 1.1 + 0.01 * sin(3.1 * $x + 1.7 * $z) * sin(2.3 * $z - 1.1 * $x);
        if ($z < -7.6) {
            return min($water, max(0.15, -7.35 - $z)) * 0.9;
        }

        return min($water, $this->slabs($x, $y, $z), $this->kerb($x, $y, $z), $this->bollards($x, $y, $z)) * 0.85;
    }

    /** Bonded slabs, no two at quite the same height, with worn edges. */
    private function slabs(float $x, float $y, float $z): float
    {
        [$w, $d] = self::SLAB;
        $row = (int) floor($z / $d);
        $u = $x / $w + 0.5 * ($row & 1) + 0.13 * Shapes::hash($row, 3);
        $column = (int) floor($u);
        [$lx, $lz] = [($u - $column - 0.5) * $w, $z - ($row + 0.5) * $d];
        $lift = 0.018 * (Shapes::hash($column, $row) - 0.5) + 0.010 * (Shapes::clouds($x * 2.2, $z * 2.2, 3) - 0.5);
        $slab = Shapes::box($lx, $y + 0.2 - $lift, $lz, $w / 2 - 0.012, 0.2, $d / 2 - 0.012, 0.028);

        return max(min($slab, max($y + 0.05, 0.02)), -7.2 - $z);
    }

    private function kerb(float $x, float $y, float $z): float
    {
        $u = $x / 1.6 - round($x / 1.6);

        return Shapes::box($u * 1.6, $y + 0.05, $z + 7.0, 0.79, 0.20, 0.30, 0.04);
    }

    private function bollards(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[-2.7, -6.1], [2.1, -6.2]] as [$bx, $bz]) {
            $post = Shapes::drum($x - $bx, $y - 0.22, $z - $bz, 0.15 - 0.05 * min(1.0, max(0.0, $y / 0.3)), 0.26, 0.04);
            $near = min($near, $post, Shapes::egg($x - $bx, $y - 0.50, $z - $bz, 0.19, 0.085, 0.19), Shapes::ring($x - $bx, $z - $bz, $y - 0.13, 0.17, 0.035));
        }

        return $near;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($y < -0.6) {
            return [0.045, 0.055, 0.058, 0.95, 0.5];
        }
        if ($this->bollards($x, $y, $z) < 0.01) {
            if ($y < 0.19) {
                $twist = 0.75 + 0.35 * sin(90 * ($x + $z));

                return [0.42 * $twist, 0.35 * $twist, 0.23 * $twist, 0.1, 0.0];
            }
            $rust = Shapes::clouds($x * 14, $y * 12 + $z * 9, 4);

            return $rust > 0.54 ? [0.22, 0.105, 0.06, 0.15, 0.0] : [0.075, 0.08, 0.085, 0.5, 0.2];
        }
        [$w, $d] = self::SLAB;
        $row = (int) floor($z / $d);
        $column = (int) floor($x / $w + 0.5 * ($row & 1) + 0.13 * Shapes::hash($row, 3));
        $speckle = 0.72 + 0.4 * Shapes::clouds($x * 26, $z * 26, 4) + 0.18 * (Shapes::clouds($x * 3, $z * 3, 3) - 0.5);
        $tone = (0.85 + 0.36 * (Shapes::hash($column + 40, $row) - 0.5)) * $speckle;
        $wet = max(0.0, min(1.0, (Shapes::clouds($x * 0.7 + 9, $z * 0.5, 4) - 0.55) * 7));
        $moss = $y < -0.012 ? 0.45 : 1.0;
        $tone *= (1 - 0.35 * $wet) * ($y < -0.012 ? 0.55 : 1.0);

        return [0.31 * $tone * $moss, 0.295 * $tone, 0.265 * $tone * $moss, 0.12 + 0.5 * $wet, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $up = $dy < 0 ? 0.0 : $dy;
        $light = 0.40 + 0.16 * exp(-4 * $up);
        [$r, $g, $b] = [$light * 0.97, $light, $light * 1.06];
        if ($dz < -0.05 && $dy > -0.02) {
            [$u, $v] = [$dx / -$dz, $dy / -$dz];
            $cloud = 1 - 0.35 * max(0.0, min(1.0, (Shapes::clouds($u * 2 + 5, $v * 7 + 1, 5) - 0.42) * 3));
            [$r, $g, $b] = [$r * $cloud, $g * $cloud, $b * (0.3 + 0.7 * $cloud)];
            if ($v < 0.009 + 0.015 * Shapes::clouds($u * 2.6 + 4, 1.3, 3) + 0.003 * Shapes::noise($u * 120, 3.0)) {
                return [0.14, 0.165, 0.18];
            }
        }

        return [$r, $g, $b];
    }
}
