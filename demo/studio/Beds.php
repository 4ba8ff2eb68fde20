<?php

declare(strict_types=1);

namespace Demo;

/** Oyster beds at low water on a dull evening: rows of racks on the mud, a channel between them, far hills. */
final class Beds implements Subject
{
    public function name(): string
    {
        return 'beds';
    }

    public function size(): array
    {
        return [1400, 900];
    }

    public function camera(): array
    {
        return [0.0, 1.7, 4.0];
    }

    public function focal(): float
    {
        return 0.92;
    }

    public function horizon(): float
    {
        return 0.42;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [-0.60, 0.45, 0.661];
    }

    public function lightColour(): array
    {
        return [0.40, 0.40, 0.42];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $mud = $y + 0.03 * Shapes::clouds($x * 1.1, $z * 0.8, 3) - 0.012 * sin($x * 5 + 2 * sin($z * 1.3)) - self::channel($x, $z);

        return min($mud, $this->racks($x, $y, $z), $this->stakes($x, $y, $z)) * 0.8;
    }

    /** A channel winds toward the horizon; it lies lower than the mud beside it. */
    private static function channel(float $x, float $z): float
    {
        $far = abs($x - 0.45 * sin(0.33 * $z) - 0.2) - 0.55 - 0.02 * abs($z - 4);

        return -0.10 * (1 - max(0.0, min(1.0, $far / 0.5 + 0.5)));
    }

    /** Bags on low racks, in two rows on either side. */
    private function racks(float $x, float $y, float $z): float
    {
        if ($y > 0.7) {
            return $y - 0.4;
        }
        if ($z > 2.4 || $z < -26) {
            return max(0.2, abs($z + 12) - 14.4);
        }
        $row = abs($x) < 2.65 ? 1.95 : 3.55;
        $n = round($z / 1.15);
        [$u, $w] = [abs($x) - $row, $z - 1.15 * $n];
        if (abs($u) > 0.9) {
            return abs($u) - 0.6;
        }
        $lean = 0.05 * (Shapes::hash((int) $n, $x > 0 ? 11 : 12) - 0.5);
        $bag = Shapes::box($u + $lean, $y - 0.30 - 0.6 * $lean * $u - 0.012 * sin(26 * $u) * sin(24 * $w), $w, 0.46, 0.075, 0.47, 0.06);
        $bars = min(Shapes::box($u, $y - 0.20, abs($w) - 0.36, 0.56, 0.014, 0.014), Shapes::box(abs($u) - 0.46, $y - 0.05, abs($w) - 0.36, 0.014, 0.16, 0.014));

        return min($bag, $bars, max(0.25, 1.15 / 2 - abs($w) + 0.1));
    }

    /** Withies that mark the way. */
    private function stakes(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[-0.95, 1.6, 1.25], [-1.05, -3.4, 1.5], [1.25, -6.8, 1.6], [-1.5, -12.0, 1.7]] as [$sx, $sz, $high]) {
            $near = min($near, Shapes::rod($x, $y, $z, $sx, -0.2, $sz, $sx + 0.09, $high, $sz - 0.05, 0.034, 0.018));
        }

        return $near;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->stakes($x, $y, $z) < 0.006 + 0.0008 * abs($z)) {
            $bark = 0.7 + 0.5 * Shapes::clouds($x * 30, $y * 14, 3);

            return [0.17 * $bark, 0.14 * $bark, 0.10 * $bark, 0.1, 0.0];
        }
        if ($this->racks($x, $y, $z) < 0.008 + 0.0008 * abs($z) && $y > 0.0) {
            $shell = Shapes::clouds($x * 17, $z * 17 + 3 * $y, 4);
            $net = 0.6 + 0.4 * abs(sin(70 * $x) * sin(70 * $z));

            return [(0.08 + 0.34 * $shell ** 2) * $net, (0.085 + 0.33 * $shell ** 2) * $net, (0.075 + 0.28 * $shell ** 2) * $net, 0.35, 0.0];
        }
        $wet = max(0.0, min(1.0, (Shapes::clouds($x * 0.8 + 3, $z * 0.35, 4) - 0.46) * 6));
        $wet = max($wet, min(1.0, -12 * self::channel($x, $z)));
        $weed = Shapes::clouds($x * 2.6, $z * 1.7, 4) > 0.62 ? 0.55 : 1.0;
        $fine = 0.75 + 0.5 * Shapes::clouds($x * 14, $z * 10, 3);
        $tone = (1 - 0.55 * $wet) * $fine;

        return [0.145 * $tone * ($weed < 1 ? 0.5 : 1.0), 0.128 * $tone * $weed, 0.105 * $tone * $weed, 0.25 + 0.7 * $wet, 0.35 * $wet];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $up = $dy < 0 ? 0.0 : $dy;
        $band = exp(-$up * 5.0);
        [$r, $g, $b] = [0.20 + 0.24 * $band, 0.215 + 0.22 * $band, 0.245 + 0.175 * $band];
        if ($dz < -0.05 && $dy > -0.02) {
            [$u, $v] = [$dx / -$dz, $dy / -$dz];
            $cloud = Shapes::clouds($u * 2.4 + 1, $v * 8 + 2, 5);
            $shade = 1 - 0.55 * max(0.0, min(1.0, ($cloud - 0.42) * 3.4)) * (1 - exp(-9 * $v));
            [$r, $g, $b] = [$r * $shade, $g * $shade, $b * (0.2 + 0.8 * $shade)];
            $hills = 0.010 + 0.015 * Shapes::clouds($u * 2.2 + 12, 3.3, 3) + 0.003 * Shapes::noise($u * 140, 4.0);
            if ($v < $hills) {
                return [0.3 * $r + 0.03, 0.3 * $g + 0.04, 0.3 * $b + 0.055];
            }
        }

        return [$r, $g, $b];
    }
}
