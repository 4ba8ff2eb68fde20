<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Raster\Box;

/**
 * How much of the subject is in each pixel of a band along its edge, told by colour: the place on the straight line from
 * the background's colour nearby to the subject's (the compositing equation solved for alpha, Smith and Blinn, *Blue
 * screen matting*, 1996, with both colours known).
 */
final class HairColours
{
    /** How far around colours are gathered, in widths of the band. */
    private const AROUND = 2.5;

    /** Square of the distance of two colours from which on they tell subject and background apart. */
    private const APART = 0.02;

    /**
     * @param  list<float>  $distances  to the edge, positive inside
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue 0..1
     * @param  float  $width  of the band on each side, px: colours beyond it are the subject's and the background's own
     * @return array{list<float>, list<float>} alpha, and how far it can be relied on, 0..1
     */
    public static function alpha(array $distances, array $colours, int $columns, int $rows, float $width): array
    {
        $inside = $outside = [];
        foreach ($distances as $distance) {
            $inside[] = $distance > $width * 0.7 ? 1.0 : 0.0;
            $outside[] = $distance < -$width * 0.7 ? 1.0 : 0.0;
        }
        $radius = max(1, (int) round(self::AROUND * $width));
        $weights = [Box::mean($inside, $columns, $rows, $radius), Box::mean($outside, $columns, $rows, $radius)];
        $subject = $background = [];
        foreach ($colours as $channel) {
            $subject[] = Box::weighted($channel, $inside, $weights[0], $columns, $rows, $radius);
            $background[] = Box::weighted($channel, $outside, $weights[1], $columns, $rows, $radius);
        }
        $alpha = $sureness = [];
        foreach ($distances as $at => $distance) {
            $along = $square = 0.0;
            for ($k = 0; $k < 3; $k++) {
                $way = $subject[$k][$at] - $background[$k][$at];
                $square += $way * $way;
                $along += $way * ($colours[$k][$at] - $background[$k][$at]);
            }
            $share = $square > 0.0 ? $along / $square : 0.5;
            $alpha[] = $share < 0.0 ? 0.0 : ($share > 1.0 ? 1.0 : $share);
            $isKnown = $weights[0][$at] > 1e-4 && $weights[1][$at] > 1e-4;
            $sureness[] = $isKnown ? $square / ($square + self::APART) : 0.0;
        }

        return [$alpha, $sureness];
    }
}
