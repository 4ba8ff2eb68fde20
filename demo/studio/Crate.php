<?php

declare(strict_types=1);

namespace Demo;

/** A fish crate of rough boards with a rope handle and a coil on its lid, as a renderer gives it: in even light, with its passes. */
final class Crate implements Subject
{
    private const HALF = [0.46, 0.31, 0.34];

    /** How far it is turned. */
    private const TURN = [0.857, 0.515];

    private const BOARD = 0.124;

    public function name(): string
    {
        return 'crate';
    }

    public function size(): array
    {
        return [640, 560];
    }

    public function camera(): array
    {
        return [0.0, 1.5, 3.3];
    }

    public function focal(): float
    {
        return 2.25;
    }

    public function horizon(): float
    {
        return -0.46;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [-0.42, 0.66, 0.623];
    }

    public function lightColour(): array
    {
        return [0.30, 0.30, 0.31];
    }

    public function distance(float $x, float $y, float $z): float
    {
        [$u, $w] = $this->turned($x, $z);

        return min($this->boards($u, $y, $w), $this->battens($u, $y, $w), $this->coil($u, $y, $w), $this->handle($u, $y, $w)) * 0.8;
    }

    /** @return array{float, float} along its length, and across */
    private function turned(float $x, float $z): array
    {
        [$c, $s] = self::TURN;

        return [$c * $x - $s * $z, $s * $x + $c * $z];
    }

    /** Five boards up each side with gaps between, six over the lid, and dark within. */
    private function boards(float $u, float $y, float $w): float
    {
        [$a, $b, $c] = self::HALF;
        $n = (int) floor($y / self::BOARD);
        $row = max(0, min(4, $n));
        $v = $y - ($row + 0.5) * self::BOARD;
        $side = ($u > 0 ? 2 : 0) + ($w > 0 ? 1 : 0);
        $out = 0.010 * (Shapes::hash($row, 5 + $side) - 0.5);
        $walls = max(Shapes::box($u, $v, $w, $a + $out, 0.055, $c + $out, 0.006), -Shapes::box($u, $v, $w, $a - 0.022, 0.2, $c - 0.022));
        $m = max(-3, min(2, (int) floor($w / 0.116)));
        $lift = 0.008 * (Shapes::hash($m, 31) - 0.5);
        $lid = Shapes::box($u - 0.02 * (Shapes::hash($m, 33) - 0.5), $y - 0.642 - $lift, $w - ($m + 0.5) * 0.116, $a + 0.012, 0.012, 0.053, 0.005);

        return min($walls, $lid, Shapes::box($u, $y - 0.3, $w, $a - 0.05, 0.29, $c - 0.05));
    }

    /** Upright at the corners and in the middle, and across the lid. */
    private function battens(float $u, float $y, float $w): float
    {
        [$a, $b, $c] = self::HALF;
        $long = min(abs(abs($u) - $a + 0.05), abs($u)) - 0.045;
        $front = max($long, abs(abs($w) - $c - 0.014) - 0.013, abs($y - 0.315) - 0.318);
        $end = max(abs(abs($w) - $c + 0.045) - 0.045, abs(abs($u) - $a - 0.014) - 0.013, abs($y - 0.315) - 0.318);
        $over = max(abs(abs($u) - 0.27) - 0.042, abs($y - 0.666) - 0.011, abs($w) - $c - 0.004);

        return min($front, $end, $over) - 0.003;
    }

    /** Three turns of a rope, laid one on the other. */
    private function coil(float $u, float $y, float $w): float
    {
        $near = 9.0;
        foreach ([[0.135, 0.705, 0.0], [0.145, 0.742, 0.012], [0.128, 0.776, -0.006]] as $k => [$radius, $up, $aside]) {
            [$p, $q] = [$u + 0.06 - $aside, $w - 0.02 + $aside];
            $far = hypot($p, $q) - $radius;
            $turn = atan2($q, $p);
            $height = $y - $up - 0.008 * sin($turn + 2 * $k);
            // the strands of the rope go round it
            $strand = 0.0032 * sin(3 * atan2($height, $far) + 26 * $turn);
            $near = min($near, hypot($far, $height) - 0.0215 - $strand);
        }

        return min($near, Shapes::rod($u, $y, $w, -0.2, 0.70, 0.02, -0.30, 0.692, 0.20, 0.018, 0.018), Shapes::rod($u, $y, $w, -0.30, 0.692, 0.20, -0.27, 0.690, 0.33, 0.018, 0.016));
    }

    /** A loop of rope at the end that is seen. */
    private function handle(float $u, float $y, float $w): float
    {
        [$a] = self::HALF;
        $sag = abs($w) < 0.12 ? 0.09 * (1 - ($w / 0.12) ** 2) : 0.0;
        $loop = max(hypot($u + $a + 0.035 + 0.25 * $sag, $y - 0.43 + $sag) - 0.015, abs($w) - 0.115) * 0.6;

        return min($loop, Shapes::egg($u + $a + 0.034, $y - 0.43, abs($w) - 0.118, 0.026, 0.028, 0.026));
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        [$u, $w] = $this->turned($x, $z);
        if (min($this->coil($u, $y, $w), $this->handle($u, $y, $w)) < 0.004) {
            $fibre = 0.75 + 0.5 * Shapes::noise($x * 140, ($y + $z) * 140);

            return [0.42 * $fibre, 0.33 * $fibre, 0.20 * $fibre, 0.05, 0.0];
        }
        if ($this->battens($u, $y, $w) < 0.004) {
            $along = abs($ny) > 0.6 || $y > 0.655 ? Shapes::clouds($u * 60, $w * 4, 3) : Shapes::clouds(($u + $w) * 60, $y * 5, 3);
            $tone = 0.6 + 0.6 * $along;

            return [0.34 * $tone, 0.235 * $tone, 0.14 * $tone, 0.12, 0.0];
        }
        $isLid = $y > 0.62;
        $n = $isLid ? (int) floor($w / 0.116) + 40 : (int) floor($y / self::BOARD);
        $grain = $isLid ? Shapes::clouds($u * 3.5 + 5 * $n, $w * 70, 4) : Shapes::clouds(($u + $w) * 3.5 + 7 * $n, $y * 70, 4);
        $tone = (0.72 + 0.5 * Shapes::hash($n, 3)) * (0.55 + 0.8 * $grain);
        // what is left of blue paint on its long side
        $paint = ! $isLid && Shapes::clouds(($u + $w) * 5 + 3, $y * 9, 4) > 0.47 && $y < 0.5;
        if ($paint) {
            return [0.062 * $tone, 0.150 * $tone, 0.190 * $tone, 0.25, 0.0];
        }

        return [0.40 * $tone, 0.29 * $tone, 0.185 * $tone, 0.1, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.30 + 0.12 * max(0.0, $dy);

        return [$light, $light, $light * 1.02];
    }
}
