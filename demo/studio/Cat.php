<?php

declare(strict_types=1);

namespace Demo;

/** A ceramic cat with wire whiskers, seen from behind, photographed before a plain red cloth. */
final class Cat implements Subject
{
    public function name(): string
    {
        return 'cat';
    }

    public function size(): array
    {
        return [520, 620];
    }

    public function camera(): array
    {
        return [0.0, 0.42, 3.0];
    }

    public function focal(): float
    {
        return 3.0;
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
        return [0.50, 0.62, 0.605];
    }

    public function lightColour(): array
    {
        return [0.62, 0.60, 0.56];
    }

    public function distance(float $x, float $y, float $z): float
    {
        return min($this->body($x, $y, $z), $this->whiskers($x, $y, $z)) * 0.85;
    }

    private function body(float $x, float $y, float $z): float
    {
        $rump = Shapes::egg($x, $y - 0.17, $z, 0.20, 0.19, 0.19);
        $back = Shapes::egg($x, $y - 0.33, $z + 0.03, 0.145, 0.24, 0.135);
        $head = Shapes::egg($x, $y - 0.66, $z + 0.05, 0.135, 0.115, 0.12);
        $ears = Shapes::rod(abs($x), $y, $z, 0.075, 0.72, -0.05, 0.105, 0.835, -0.05, 0.05, 0.008);
        $tail = min(
            Shapes::rod($x, $y, $z, 0.0, 0.045, 0.16, 0.20, 0.04, 0.16, 0.042, 0.036), Shapes::rod($x, $y, $z, 0.20, 0.04, 0.16, 0.275, 0.12, 0.10, 0.036, 0.028),
            Shapes::rod($x, $y, $z, 0.275, 0.12, 0.10, 0.285, 0.20, 0.08, 0.028, 0.020),
        );
        $feet = Shapes::egg(abs($x) - 0.13, $y - 0.05, $z + 0.06, 0.085, 0.055, 0.12);
        $body = Shapes::melt(Shapes::melt($rump, $back, 0.09), Shapes::melt($head, $ears, 0.035), 0.05);

        return max(min(Shapes::melt($body, $feet, 0.04), $tail), -$y);
    }

    /** Three wires on either side that stand out beyond the cheeks. */
    private function whiskers(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[0.645, 0.70], [0.63, 0.645], [0.615, 0.585]] as [$from, $to]) {
            $near = min($near, Shapes::rod(abs($x), $y, $z, 0.08, $from, -0.13, 0.265, $to, -0.12, 0.0034, 0.0022));
        }

        return $near;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->whiskers($x, $y, $z) < 0.0015) {
            return [0.62, 0.60, 0.54, 0.5, 0.2];
        }
        $glaze = 0.9 + 0.14 * Shapes::clouds($x * 9 + 3, $y * 9, 3);
        $stripe = sin(62 * $y - 14 * abs($x) + 2.4 * Shapes::clouds($x * 6, $y * 6, 3));
        $spine = abs($x) < 0.022 && $y > 0.16 && $y < 0.72;
        if ($spine || ($stripe > 0.35 + 1.5 * abs(abs($x) - 0.09) && abs($x) > 0.03 && $y > 0.12)) {
            return [0.07 * $glaze, 0.13 * $glaze, 0.21 * $glaze, 0.8, 0.0];
        }

        return [0.60 * $glaze, 0.56 * $glaze, 0.48 * $glaze, 0.8, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        if ($dz < -0.7) {
            // the cloth behind it
            $cloth = 0.135 + 0.02 * Shapes::clouds($dx * 9, $dy * 9, 3);

            return [$cloth * 3.4, $cloth * 0.5, $cloth * 0.35];
        }
        $light = 0.15 + 0.30 * max(0.0, 0.4 + 0.5 * $dy + 0.3 * $dx);

        return [$light, $light * 1.01, $light * 1.03];
    }
}
