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

    /** Further than this from what is not 0 nothing comes to, in sigmas: the filter's own tails, exp(-1.783 * 8), are below a millionth there. */
    private const GONE = 8.0;

    /** As far as that goes below RECURSIVE_FROM, in pixels. */
    private const MOST_DIRECT = 7;

    /**
     * @param  list<float>  $plane  row after row
     * @return list<float>
     */
    public static function blur(array $plane, int $columns, int $rows, float $sigma): array
    {
        if ($sigma < 0.05 || $plane === []) {
            return $plane;
        }

        // what shines is often small in a large plane: where nothing comes to, nothing is filtered
        [$left, $top, $right, $bottom] = self::box($plane, $columns, $rows);
        if ($bottom < $top) {
            return $plane;
        }
        $reach = (int) ceil(self::GONE * $sigma);
        $left = max(0, $left - $reach);
        $across = min($columns, $right + 1 + $reach) - $left;
        $upper = max(0, $top - $reach);
        $down = min($rows, $bottom + 1 + $reach) - $upper;

        // in the plane itself: a fresh one costs as much as filtering it
        self::along($plane, $sigma, $top * $columns + $left, $bottom + 1 - $top, $across, $columns, 1);
        self::along($plane, $sigma, $upper * $columns + $left, $across, $down, 1, $columns);

        return $plane;
    }

    /**
     * The first and the last column and row in which there is anything.
     *
     * @param  list<float>  $plane
     * @return array{int, int, int, int} left, top, right, bottom; the last row before the first where there is nothing
     */
    private static function box(array $plane, int $columns, int $rows): array
    {
        [$first, $end] = [0, $columns * $rows - 1];
        while ($first <= $end && $plane[$first] === 0.0) {
            $first++;
        }
        while ($end > $first && $plane[$end] === 0.0) {
            $end--;
        }
        if ($first > $end) {
            return [0, 0, -1, -1];
        }
        [$top, $bottom] = [intdiv($first, $columns), intdiv($end, $columns)];
        [$left, $right] = [$columns - 1, 0];
        for ($row = $top; $row <= $bottom; $row++) {
            for ($start = $row * $columns, $c = 0; $c < $left && $plane[$start + $c] === 0.0; $c++);
            $left = min($left, $c);
            for ($c = $columns - 1; $c > $right && $plane[$start + $c] === 0.0; $c--);
            $right = max($right, $c);
        }

        return [$left, $top, $right, $bottom];
    }

    /**
     * @param  list<float>  $plane
     * @param  int  $start  where the first line begins
     * @param  int  $lines  filtered one by one
     * @param  int  $length  of each
     * @param  int  $apart  from where one starts to the next
     * @param  int  $stride  along one
     */
    private static function along(array &$plane, float $sigma, int $start, int $lines, int $length, int $apart, int $stride): void
    {
        if ($sigma < self::RECURSIVE_FROM) {
            self::direct($plane, $sigma, $start, $lines, $length, $apart, $stride);
        } else {
            self::recursive($plane, $sigma, $start, $lines, $length, $apart, $stride);
        }
    }

    /** @param  list<float>  $whole */
    private static function direct(array &$whole, float $sigma, int $start, int $lines, int $length, int $apart, int $stride): void
    {
        $plane = self::taken($whole);
        [$w0, $w1, $w2, $w3, $w4, $w5, $w6, $w7] = self::weights($sigma);
        [$radius, $line] = [self::MOST_DIRECT, array_fill(0, $length + 2 * self::MOST_DIRECT, 0.0)];
        for ($n = 0; $n < $lines; $n++, $start += $apart) {
            // the borders are written out, and the weights one by one, so that the loop has no branches
            for ($k = 0, $end = $start + ($length - 1) * $stride; $k < $radius; $k++) {
                $line[$k] = $plane[$start];
                $line[$radius + $length + $k] = $plane[$end];
            }
            for ($k = 0, $at = $start; $k < $length; $k++, $at += $stride) {
                $line[$radius + $k] = $plane[$at];
            }
            for ($c = $radius, $at = $start; $c < $length + $radius; $c++, $at += $stride) {
                $plane[$at] = $w0 * $line[$c] + $w1 * ($line[$c - 1] + $line[$c + 1]) + $w2 * ($line[$c - 2] + $line[$c + 2]) + $w3 * ($line[$c - 3] + $line[$c + 3])
                    + $w4 * ($line[$c - 4] + $line[$c + 4]) + $w5 * ($line[$c - 5] + $line[$c + 5]) + $w6 * ($line[$c - 6] + $line[$c + 6]) + $w7 * ($line[$c - 7] + $line[$c + 7]);
            }
        }

        /** @var list<float> $plane written only where it had values already */
        $whole = $plane;
    }

    /**
     * What a variable holds, which is left empty: an array that a second variable holds is copied when it is written to, and a
     * reference is slow in a loop.
     *
     * @param  list<float>  $held
     * @return list<float>
     */
    private static function taken(array &$held): array
    {
        $taken = $held;
        $held = [];

        return $taken;
    }

    /**
     * The weights of the sampled, normalised Gaussian from the middle to one side, for a sigma below that of the recursive filter.
     *
     * @return array{float, float, float, float, float, float, float, float}
     */
    public static function weights(float $sigma): array
    {
        $weights = array_fill(0, self::MOST_DIRECT + 1, 0.0);
        for ($k = 0, $last = ceil(self::REACH * $sigma); $k <= $last; $k++) {
            $weights[$k] = exp(-$k * $k / (2 * $sigma * $sigma));
        }
        $sum = 2 * array_sum($weights) - $weights[0];

        /** @var array{float, float, float, float, float, float, float, float} $weights as many as there were */
        $weights = array_map(static fn (float $weight): float => $weight / $sum, $weights);

        return $weights;
    }

    /** @param  list<float>  $whole */
    private static function recursive(array &$whole, float $sigma, int $start, int $lines, int $length, int $apart, int $stride): void
    {
        $plane = self::taken($whole);
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
        $forth = array_fill(0, $length, 0.0);
        for ($n = 0; $n < $lines; $n++, $start += $apart) {
            $x1 = $x2 = $x3 = $plane[$start];
            $y1 = $y2 = $y3 = $y4 = $x1 * $gainForth;
            for ($k = 0, $at = $start; $k < $length; $k++, $at += $stride) {
                $x = $plane[$at];
                $y = $n0 * $x + $n1 * $x1 + $n2 * $x2 + $n3 * $x3 - $d1 * $y1 - $d2 * $y2 - $d3 * $y3 - $d4 * $y4;
                $forth[$k] = $y;
                $x3 = $x2;
                $x2 = $x1;
                $x1 = $x;
                $y4 = $y3;
                $y3 = $y2;
                $y2 = $y1;
                $y1 = $y;
            }
            $at -= $stride;
            $x1 = $x2 = $x3 = $x4 = $plane[$at];
            $y1 = $y2 = $y3 = $y4 = $x1 * $gainBack;
            for ($k = $length - 1; $k >= 0; $k--, $at -= $stride) {
                $y = $m1 * $x1 + $m2 * $x2 + $m3 * $x3 + $m4 * $x4 - $d1 * $y1 - $d2 * $y2 - $d3 * $y3 - $d4 * $y4;
                $x4 = $x3;
                $x3 = $x2;
                $x2 = $x1;
                $x1 = $plane[$at];
                $plane[$at] = ($forth[$k] + $y) * $norm;
                $y4 = $y3;
                $y3 = $y2;
                $y2 = $y1;
                $y1 = $y;
            }
        }

        /** @var list<float> $plane written only where it had values already */
        $whole = $plane;
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
}
