<?php

declare(strict_types=1);

namespace Demo;

/** A copper lantern, not lit, photographed in soft light from above and a little from the left. */
final class Lantern implements Subject
{
    public function name(): string
    {
        return 'lantern';
    }

    public function size(): array
    {
        return [800, 1200];
    }

    public function camera(): array
    {
        return [0.0, 0.42, 4.0];
    }

    public function focal(): float
    {
        return 4.0;
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
        return [-0.35, 0.76, 0.5477];
    }

    public function lightColour(): array
    {
        return [1.25, 1.25, 1.25];
    }

    public function distance(float $x, float $y, float $z): float
    {
        // turned a little, so that two sides are seen
        $u = 0.885 * $x - 0.466 * $z;
        $w = 0.466 * $x + 0.885 * $z;
        $foot = Shapes::box($u, $y - 0.03, $w, 0.21, 0.03, 0.21, 0.015);
        $sole = Shapes::box($u, $y - 0.085, $w, 0.17, 0.03, 0.17, 0.01);
        $posts = Shapes::box(abs($u) - 0.143, $y - 0.36, abs($w) - 0.143, 0.017, 0.26, 0.017, 0.006);
        $bars = min(
            Shapes::box($u, $y - 0.36, abs($w) - 0.148, 0.143, 0.007, 0.007), Shapes::box(abs($u) - 0.148, $y - 0.36, $w, 0.007, 0.007, 0.143),
            Shapes::box($u, $y - 0.36, abs($w) - 0.148, 0.006, 0.25, 0.006), Shapes::box(abs($u) - 0.148, $y - 0.36, $w, 0.006, 0.25, 0.006),
        );
        $glass = Shapes::box($u, $y - 0.36, $w, 0.136, 0.25, 0.136);
        $crown = Shapes::box($u, $y - 0.625, $w, 0.19, 0.02, 0.19, 0.01);
        $half = 0.175 - 0.62 * ($y - 0.64);
        $slope = max(max(abs($u), abs($w)) - $half, 0.63 - $y, $y - 0.83) * 0.8;
        $cap = Shapes::drum($x, $y - 0.86, $z, 0.062, 0.04, 0.012);
        $knob = sqrt($x * $x + ($y - 0.925) ** 2 + $z * $z) - 0.036;
        $ring = Shapes::ring($u, $y - 1.015, $w, 0.085, 0.012);

        return min($foot, $sole, $posts, $bars, $glass, $crown, $slope, $cap, $knob, $ring);
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        $u = 0.885 * $x - 0.466 * $z;
        $w = 0.466 * $x + 0.885 * $z;
        if (max(abs($u), abs($w)) < 0.1405 && abs($y - 0.36) < 0.249) {
            $frost = 0.8 + 0.3 * Shapes::clouds($u * 14, $y * 14 + $w * 9, 3);

            return [0.30 * $frost, 0.29 * $frost, 0.26 * $frost, 0.7, 0.0];
        }
        $dent = Shapes::clouds($u * 26 + 3, $y * 26 + $w * 18, 3);
        $green = max(0.0, min(1.0, (Shapes::clouds($x * 7 + 11, $y * 7 + $z * 5, 4) - 0.56) * 6)) * ($ny > -0.2 ? 0.75 : 0.3);
        $tone = 0.72 + 0.5 * $dent;

        return [
            (0.86 * (1 - $green) + 0.12 * $green) * $tone, (0.43 * (1 - $green) + 0.32 * $green) * $tone, (0.26 * (1 - $green) + 0.26 * $green) * $tone,
            0.55 - 0.4 * $green, 0.82 * (1 - $green),
        ];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $top = max(0.0, -0.3 * $dx + 0.8 * $dy + 0.35 * $dz) ** 5 * 1.3;
        $side = max(0.0, -$dx * 0.9 + 0.2 * $dz) ** 8 * 0.5;
        $room = 0.11 + 0.09 * ($dy + 1) / 2;
        $light = $room + $top + $side;

        return [$light, $light, $light * 1.03];
    }
}
