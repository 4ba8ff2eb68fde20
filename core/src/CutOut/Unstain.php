<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Raster\Box;

/**
 * The subject's own colour where it is only half there: Forte, Pitié, *Approximate fast foreground colour estimation*
 * (2021), blurred fusion in two rounds, a wide and a narrow one. Works on encoded colours, as the mixing does that stained
 * them.
 */
final class Unstain
{
    /** Radius of the two rounds, in pixels of the picture. */
    private const WIDE = 40.0;

    private const NARROW = 5.0;

    public static function reach(float $scale): int
    {
        return (int) ceil((self::WIDE + self::NARROW) * $scale);
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue 0..1 as they are in the picture
     * @param  list<float>  $alpha
     * @param  list<float>|null  $known  how far a pixel's colour can be relied on: the picture's own alpha
     * @return array{array<int, float>, array<int, float>, array<int, float>}
     */
    public static function colours(array $colours, array $alpha, ?array $known, int $columns, int $rows, float $scale): array
    {
        $channels = [];
        $inverse = [];
        foreach ($alpha as $at => $value) {
            $inverse[] = (1.0 - $value) * ($known === null ? 1.0 : ($known[$at] > 0.02 ? 1.0 : 0.0));
        }
        foreach ($colours as $channel) {
            $subject = $background = $channel;
            foreach ([self::WIDE, self::NARROW] as $radius) {
                [$subject, $background] = self::round($channel, $subject, $background, $alpha, $inverse, $columns, $rows, max(1, (int) round($radius * $scale)));
            }
            $channels[] = $subject;
        }

        /** @var array{array<int, float>, array<int, float>, array<int, float>} $channels */
        return $channels;
    }

    /**
     * @param  list<float>  $channel
     * @param  array<int, float>  $subject
     * @param  array<int, float>  $background
     * @param  list<float>  $alpha
     * @param  list<float>  $inverse
     * @return array{array<int, float>, array<int, float>}
     */
    private static function round(array $channel, array $subject, array $background, array $alpha, array $inverse, int $columns, int $rows, int $radius): array
    {
        $meanSubject = self::weightedMean($subject, $alpha, $columns, $rows, $radius);
        $meanBackground = self::weightedMean($background, $inverse, $columns, $rows, $radius);
        foreach ($alpha as $at => $value) {
            $rest = $channel[$at] - $value * $meanSubject[$at] - (1.0 - $value) * $meanBackground[$at];
            $own = $meanSubject[$at] + $value * $rest;
            $subject[$at] = $own < 0.0 ? 0.0 : ($own > 1.0 ? 1.0 : $own);
            $old = $meanBackground[$at] + (1.0 - $value) * $rest;
            $background[$at] = $old < 0.0 ? 0.0 : ($old > 1.0 ? 1.0 : $old);
        }

        return [$subject, $background];
    }

    /**
     * @param  array<int, float>  $values
     * @param  list<float>  $weights
     * @return list<float>
     */
    private static function weightedMean(array $values, array $weights, int $columns, int $rows, int $radius): array
    {
        $products = [];
        foreach ($weights as $at => $weight) {
            $products[] = $values[$at] * $weight;
        }
        $sums = Box::mean($products, $columns, $rows, $radius);
        $means = [];
        foreach (Box::mean($weights, $columns, $rows, $radius) as $at => $weight) {
            $means[] = $weight > 1e-5 ? $sums[$at] / $weight : $values[$at];
        }

        return $means;
    }
}
