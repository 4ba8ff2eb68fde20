<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * Gaussian blur of a plane of floats, at a cost that does not grow with sigma.
 *
 * From sigma 2 on a recursive filter of fourth order: Deriche, *Recursively implementing the Gaussian and its
 * derivatives* (INRIA report 1893, 1993; coefficients from memory, checked against the sampled Gaussian). Below, the
 * sampled, normalised Gaussian itself. The plane's border values go on outside.
 */
final class Gaussian
{
    public const RECURSIVE_FROM = 2.0;

    /** A Gaussian counts as ended at this many sigmas. */
    public const REACH = 3.5;

    /**
     * @param  list<float>  $plane  row after row
     * @return list<float>
     */
    public static function blur(array $plane, int $columns, int $rows, float $sigma): array
    {
        if ($sigma < 0.05 || $plane === []) {
            return $plane;
        }
        $plane = self::along($plane, $columns, $rows, $sigma);
        $plane = self::transpose($plane, $columns, $rows);
        $plane = self::along($plane, $rows, $columns, $sigma);

        return self::transpose($plane, $rows, $columns);
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function along(array $plane, int $columns, int $rows, float $sigma): array
    {
        return $sigma < self::RECURSIVE_FROM ? self::direct($plane, $columns, $rows, $sigma) : self::recursive($plane, $columns, $rows, $sigma);
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function direct(array $plane, int $columns, int $rows, float $sigma): array
    {
        $radius = (int) ceil(self::REACH * $sigma);
        $weights = [];
        for ($k = 0; $k <= $radius; $k++) {
            $weights[] = exp(-$k * $k / (2 * $sigma * $sigma));
        }
        $sum = 2 * array_sum($weights) - $weights[0];
        foreach ($weights as $k => $weight) {
            $weights[$k] = $weight / $sum;
        }
        $middle = $weights[0];
        $blurred = [];
        for ($row = 0; $row < $rows; $row++) {
            $line = array_slice($plane, $row * $columns, $columns);
            // the borders are written out, so that the loops below have no branches
            $line = [...array_fill(0, $radius, $line[0]), ...$line, ...array_fill(0, $radius, $line[$columns - 1])];
            for ($column = 0; $column < $columns; $column++) {
                $centre = $column + $radius;
                $value = $middle * $line[$centre];
                for ($k = 1; $k <= $radius; $k++) {
                    $value += $weights[$k] * ($line[$centre - $k] + $line[$centre + $k]);
                }
                $blurred[] = $value;
            }
        }

        return $blurred;
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function recursive(array $plane, int $columns, int $rows, float $sigma): array
    {
        [$n0, $n1, $n2, $n3, $d1, $d2, $d3, $d4] = self::coefficients($sigma);
        $m1 = $n1 - $d1 * $n0;
        $m2 = $n2 - $d2 * $n0;
        $m3 = $n3 - $d3 * $n0;
        $m4 = -$d4 * $n0;
        $rest = 1 + $d1 + $d2 + $d3 + $d4;
        $gainForth = ($n0 + $n1 + $n2 + $n3) / $rest;
        $gainBack = ($m1 + $m2 + $m3 + $m4) / $rest;
        // the two passes together keep a constant as it is
        $norm = 1 / ($gainForth + $gainBack);
        $blurred = [];
        for ($row = 0; $row < $rows; $row++) {
            $base = $row * $columns;
            $x1 = $x2 = $x3 = $plane[$base];
            $y1 = $y2 = $y3 = $y4 = $x1 * $gainForth;
            for ($column = 0; $column < $columns; $column++) {
                $x = $plane[$base + $column];
                $y = $n0 * $x + $n1 * $x1 + $n2 * $x2 + $n3 * $x3 - $d1 * $y1 - $d2 * $y2 - $d3 * $y3 - $d4 * $y4;
                $blurred[] = $y;
                $x3 = $x2;
                $x2 = $x1;
                $x1 = $x;
                $y4 = $y3;
                $y3 = $y2;
                $y2 = $y1;
                $y1 = $y;
            }
            $x1 = $x2 = $x3 = $x4 = $plane[$base + $columns - 1];
            $y1 = $y2 = $y3 = $y4 = $x1 * $gainBack;
            for ($at = $base + $columns - 1; $at >= $base; $at--) {
                $y = $m1 * $x1 + $m2 * $x2 + $m3 * $x3 + $m4 * $x4 - $d1 * $y1 - $d2 * $y2 - $d3 * $y3 - $d4 * $y4;
                $blurred[$at] = ($blurred[$at] + $y) * $norm;
                $x4 = $x3;
                $x3 = $x2;
                $x2 = $x1;
                $x1 = $plane[$at];
                $y4 = $y3;
                $y3 = $y2;
                $y2 = $y1;
                $y1 = $y;
            }
        }

        /** @var list<float> $blurred written only where it had values already */
        return $blurred;
    }

    /** @return array{float, float, float, float, float, float, float, float} n0..n3 of the causal part and d1..d4 of both */
    private static function coefficients(float $sigma): array
    {
        [$a0, $a1, $b0, $w0] = [1.680, 3.735, 1.783, 0.6318];
        [$c0, $c1, $b1, $w1] = [-0.6803, -0.2598, 1.723, 1.997];
        $cos0 = cos($w0 / $sigma);
        $sin0 = sin($w0 / $sigma);
        $cos1 = cos($w1 / $sigma);
        $sin1 = sin($w1 / $sigma);
        $e0 = exp(-$b0 / $sigma);
        $e1 = exp(-$b1 / $sigma);

        return [
            $a0 + $c0,
            $e1 * ($c1 * $sin1 - ($c0 + 2 * $a0) * $cos1) + $e0 * ($a1 * $sin0 - (2 * $c0 + $a0) * $cos0),
            2 * $e0 * $e1 * (($a0 + $c0) * $cos1 * $cos0 - $cos1 * $a1 * $sin0 - $cos0 * $c1 * $sin1) + $c0 * $e0 ** 2 + $a0 * $e1 ** 2,
            $e1 * $e0 ** 2 * ($c1 * $sin1 - $c0 * $cos1) + $e0 * $e1 ** 2 * ($a1 * $sin0 - $a0 * $cos0),
            -2 * $e1 * $cos1 - 2 * $e0 * $cos0,
            4 * $cos1 * $cos0 * $e0 * $e1 + $e1 ** 2 + $e0 ** 2,
            -2 * $cos0 * $e0 * $e1 ** 2 - 2 * $cos1 * $e1 * $e0 ** 2,
            $e0 ** 2 * $e1 ** 2,
        ];
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    private static function transpose(array $plane, int $columns, int $rows): array
    {
        $turned = [];
        for ($column = 0; $column < $columns; $column++) {
            for ($at = $column, $end = $columns * $rows; $at < $end; $at += $columns) {
                $turned[] = $plane[$at];
            }
        }

        return $turned;
    }
}
