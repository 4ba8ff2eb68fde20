<?php

declare(strict_types=1);

namespace Demo;

/** A hollow iron buoy with stars and slots cut through it, dark inside, photographed at dusk. */
final class Buoy implements Subject
{
    private const MIDDLE = 0.66;

    private const RADIUS = 0.56;

    private const WALL = 0.025;

    /** Stars: azimuth, height, size; degrees. */
    private const STARS = [[-52, 14, 12], [-17, 26, 14], [22, 15, 15], [58, 28, 11], [-34, 52, 9], [8, 58, 9], [44, 58, 8]];

    /** Slots below the band: azimuths. */
    private const SLOTS = [-64, -40, -16, 8, 32, 56];

    public function name(): string
    {
        return 'buoy';
    }

    public function size(): array
    {
        return [800, 860];
    }

    public function camera(): array
    {
        return [0.0, 0.78, 4.6];
    }

    public function focal(): float
    {
        return 2.9;
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
        return [-0.42, 0.66, 0.6228];
    }

    public function lightColour(): array
    {
        return [0.52, 0.56, 0.66];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $py = $y - self::MIDDLE;
        $far = sqrt($x * $x + $py * $py + $z * $z);
        $shell = max(abs($far - self::RADIUS) - self::WALL, -$this->openings($x, $py, $z, $far));
        $band = Shapes::box(hypot($x, $z) - self::RADIUS - 0.01, $py, 0.0, 0.035, 0.05, 0.05, 0.012);
        $bolt = atan2($x, $z) / (M_PI / 9);
        $aside = ($bolt - round($bolt)) * M_PI / 9 * self::RADIUS;
        $bolts = sqrt($aside * $aside + $py * $py + (hypot($x, $z) - self::RADIUS - 0.048) ** 2) - 0.02;
        $top = min(Shapes::drum($x, $y - self::MIDDLE - self::RADIUS - 0.02, $z, 0.12, 0.035, 0.012), Shapes::ring($x, $y - self::MIDDLE - self::RADIUS - 0.13, $z, 0.085, 0.024));
        $foot = Shapes::drum($x, $y - 0.07, $z, 0.22, 0.07, 0.02);

        return min($shell, $band, $bolts, $top, $foot) * 0.8;
    }

    /** Below zero inside an opening, measured along the shell. */
    private function openings(float $x, float $py, float $z, float $far): float
    {
        if ($z < -0.05 || $far < 0.3) {
            return 1.0;
        }
        [$azimuth, $height] = [atan2($x, $z), asin(max(-1.0, min(1.0, $py / $far)))];
        $nearest = 1.0;
        foreach (self::STARS as [$a, $h, $size]) {
            $u = ($azimuth - deg2rad($a)) * cos($height) * self::RADIUS;
            $v = ($height - deg2rad($h)) * self::RADIUS;
            $nearest = min($nearest, Shapes::star($u, $v, deg2rad($size) * self::RADIUS));
        }
        foreach (self::SLOTS as $a) {
            $u = ($azimuth - deg2rad($a)) * cos($height) * self::RADIUS;
            $v = ($height + deg2rad(27)) * self::RADIUS;
            $nearest = min($nearest, hypot($u, $v - max(-0.08, min(0.08, $v))) - 0.028);
        }

        return $nearest;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        $py = $y - self::MIDDLE;
        $far = sqrt($x * $x + $py * $py + $z * $z);
        if ($far < self::RADIUS - 0.6 * self::WALL && $y > 0.16) {
            // soot
            return [0.004, 0.004, 0.005, 0.0, 0.0];
        }
        $rust = Shapes::clouds(6 * atan2($x, $z) + 3, 7 * $y, 5);
        $streak = Shapes::clouds(22 * atan2($x, $z), 2 * $y + 9, 3);
        if ($y > 1.2 || $y < 0.16 || abs($py) < 0.062) {
            return $rust > 0.5 ? [0.20, 0.115, 0.07, 0.2, 0.0] : [0.13, 0.13, 0.14, 0.5, 0.2];
        }
        // old red paint, worn to iron and rust
        $worn = 0.6 * $rust + 0.4 * $streak;
        if ($worn > 0.58) {
            return [0.19, 0.105, 0.062, 0.12, 0.0];
        }
        $tone = 0.75 + 0.5 * $rust;

        return $py > 0 ? [0.34 * $tone, 0.085 * $tone, 0.06 * $tone, 0.35, 0.0] : [0.36 * $tone, 0.35 * $tone, 0.31 * $tone, 0.35, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.07 + 0.16 * ($dy + 1) / 2;

        return [$light, $light * 1.06, $light * 1.22];
    }
}
