<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** {@see Noise::gradient()} at many places at once: the gradients of the lattice are looked up, not hashed for every place. */
final readonly class NoiseSheet
{
    private const FROM = [1.0, M_SQRT1_2, 0.0, -M_SQRT1_2, -1.0, -M_SQRT1_2, 0.0, M_SQRT1_2];

    private const DOWN = [0.0, M_SQRT1_2, 1.0, M_SQRT1_2, 0.0, -M_SQRT1_2, -1.0, -M_SQRT1_2];

    /**
     * @param  list<float>  $x  columns of the lattice
     * @param  list<float>  $y  rows
     * @param  float  $scale  the places are so many times as far from the origin
     * @return list<float>
     */
    public static function at(array $x, array $y, int $seed, float $scale = 1.0): array
    {
        if ($x === [] || $y === []) {
            return [];
        }
        [$left, $top] = [(int) floor($scale * min($x)), (int) floor($scale * min($y))];
        $columns = (int) floor($scale * max($x)) - $left + 2;
        $rows = (int) floor($scale * max($y)) - $top + 2;
        [$gx, $gy] = self::gradients($left, $top, $columns, $rows, $seed);
        $values = [];
        foreach ($x as $at => $px) {
            $px = $scale * $px - $left;
            $py = $scale * $y[$at] - $top;
            $i = (int) $px;
            $j = (int) $py;
            $u = $px - $i;
            $v = $py - $j;
            $k = $j * $columns + $i;
            $b = $k + $columns;
            $fu = $u * $u * $u * ($u * ($u * 6.0 - 15.0) + 10.0);
            $fv = $v * $v * $v * ($v * ($v * 6.0 - 15.0) + 10.0);
            $a00 = $gx[$k] * $u + $gy[$k] * $v;
            $a01 = $gx[$b] * $u + $gy[$b] * ($v - 1.0);
            $upper = $a00 + $fu * ($gx[$k + 1] * ($u - 1.0) + $gy[$k + 1] * $v - $a00);
            $lower = $a01 + $fu * ($gx[$b + 1] * ($u - 1.0) + $gy[$b + 1] * ($v - 1.0) - $a01);
            $values[] = $upper + $fv * ($lower - $upper);
        }

        return $values;
    }

    /**
     * Of the places of a lattice, row after row.
     *
     * @return array{list<float>, list<float>}
     */
    private static function gradients(int $left, int $top, int $columns, int $rows, int $seed): array
    {
        $gx = $gy = [];
        for ($j = 0; $j < $rows; $j++) {
            for ($i = 0; $i < $columns; $i++) {
                $which = Noise::at($left + $i, $top + $j, $seed) & 7;
                $gx[] = self::FROM[$which];
                $gy[] = self::DOWN[$which];
            }
        }

        return [$gx, $gy];
    }
}
