<?php

declare(strict_types=1);

namespace Demo;

/** Takes a picture of a subject: marched distances, one key light with soft shadows, sky light with occlusion, gloss. */
final readonly class Camera
{
    private const FAR = 60.0;

    private const STEPS = 120;

    /** Half the angle of the key light, as a tangent: how soft shadows are. */
    private const SOFTNESS = 0.06;

    /** @param  float  $size of 1, for a quick look */
    public function __construct(private Subject $subject, private float $size = 1.0)
    {
    }

    /** @return array{int, int} */
    public function size(): array
    {
        [$width, $height] = $this->subject->size();

        return [(int) round($width * $this->size), (int) round($height * $this->size)];
    }

    /**
     * Linear colour and coverage of a row of pixels, averaged over a grid of rays in each.
     *
     * @return list<array{float, float, float, float}> colour premultiplied
     */
    public function row(int $row, int $grid): array
    {
        [$width, $height] = $this->size();
        $line = [];
        for ($column = 0; $column < $width; $column++) {
            $r = $g = $b = $a = 0.0;
            for ($j = 0; $j < $grid; $j++) {
                for ($i = 0; $i < $grid; $i++) {
                    [$cr, $cg, $cb, $ca] = $this->ray($column + ($i + 0.5) / $grid, $row + ($j + 0.5) / $grid, $width, $height);
                    $r += $cr;
                    $g += $cg;
                    $b += $cb;
                    $a += $ca;
                }
            }
            $n = $grid * $grid;
            $line[] = [$r / $n, $g / $n, $b / $n, $a / $n];
        }

        return $line;
    }

    /**
     * What a row of pixels is besides its colour: the normal (x, y up, z toward the camera), how open it is to the sky, how far
     * away, and coverage; at the middle of each pixel.
     *
     * @return list<array{float, float, float, float, float, float}>
     */
    public function passes(int $row): array
    {
        [$width, $height] = $this->size();
        $line = [];
        for ($column = 0; $column < $width; $column++) {
            [$ox, $oy, $oz, $dx, $dy, $dz] = $this->sight($column + 0.5, $row + 0.5, $width, $height);
            $t = $this->march($ox, $oy, $oz, $dx, $dy, $dz);
            if ($t >= self::FAR) {
                $line[] = [0.0, 0.0, 0.0, 1.0, self::FAR, 0.0];

                continue;
            }
            [$x, $y, $z] = [$ox + $t * $dx, $oy + $t * $dy, $oz + $t * $dz];
            [$nx, $ny, $nz] = $this->normal($x, $y, $z);
            $line[] = [$nx, $ny, $nz, $this->openness($x, $y, $z, $nx, $ny, $nz), -$t * $dz, 1.0];
        }

        return $line;
    }

    /** @return array{float, float, float, float, float, float} from where and which way a place of the picture is seen */
    private function sight(float $px, float $py, int $width, int $height): array
    {
        $f = $this->subject->focal() * $width;
        [$dx, $dy, $dz] = [$px - $width / 2, $this->subject->horizon() * $height - $py, -$f];
        $length = sqrt($dx * $dx + $dy * $dy + $dz * $dz);

        return [...$this->subject->camera(), $dx / $length, $dy / $length, $dz / $length];
    }

    /** @return array{float, float, float, float} */
    private function ray(float $px, float $py, int $width, int $height): array
    {
        [$ox, $oy, $oz, $dx, $dy, $dz] = $this->sight($px, $py, $width, $height);
        $t = $this->march($ox, $oy, $oz, $dx, $dy, $dz);
        if ($t >= self::FAR) {
            if (! $this->subject->hasBackground()) {
                return [0.0, 0.0, 0.0, 0.0];
            }
            [$r, $g, $b] = $this->subject->sky($dx, $dy, $dz);

            return [$r, $g, $b, 1.0];
        }
        [$r, $g, $b] = $this->shade($ox + $t * $dx, $oy + $t * $dy, $oz + $t * $dz, $dx, $dy, $dz);
        if ($this->subject->hasBackground()) {
            // air between here and there
            [$hr, $hg, $hb] = $this->subject->sky($dx, 0.03, $dz);
            $haze = 1 - exp(-$t * 0.009);
            $r += $haze * ($hr - $r);
            $g += $haze * ($hg - $g);
            $b += $haze * ($hb - $b);
        }

        return [$r, $g, $b, 1.0];
    }

    private function march(float $ox, float $oy, float $oz, float $dx, float $dy, float $dz): float
    {
        $t = 0.05;
        $d = self::FAR;
        for ($k = 0; $k < self::STEPS && $t < self::FAR; $k++) {
            $d = $this->subject->distance($ox + $t * $dx, $oy + $t * $dy, $oz + $t * $dz);
            if ($d < 0.0006 * $t) {
                return $t;
            }
            $t += $d * 0.85;
        }

        // who has not arrived is there where little is missing: rays that graze an edge pass it
        return $t < self::FAR && $d < 0.01 * $t ? $t : self::FAR;
    }

    /** @return array{float, float, float} */
    private function shade(float $x, float $y, float $z, float $dx, float $dy, float $dz): array
    {
        [$nx, $ny, $nz] = $this->normal($x, $y, $z);
        [$r, $g, $b, $gloss, $metal] = $this->subject->surface($x, $y, $z, $nx, $ny, $nz);
        [$lx, $ly, $lz] = $this->subject->light();
        [$kr, $kg, $kb] = $this->subject->lightColour();
        $facing = $nx * $lx + $ny * $ly + $nz * $lz;
        $lit = $facing > 0 ? $facing * $this->shadow($x + $nx * 0.01, $y + $ny * 0.01, $z + $nz * 0.01, $lx, $ly, $lz) : 0.0;
        $open = $this->openness($x, $y, $z, $nx, $ny, $nz);
        [$sr, $sg, $sb] = $this->subject->sky($nx, $ny * 0.7 + 0.3, $nz);
        $matte = 1 - $metal;
        $outR = $r * $matte * ($kr * $lit + $sr * $open);
        $outG = $g * $matte * ($kg * $lit + $sg * $open);
        $outB = $b * $matte * ($kb * $lit + $sb * $open);

        $turn = 2 * ($dx * $nx + $dy * $ny + $dz * $nz);
        [$mx, $my, $mz] = [$dx - $turn * $nx, $dy - $turn * $ny, $dz - $turn * $nz];
        [$er, $eg, $eb] = $this->subject->sky($mx, $my, $mz);
        $grazing = 1 + ($dx * $nx + $dy * $ny + $dz * $nz);
        $grazing = $grazing < 0 ? 0.0 : $grazing;
        $fresnel = (0.04 + 0.96 * $grazing ** 5) * $gloss * $matte;
        $spark = max(0.0, $mx * $lx + $my * $ly + $mz * $lz) ** (8 + 380 * $gloss * $gloss) * $gloss * 2.2 * ($lit > 0 ? min(1, $lit * 3) : 0);
        $mirrorR = $fresnel + $metal * $r;
        $mirrorG = $fresnel + $metal * $g;
        $mirrorB = $fresnel + $metal * $b;

        return [
            $outR + $open * $mirrorR * $er + $spark * $kr * ($matte * 0.5 + $metal * $r),
            $outG + $open * $mirrorG * $eg + $spark * $kg * ($matte * 0.5 + $metal * $g),
            $outB + $open * $mirrorB * $eb + $spark * $kb * ($matte * 0.5 + $metal * $b),
        ];
    }

    /** @return array{float, float, float} */
    private function normal(float $x, float $y, float $z): array
    {
        $e = 0.0012;
        $s = $this->subject;
        $a = $s->distance($x + $e, $y - $e, $z - $e);
        $b = $s->distance($x - $e, $y - $e, $z + $e);
        $c = $s->distance($x - $e, $y + $e, $z - $e);
        $d = $s->distance($x + $e, $y + $e, $z + $e);
        $nx = $a - $b - $c + $d;
        $ny = -$a - $b + $c + $d;
        $nz = -$a + $b - $c + $d;
        $length = sqrt($nx * $nx + $ny * $ny + $nz * $nz);

        return $length < 1e-12 ? [0.0, 1.0, 0.0] : [$nx / $length, $ny / $length, $nz / $length];
    }

    /** How much of the key light arrives, 0..1. */
    private function shadow(float $x, float $y, float $z, float $lx, float $ly, float $lz): float
    {
        $free = 1.0;
        $t = 0.02;
        for ($k = 0; $k < 48 && $t < 9.0; $k++) {
            $d = $this->subject->distance($x + $t * $lx, $y + $t * $ly, $z + $t * $lz);
            $share = 0.5 + 0.5 * $d / (self::SOFTNESS * $t);
            $free = $share < $free ? $share : $free;
            if ($free < 0.0) {
                return 0.0;
            }
            $t += $d > 0.012 ? ($d < 0.5 ? $d : 0.5) : 0.012;
        }

        return $free * $free * (3 - 2 * $free);
    }

    /** How much of the sky is seen, 0..1: short probes along the normal. */
    private function openness(float $x, float $y, float $z, float $nx, float $ny, float $nz): float
    {
        $hidden = 0.0;
        $weight = 1.0;
        foreach ([0.015, 0.05, 0.13, 0.28] as $h) {
            $d = $this->subject->distance($x + $h * $nx, $y + $h * $ny, $z + $h * $nz);
            $hidden += ($h - $d) / $h * $weight;
            $weight *= 0.62;
        }
        $open = 1 - 0.42 * $hidden;

        return $open < 0.06 ? 0.06 : ($open > 1 ? 1.0 : $open);
    }
}
