<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;

/**
 * A plate's picture, cut out and with its edge cleaned. It belongs to the picture and the cut, not to a window or a place:
 * moving the plate changes nothing in it. Worked out block by block, as somebody looks there.
 */
final readonly class CleanPicture implements PictureSource
{
    public function __construct(private PictureSource $picture, private CutMasks $masks, private Edge $edge, private Planes $planes)
    {
    }

    public function key(): string
    {
        return CleanBlock::whole($this->picture, $this->masks, $this->edge);
    }

    public function width(): int
    {
        return $this->picture->width();
    }

    public function height(): int
    {
        return $this->picture->height();
    }

    public function bits(): int
    {
        return 16;
    }

    public function opaque(): bool
    {
        return false;
    }

    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array
    {
        $side = CleanBlock::SIDE;
        $lastColumn = intdiv($x + $columns - 1, $side);
        $lastRow = intdiv($y + $rows - 1, $side);
        $lines = array_fill(0, $rows, []);
        for ($blockRow = intdiv($y, $side); $blockRow <= $lastRow; $blockRow++) {
            for ($blockColumn = intdiv($x, $side); $blockColumn <= $lastColumn; $blockColumn++) {
                $block = new CleanBlock($this->picture, $this->masks, $this->edge, $level, $blockColumn, $blockRow);
                $pixels = $this->planes->pixels($block);
                $place = $block->place;
                $first = max($x, $place->x);
                $count = min($x + $columns, $place->x + $place->columns) - $first;
                for ($row = max($y, $place->y), $end = min($y + $rows, $place->y + $place->rows); $row < $end; $row++) {
                    $line = array_slice($pixels, ($row - $place->y) * $place->columns + $first - $place->x, $count);
                    $lines[$row - $y] = $lines[$row - $y] === [] ? $line : [...$lines[$row - $y], ...$line];
                }
            }
        }

        return array_merge(...$lines);
    }
}
