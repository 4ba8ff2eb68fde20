<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Window;

/** A plane of full-size pixels as a window sees it: each of its pixels is the mean of what it covers, parts of pixels counted as parts. */
final class Averaged
{
    /**
     * @param  list<float>  $plane  row after row
     * @param  int  $left  scene column of its first pixel; it reaches as far as the window on all sides
     * @param  int  $top  scene row of its first pixel
     * @return list<float>
     */
    public static function of(array $plane, int $columns, int $left, int $top, Window $window): array
    {
        $out = [];
        $row = null;
        $step = $window->step();
        for ($y = 0; $y < $window->rows; $y++) {
            $from = $window->yOf($y) - 0.5 * $step - $top;
            $to = $from + $step;
            $sums = array_fill(0, $window->columns, 0.0);
            for ($j = (int) floor($from), $last = (int) ceil($to) - 1; $j <= $last; $j++) {
                $share = (min($to, $j + 1.0) - max($from, (float) $j)) / $step;
                if ($share <= 1e-9) {
                    continue;
                }
                // the last row of one pixel is the first of the next one
                if ($row === null || $row[0] !== $j) {
                    $row = [$j, self::across($plane, $columns, $j, $left, $window)];
                }
                foreach ($row[1] as $x => $value) {
                    $sums[$x] += $share * $value;
                }
            }
            array_push($out, ...$sums);
        }

        return $out;
    }

    /**
     * @param  list<float>  $plane
     * @return list<float> the means along one row
     */
    private static function across(array $plane, int $columns, int $row, int $left, Window $window): array
    {
        $sum = 0.0;
        $sums = [0.0];
        for ($at = $row * $columns, $end = $at + $columns; $at < $end; $at++) {
            $sum += $plane[$at];
            $sums[] = $sum;
        }
        $means = [];
        $step = $window->step();
        $start = $row * $columns;
        for ($x = 0, $from = $window->xOf(-0.5) - $left; $x < $window->columns; $x++, $from += $step) {
            $to = $from + $step;
            $i = (int) $from;
            $k = (int) $to;
            if ($k >= $columns) {
                $k = $columns - 1;
            }
            $means[] = ($sums[$k] + ($to - $k) * $plane[$start + $k] - $sums[$i] - ($from - $i) * $plane[$start + $i]) / $step;
        }

        return $means;
    }
}
