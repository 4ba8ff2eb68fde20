<?php

declare(strict_types=1);

namespace Demo;

/** A corner of a sail loft on a dull day: a plank wall seen at an angle, a chart pinned to it, a bench below. */
final class Loft implements Subject
{
    /** The wall is turned by so much, radians. */
    private const TURN = 0.42;

    private const PLANK = 0.24;

    public function name(): string
    {
        return 'loft';
    }

    public function size(): array
    {
        return [1200, 800];
    }

    public function camera(): array
    {
        return [0.0, 1.5, 3.4];
    }

    public function focal(): float
    {
        return 1.15;
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
        return [-0.55, 0.62, 0.56];
    }

    public function lightColour(): array
    {
        return [0.34, 0.35, 0.38];
    }

    /** Along the wall, up, and out of it. */
    private static function onWall(float $x, float $y, float $z): array
    {
        return [cos(self::TURN) * $x - sin(self::TURN) * $z, $y, sin(self::TURN) * $x + cos(self::TURN) * $z + 0.35];
    }

    public function distance(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = self::onWall($x, $y, $z);
        $beside = abs($u / self::PLANK - round($u / self::PLANK)) * self::PLANK;
        // planks with rounded edges and a gap between them
        $groove = $beside < 0.014 ? 0.02 * (1 - $beside / 0.014) : 0.0;
        $wall = $w + $groove;
        $chart = Shapes::box($u - 0.12, $v - 1.62, $w - 0.004, 0.52, 0.37, 0.004);
        $rail = Shapes::box($u, $v - 2.42, $w - 0.05, 6.0, 0.05, 0.05, 0.01);
        $bench = Shapes::box($u - 0.1, $v - 0.86, $w - 0.26, 1.5, 0.035, 0.26, 0.012);
        $legs = Shapes::box(abs($u - 0.1) - 1.3, $v - 0.42, $w - 0.3, 0.05, 0.42, 0.05, 0.01);
        $coil = Shapes::ring($u + 0.95, $w - 0.28, $v - 0.92, 0.14, 0.035);
        $coils = min($coil, Shapes::ring($u + 0.95, $w - 0.28, $v - 0.985, 0.12, 0.035));
        $jug = min(Shapes::egg($u - 1.0, $v - 1.06, $w - 0.28, 0.13, 0.17, 0.13), Shapes::drum($u - 1.0, $v - 1.24, $w - 0.28, 0.055, 0.06, 0.02));

        return min($wall, $chart, $rail, $bench, $legs, $coils, $jug, $y) * 0.9;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        [$u, $v, $w] = self::onWall($x, $y, $z);
        if (abs($u - 0.12) < 0.521 && abs($v - 1.62) < 0.371 && $w > 0.001 && $w < 0.02) {
            return self::chart(($u - 0.12) / 0.52, ($v - 1.62) / 0.37);
        }
        if ($w > 0.14 && $v > 0.88 && hypot($u - 1.0, $w - 0.28) < 0.16) {
            $glaze = 0.85 + 0.3 * Shapes::clouds($u * 12, $v * 9, 3);

            return [0.20 * $glaze, 0.30 * $glaze, 0.33 * $glaze, 0.7, 0.0];
        }
        if ($v > 0.895 && abs(hypot($u + 0.95, $w - 0.28) - 0.13) < 0.06) {
            $twist = 0.75 + 0.35 * sin(90 * ($u + $v) + 30 * atan2($w - 0.28, $u + 0.95));

            return [0.55 * $twist, 0.46 * $twist, 0.30 * $twist, 0.1, 0.0];
        }
        $plank = round($u / self::PLANK);
        $grain = Shapes::clouds($v * 2.2 + 17 * $plank, $u * 46 + 3 * $plank, 4);
        $knot = Shapes::clouds($u * 9 + 31 * $plank, $v * 3.5, 3);
        $tone = (0.72 + 0.16 * (Shapes::hash((int) $plank + 500, 7) - 0.5)) * (0.72 + 0.5 * $grain) * ($knot > 0.72 ? 0.72 : 1.0);
        if ($y < 0.01) {
            $tone *= 0.6;
        }

        return [0.42 * $tone, 0.335 * $tone, 0.255 * $tone, 0.12, 0.0];
    }

    /** A chart of a marsh: a coast, creeks, depth lines and a rose. */
    private static function chart(float $u, float $v): array
    {
        $paper = 0.86 + 0.08 * Shapes::clouds($u * 5 + 3, $v * 5, 3);
        $land = Shapes::clouds($u * 1.7 + 8, $v * 1.5 + 2, 4) - 0.5 + 0.25 * $u;
        [$r, $g, $b] = $land > 0 ? [0.80 * $paper, 0.68 * $paper, 0.44 * $paper] : [0.86 * $paper, 0.84 * $paper, 0.70 * $paper];
        $line = abs($land * 14 - round($land * 14)) < 0.06 && $land < 0.12 ? 0.55 : 1.0;
        $line = abs($land) < 0.012 ? 0.28 : $line;
        $grid = min(abs($u * 4 - round($u * 4)), abs($v * 3 - round($v * 3))) < 0.008 ? 0.72 : 1.0;
        $far = hypot($u + 0.62, ($v + 0.55) * 0.72);
        $rose = $far < 0.2 && ($far > 0.185 || abs(sin(4 * atan2(($v + 0.55) * 0.72, $u + 0.62))) > 0.985 - 0.35 * $far) ? 0.35 : 1.0;
        $rim = max(abs($u), abs($v)) > 0.955 && max(abs($u), abs($v)) < 0.972 ? 0.4 : 1.0;
        $ink = $line * $grid * $rose * $rim;

        return [$r * $ink, $g * $ink, $b * $ink * ($ink < 1 ? 0.9 : 1.0), 0.05, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $room = 0.10 + 0.16 * max(0.0, -0.5 * $dx + 0.5 * $dy + 0.5 * $dz);

        return [$room, $room * 1.02, $room * 1.1];
    }
}
