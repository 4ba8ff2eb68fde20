<?php

declare(strict_types=1);

namespace Demo;

/** A boarded wall in the ferry hut on a dull day: a lamp on a bracket that is out, a rail with a coil of rope, a list of tides. */
final class HutWall implements Subject
{
    private const BOARD = 0.13;

    /** The middle of the lamp's shade. */
    private const LAMP = [-0.12, 2.02, 0.17];

    public function name(): string
    {
        return 'hutwall';
    }

    public function size(): array
    {
        return [1100, 740];
    }

    public function camera(): array
    {
        return [0.0, 1.5, 2.6];
    }

    public function focal(): float
    {
        return 1.15;
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
        return [-0.42, 0.60, 0.681];
    }

    public function lightColour(): array
    {
        return [0.30, 0.31, 0.34];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $beside = abs($x / self::BOARD - round($x / self::BOARD)) * self::BOARD;
        // tongued boards: a bead beside each groove
        $groove = $beside < 0.007 ? 0.010 * (1 - $beside / 0.007) : ($beside < 0.016 ? -0.003 : 0.0);
        $rail = min(Shapes::box($x, $y - 0.98, $z - 0.012, 6.0, 0.045, 0.02, 0.006), Shapes::box($x, $y - 1.03, $z - 0.02, 6.0, 0.012, 0.035, 0.006));
        $list = Shapes::box($x - 0.80, $y - 1.62, $z - 0.004, 0.13, 0.19, 0.004);
        $pegs = Shapes::box($x + 0.78, $y - 1.86, $z - 0.012, 0.24, 0.035, 0.014, 0.006);
        $pegs = min($pegs, Shapes::rod(abs($x + 0.78) - 0.13, $y, $z, 0, 1.86, 0.02, 0, 1.88, 0.10, 0.014, 0.018));

        return min($z + $groove, $rail, $list, $pegs, $this->rope($x, $y, $z), $this->lamp($x, $y, $z)) * 0.9;
    }

    /** A coil that hangs from a peg. */
    private function rope(float $x, float $y, float $z): float
    {
        $hung = [$x + 0.91, ($y - 1.66) * 0.78];
        $coil = min(Shapes::ring($hung[0], $hung[1], $z - 0.05, 0.155, 0.017), Shapes::ring($hung[0] + 0.012, $hung[1] + 0.006, $z - 0.078, 0.145, 0.017));

        return min($coil, Shapes::ring($hung[0] - 0.01, $hung[1] + 0.012, $z - 0.055, 0.122, 0.016)) * 0.8;
    }

    private function lamp(float $x, float $y, float $z): float
    {
        [$lx, $ly, $lz] = self::LAMP;
        $plate = Shapes::drum($x - $lx, $z - 0.012, $y - $ly - 0.06, 0.055, 0.012, 0.005);
        $arm = Shapes::rod($x, $y, $z, $lx, $ly + 0.06, 0.02, $lx, $ly + 0.13, $lz, 0.012, 0.011);
        $cone = hypot($x - $lx, $z - $lz) - (0.045 + 0.55 * max(0.0, $ly + 0.09 - $y));
        $shade = max(abs($cone) * 0.85 - 0.006, abs($y - $ly - 0.03) - 0.07);
        $bulb = Shapes::egg($x - $lx, $y - $ly + 0.02, $z - $lz, 0.032, 0.04, 0.032);

        return min($plate, $arm, $shade, $bulb, Shapes::drum($x - $lx, $y - $ly - 0.10, $z - $lz, 0.034, 0.03, 0.01));
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->lamp($x, $y, $z) < 0.004) {
            $bulb = hypot($x - self::LAMP[0], $z - self::LAMP[2]) < 0.034 && $y < self::LAMP[1] + 0.03;

            return $bulb ? [0.55, 0.53, 0.47, 0.9, 0.0] : [0.32, 0.20, 0.09, 0.6, 0.45];
        }
        if ($this->rope($x, $y, $z) < 0.006) {
            $twist = 0.75 + 0.35 * sin(60 * ($x + $y) + 34 * atan2($y - 1.66, $x + 0.91));

            return [0.50 * $twist, 0.41 * $twist, 0.26 * $twist, 0.1, 0.0];
        }
        if (abs($x - 0.80) < 0.131 && abs($y - 1.62) < 0.191 && $z > 0.001) {
            return self::tides(($x - 0.80) / 0.13, ($y - 1.62) / 0.19);
        }
        $board = round($x / self::BOARD);
        $brushed = Shapes::clouds($x * 60, $y * 3 + 5 * $board, 3);
        $worn = Shapes::clouds($x * 5 + 11 * $board, $y * 4, 4);
        $tone = (0.86 + 0.14 * (Shapes::hash((int) $board + 90, 3) - 0.5)) * (0.86 + 0.22 * $brushed);
        if ($y < 1.04) {
            // the dado is darker
            return [0.085 * $tone, 0.10 * $tone, 0.10 * $tone, 0.3, 0.0];
        }
        if ($worn > 0.71) {
            return [0.34 * $tone, 0.29 * $tone, 0.22 * $tone, 0.1, 0.0];
        }

        return [0.205 * $tone, 0.285 * $tone, 0.275 * $tone, 0.28, 0.0];
    }

    /** Lines of writing in two columns, a head and a wave. */
    private static function tides(float $u, float $v): array
    {
        $paper = 0.72 + 0.08 * Shapes::clouds($u * 4, $v * 5, 3);
        $row = ($v + 1) * 12;
        $written = $row < 18 && abs($row - floor($row) - 0.5) < 0.22 && abs(abs($u) - 0.45) < 0.32 && Shapes::noise($u * 22, floor($row) * 7.3) > 0.42;
        $head = abs($v - 0.72 - 0.04 * sin(9 * $u)) < 0.025 && abs($u) < 0.7;
        $ink = $written || $head ? 0.3 : 1.0;

        return [$paper * $ink, $paper * 0.94 * $ink, $paper * 0.80 * $ink, 0.05, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $room = 0.13 + 0.17 * max(0.0, -0.4 * $dx + 0.4 * $dy + 0.6 * $dz);

        return [$room, $room * 1.02, $room * 1.08];
    }
}
