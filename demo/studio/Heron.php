<?php

declare(strict_types=1);

namespace Demo;

/** A glazed ceramic heron, photographed in a studio with its light from the left. */
final class Heron implements Subject
{
    public function name(): string
    {
        return 'heron';
    }

    public function size(): array
    {
        return [1000, 1600];
    }

    public function camera(): array
    {
        return [0.0, 0.92, 5.2];
    }

    public function focal(): float
    {
        return 4.2;
    }

    public function horizon(): float
    {
        return 0.485;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [-0.7544, 0.4356, 0.4911];
    }

    public function lightColour(): array
    {
        return [1.55, 1.5, 1.42];
    }

    public function distance(float $x, float $y, float $z): float
    {
        // the body leans back, its tail lower than its breast
        $c = 0.866;
        $s = 0.5;
        $bx = $c * $x - $s * ($y - 0.86);
        $by = $s * $x + $c * ($y - 0.86);
        $body = Shapes::egg($bx, $by, $z, 0.17, 0.33, 0.155);
        $tail = Shapes::egg($bx + 0.07, $by + 0.34, $z, 0.05, 0.2, 0.06);
        $body = Shapes::melt($body, $tail, 0.12);
        $wing = Shapes::egg($bx + 0.035, $by + 0.06, abs($z) - 0.125, 0.115, 0.29, 0.04);
        $body = Shapes::melt($body, $wing, 0.025);

        $neck = Shapes::rod($x, $y, $z, 0.12, 1.06, 0.0, 0.245, 1.2, 0.0, 0.098, 0.066);
        $neck = Shapes::melt($neck, Shapes::rod($x, $y, $z, 0.245, 1.2, 0.0, 0.165, 1.37, 0.0, 0.064, 0.052), 0.05);
        $neck = Shapes::melt($neck, Shapes::rod($x, $y, $z, 0.165, 1.37, 0.0, 0.195, 1.53, 0.0, 0.052, 0.047), 0.05);
        $head = Shapes::egg($x - 0.225, $y - 1.575, $z, 0.088, 0.062, 0.058);
        $neck = Shapes::melt($neck, $head, 0.05);
        $crest = Shapes::rod($x, $y, $z, 0.17, 1.6, 0.0, 0.03, 1.545, 0.0, 0.026, 0.004);
        $neck = Shapes::melt($neck, $crest, 0.03);
        $beak = Shapes::rod($x, $y, $z, 0.285, 1.572, 0.0, 0.52, 1.545, 0.0, 0.03, 0.004);
        $bird = Shapes::melt(Shapes::melt($body, $neck, 0.11), $beak, 0.018);

        $legs = min(
            Shapes::rod($x, $y, $z, -0.02, 0.62, 0.055, 0.0, 0.06, 0.06, 0.026, 0.017),
            Shapes::rod($x, $y, $z, -0.06, 0.62, -0.055, -0.1, 0.06, -0.06, 0.026, 0.017),
            Shapes::rod($x, $y, $z, 0.0, 0.055, 0.06, 0.1, 0.045, 0.08, 0.016, 0.01),
            Shapes::rod($x, $y, $z, -0.1, 0.055, -0.06, 0.0, 0.045, -0.07, 0.016, 0.01),
        );
        $base = Shapes::drum($x, $y - 0.02, $z, 0.25, 0.03, 0.02);

        return min(Shapes::melt($bird, $legs, 0.05), $base);
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($x > 0.29 && $y > 1.5) {
            return [0.42, 0.25, 0.075, 0.85, 0.0];
        }
        $eye = ($x - 0.262) ** 2 + ($y - 1.59) ** 2;
        if ($eye < 0.00016 && abs($z) > 0.03) {
            return [0.008, 0.008, 0.008, 1.0, 0.0];
        }
        if ($y < 0.52 && $x > -0.16 || $y < 0.1) {
            return $y < 0.056 ? [0.075, 0.085, 0.08, 0.55, 0.0] : [0.17, 0.125, 0.085, 0.7, 0.0];
        }
        // glaze: pale breast, blue-green back that has run in the firing
        $back = -0.7 * $x + 0.35 * (1.0 - $y) + 0.15;
        $run = Shapes::clouds($x * 9 + $z * 4, $y * 3.2, 4);
        $dark = max(0.0, min(1.0, ($back + 0.5 * ($run - 0.5)) * 3.4));
        $speck = Shapes::noise($x * 90 + $z * 60, $y * 90) > 0.93 ? 0.55 : 1.0;
        $crackle = 0.94 + 0.12 * Shapes::noise($x * 240 + 7, $y * 240 + $z * 200);

        return [
            (0.52 - 0.45 * $dark) * $speck * $crackle,
            (0.54 - 0.33 * $dark) * $speck * $crackle,
            (0.50 - 0.24 * $dark) * $speck * $crackle,
            0.95, 0.0,
        ];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        // a large soft box at the left, a dim room around
        $box = max(0.0, -0.72 * $dx + 0.42 * $dy + 0.5 * $dz) ** 10 * 1.1;
        $fill = 0.14 + 0.1 * $dy;
        $strip = max(0.0, $dx - 0.75) * 0.35 * ($dz > -0.4 ? 1 : 0);

        return [$fill + $box + $strip, $fill * 1.02 + $box * 0.98 + $strip, $fill * 1.08 + $box * 0.95 + $strip * 1.1];
    }
}
