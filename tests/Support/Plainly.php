<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;

/**
 * The definitions once more, written as plainly as can be from the standard and from docs/calculations.md, without a
 * line of the core: what the compiled renderer is held against. Encoded values 0..1, colours as three numbers.
 */
final class Plainly
{
    /** B(below, source): W3C Compositing and Blending Level 1, section 9. */
    public static function blend(string $mode, float $b, float $s): float
    {
        return match ($mode) {
            'normal' => $s,
            'multiply' => $b * $s,
            'screen' => 1 - (1 - $b) * (1 - $s),
            'overlay' => self::blend('hard light', $s, $b),
            'darken' => min($b, $s),
            'lighten' => max($b, $s),
            'color dodge' => $b == 0 ? 0 : ($s == 1 ? 1 : min(1, $b / (1 - $s))),
            'color burn' => $b == 1 ? 1 : ($s == 0 ? 0 : 1 - min(1, (1 - $b) / $s)),
            'hard light' => $s <= 0.5 ? self::blend('multiply', $b, 2 * $s) : self::blend('screen', $b, 2 * $s - 1),
            'soft light' => $s <= 0.5 ? $b - (1 - 2 * $s) * $b * (1 - $b)
                : $b + (2 * $s - 1) * (($b <= 0.25 ? ((16 * $b - 12) * $b + 4) * $b : sqrt($b)) - $b),
            'difference' => abs($b - $s),
            'exclusion' => $b + $s - 2 * $b * $s,
            'kindle' => $s * $b >= 1 ? 1 : min(1, $b / (1 - $s * $b)),
        };
    }

    /**
     * A colour over another, both with alpha: unpremultiplied colour and alpha.
     *
     * @param  array{float, float, float, float}  $below
     * @param  array{float, float, float}  $source
     * @return array{float, float, float, float}
     */
    public static function over(string $mode, array $below, array $source, float $cover): array
    {
        $ab = $below[3];
        $alpha = $mode === 'add' ? min(1, $cover + $ab) : $cover + $ab - $cover * $ab;
        $out = [];
        foreach ([0, 1, 2] as $c) {
            $b = min(1, $below[$c]);
            $s = $source[$c];
            $premultiplied = match ($mode) {
                'add' => max($ab * $below[$c], min(1, $cover * $s + $ab * $below[$c])),
                default => $cover * ((1 - $ab) * $s + $ab * self::blend($mode, $b, $s)) + (1 - $cover) * $ab * $below[$c],
            };
            $out[] = $alpha > 0 ? $premultiplied / $alpha : 0.0;
        }

        return [...$out, $alpha];
    }

    public static function decode(float $v): float
    {
        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }

    public static function encode(float $l): float
    {
        return $l <= 0.0031308 ? 12.92 * $l : 1.055 * $l ** (1 / 2.4) - 0.055;
    }

    /** A spot across the picture at a place. */
    public static function spot(float $x, float $y, array $origin, array $target, float $beam, float $field, string $law, ?float $reach, ?float $size = null): float
    {
        $axis = atan2($target[1] - $origin[1], $target[0] - $origin[0]);
        $d = hypot($x - $origin[0], $y - $origin[1]);
        $angle = $d == 0 ? 0.0 : abs(atan2($y - $origin[1], $x - $origin[0]) - $axis);
        $angle = rad2deg($angle > M_PI ? 2 * M_PI - $angle : $angle);
        $n = log(log(10, 2)) / log($field / $beam);
        $d0 = hypot($target[0] - $origin[0], $target[1] - $origin[1]);
        $s = $size ?? $d0 / 3;

        return exp(-log(2) * ($angle / ($beam / 2)) ** $n) * match ($law) {
            'constant' => 1.0,
            'linear' => max(0, 1 - $d / ($reach ?? $d0)),
            'inverse square' => ($d0 ** 2 + $s ** 2) / ($d ** 2 + $s ** 2) * ($reach === null ? 1 : max(0, 1 - ($d / $reach) ** 4) ** 2),
        };
    }

    /** Stops as [offset, value, midpoint]. */
    public static function ramp(array $stops, float $t, bool $smooth = false): float
    {
        if ($t <= $stops[0][0]) {
            return $stops[0][1];
        }
        foreach (range(1, count($stops) - 1) as $k) {
            [$o0, $v0, $h] = $stops[$k - 1] + [2 => 0.5];
            [$o1, $v1] = $stops[$k];
            if ($t < $o1) {
                $u = (($t - $o0) / ($o1 - $o0)) ** (log(0.5) / log($h));
                $u = $smooth ? 3 * $u ** 2 - 2 * $u ** 3 : $u;

                return $v0 + ($v1 - $v0) * $u;
            }
        }

        return end($stops)[1];
    }

    /**
     * The largest difference between a rendered picture and a formula, in 1/255.
     *
     * @param  string  $bytes  red, green, blue, alpha as 16-bit numbers
     * @param  Closure(float, float): array{float, float, float, 3?: float}  $colour  of scene x and y
     * @param  (Closure(float, float): bool)|null  $counts
     */
    public static function difference(string $bytes, int $columns, int $rows, Closure $colour, ?Closure $counts = null): float
    {
        $values = array_values(unpack('n*', $bytes));
        $largest = 0.0;
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at += 4) {
                if ($counts !== null && ! $counts($column + 0.5, $row + 0.5)) {
                    continue;
                }
                $wanted = $colour($column + 0.5, $row + 0.5) + [3 => 1.0];
                foreach ($wanted as $channel => $value) {
                    if ($channel < 3 && $wanted[3] <= 0) {
                        continue;
                    }
                    $largest = max($largest, abs(min(1, $value) - $values[$at + $channel] / 65535));
                }
            }
        }

        return $largest * 255;
    }
}
