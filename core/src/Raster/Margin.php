<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/** The rim of pixels around a plane that a filter needs and nobody sees. */
final class Margin
{
    private const LEAST = 8;

    /** A margin of at least so many pixels. They come in few sizes, so that what lies in the same frame is kept while a width is dragged. */
    public static function atLeast(float $needed): int
    {
        $margin = self::LEAST;
        while ($margin < $needed) {
            $margin *= 2;
        }

        return $margin;
    }

    /**
     * @param  list<float>  $plane  row after row, with the margin
     * @param  int  $columns  with the margin
     * @param  int  $rows  with the margin
     * @return list<float> without it
     */
    public static function cut(array $plane, int $columns, int $rows, int $margin): array
    {
        if ($margin === 0) {
            return $plane;
        }
        $inside = [];
        for ($row = $margin; $row < $rows - $margin; $row++) {
            for ($at = $row * $columns + $margin, $end = $at + $columns - 2 * $margin; $at < $end; $at++) {
                $inside[] = $plane[$at];
            }
        }

        return $inside;
    }
}
