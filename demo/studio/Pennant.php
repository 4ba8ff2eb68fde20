<?php

declare(strict_types=1);

namespace Demo;

/** A swallow-tailed pennant sewn on linen, in a plain flat frame, photographed straight on in flat light. */
final class Pennant implements Subject
{
    public function name(): string
    {
        return 'pennant';
    }

    public function size(): array
    {
        return [820, 580];
    }

    public function camera(): array
    {
        return [0.0, 0.0, 3.2];
    }

    public function focal(): float
    {
        return 3.05;
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
        return [-0.30, 0.50, 0.812];
    }

    public function lightColour(): array
    {
        return [0.42, 0.42, 0.43];
    }

    public function distance(float $x, float $y, float $z): float
    {
        $frame = max(Shapes::box($x, $y, $z, 0.49, 0.34, 0.03), -Shapes::box($x, $y, $z, 0.425, 0.275, 0.5));
        $cloth = $this->cloth($x, $y);
        $rise = $cloth > 0 ? 0.006 * min(1.0, $cloth / 0.01) : 0.0;
        $linen = max($z + 0.012 - $rise - 0.0008 * self::weave($x, $y), abs($x) - 0.43, abs($y) - 0.28, -0.03 - $z);

        return min($frame, $linen) * 0.8;
    }

    /** How far inside the pennant's outline. */
    private function cloth(float $x, float $y): float
    {
        $taper = 0.205 - 0.13 * ($x + 0.36) / 0.72 + 0.006 * sin(9 * $x);
        $tail = 0.36 - 0.17 * max(0.0, 1 - abs($y) / 0.075);

        return min($taper - abs($y), $x + 0.36, $tail - $x);
    }

    /** Warp and weft, -1..1. */
    private static function weave(float $x, float $y): float
    {
        [$u, $v] = [$x * 120 + 0.4 * Shapes::noise($x * 9, $y * 9), $y * 120 + 0.4 * Shapes::noise($x * 9 + 5, $y * 9)];
        $over = ((int) floor($u) + (int) floor($v)) % 2 === 0;

        return $over ? sin(M_PI * ($u - floor($u))) : sin(M_PI * ($v - floor($v))) * 0.6 - 0.2;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if (abs($x) > 0.424 || abs($y) > 0.274) {
            $across = abs($x) / 0.49 > abs($y) / 0.34;
            $grain = 0.7 + 0.5 * ($across ? Shapes::clouds($x * 70, $y * 6, 4) : Shapes::clouds($x * 6, $y * 70, 4));

            return [0.27 * $grain, 0.17 * $grain, 0.09 * $grain, 0.3, 0.0];
        }
        $thread = 0.88 + 0.12 * self::weave($x, $y) + 0.10 * (Shapes::clouds($x * 30, $y * 160, 2) - 0.5);
        $inside = $this->cloth($x, $y);
        if ($inside > 0) {
            $seam = abs($inside - 0.012) < 0.0022 && (($x + $y) * 60 - floor(($x + $y) * 60)) < 0.6;
            if ($seam || Shapes::star($x + 0.19, $y, 0.085) < 0) {
                return [0.66 * $thread, 0.60 * $thread, 0.46 * $thread, 0.03, 0.0];
            }

            return $x < -0.02 ? [0.075 * $thread, 0.16 * $thread, 0.25 * $thread, 0.03, 0.0] : [0.46 * $thread, 0.12 * $thread, 0.075 * $thread, 0.03, 0.0];
        }

        return [0.42 * $thread, 0.38 * $thread, 0.29 * $thread, 0.03, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.30 + 0.22 * max(0.0, 0.5 * $dy + 0.5 * $dz);

        return [$light, $light * 1.01, $light * 1.04];
    }
}
