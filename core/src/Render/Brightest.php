<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Raster\Box;

/** Where the eye goes first: the largest mean of a small square. */
final class Brightest
{
    /** Half the width of the square, as a share of the shorter side. */
    private const HALF = 0.015;

    /**
     * @param  list<float>  $lumas  row after row
     * @return array{int, float} the first pixel in the middle of such a square, and the mean; 0 where everything is black
     */
    public static function of(array $lumas, int $columns, int $rows): array
    {
        $means = Box::mean($lumas, $columns, $rows, max(1, (int) round(self::HALF * min($columns, $rows))));
        $most = max([0.0, ...$means]);

        return [(int) array_search($most, $means, true), $most];
    }
}
