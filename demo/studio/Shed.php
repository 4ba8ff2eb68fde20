<?php

declare(strict_types=1);

namespace Demo;

/** The side of the boat shed on a dull day: tarred boards, two oars, a float on a nail, the bow of a skiff. */
final class Shed implements Subject
{
    private const BOARD = 0.19;

    public function name(): string
    {
        return 'shed';
    }

    public function size(): array
    {
        return [1100, 740];
    }

    public function camera(): array
    {
        return [0.0, 1.28, 3.4];
    }

    public function focal(): float
    {
        return 1.0;
    }

    public function horizon(): float
    {
        return 0.5;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [0.35, 0.75, 0.561];
    }

    public function lightColour(): array
    {
        return [0.42, 0.43, 0.46];
    }

    public function distance(float $x, float $y, float $z): float
    {
        // boards that overlap, each leaning out at its lower edge
        $lap = $y / self::BOARD - floor($y / self::BOARD);
        $wall = $z - 0.022 * (1 - $lap);
        $post = Shapes::box($x - 1.18, $y, $z - 0.05, 0.06, 6.0, 0.06, 0.008);

        return min($wall, $post, $this->oars($x, $y, $z), $this->float($x, $y, $z), $this->skiff($x, $y, $z), $y) * 0.85;
    }

    private function oars(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[-1.30, -1.10], [-1.06, -1.18]] as [$foot, $top]) {
            $shaft = Shapes::rod($x, $y, $z, $foot, 0.0, 0.34, $top, 2.05, 0.06, 0.021, 0.019);
            $blade = Shapes::rod($x, $y, $z, $top, 1.75, 0.10, $top + 0.01, 2.35, 0.05, 0.055, 0.075);
            $near = min($near, $shaft, max($blade, abs($z - 0.10 + 0.08 * ($y - 1.75)) - 0.014));
        }

        return $near;
    }

    private function float(float $x, float $y, float $z): float
    {
        return min(Shapes::egg($x - 1.42, $y - 1.72, $z - 0.14, 0.105, 0.125, 0.105), Shapes::rod($x, $y, $z, 1.42, 1.83, 0.13, 1.43, 2.06, 0.03, 0.008, 0.008));
    }

    private function skiff(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = [($x - 1.75) * 0.9, $y - 0.42, $z - 0.75];
        $hull = max(Shapes::egg($u, $v, $w, 1.15, 0.52, 0.42), $v - 0.20 - 0.16 * $u * $u);
        $inside = Shapes::egg($u, $v - 0.05, $w, 1.09, 0.50, 0.375);

        return min(max($hull, -$inside), abs(Shapes::egg($u, $v, $w, 1.15, 0.52, 0.42)) > 0.03 ? 9.0 : max(abs(Shapes::egg($u, $v, $w, 1.15, 0.52, 0.42)) - 0.016, abs($v - 0.20 - 0.16 * $u * $u) - 0.022)) * 0.8;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->float($x, $y, $z) < 0.004) {
            return abs($y - 1.72) < 0.035 ? [0.55, 0.52, 0.45, 0.4, 0.0] : [0.42, 0.11, 0.06, 0.4, 0.0];
        }
        if ($this->oars($x, $y, $z) < 0.004) {
            $grain = 0.8 + 0.4 * Shapes::clouds($x * 60, $y * 4, 3);

            return $y > 2.0 ? [0.10 * $grain, 0.20 * $grain, 0.24 * $grain, 0.3, 0.0] : [0.40 * $grain, 0.30 * $grain, 0.17 * $grain, 0.25, 0.0];
        }
        if ($this->skiff($x, $y, $z) < 0.005) {
            $strake = abs(($y - 0.1 * $x * $x) * 7.5 - round(($y - 0.1 * $x * $x) * 7.5)) < 0.05 ? 0.6 : 1.0;
            $grain = $strake * (0.8 + 0.35 * Shapes::clouds($x * 4, $y * 40, 3));

            return [0.20 * $grain, 0.26 * $grain, 0.25 * $grain, 0.3, 0.0];
        }
        if ($y < 0.01) {
            $earth = 0.7 + 0.5 * Shapes::clouds($x * 4, $z * 4, 4);

            return [0.13 * $earth, 0.11 * $earth, 0.09 * $earth, 0.05, 0.0];
        }
        $board = floor($y / self::BOARD);
        $grain = Shapes::clouds($x * 2.4 + 13 * $board, $y * 52 + 3 * $board, 4);
        $tone = (0.8 + 0.3 * (Shapes::hash((int) $board + 60, 5) - 0.5)) * (0.62 + 0.7 * $grain);
        // tar that has worn off in places
        $worn = max(0.0, min(1.0, (Shapes::clouds($x * 1.3 + 5 * $board, $y * 9, 4) - 0.52) * 5));

        return [(0.12 + 0.13 * $worn) * $tone, (0.105 + 0.115 * $worn) * $tone, (0.095 + 0.095 * $worn) * $tone, 0.22, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.14 + 0.26 * max(0.0, 0.35 + 0.5 * $dy + 0.3 * $dz);

        return [$light, $light * 1.02, $light * 1.08];
    }
}
