<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** What lies around something that covers part of a plane of pixels: as far as a share of its own size. */
final class Surrounding
{
    /** Around is as far as this share of its own size. */
    public const SHARE = 0.6;

    /**
     * @param  list<float>  $covers  0..1, row after row
     * @return array{int, int, int, int}|null first column and row, and those after the last; null where nothing is covered by half
     */
    public static function box(array $covers, int $columns): ?array
    {
        [$left, $top, $right, $bottom] = [PHP_INT_MAX, PHP_INT_MAX, -1, -1];
        foreach ($covers as $at => $cover) {
            if ($cover > 0.5) {
                [$x, $y] = [$at % $columns, intdiv($at, $columns)];
                if ($x < $left) {
                    $left = $x;
                }
                if ($x > $right) {
                    $right = $x;
                }
                if ($y < $top) {
                    $top = $y;
                }
                $bottom = $y;
            }
        }
        if ($right < 0) {
            return null;
        }
        [$more, $higher] = [self::SHARE * ($right - $left), self::SHARE * ($bottom - $top)];

        return [(int) floor($left - $more), (int) floor($top - $higher), (int) ceil($right + $more) + 1, (int) ceil($bottom + $higher) + 1];
    }

    /**
     * How much each pixel counts for what lies around.
     *
     * @param  list<float>  $covers  0..1, row after row
     * @param  list<float>  $there  how much of each pixel is there
     * @return list<float>
     */
    public static function of(array $covers, array $there, int $columns): array
    {
        $box = self::box($covers, $columns);
        $around = array_fill(0, count($covers), 0.0);
        if ($box !== null) {
            [$left, $top, $right, $bottom] = $box;
            for ($y = max(0, $top), $end = min($bottom, intdiv(count($covers), $columns)); $y < $end; $y++) {
                for ($x = max(0, $left), $last = min($right, $columns); $x < $last; $x++) {
                    $at = $y * $columns + $x;
                    $around[$at] = $there[$at] * (1 - $covers[$at]);
                }
            }
        }

        return array_values($around);
    }
}
