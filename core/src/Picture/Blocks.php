<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Closure;

/** What is worked out in square blocks of a picture, read as rectangles that lie anywhere in it. */
final class Blocks
{
    /** Pixels along a side of a block. */
    public const SIDE = 512;

    /** The place of a block in a picture; the last ones are as large as what is left. */
    public static function place(Halving $whole, int $column, int $row): Rectangle
    {
        [$x, $y] = [$column * self::SIDE, $row * self::SIDE];

        return new Rectangle($whole->level, $x, $y, min(self::SIDE, $whole->columns - $x), min(self::SIDE, $whole->rows - $y));
    }

    /**
     * @template T of int|float
     *
     * @param  Rectangle  $place  inside the picture
     * @param  int  $each  values for a pixel
     * @param  Closure(int, int): array{Rectangle, list<T>}  $block  the place and the values of a block; no values where there is nothing
     * @param  T  $nothing  stands for each value where there is nothing
     * @return list<T> row after row
     */
    public static function read(Rectangle $place, int $each, Closure $block, int|float $nothing): array
    {
        $lines = array_fill(0, $place->rows, []);
        $lastColumn = intdiv($place->x + $place->columns - 1, self::SIDE);
        $lastRow = intdiv($place->y + $place->rows - 1, self::SIDE);
        for ($blockRow = intdiv($place->y, self::SIDE); $blockRow <= $lastRow; $blockRow++) {
            for ($blockColumn = intdiv($place->x, self::SIDE); $blockColumn <= $lastColumn; $blockColumn++) {
                [$own, $values] = $block($blockColumn, $blockRow);
                $first = max($place->x, $own->x);
                $count = $each * (min($place->x + $place->columns, $own->x + $own->columns) - $first);
                for ($row = max($place->y, $own->y), $end = min($place->y + $place->rows, $own->y + $own->rows); $row < $end; $row++) {
                    $line = $values === [] ? array_fill(0, $count, $nothing) : array_slice($values, $each * (($row - $own->y) * $own->columns + $first - $own->x), $count);
                    $lines[$row - $place->y] = $lines[$row - $place->y] === [] ? $line : [...$lines[$row - $place->y], ...$line];
                }
            }
        }

        return array_merge(...$lines);
    }
}
