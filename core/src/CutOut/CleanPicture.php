<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Rectangle;

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
        return Blocks::read(new Rectangle($level, $x, $y, $columns, $rows), 1, function (int $column, int $row) use ($level): array {
            $block = new CleanBlock($this->picture, $this->masks, $this->edge, $level, $column, $row);

            return [$block->place, $this->planes->pixels($block)];
        }, 0);
    }
}
