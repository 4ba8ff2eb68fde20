<?php

declare(strict_types=1);

namespace Demo;

/** A marsh built on a table: moss and sand, a creek of resin, reeds of wire, white pebbles, a painted sky on a board behind it. */
final class Tabletop implements Subject
{
    /** @var array<int, array<int, array<int, mixed>>> clumps by column and row */
    private array $clumps = [];

    public function name(): string
    {
        return 'tabletop';
    }

    public function size(): array
    {
        return [1200, 800];
    }

    public function camera(): array
    {
        return [0.0, 0.62, 2.1];
    }

    public function focal(): float
    {
        return 1.25;
    }

    public function horizon(): float
    {
        return 0.34;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [0.52, 0.70, 0.489];
    }

    public function lightColour(): array
    {
        return [0.62, 0.66, 0.72];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $board = $z + 1.9;
        $ground = $y - self::height($x, $z);
        $water = max($y + 0.035, -0.2 - $y);

        return min($ground * 0.7, $water, $board, $this->reeds($x, $y, $z), $this->bushes($x, $y, $z), $this->pebbles($x, $y, $z)) * 0.85;
    }

    /** Banks on both sides of a creek that winds to the back. */
    private static function height(float $x, float $z): float
    {
        $creek = abs($x - 0.10 - 0.22 * sin(1.7 * $z + 0.5)) - 0.30 - 0.10 * $z;
        $bank = max(-0.09, min(0.10, 0.32 * $creek));

        return $bank + 0.035 * Shapes::clouds($x * 5, $z * 5, 3) + 0.008 * Shapes::clouds($x * 40, $z * 40, 2) - 0.02;
    }

    /** Clumps of wires, each leaning its own way. */
    private function reeds(float $x, float $y, float $z): float
    {
        if ($y > 0.48) {
            return $y - 0.42;
        }
        $near = 0.25;
        [$cx, $row] = [(int) round($x / 0.34), (int) round($z / 0.34)];
        for ($column = $cx - 1; $column <= $cx + 1; $column++) {
            $clump = $this->clumps[$column][$row] ??= self::clump($column, $row);
            if ($clump === []) {
                continue;
            }
            [[$px, $foot, $pz], $rods] = $clump;
            $far = sqrt(($x - $px) ** 2 + ($y - $foot - 0.14) ** 2 + ($z - $pz) ** 2) - 0.30;
            if ($far > 0.06) {
                $near = min($near, $far);

                continue;
            }
            foreach ($rods as [$ax, $ay, $az, $bx, $by, $bz]) {
                $near = min($near, Shapes::rod($x, $y, $z, $ax, $ay, $az, $bx, $by, $bz, 0.0055, 0.0025));
            }
        }

        return $near;
    }

    /** @return array{}|array{array{float, float, float}, list<array{float, float, float, float, float, float}>} its foot and its wires; nothing where none grows */
    private static function clump(int $column, int $row): array
    {
        [$px, $pz] = [0.34 * ($column + 0.5 * (Shapes::hash($column, $row + 90) - 0.5)), 0.34 * ($row + 0.5 * (Shapes::hash($column + 90, $row) - 0.5))];
        $foot = self::height($px, $pz);
        if (Shapes::hash($column + 31, $row + 7) < 0.55 || $foot < 0.02 || abs($px) < 0.12) {
            return [];
        }
        $rods = [];
        for ($k = 0; $k < 6; $k++) {
            [$a, $b, $c] = [Shapes::hash($column * 7 + $k, $row), Shapes::hash($column, $row * 7 + $k), Shapes::hash($column + $k, $row - $k)];
            [$bx, $bz] = [$px + 0.07 * ($a - 0.5), $pz + 0.07 * ($b - 0.5)];
            $rods[] = [$bx, $foot - 0.03, $bz, $bx + 0.16 * ($b - 0.5), $foot + 0.16 + 0.16 * $c, $bz + 0.1 * ($c - 0.5)];
        }

        return [[$px, $foot, $pz], $rods];
    }

    private function bushes(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[-0.86, -0.55, 0.15], [-1.15, -0.95, 0.22], [0.98, -0.75, 0.17], [1.30, -1.2, 0.26], [-0.35, -1.45, 0.14], [0.55, -1.5, 0.17]] as [$bx, $bz, $size]) {
            $far = sqrt(($x - $bx) ** 2 + ($y - 0.12) ** 2 + ($z - $bz) ** 2);
            $near = min($near, $far > 2 * $size ? $far - 1.4 * $size : Shapes::egg($x - $bx, $y - 0.12, $z - $bz, $size, 0.8 * $size, $size) - 0.03 * Shapes::clouds(22 * $x + 9 * $y, 22 * $z + 13 * $y, 3));
        }

        return $near * 0.8;
    }

    private function pebbles(float $x, float $y, float $z): float
    {
        $near = INF;
        foreach ([[-0.40, 0.46, 0.058], [-0.47, 0.58, 0.036], [-0.31, 0.60, 0.042]] as [$px, $pz, $size]) {
            $near = min($near, Shapes::egg($x - $px, $y - self::height($px, $pz) - 0.5 * $size, $z - $pz, 1.2 * $size, 0.75 * $size, $size));
        }

        return $near;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($z < -1.88) {
            return self::painted($x, $y);
        }
        if ($this->pebbles($x, $y, $z) < 0.004) {
            return [0.86, 0.85, 0.82, 0.5, 0.0];
        }
        if ($this->bushes($x, $y, $z) < 0.006) {
            $leaf = 0.55 + 0.8 * Shapes::clouds($x * 34 + 7 * $y, $z * 34 + 11 * $y, 3);

            return [0.13 * $leaf, 0.19 * $leaf, 0.075 * $leaf, 0.05, 0.0];
        }
        if ($y < -0.030) {
            return [0.05, 0.10, 0.105, 0.95, 0.25];
        }
        if ($this->reeds($x, $y, $z) < 0.004) {
            return [0.33, 0.30, 0.13, 0.2, 0.0];
        }
        $moss = max(0.0, min(1.0, (Shapes::clouds($x * 3.4, $z * 3.4, 4) - 0.40) * 5));
        $fine = 0.7 + 0.6 * Shapes::clouds($x * 46, $z * 46, 3);
        $shore = max(0.0, min(1.0, ($y + 0.03) / 0.04));

        return [(0.34 - 0.20 * $moss) * $fine * (0.6 + 0.4 * $shore), (0.28 - 0.07 * $moss) * $fine * (0.6 + 0.4 * $shore), (0.18 - 0.11 * $moss) * $fine * (0.6 + 0.4 * $shore), 0.08 + 0.5 * (1 - $shore), 0.0];
    }

    /** The board behind it: a sky with brush strokes, far hills. */
    private static function painted(float $x, float $y): array
    {
        $stroke = 0.92 + 0.16 * Shapes::clouds($x * 3 + 0.6 * sin(5 * $y), $y * 26, 3);
        $high = max(0.0, min(1.0, $y / 0.9));
        $cloud = max(0.0, min(1.0, (Shapes::clouds($x * 1.7 + 3, $y * 4.5 + 1, 4) - 0.47) * 5));
        [$r, $g, $b] = [0.52 - 0.28 * $high + 0.22 * $cloud, 0.56 - 0.20 * $high + 0.17 * $cloud, 0.58 - 0.08 * $high + 0.10 * $cloud];
        if ($y < 0.20 + 0.07 * Shapes::clouds($x * 1.9 + 6, 2.0, 3)) {
            [$r, $g, $b] = [0.20, 0.27, 0.28];
        }

        return [$r * $stroke, $g * $stroke, $b * $stroke, 0.05, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.16 + 0.22 * max(0.0, 0.5 + 0.5 * $dy) + 0.25 * max(0.0, 0.5 * $dx + 0.7 * $dy) ** 8;

        return [$light, $light * 1.03, $light * 1.1];
    }
}
