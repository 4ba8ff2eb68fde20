<?php

declare(strict_types=1);

namespace Demo;

/** A toy boat of painted wood with a cotton sail, photographed in warm light from the left. */
final class ToyBoat implements Subject
{
    public function name(): string
    {
        return 'toyboat';
    }

    public function size(): array
    {
        return [560, 640];
    }

    public function camera(): array
    {
        return [0.0, 0.36, 2.3];
    }

    public function focal(): float
    {
        return 2.35;
    }

    public function horizon(): float
    {
        return 0.42;
    }

    public function hasBackground(): bool
    {
        return false;
    }

    public function light(): array
    {
        return [-0.62, 0.58, 0.528];
    }

    public function lightColour(): array
    {
        return [1.05, 0.82, 0.56];
    }

    public function distance(float $x, float $y, float $z): float
    {
        return min($this->hull($x, $y, $z), $this->rig($x, $y, $z), $this->sails($x, $y, $z), $this->cabin($x, $y, $z)) * 0.75;
    }

    private function hull(float $x, float $y, float $z): float
    {
        // sheer: higher at both ends
        $rim = 0.115 + 0.10 * ($x / 0.4) ** 2 + 0.03 * ($x / 0.4);
        $body = max(Shapes::egg($x, $y - 0.16, $z, 0.42, 0.17, 0.145), $y - $rim);
        $inside = max(Shapes::egg($x, $y - 0.19, $z, 0.385, 0.15, 0.118), 0.085 - $y);
        $keel = max(Shapes::box($x + 0.02, $y - 0.008, $z, 0.25, 0.022, 0.012, 0.006), -$y);
        $rail = max(abs(Shapes::egg($x, $y - 0.16, $z, 0.42, 0.17, 0.145)) - 0.011, abs($y - $rim) - 0.011);

        return min(max($body, -$inside), $keel, $rail);
    }

    private function cabin(float $x, float $y, float $z): float
    {
        $house = Shapes::box($x + 0.16, $y - 0.15, $z, 0.085, 0.06, 0.065, 0.012);

        return min($house, Shapes::box($x + 0.16, $y - 0.217, $z, 0.10, 0.010, 0.078, 0.006));
    }

    private function rig(float $x, float $y, float $z): float
    {
        return min(
            Shapes::rod($x, $y, $z, 0.04, 0.09, 0, 0.04, 0.80, 0, 0.012, 0.007), Shapes::rod($x, $y, $z, 0.04, 0.24, 0, -0.30, 0.27, 0.05, 0.008, 0.006),
            Shapes::rod($x, $y, $z, 0.39, 0.22, 0, 0.04, 0.78, 0, 0.0028, 0.0028), Shapes::rod($x, $y, $z, 0.36, 0.19, 0, 0.47, 0.23, 0, 0.009, 0.005),
        );
    }

    /** A main sail behind the mast and a jib before it, both with belly. */
    private function sails(float $x, float $y, float $z): float
    {
        $up = ($y - 0.26) / 0.50;
        $main = max(0.03 - 0.33 * (1 - $up) - $x, $x - 0.032, -$up, $up - 1);
        $along = ($x - 0.03) / 0.33;
        $belly = 0.05 * (1 - $up) - 0.06 * sin(M_PI * max(0.0, min(1.0, -$along))) * (1 - $up);
        $lift = ($y - 0.24) / 0.46;
        $jib = max(0.055 - $x, $x - 0.055 - 0.29 * (1 - $lift), -$lift, $lift - 1);
        $fill = 0.045 * sin(M_PI * max(0.0, min(1.0, ($x - 0.055) / 0.29))) * (1 - $lift);

        return min(max($main * 0.8, abs($z - $belly) - 0.004), max($jib * 0.8, abs($z + $fill) - 0.004)) * 0.8;
    }

    public function surface(float $x, float $y, float $z, float $nx, float $ny, float $nz): array
    {
        if ($this->sails($x, $y, $z) < 0.003) {
            $weave = 0.92 + 0.08 * sin(420 * $x) * sin(420 * $y);
            $seam = abs($y * 9 - round($y * 9)) < 0.02 ? 0.82 : 1.0;
            $tone = $weave * $seam;

            return [0.74 * $tone, 0.68 * $tone, 0.54 * $tone, 0.05, 0.0];
        }
        if ($this->rig($x, $y, $z) < 0.003) {
            return [0.42, 0.27, 0.13, 0.4, 0.0];
        }
        if ($this->cabin($x, $y, $z) < 0.003) {
            $window = abs($nz) > 0.7 && abs(abs($x + 0.16) - 0.035) < 0.017 && abs($y - 0.165) < 0.016;

            return $window ? [0.03, 0.04, 0.05, 0.9, 0.0] : ($y > 0.207 ? [0.10, 0.22, 0.27, 0.4, 0.0] : [0.72, 0.68, 0.58, 0.4, 0.0]);
        }
        $rim = 0.115 + 0.10 * ($x / 0.4) ** 2 + 0.03 * ($x / 0.4);
        if ($y > $rim - 0.014) {
            return [0.40, 0.24, 0.11, 0.5, 0.0];
        }
        if ($y < 0.060) {
            return [0.46, 0.075, 0.05, 0.5, 0.0];
        }
        if (abs($y - 0.068) < 0.008) {
            return [0.78, 0.74, 0.64, 0.5, 0.0];
        }
        $coat = 0.9 + 0.15 * Shapes::clouds($x * 30, $y * 30, 3);

        return [0.055 * $coat, 0.19 * $coat, 0.24 * $coat, 0.55, 0.0];
    }

    public function sky(float $dx, float $dy, float $dz): array
    {
        $light = 0.20 + 0.24 * max(0.0, 0.4 + 0.5 * $dy - 0.3 * $dx);

        return [$light * 1.06, $light, $light * 0.92];
    }
}
