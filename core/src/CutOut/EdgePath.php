<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;

/**
 * The line from one place of a picture to another that keeps to its edges: the cheapest path over the pixels (Mortensen and
 * Barrett, Intelligent Scissors for Image Composition, 1995). Found small first; each doubling of the size looks only beside
 * the path that was found before.
 */
final class EdgePath
{
    /** Pixels of the size at which it is looked for as a whole, and of the largest one that is looked at. */
    private const COARSE = 6_000;

    private const FINEST = 600_000;

    /** Room round the two places, of the distance between them, and at least, px. */
    private const ROOM = 0.3;

    private const LEAST_ROOM = 24.0;

    /** So far beside a path that was found before the next one may run, pixels. */
    private const BESIDE = 3;

    /** Points of the path that a straight line replaces when it is no further off than this, pixels. */
    private const STRAIGHT = 0.7;

    /**
     * @return list<array{float, float}> in the picture's pixels, from the one place to the other, both within the picture
     */
    public static function between(PictureSource $picture, Point $from, Point $to): array
    {
        [$from, $to] = [self::inside($picture, $from), self::inside($picture, $to)];
        $room = max(self::LEAST_ROOM, self::ROOM * $from->distanceTo($to));
        $box = [
            max(0.0, min($from->x, $to->x) - $room), max(0.0, min($from->y, $to->y) - $room),
            min((float) $picture->width(), max($from->x, $to->x) + $room), min((float) $picture->height(), max($from->y, $to->y) + $room),
        ];
        $path = null;
        $at = 0;
        for ($level = self::level($box, self::COARSE); $level >= self::level($box, self::FINEST); $level--) {
            $grid = EdgeGrid::read($picture, new Halving($picture->width(), $picture->height(), $level), $box);
            $only = $path === null ? null : $grid->beside($path, self::BESIDE);
            $path = $grid->shortest($from, $to, $only);
            $at = $level;
        }

        return self::simple([[$from->x, $from->y], ...array_slice($path ?? [], 1, -1), [$to->x, $to->y]], self::STRAIGHT * 2 ** $at);
    }

    /** @param  array{float, float, float, float}  $box */
    private static function level(array $box, int $most): int
    {
        for ($level = 0; $level < PictureSource::LEVELS; $level++) {
            if (($box[2] - $box[0]) * ($box[3] - $box[1]) / 4 ** $level <= $most) {
                return $level;
            }
        }

        return PictureSource::LEVELS;
    }

    private static function inside(PictureSource $picture, Point $point): Point
    {
        return new Point(max(0.5, min($picture->width() - 0.5, $point->x)), max(0.5, min($picture->height() - 0.5, $point->y)));
    }

    /**
     * Fewer points (Douglas and Peucker, 1973).
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function simple(array $points, float $off): array
    {
        $kept = [0 => true, count($points) - 1 => true];
        $open = [[0, count($points) - 1]];
        for ($n = 0; $n < count($open); $n++) {
            [$first, $last] = $open[$n];
            [$x, $y] = $points[$first];
            [$dx, $dy] = [$points[$last][0] - $x, $points[$last][1] - $y];
            $length = hypot($dx, $dy);
            [$most, $split] = [$off, null];
            for ($k = $first + 1; $k < $last; $k++) {
                [$u, $v] = [$points[$k][0] - $x, $points[$k][1] - $y];
                $away = $length > 0 ? abs($u * $dy - $v * $dx) / $length : hypot($u, $v);
                if ($away > $most) {
                    [$most, $split] = [$away, $k];
                }
            }
            if ($split !== null) {
                $kept[$split] = true;
                $open = [...$open, [$first, $split], [$split, $last]];
            }
        }
        ksort($kept);

        return array_map(static fn (int $k): array => [round($points[$k][0], 1), round($points[$k][1], 1)], array_keys($kept));
    }
}
