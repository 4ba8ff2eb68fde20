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
     * @return array{list<float>, list<float>, list<float>}
     */
    public static function colours(array $colours, array $alpha, ?array $known, int $columns, int $rows, float $scale): array
    {
        $inverse = [];
        foreach ($alpha as $at => $value) {
            $inverse[] = (1.0 - $value) * ($known === null ? 1.0 : ($known[$at] > 0.02 ? 1.0 : 0.0));
        }
        [$subject, $background] = [$colours, $colours];
        foreach ([self::WIDE, self::NARROW] as $inPicture) {
            $radius = max(1, (int) round($inPicture * $scale));
            $meanAlpha = Box::mean($alpha, $columns, $rows, $radius);
            $meanInverse = Box::mean($inverse, $columns, $rows, $radius);
            foreach ($colours as $k => $channel) {
                [$subject[$k], $background[$k]] = self::fused(
                    $channel, $alpha,
                    Box::weighted($subject[$k], $alpha, $meanAlpha, $columns, $rows, $radius),
                    Box::weighted($background[$k], $inverse, $meanInverse, $columns, $rows, $radius),
                );
            }
        }

        return $subject;
    }

    /**
     * Both colours of a channel such that they mix to what is seen, each near its mean around.
     *
     * @param  list<float>  $channel
     * @param  list<float>  $alpha
     * @param  list<float>  $meanSubject
     * @param  list<float>  $meanBackground
     * @return array{list<float>, list<float>}
     */
    private static function fused(array $channel, array $alpha, array $meanSubject, array $meanBackground): array
    {
        $subject = $background = [];
        foreach ($alpha as $at => $value) {
            $rest = $channel[$at] - $value * $meanSubject[$at] - (1.0 - $value) * $meanBackground[$at];
            $own = $meanSubject[$at] + $value * $rest;
            $subject[] = $own < 0.0 ? 0.0 : ($own > 1.0 ? 1.0 : $own);
            $old = $meanBackground[$at] + (1.0 - $value) * $rest;
            $background[] = $old < 0.0 ? 0.0 : ($old > 1.0 ? 1.0 : $old);
        }

        return [$subject, $background];
    }
}
