<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;

/** The box of what of a picture is there by half or more, cut out as it is; found once for all processes. */
final class OutlineBounds
{
    /** Coverage from which on something is there. */
    private const THERE = 0.5;

    /**
     * @param  list<CutMask>  $masks  those on the plate
     * @return Bounds|null in the picture's pixels; null when nothing is there
     */
    public static function of(Planes $planes, PictureSource $picture, array $masks): ?Bounds
    {
        if ($masks === [] && $picture->opaque()) {
            return new Bounds(0.0, 0.0, $picture->width(), $picture->height());
        }
        $whole = new WholeShape($picture, new CutMasks($masks));
        $find = static fn (): array => self::found($planes->numbers($whole), $whole, $picture);
        $found = json_decode($planes->found("bounds {$whole->key()}", 'bounds', static fn (): string => json_encode($find(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)), true);
        $sides = is_array($found) ? array_values(array_filter($found, is_float(...))) : [];
        // one that was damaged is worked out again
        if (! (is_array($found) && count($sides) === count($found))) {
            $sides = $find();
        }

        return count($sides) === 4 ? new Bounds(...$sides) : null;
    }

    /**
     * @param  list<float>  $coverage
     * @return array{}|array{float, float, float, float}
     */
    private static function found(array $coverage, WholeShape $whole, PictureSource $picture): array
    {
        [$columns, $rows] = [$whole->size->columns, $whole->size->rows];
        [$left, $right, $top, $bottom] = [$columns, -1, -1, -1];
        for ($row = 0; $row < $rows; $row++) {
            $start = $row * $columns;
            for ($column = 0; $column < $left && $coverage[$start + $column] < self::THERE; $column++);
            if ($column < $left) {
                $left = $column;
            }
            for ($column = $columns - 1; $column >= 0 && $coverage[$start + $column] < self::THERE; $column--);
            if ($column >= 0) {
                if ($top < 0) {
                    $top = $row;
                }
                $bottom = $row;
                $right = max($right, $column);
            }
        }
        $unit = 1 / $whole->scale();

        return $right < 0 ? [] : [$left * $unit, $top * $unit, min((float) $picture->width(), ($right + 1) * $unit), min((float) $picture->height(), ($bottom + 1) * $unit)];
    }
}
