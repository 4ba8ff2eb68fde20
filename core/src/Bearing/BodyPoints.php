<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Raster\Box;

/** Places of a body where brightness and normal are known: just inside its outline, and inside under a dome. */
final class BodyPoints
{
    /** How far inside the outline brightness is read, px. */
    private const BAND = [2.0, 4.2];

    private const MOST_POINTS = 900;

    private const STRETCHES = 48;

    private const DOME_SIDE = 96;

    private const MOST_INSIDE = 1500;

    /** Materials that take up less than this share of the largest one are left out. */
    private const LEAST_SHARE = 0.12;

    /** Blocks along a side of the small copy: what is drawn again when the inside is resampled. */
    private const BLOCK = 10;

    /**
     * @param  list<float>  $signed
     * @return list<list<array{float, float, float, float, float}>>
     */
    public static function contour(LitBody $body, array $signed): array
    {
        [$columns, $rows] = [$body->columns, $body->rows];
        $smooth = Box::mean($signed, $columns, $rows, 1);
        $found = [];
        for ($row = 6; $row < $rows - 6; $row++) {
            for ($column = 6, $at = $row * $columns + 6; $column < $columns - 6; $column++, $at++) {
                if ($signed[$at] < self::BAND[0] || $signed[$at] > self::BAND[1]) {
                    continue;
                }
                $x = $smooth[$at - 2] - $smooth[$at + 2];
                $y = $smooth[$at + 2 * $columns] - $smooth[$at - 2 * $columns];
                $length = hypot($x, $y);
                // where the slope is much below 1 the outline folds: its normal is not known
                if ($length > 2.8) {
                    $found[] = [$x / $length, $y / $length, $column, $row, $body->brightness[$at], $body->materials[$at]];
                }
            }
        }
        // the band is about two pixels wide
        $size = max(4.0, count($found) / 2.2 / self::STRETCHES);
        $step = max(1, intdiv(count($found), self::MOST_POINTS));
        $points = [];
        for ($k = 0; $k < count($found); $k += $step) {
            [$x, $y, $column, $row, $brightness, $material] = $found[$k];
            $points[$material][] = [$x, $y, 1.0, $brightness, floor($row / $size) * 4096 + floor($column / $size)];
        }

        return self::byMaterial($points);
    }

    /**
     * Brightness inside, with the dome's normals; read on a small copy.
     *
     * @param  list<float>  $signed
     * @return list<list<array{float, float, float, float, float}>>
     */
    public static function inside(LitBody $body, array $signed): array
    {
        [$columns, $rows, $inside, $brightness, $materials] = self::shrunk($body, $signed);
        $heights = Dome::heights($inside, $columns, $rows);
        $found = [];
        $step = max(1, intdiv(count(array_keys($inside, true, true)), self::MOST_INSIDE));
        $seen = 0;
        foreach ($inside as $at => $isInside) {
            if (! $isInside || ! $inside[$at - 1] || ! $inside[$at + 1] || ! $inside[$at - $columns] || ! $inside[$at + $columns]) {
                continue;
            }
            if ($seen++ % $step !== 0) {
                continue;
            }
            // of the height's square, whose slope stays finite at the outline
            $h = $heights[$at];
            $x = ($heights[$at - 1] ** 2 - $heights[$at + 1] ** 2) / 2;
            $y = ($heights[$at + $columns] ** 2 - $heights[$at - $columns] ** 2) / 2;
            $length = sqrt($x * $x + $y * $y + 4 * $h * $h);
            $block = intdiv(intdiv($at, $columns), self::BLOCK) * 4096 + intdiv($at % $columns, self::BLOCK);
            $found[$materials[$at]][] = [$x / $length, $y / $length, 2 * $h / $length, $brightness[$at], (float) $block];
        }

        return $seen < OutlineEstimate::FEWEST_POINTS ? [] : self::byMaterial($found);
    }

    /**
     * The body on a small copy with a free border of one pixel: where it is, how bright, of which material.
     *
     * @param  list<float>  $signed
     * @return array{int, int, list<bool>, list<float>, list<int>}
     */
    private static function shrunk(LitBody $body, array $signed): array
    {
        $unit = max(1, (int) ceil(max($body->columns, $body->rows) / self::DOME_SIDE));
        [$columns, $rows] = [intdiv($body->columns, $unit) + 2, intdiv($body->rows, $unit) + 2];
        $inside = $brightness = $materials = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $sum = 0.0;
                $count = 0;
                $isBorder = $row === 0 || $column === 0 || $row === $rows - 1 || $column === $columns - 1;
                $first = ($row - 1) * $unit * $body->columns + ($column - 1) * $unit;
                for ($y = 0; $y < $unit && ! $isBorder; $y++) {
                    for ($x = 0, $at = $first + $y * $body->columns; $x < $unit; $x++, $at++) {
                        if ($signed[$at] > 1.0) {
                            $sum += $body->brightness[$at];
                            $count++;
                        }
                    }
                }
                $inside[] = $count > 0 && $count * 2 >= $unit * $unit;
                $brightness[] = $count > 0 ? $sum / $count : 0.0;
                $materials[] = $isBorder ? 0 : $body->materials[$first + intdiv($unit, 2) * ($body->columns + 1)];
            }
        }

        return [$columns, $rows, $inside, $brightness, $materials];
    }

    /**
     * Brightness as a share of its material's mean, so that a white neck and a dark wing count alike; materials of which
     * too little is seen are left out.
     *
     * @param  array<int, list<array{float, float, float, float, float}>>  $points
     * @return list<list<array{float, float, float, float, float}>>
     */
    private static function byMaterial(array $points): array
    {
        $most = max(array_map(count(...), $points) ?: [0]);
        $all = [];
        foreach ($points as $own) {
            $mean = array_sum(array_column($own, 3)) / max(1, count($own));
            if (count($own) >= max(12, self::LEAST_SHARE * $most) && $mean > 0) {
                $all[] = array_map(static fn (array $point): array => [$point[0], $point[1], $point[2], $point[3] / $mean, $point[4]], $own);
            }
        }

        return $all;
    }

    /** @param  list<float>  $values */
    public static function contrast(array $values): float
    {
        sort($values);
        $low = $values[(int) (0.05 * count($values))];
        $high = $values[(int) (0.95 * (count($values) - 1))];

        return $high > 0 ? ($high - $low) / $high : 0.0;
    }
}
