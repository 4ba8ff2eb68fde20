<?php

declare(strict_types=1);

namespace Demo;

/** A round glazed barometer of brass that hangs by a ring, photographed straight on in flat light. */
final class Barometer implements Subject
{
    private const RADIUS = 0.185;

    public function name(): string
    {
        return 'barometer';
    }

    public function size(): array
    {
        return [460, 540];
    }

    public function camera(): array
    {
        return [0.0, 0.03, 2.4];
    }

    public function focal(): float
    {
        return 4.6;
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
        return [-0.28, 0.52, 0.807];
    }

    public function lightColour(): array
    {
        return [0.55, 0.56, 0.58];
    }

    public function distance(float $x, float $y, float $z): float
    {
        return min($this->brass($x, $y, $z), Shapes::drum($x, $z - 0.012, $y, self::RADIUS, 0.012)) * 0.9;
    }

    /** The bezel, a fine ring inside it, the hanger, the pointer's boss. */
    private function brass(float $x, float $y, float $z): float
    {
        $bezel = max(Shapes::ring($x, $y, $z - 0.012, self::RADIUS, 0.030), -0.02 - $z);
        $inner = Shapes::ring($x, $y, $z - 0.028, self::RADIUS - 0.036, 0.007);
        $neck = Shapes::drum($x, $y - self::RADIUS - 0.034, $z - 0.01, 0.017, 0.016, 0.004);

        return min($bezel, $inner, $neck, Shapes::ring($x, $y - self::RADIUS - 0.073, $z - 0.01, 0.027, 0.0075), Shapes::egg($x, $y, $z - 0.028, 0.012, 0.012, 0.008));
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->brass($x, $y, $z) < 0.0015) {
            $patina = 0.8 + 0.3 * Shapes::clouds(40 * $x + 9, 40 * $y, 3);

            return [0.50 * $patina, 0.32 * $patina, 0.12 * $patina, 0.7, 0.5];
        }
        $far = hypot($x, $y) / self::RADIUS;
        $turn = atan2($x, $y);
        $paper = 0.66 + 0.05 * Shapes::clouds(25 * $x, 25 * $y, 3);
        $ticks = ($turn / (M_PI / 60)) - round($turn / (M_PI / 60));
        $long = (int) round($turn / (M_PI / 60)) % 5 === 0;
        $scale = abs($turn) < 2.5 && $far < 0.74 && $far > ($long ? 0.62 : 0.68) && abs($ticks) * (M_PI / 60) * $far < ($long ? 0.010 : 0.006);
        $arc = abs($far - 0.755) < 0.006 && abs($turn) < 2.52;
        // the pointer stands at fair, another one of brass is left where it stood yesterday
        $pointer = self::hand($x, $y, 0.62, 0.115, 0.0045);
        $signs = Shapes::star($x, $y - 0.062, 0.017) < 0;
        $wave = abs(abs($y + 0.07) - 0.007 - 0.004 * sin(150 * $x)) < 0.0024 && abs($x) < 0.032;
        if (self::hand($x, $y, -0.55, 0.10, 0.003)) {
            return [0.45, 0.28, 0.10, 0.6, 0.2];
        }
        $ink = $scale || $arc || $pointer || $signs || $wave ? 0.10 : 1.0;

        return [$paper * $ink, $paper * 0.95 * $ink, $paper * 0.83 * $ink, 0.85, 0.0];
    }

    private static function hand(float $x, float $y, float $turn, float $length, float $thick): bool
    {
        $along = $x * sin($turn) + $y * cos($turn);
        $across = abs($x * cos($turn) - $y * sin($turn));

        return $along > -0.035 && $along < $length && $across < $thick * (1 - 0.6 * max(0.0, $along) / $length);
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.16 + 0.20 * max(0.0, 0.5 * $dy + 0.5) + 0.22 * max(0.0, 0.8 * $dx + 0.5 * $dy) ** 6;

        return [$light, $light * 1.01, $light * 1.05];
    }
}
