<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * Smooths a plane along the edges of another one: within each square it is a line of the guide (He, Sun and Tang, Guided Image
 * Filtering, 2010, equations 5, 6 and 8).
 */
final class GuidedFilter
{
    /**
     * @param  list<float>  $guide
     * @param  list<float>  $input
     * @param  float  $epsilon  variance of the guide below which it counts as even
     * @return list<float>
     */
    public static function of(array $guide, array $input, int $columns, int $rows, int $radius, float $epsilon): array
    {
        $products = $squares = [];
        foreach ($guide as $at => $value) {
            $products[] = $value * $input[$at];
            $squares[] = $value * $value;
        }
        [$guides, $inputs, $products, $squares] = [
            Box::mean($guide, $columns, $rows, $radius), Box::mean($input, $columns, $rows, $radius), Box::mean($products, $columns, $rows, $radius), Box::mean($squares, $columns, $rows, $radius),
        ];
        $slopes = $rests = [];
        foreach ($guides as $at => $value) {
            $slope = ($products[$at] - $value * $inputs[$at]) / ($squares[$at] - $value * $value + $epsilon);
            $slopes[] = $slope;
            $rests[] = $inputs[$at] - $slope * $value;
        }
        [$slopes, $rests] = [Box::mean($slopes, $columns, $rows, $radius), Box::mean($rests, $columns, $rows, $radius)];
        $out = [];
        foreach ($guide as $at => $value) {
            $out[] = $slopes[$at] * $value + $rests[$at];
        }

        return $out;
    }
}
