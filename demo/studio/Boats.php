<?php

declare(strict_types=1);

namespace Demo;

/** Upturned boats on a meadow by the water, in the open shade of a willow: light from all the sky, hardly a shadow. */
final class Boats implements Subject
{
    /** Each: where its middle lies, how it is turned, half its length, half its width, its height. */
    private const BOATS = [
        [-0.95, -0.35, 0.90, 0.44, 1.55, 0.60, 0.56],
        [1.75, -1.25, 0.83, -0.56, 1.60, 0.62, 0.58],
        [-0.35, -4.1, 0.97, -0.24, 1.70, 0.64, 0.60],
    ];

    private const STRAKES = 9;

    private const TRUNK = [-3.15, -3.3];

    public function name(): string
    {
        return 'boats';
    }

    public function size(): array
    {
        return [1280, 800];
    }

    public function camera(): array
    {
        return [0.1, 1.62, 4.3];
    }

    public function focal(): float
    {
        return 0.95;
    }

    public function horizon(): float
    {
        return 0.335;
    }

    public function hasBackground(): bool
    {
        return true;
    }

    public function light(): array
    {
        return [0.30, 0.80, 0.52];
    }

    public function lightColour(): array
    {
        return [0.22, 0.225, 0.20];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $near = min($y + 0.35, ($y - $this->meadow($x, $z)) * 0.75);
        foreach (self::BOATS as $boat) {
            $far = hypot($x - $boat[0], $z - $boat[1]) - $boat[4] - 0.1;
            $near = min($near, $far > 0.4 ? $far : max($far, $this->boat($boat, $x, $y, $z)));
        }
        $near = min($near, $this->trunk($x, $y, $z), $this->post($x, $y, $z));

        return min($near, $this->fronds($x, $y, $z)) * 0.8;
    }

    private function meadow(float $x, float $z): float
    {
        // the bank goes down to the water
        $bank = $z < -6.4 ? ($z + 6.4) * 0.22 : 0.0;
        $tufts = Shapes::noise($x * 6, $z * 6) * 0.040 + Shapes::noise($x * 34, $z * 34) * 0.009;

        return $bank + 0.05 * sin($x * 0.9 + 1) * sin($z * 0.7) + $tufts * (1 - 0.8 * $this->worn($x, $z));
    }

    /** Where people walk nothing grows. */
    private function worn(float $x, float $z): float
    {
        $path = abs($x - 0.55 - 0.32 * sin($z * 0.8) - 0.1 * $z) + 0.35 * (Shapes::clouds($x * 2, $z * 2, 3) - 0.5);

        return max(0.0, min(1.0, (0.52 - $path) * 4));
    }

    /** @return array{float, float, float} along the boat (1 at the bow), across and up, in its own measures */
    private static function within(array $boat, float $x, float $y, float $z): array
    {
        [$bx, $bz, $c, $s, $long, $wide, $high] = $boat;
        [$u, $w] = [($c * ($x - $bx) - $s * ($z - $bz)) / $long, $s * ($x - $bx) + $c * ($z - $bz)];
        $fine = self::fine($u);

        return [$u, $w / ($wide * $fine), $y / ($high * (0.72 + 0.28 * $fine))];
    }

    /** How wide it still is toward its ends, of its middle. */
    private static function fine(float $u): float
    {
        return max(0.04, 1 - ($u > 0 ? abs($u) ** 2.4 : 0.28 * $u * $u));
    }

    /** How high over the ground its rim lies. */
    private static function rim(float $u): float
    {
        return 0.055 + 0.10 * (1 - $u * $u);
    }

    private function boat(array $boat, float $x, float $y, float $z): float
    {
        [$bx, $bz, $c, $s, $long, $wide, $high] = $boat;
        [$u, $w, $v] = self::within($boat, $x, $y, $z);
        // a round bilge; one strake laps over the next
        $round = sqrt($w * $w + $v * $v * (0.72 + 0.28 * abs($v)));
        $girth = atan2(max(0.0, $v), abs($w)) / (M_PI / 2) * self::STRAKES;
        $lap = 0.030 * (1 - ($girth - floor($girth)));
        $fine = self::fine($u);
        $skin = ($round - 0.97 - $lap) * min($wide * $fine, $high) * 0.75;
        $rim = self::rim($u);
        $hull = max($skin, $rim - $y, ($u - 1.0) * $long * 0.7, (-$u - 0.94) * $long);
        $along = ($c * ($x - $bx) - $s * ($z - $bz));
        $across = $s * ($x - $bx) + $c * ($z - $bz);
        $top = $high * (0.72 + 0.28 * $fine);
        $keel = max(Shapes::box($along + 0.02 * $long, $y - $top, $across, 0.86 * $long, 0.045, 0.018, 0.006), -$y);
        $rail = max(abs($skin - 0.012) - 0.020, abs($y - $rim - 0.02) - 0.026, ($u - 1.0) * $long * 0.7, (-$u - 0.95) * $long);

        return min($hull, $keel, $rail);
    }

    private function trunk(float $x, float $y, float $z): float
    {
        [$tx, $tz] = self::TRUNK;
        $far = hypot($x - $tx, $z - $tz);
        if ($far > 1.6) {
            return $far - 1.2;
        }
        $turn = atan2($z - $tz, $x - $tx);
        $bark = 0.035 * abs(sin(9 * $turn + 2.2 * Shapes::noise($turn * 3, $y * 2.5))) + 0.02 * Shapes::noise($turn * 9, $y * 9);
        $stem = Shapes::rod($x, $y, $z, $tx, -0.2, $tz, $tx + 0.35, 2.4, $tz + 0.1, 0.50, 0.36);
        $root = Shapes::rod($x, $y, $z, $tx + 0.1, 0.25, $tz + 0.1, $tx + 1.0, -0.05, $tz + 0.5, 0.26, 0.07);
        $fork = Shapes::rod($x, $y, $z, $tx + 0.35, 2.3, $tz + 0.1, $tx + 1.5, 4.4, $tz + 0.3, 0.30, 0.16);

        return (Shapes::melt(Shapes::melt($stem, $root, 0.3), $fork, 0.25) - $bark) * 0.7;
    }

    /** To moor by, with a ring; a lantern can stand beside it. */
    private function post(float $x, float $y, float $z): float
    {
        [$px, $pz] = [$x - 2.75, $z + 3.6];

        return min(Shapes::drum($px + 0.03 * $y, $y - 0.45, $pz, 0.085, 0.62, 0.02), hypot($px + 0.02, $pz) < 0.5 ? Shapes::ring($px + 0.02, $y - 0.86, $pz - 0.0, 0.105, 0.022) : 9.0);
    }

    /** Strands of the willow that hang into the picture from above, in two curtains. */
    private function fronds(float $x, float $y, float $z): float
    {
        $near = 9.0;
        foreach ([[-2.0, 0.105, 1.98, 3], [-5.4, 0.15, 1.35, 8]] as [$at, $apart, $low, $seed]) {
            $slab = max(abs($z - $at) - 0.14, $low - $y);
            if ($slab > 0.25) {
                $near = min($near, $slab);

                continue;
            }
            for ($k = -1; $k <= 1; $k++) {
                $n = (int) round($x / $apart) + $k;
                $hang = $low + 0.9 * Shapes::clouds($n * 0.09 + $seed, 3.7, 2) ** 0.7 + 0.5 * Shapes::hash($n, $seed) + 0.28 * abs($n * $apart - 0.1);
                $middle = $n * $apart + 0.06 * (Shapes::hash($n, $seed + 1) - 0.5) + 0.05 * sin($y * 1.3 + $n);
                $away = $at + 0.2 * (Shapes::hash($n, $seed + 2) - 0.5);
                $stem = max(hypot($x - $middle, $z - $away) - 0.004, $hang - $y);
                $step = floor($y / 0.048);
                $side = ((int) $step & 1) === 0 ? 1 : -1;
                $local = $y - ($step + 0.5) * 0.048;
                // they hang, a little outward
                [$p, $q] = [($x - $middle) * $side - 0.017, $local];
                $leaf = Shapes::egg(0.88 * $p + 0.47 * $q, 0.88 * $q - 0.47 * $p, $z - $away - 0.012 * (Shapes::hash((int) $step, $n) - 0.5), 0.0085, 0.036, 0.005);
                $leaf = max($leaf, $hang - $y);
                $near = min($near, $stem, $leaf);
            }
        }

        return $near * 0.6;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->fronds($x, $y, $z) < 0.005) {
            $tone = 0.7 + 0.6 * Shapes::hash((int) floor($y / 0.048), (int) floor($x / 0.1));

            return [0.130 * $tone, 0.185 * $tone, 0.050 * $tone, 0.2, 0.0];
        }
        foreach (self::BOATS as $k => $boat) {
            if ($this->boat($boat, $x, $y, $z) < 0.012 && $y > 0.02) {
                return $this->paint($k, self::within($boat, $x, $y, $z), $x, $y, $z);
            }
        }
        if ($this->trunk($x, $y, $z) < 0.02) {
            $tone = 0.55 + 0.8 * Shapes::clouds($x * 9 + $z * 7, $y * 3, 4);
            $moss = Shapes::clouds($x * 2 + 7, $y * 2 + $z, 3) > 0.56 ? 1.0 : 0.0;

            return [(0.105 - 0.035 * $moss) * $tone, (0.092 + 0.010 * $moss) * $tone, (0.070 - 0.035 * $moss) * $tone, 0.05, 0.0];
        }
        if ($this->post($x, $y, $z) < 0.01) {
            $tone = 0.6 + 0.6 * Shapes::clouds($x * 50, $y * 5, 3);

            return [0.16 * $tone, 0.145 * $tone, 0.12 * $tone, 0.1, 0.0];
        }
        if ($y < -0.2 && $z < -6.8) {
            return [0.030, 0.042, 0.038, 0.95, 0.35];
        }

        return $this->ground($x, $z);
    }

    /** @return array{float, float, float, float, float} */
    private function ground(float $x, float $z): array
    {
        $worn = $this->worn($x, $z);
        $blades = 0.55 + 0.9 * Shapes::clouds($x * 26, $z * 13, 4);
        $dry = max(0.0, min(1.0, (Shapes::clouds($x * 1.1 + 9, $z * 1.1, 3) - 0.45) * 4));
        // narrow leaves that have come down
        [$i, $j] = [(int) floor($x / 0.11), (int) floor($z / 0.16)];
        $turn = 6.28 * Shapes::hash($i, $j + 50);
        [$p, $q] = [$x / 0.11 - $i - 0.5, ($z / 0.16 - $j - 0.5) * 1.45];
        [$p, $q] = [cos($turn) * $p - sin($turn) * $q, sin($turn) * $p + cos($turn) * $q];
        if (Shapes::hash($i, $j) < 0.3 && ($p / 0.36) ** 2 + ($q / 0.075) ** 2 < 1) {
            $tone = 0.6 + 0.8 * Shapes::hash($i + 3, $j);

            return [0.33 * $tone, 0.27 * $tone, 0.075 * $tone, 0.15, 0.0];
        }
        [$gr, $gg, $gb] = [0.085 + 0.07 * $dry, 0.130 + 0.025 * $dry, 0.038 + 0.012 * $dry];
        $earth = 0.7 + 0.5 * Shapes::clouds($x * 9, $z * 9, 3);

        return [
            $blades * $gr + $worn * (0.150 * $earth - $blades * $gr), $blades * $gg + $worn * (0.118 * $earth - $blades * $gg),
            $blades * $gb + $worn * (0.082 * $earth - $blades * $gb), 0.05, 0.0,
        ];
    }

    /** @return array{float, float, float, float, float} */
    private function paint(int $boat, array $within, float $x, float $y, float $z): array
    {
        [$u, $w, $v] = $within;
        $girth = atan2(max(0.0, $v), abs($w)) / (M_PI / 2) * self::STRAKES;
        $strake = (int) floor($girth);
        $seam = $girth - $strake < 0.09 ? 0.55 : 1.0;
        $grain = Shapes::clouds($u * 7 + 5 * $strake, $girth * 9, 3);
        $flake = Shapes::clouds($u * 6 + 13 * $boat, $girth * 1.3 + 4, 4);
        $coat = (0.85 + 0.3 * $grain) * $seam;
        $bare = [0.235 * (0.6 + 0.8 * $grain) * $seam, 0.195 * (0.6 + 0.8 * $grain) * $seam, 0.150 * (0.6 + 0.8 * $grain) * $seam, 0.1, 0.0];
        $isRail = $y < self::rim($u) + 0.05;
        if ($flake > 0.60) {
            return $bare;
        }
        $bottom = $girth > 5;

        return match (true) {
            $boat === 0 && $isRail => [0.46 * $coat, 0.40 * $coat, 0.28 * $coat, 0.35, 0.0],
            $boat === 0 => $bottom ? [0.300 * $coat, 0.085 * $coat, 0.055 * $coat, 0.3, 0.0] : [0.085 * $coat, 0.245 * $coat, 0.255 * $coat, 0.4, 0.0],
            $boat === 1 && $isRail => [0.085 * $coat, 0.135 * $coat, 0.21 * $coat, 0.35, 0.0],
            $boat === 1 => $bottom ? [0.10 * $coat, 0.115 * $coat, 0.135 * $coat, 0.3, 0.0] : [0.52 * $coat, 0.50 * $coat, 0.43 * $coat, 0.35, 0.0],
            default => $isRail ? [0.40 * $coat, 0.33 * $coat, 0.18 * $coat, 0.3, 0.0] : [0.35 * $coat, 0.215 * $coat, 0.060 * $coat, 0.35, 0.0],
        };
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        // what comes through leaves is green, what comes from the open side is not
        $open = 0.5 + 0.5 * $dz;
        $up = max(0.0, $dy);
        $r = 0.34 + 0.28 * $open + 0.18 * $up;
        $g = 0.38 + 0.28 * $open + 0.22 * $up;
        $b = 0.36 + 0.32 * $open + 0.15 * $up;
        if ($dz < -0.05 && $dy > -0.06) {
            [$u, $v] = [$dx / -$dz, min(1.0, $dy / -$dz)];
            $trees = 0.085 + 0.085 * Shapes::clouds($u * 2.6 + 3, 4.4, 4) + 0.02 * Shapes::noise($u * 60, 1.5);
            $reeds = 0.018 + 0.022 * Shapes::clouds($u * 7 + 1, 2.2, 3) + 0.012 * Shapes::noise($u * 330, 8.0) ** 2;
            if ($v < $reeds) {
                $tone = 0.6 + 0.7 * Shapes::noise($u * 240, $v * 16);

                return [0.150 * $tone, 0.155 * $tone, 0.075 * $tone];
            }
            if ($v < $trees) {
                $tone = (0.55 + 0.6 * Shapes::clouds($u * 26, $v * 34, 4)) * (0.7 + 2.2 * $v);

                return [0.150 * $tone, 0.205 * $tone, 0.155 * $tone];
            }

            return [0.80 - 0.2 * $v, 0.86 - 0.18 * $v, 0.90 - 0.08 * $v];
        }

        return [$r, $g, $b];
    }
}
