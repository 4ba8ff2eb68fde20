<?php

declare(strict_types=1);

namespace Demo;

/** An old hand winch on three legs, wood and iron, photographed in the light of an overcast day. */
final class Winch implements Subject
{
    /** Where its legs stand, each at a depth of its own. */
    private const FEET = [[-0.62, 0.22], [0.56, 0.36], [0.10, -0.52]];

    private const TOP = 1.18;

    public function name(): string
    {
        return 'winch';
    }

    public function size(): array
    {
        return [820, 900];
    }

    public function camera(): array
    {
        return [0.0, 1.35, 4.6];
    }

    public function focal(): float
    {
        return 2.45;
    }

    public function horizon(): float
    {
        return 0.16;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [0.30, 0.80, 0.5196];
    }

    public function lightColour(): array
    {
        return [0.72, 0.74, 0.78];
    }

    public function distance(float $x, float $y, float $z): float
    {
        return min($this->legs($x, $y, $z), $this->drum($x, $y, $z), $this->iron($x, $y, $z), $this->rope($x, $y, $z)) * 0.9;
    }

    private function legs(float $x, float $y, float $z): float
    {
        $nearest = INF;
        foreach (self::FEET as [$fx, $fz]) {
            $nearest = min($nearest, Shapes::rod($x, $y, $z, 0.10 * $fx, self::TOP, 0.10 * $fz, $fx, 0.055, $fz, 0.055, 0.048));
        }

        return $nearest;
    }

    /** The spindle lies across, between two cheeks. */
    private function drum(float $x, float $y, float $z): float
    {
        return min(Shapes::drum($y - 0.72, $x, $z - 0.10, 0.12, 0.30, 0.02), Shapes::drum($y - 0.72, abs($x) - 0.31, $z - 0.10, 0.22, 0.022, 0.01));
    }

    private function iron(float $x, float $y, float $z): float
    {
        $cap = Shapes::drum($x, $y - self::TOP, $z, 0.10, 0.07, 0.02);
        $eye = Shapes::ring($x, $y - self::TOP - 0.15, $z, 0.07, 0.018);
        $crank = min(
            Shapes::rod($x, $y, $z, 0.30, 0.72, 0.10, 0.52, 0.72, 0.10, 0.022, 0.022), Shapes::rod($x, $y, $z, 0.52, 0.72, 0.10, 0.54, 0.98, 0.22, 0.022, 0.02),
            Shapes::rod($x, $y, $z, 0.54, 0.98, 0.22, 0.72, 0.98, 0.22, 0.034, 0.030),
        );
        $shoes = INF;
        foreach (self::FEET as [$fx, $fz]) {
            $shoes = min($shoes, Shapes::drum($x - $fx, $y - 0.03, $z - $fz, 0.075, 0.03, 0.012));
        }

        return min($cap, $eye, $crank, $shoes);
    }

    /** Turns of rope on the spindle, and its end hanging down. */
    private function rope(float $x, float $y, float $z): float
    {
        $turn = ($x + 0.24) / 0.06;
        $along = abs($x) < 0.25 ? ($turn - round($turn)) * 0.06 : abs($x) - 0.24;
        $coil = hypot(hypot($y - 0.72, $z - 0.10) - 0.135, $along) - 0.031;

        return min($coil * 0.8, Shapes::rod($x, $y, $z, -0.10, 0.70, 0.26, -0.12, 0.24, 0.27, 0.022, 0.022), Shapes::ring($x + 0.12, $y - 0.17, $z - 0.27, 0.06, 0.02));
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        $legs = $this->legs($x, $y, $z);
        $drum = $this->drum($x, $y, $z);
        $rope = $this->rope($x, $y, $z);
        $iron = $this->iron($x, $y, $z);
        $least = min($legs, $drum, $rope, $iron);
        if ($least === $rope) {
            $twist = 0.75 + 0.35 * sin(150 * ($x + 0.7 * $y) + 60 * $z);

            return [0.50 * $twist, 0.41 * $twist, 0.27 * $twist, 0.1, 0.0];
        }
        if ($least === $iron) {
            $rust = Shapes::clouds($x * 16 + 5, ($y + $z) * 16, 4);

            return $rust > 0.56 ? [0.27, 0.13, 0.07, 0.15, 0.0] : [0.15, 0.155, 0.165, 0.55, 0.25];
        }
        // weathered wood, its grain along the piece
        $grain = $least === $legs ? Shapes::clouds(($x + $z) * 40, $y * 5, 4) : Shapes::clouds($x * 5, ($y + $z) * 40, 4);
        $tone = 0.55 + 0.7 * $grain;

        return [0.36 * $tone, 0.25 * $tone, 0.15 * $tone, 0.18, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.12 + 0.34 * ($dy + 1) / 2;

        return [$light, $light * 1.02, $light * 1.07];
    }
}
