<?php

declare(strict_types=1);

namespace Demo;

/** A plank boardwalk over a salt marsh at dusk, with a ferry hut and a lamp post; the last light comes from the right. */
final class Boardwalk implements Subject
{
    private const PLANK = 0.21;

    /** Farther back than this the gaps are finer than a pixel. */
    private const ONE_SLAB = -4.0;

    /** Where the walk ends, so far behind the camera's origin. */
    private const END = 20.5;

    public function name(): string
    {
        return 'boardwalk';
    }

    public function size(): array
    {
        return [1600, 1000];
    }

    public function camera(): array
    {
        return [0.0, 1.55, 4.2];
    }

    public function focal(): float
    {
        return 0.86;
    }

    public function horizon(): float
    {
        return 0.46;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [0.826, 0.395, 0.403];
    }

    public function lightColour(): array
    {
        return [1.15, 0.70, 0.44];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $d = $y + 0.42 + 0.006 * sin($x * 7.1 + $z * 2.3) * sin($z * 5.7 - $x * 1.9);
        $walk = abs($x) - 2.05;
        $beyond = -$z - self::END;
        if ($beyond > 0.5) {
            $d = min($d, $beyond);
        } elseif ($walk < 0.6 && $y < 0.8) {
            $d = min($d, max($beyond, $this->walk($x, $y, $z)));
        } elseif ($walk >= 0.6) {
            $d = min($d, max($walk - 0.3, 0.1));
        }
        $side = abs(abs($x) - 2.0);
        $d = min($d, $beyond > 0.5 ? $beyond : max($beyond, $side > 0.5 ? $side - 0.3 : $this->posts($x, $y, $z)));
        $lamp = sqrt(($x + 1.72) ** 2 + ($z + 2.6) ** 2);
        $d = min($d, $lamp > 1.3 ? $lamp - 0.9 : $this->lamp($x + 1.72, $y, $z + 2.6));
        $hut = sqrt(($x - 3.3) ** 2 + ($y - 1.2) ** 2 + ($z + 6.2) ** 2);

        return min($d, $hut > 4.0 ? $hut - 3.4 : $this->hut($x - 3.55, $y, $z + 6.2));
    }

    private function walk(float $x, float $y, float $z): float
    {
        if ($z < self::ONE_SLAB) {
            return Shapes::box($x, $y, $z + 50, 1.98, 0.03, 50 + self::ONE_SLAB);
        }
        $n = floor($z / self::PLANK);
        $local = $z - ($n + 0.5) * self::PLANK;
        $tilt = Shapes::hash((int) $n, 3) - 0.5;
        $lift = 0.012 * (Shapes::hash((int) $n, 7) - 0.5);
        $shift = 0.05 * (Shapes::hash((int) $n, 11) - 0.5);
        $planks = Shapes::box($x - $shift, $y - $lift - 0.012 * $tilt * $x, $local, 1.98, 0.03, 0.094, 0.012);
        // the neighbours are as near as the gap between them
        $planks = min($planks, self::PLANK / 2 - abs($local) + 0.02);
        $beams = Shapes::box(abs($x) - 1.5, $y + 0.16, $z, 0.08, 0.1, 40.0);

        return min($planks, $beams);
    }

    private function posts(float $x, float $y, float $z): float
    {
        $period = 2.4;
        $n = floor($z / $period + 0.5);
        $local = $z - $n * $period;
        $side = abs($x) - 2.0;
        $lean = 0.03 * (Shapes::hash((int) $n, $x > 0 ? 1 : 2) - 0.5) * $y;
        $post = Shapes::drum($side + $lean, $y - 0.05, $local, 0.062, 0.62, 0.015);
        // a slack rope from post to post
        $u = abs($local) / ($period / 2);
        $rope = sqrt(($side - 0.0) ** 2 + ($y - 0.36 - 0.17 * $u * $u + 0.17) ** 2) - 0.017;

        return min($post, $rope * 0.9);
    }

    private function lamp(float $x, float $y, float $z): float
    {
        $pole = Shapes::rod($x, $y, $z, 0, -0.3, 0, 0, 2.72, 0, 0.05, 0.034);
        $arm = Shapes::rod($x, $y, $z, 0, 2.66, 0, 0.5, 2.78, 0, 0.022, 0.018);
        $foot = Shapes::drum($x, $y - 0.09, $z, 0.11, 0.12, 0.03);
        $hood = Shapes::drum($x - 0.5, $y - 2.68, $z, 0.19 - 0.6 * max(0, $y - 2.62), 0.09, 0.01);

        return min(Shapes::melt($pole, $foot, 0.06), $arm, $hood * 0.8);
    }

    private function hut(float $x, float $y, float $z): float
    {
        $body = Shapes::box($x, $y - 1.0, $z, 1.25, 1.05, 1.3, 0.02);
        $window = Shapes::box($x + 1.25, $y - 1.25, $z - 0.15, 0.09, 0.3, 0.36);
        $front = Shapes::box($x + 0.35, $y - 1.2, $z - 1.3, 0.34, 0.32, 0.09);
        $door = Shapes::box($x - 0.62, $y - 0.85, $z - 1.3, 0.3, 0.85, 0.05);
        $body = max($body, -$window, -$front, -$door);
        $over = 0.78 * (abs($x) * 0.55 + $y - 2.78);
        $roof = max($over, -$over - 0.09, abs($z) - 1.55, abs($x) - 1.55);
        $gable = max($over, abs($z) - 1.28, abs($x) - 1.24, 1.9 - $y);
        $cross = min(
            Shapes::box($x + 0.35, $y - 1.2, $z - 1.24, 0.018, 0.32, 0.02), Shapes::box($x + 0.35, $y - 1.2, $z - 1.24, 0.34, 0.018, 0.02),
            Shapes::box($x + 1.19, $y - 1.25, $z - 0.15, 0.02, 0.3, 0.018),
        );
        $stilts = Shapes::box(abs($x) - 1.0, $y + 0.3, abs($z) - 1.0, 0.08, 0.4, 0.08);
        $deck = Shapes::box($x + 0.4, $y + 0.02, $z - 0.2, 1.95, 0.035, 1.85, 0.01);

        return min($body, $roof, $gable, $cross, $stilts, $deck);
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($y < -0.36) {
            // still water with a film of mud
            $mud = Shapes::clouds($x * 0.5, $z * 0.22);

            return [0.018 + 0.02 * $mud, 0.024 + 0.018 * $mud, 0.022 + 0.012 * $mud, 0.95, 0.45];
        }
        $hx = $x - 3.55;
        $hz = $z + 6.2;
        if (abs($hx) < 1.62 && abs($hz) < 1.62 && $y > 0.02) {
            return $this->hutSurface($hx, $y, $hz);
        }
        if (abs($x + 1.72) < 0.75 && abs($z + 2.6) < 0.3 && $y > 0.05) {
            return [0.022, 0.026, 0.028, 0.5, 0.25];
        }
        $plank = floor($z / self::PLANK);
        $tone = 0.75 + 0.5 * Shapes::hash((int) $plank, 19);
        $grain = Shapes::clouds($x * 3.2 + $plank * 13.7, $z * 70.0, 3);
        $knot = Shapes::noise($x * 2.1 + $plank * 5.3, $plank * 3.1);
        $wet = Shapes::clouds($x * 0.9 + 4, $z * 0.6, 3);
        $wet = max(0.0, min(1.0, ($wet - 0.5) * 5));
        $base = (0.06 + 0.11 * $grain) * $tone * ($knot > 0.86 ? 0.55 : 1.0) * (1 - 0.4 * $wet);

        return [$base * 1.16, $base * 0.94, $base * 0.76, 0.12 + 0.6 * $wet, 0.0];
    }

    /** @return array{float, float, float, float, float} */
    private function hutSurface(float $x, float $y, float $z): array
    {
        if ($y > 2.0 && 0.78 * (abs($x) * 0.55 + $y - 2.78) > -0.1) {
            $tin = 0.75 + 0.5 * Shapes::noise($z * 9, abs($x) * 1.5);

            return [0.06 * $tin, 0.055 * $tin, 0.06 * $tin, 0.35, 0.2];
        }
        $isGlass = ($z > 1.15 && $z < 1.235 && abs($x + 0.35) < 0.34 && abs($y - 1.2) < 0.32) || ($x < -1.12 && $x > -1.185 && abs($y - 1.25) < 0.3 && abs($z - 0.15) < 0.36);
        if ($isGlass) {
            return [0.012, 0.016, 0.02, 1.0, 0.5];
        }
        $board = floor($x / 0.16) + floor($z / 0.16) * 7;
        $paint = 0.7 + 0.4 * Shapes::hash((int) $board, 5) - 0.25 * Shapes::clouds($x * 3, $y * 8, 3);
        $seam = abs($x / 0.16 - floor($x / 0.16) - 0.5) > 0.46 ? 0.45 : 1.0;
        if ($z > 1.2 && $z < 1.28 && abs($x - 0.62) < 0.3 && $y < 1.7) {
            return [0.10 * $paint, 0.045 * $paint, 0.035 * $paint, 0.2, 0.0];
        }

        return [0.075 * $paint * $seam, 0.105 * $paint * $seam, 0.115 * $paint * $seam, 0.15, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $up = $dy < 0 ? 0.0 : $dy;
        $band = exp(-$up * 7.0);
        $right = 0.5 + 0.5 * $dx;
        $r = 0.030 + 0.045 * exp(-$up * 2.2) + $band * (0.06 + 0.46 * $right ** 3);
        $g = 0.050 + 0.060 * exp(-$up * 2.2) + $band * (0.07 + 0.20 * $right ** 3);
        $b = 0.098 + 0.090 * exp(-$up * 2.2) + $band * (0.09 + 0.08 * $right ** 3);
        if ($dz < -0.05 && $dy > -0.02) {
            $u = $dx / -$dz;
            $v = $dy / -$dz;
            $streak = Shapes::clouds($u * 2.2 + 3, $v * 15, 4);
            $cloud = max(0.0, min(1.0, ($streak - 0.46) * 4)) * exp(-$v * 3.2);
            $r *= 1 - 0.32 * $cloud;
            $g *= 1 - 0.36 * $cloud;
            $b *= 1 - 0.34 * $cloud;
            $hills = 0.018 + 0.028 * Shapes::clouds($u * 3.1 + 40, 1.7, 3) + 0.004 * Shapes::noise($u * 160, 2.0);
            if ($v < $hills) {
                $r = 0.35 * $r + 0.018;
                $g = 0.35 * $g + 0.024;
                $b = 0.35 * $b + 0.034;
            }
            $reeds = 0.006 + 0.017 * Shapes::clouds($u * 9 + 7, 5.1, 3) + 0.011 * Shapes::noise($u * 420, 8.0) ** 2;
            if ($v < $reeds) {
                return [0.020, 0.026, 0.020];
            }
        }

        return [$r, $g, $b];
    }
}
