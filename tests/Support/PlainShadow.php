<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Shadows once more, written as plainly as can be from docs/calculations.md, without a line of the core: places of an upright sheet
 * on a level row thrown on ground and walls, one formula a case.
 */
final readonly class PlainShadow
{
    /**
     * @param  float|null  $horizon  yh; null while none is marked
     * @param  float  $row  yp, on which the sheet stands
     * @param  float  $contact  yc, of the scene
     */
    public function __construct(public float $cx, public ?float $horizon, public float $row, public float $contact, public float $f, public float $middle)
    {
    }

    /** The vector of a bearing, its part across the sheet raised. @return array{float, float, float} */
    public static function light(float $azimuth, float $elevation): array
    {
        [$a, $e] = [deg2rad($azimuth), deg2rad($elevation)];
        [$x, $y, $z] = [cos($e) * cos($a), cos($e) * sin($a), sin($e)];
        $least = 0.35 * hypot($x, $z);
        $z = abs($z) < $least ? ($z < 0 ? -$least : $least) : $z;
        $n = sqrt($x * $x + $y * $y + $z * $z);

        return [$x / $n, $y / $n, $z / $n];
    }

    /** @return array{float, float} */
    public function bySun(float $x, float $y, array $l): array
    {
        $u = $this->row - $y;
        if ($this->horizon === null) {
            return [$x - $u * $l[0] / $l[1], $this->row - 0.35 * $u * $l[2] / $l[1]];
        }
        $w = 1 + $u / $this->f * $l[2] / $l[1];

        return [$this->cx + ($x - $this->cx - $u * $l[0] / $l[1]) / $w, $this->horizon + ($this->row - $this->horizon) / $w];
    }

    /** A seen lamp in space. @return array{float, float, float} X, h and z; raised for feet at a place of the picture */
    public function lamp(float $x, float $y, float $z, float $foot): array
    {
        $w = 1 - $z / $this->f;
        $yh = $this->horizon ?? $this->middle;
        [$atX, $atY] = [$this->cx + ($x - $this->cx) * $w, $yh + ($y - $yh) * $w];
        $h = $this->horizon === null ? $this->row - $atY : ($this->contact - $yh) - ($atY - $yh);
        $aside = $atX - ($this->cx + ($foot - $this->cx) * $this->wp());
        $across = $z - $this->zp();
        $least = 0.35 * hypot($aside, $across);
        $across = abs($across) < $least ? ($across < 0 ? -$least : $least) : $across;

        return [$atX, $h, $this->zp() + $across];
    }

    /** @return array{float, float}|null null for what stands no lower than the lamp */
    public function byLamp(float $x, float $y, array $lamp): ?array
    {
        [$atX, $h, $z] = $lamp;
        [$wp, $zp] = [$this->wp(), $this->zp()];
        $u = ($this->row - $y) * $wp;
        if ($u >= $h) {
            return null;
        }
        $s = $u / ($h - $u);
        if ($this->horizon === null) {
            return [$x + $s * ($x - $atX), $this->row - 0.35 * $s * $z];
        }
        $w = 1 + $s * ($z - $zp) / ($this->f * $wp);

        return [$this->cx + (($x - $this->cx) * $wp + $s * (($x - $this->cx) * $wp - ($atX - $this->cx))) / ($w * $wp), $this->horizon + ($this->row - $this->horizon) / $w];
    }

    /** On the wall over a level foot line, or on the ground before it: camera's height 1, right, up, away. @return array{float, float} */
    public function climbing(float $x, float $y, array $l, float $foot): array
    {
        $yh = (float) $this->horizon;
        // G(x, y) = ((x - cx)/(y - yh), 0, f/(y - yh)); the sheet's point is u/(yc - yh) above it
        $g = [($x - $this->cx) / ($this->row - $yh), 0.0, $this->f / ($this->row - $yh)];
        $s = [$g[0], ($this->row - $y) / ($this->row - $yh), $g[2]];
        $d = [-$l[0], -$l[1], $l[2]];
        $wall = $this->f / ($foot - $yh);
        $t = $d[2] > 1e-9 ? ($wall - $s[2]) / $d[2] : INF;
        $down = $d[1] < 0 ? $s[1] / -$d[1] : INF;
        $t = $t > 0 ? min($t, $down) : $down;
        $p = [$s[0] + $t * $d[0], $s[1] + $t * $d[1], $s[2] + $t * $d[2]];

        return [$this->cx + $this->f * $p[0] / $p[2], $yh + $this->f * (1 - $p[1]) / $p[2]];
    }

    public function wp(): float
    {
        return $this->horizon === null ? 1.0 : ($this->contact - $this->horizon) / ($this->row - $this->horizon);
    }

    public function zp(): float
    {
        return $this->f * (1 - $this->wp());
    }

    /**
     * How far a place lies inside a polygon, below 0 outside.
     *
     * @param  list<array{float, float}>  $polygon
     */
    public static function inside(array $polygon, float $x, float $y): float
    {
        [$isIn, $nearest] = [false, INF];
        foreach ($polygon as $k => [$x1, $y1]) {
            [$x2, $y2] = $polygon[($k + 1) % count($polygon)];
            $isIn = ($y1 > $y) !== ($y2 > $y) && $x < $x1 + ($y - $y1) * ($x2 - $x1) / ($y2 - $y1) ? ! $isIn : $isIn;
            $length = max(1e-12, ($x2 - $x1) ** 2 + ($y2 - $y1) ** 2);
            $t = max(0, min(1, (($x - $x1) * ($x2 - $x1) + ($y - $y1) * ($y2 - $y1)) / $length));
            $nearest = min($nearest, hypot($x - $x1 - $t * ($x2 - $x1), $y - $y1 - $t * ($y2 - $y1)));
        }

        return $isIn ? $nearest : -$nearest;
    }
}
