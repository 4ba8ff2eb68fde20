<?php

declare(strict_types=1);

namespace Demo;

/** A ship's side at the quay on a dull day: riveted plates, a brass porthole that stands open, planks before it. Where the porthole is there is nothing. */
final class Hull implements Subject
{
    /** The middle of the porthole, across and up. */
    private const PORT = [-0.10, 1.62];

    private const RADIUS = 0.36;

    private const PLATE = [1.05, 0.62];

    public function name(): string
    {
        return 'hull';
    }

    public function size(): array
    {
        return [1000, 800];
    }

    public function camera(): array
    {
        return [0.0, 1.45, 3.0];
    }

    public function focal(): float
    {
        return 1.35;
    }

    public function horizon(): float
    {
        return 0.46;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [0.45, 0.72, 0.528];
    }

    public function lightColour(): array
    {
        return [0.36, 0.37, 0.40];
    }

    public function distance(float $x, float $y, float $z): float
    {
        [$u, $v] = [$x - self::PORT[0], $y - self::PORT[1]];
        $far = hypot($u, $v);
        $hole = $far - self::RADIUS;
        $side = max($z - 0.05 * ($y - 1.6) ** 2, -0.09 - $z, -$hole) - $this->plates($x, $y);

        return min($side, $this->brass($u, $v, $z), $this->planks($x, $y, $z)) * 0.85;
    }

    /** One plate laps over the next; rivets along the seams. */
    private function plates(float $x, float $y): float
    {
        [$w, $h] = self::PLATE;
        $row = floor($y / $h);
        $v = $y / $h - $row;
        $u = ($x / $w + 0.5 * ((int) $row & 1));
        $u -= floor($u);
        $lap = $v < 0.12 ? 0.012 : 0.0;
        [$ru, $rv] = [$x / 0.085 - round($x / 0.085), ($v - 0.06) * $h / 0.085];
        $rivet = hypot($ru, $rv) * 0.085;
        [$su, $sv] = [($u - 0.5) * $w / 0.085, $y / 0.085 - round($y / 0.085)];
        $upright = hypot($su, $sv) * 0.085;
        $head = max(0.0, 1 - min($rivet, $upright) / 0.019);

        return $lap + 0.010 * sqrt($head);
    }

    private function brass(float $u, float $v, float $z): float
    {
        $far = hypot($u, $v);
        $ring = max(abs($far - self::RADIUS - 0.035) - 0.065, abs($z - 0.03) - 0.026);
        $lip = Shapes::ring($u, $v, $z - 0.055, self::RADIUS - 0.018, 0.016);
        $outer = Shapes::ring($u, $v, $z - 0.05, self::RADIUS + 0.085, 0.014);
        $turn = atan2($v, $u);
        $bolt = round($turn / (M_PI / 5)) * (M_PI / 5);
        [$bx, $by] = [$u - (self::RADIUS + 0.035) * cos($bolt), $v - (self::RADIUS + 0.035) * sin($bolt)];

        return min($ring, $lip, $outer, Shapes::drum($bx, $z - 0.06, $by, 0.026, 0.016, 0.006));
    }

    private function planks(float $x, float $y, float $z): float
    {
        $n = floor($z / 0.2);
        $beside = abs($z / 0.2 - $n - 0.5) * 0.2;
        $gap = $beside > 0.092 ? 0.02 : 0.0;

        return max($y - 0.86 - 0.006 * (Shapes::hash((int) $n, 4) - 0.5) + $gap, 0.12 - $z);
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        [$u, $v] = [$x - self::PORT[0], $y - self::PORT[1]];
        if ($this->brass($u, $v, $z) < 0.005) {
            $patina = Shapes::clouds($u * 14 + 4, $v * 14, 4);

            return $patina > 0.62 ? [0.22, 0.24, 0.15, 0.35, 0.1] : [0.46, 0.29, 0.11, 0.65, 0.45];
        }
        if ($this->planks($x, $y, $z) < 0.005 && $y < 0.9) {
            $n = floor($z / 0.2);
            $grain = Shapes::clouds($x * 3 + 11 * $n, $z * 60, 3);
            $tone = (0.8 + 0.4 * (Shapes::hash((int) $n, 9) - 0.5)) * (0.6 + 0.7 * $grain);

            return [0.25 * $tone, 0.205 * $tone, 0.155 * $tone, 0.2, 0.0];
        }
        if (hypot($u, $v) < self::RADIUS + 0.01) {
            return [0.10, 0.10, 0.11, 0.2, 0.0];
        }
        $rust = Shapes::clouds($x * 3.2, $y * 1.3 + 8, 5) + 0.25 * Shapes::clouds($x * 22, $y * 5, 3) * max(0.0, 1 - abs($y / self::PLATE[1] - round($y / self::PLATE[1])) * 4);
        $coat = 0.8 + 0.35 * Shapes::clouds($x * 6, $y * 6, 3);
        if ($rust > 0.72) {
            return [0.25 * $coat, 0.115 * $coat, 0.06 * $coat, 0.1, 0.0];
        }

        return $y < 1.15 ? [0.20 * $coat, 0.055 * $coat, 0.042 * $coat, 0.3, 0.0] : [0.060 * $coat, 0.085 * $coat, 0.105 * $coat, 0.4, 0.05];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.12 + 0.30 * max(0.0, 0.4 + 0.6 * $dy);

        return [$light, $light * 1.03, $light * 1.09];
    }
}
