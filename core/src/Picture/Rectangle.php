<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/** A rectangle of one halving of a picture, that may reach past its borders. */
final readonly class Rectangle
{
    public function __construct(public int $level, public int $x, public int $y, public int $columns, public int $rows)
    {
    }

    /** @return list<int> its packed pixels, row after row; nothing (0) where there is no picture */
    public function pixels(PictureSource $picture): array
    {
        $whole = new Halving($picture->width(), $picture->height(), $this->level);
        [$x0, $x1] = [max(0, $this->x), min($whole->columns, $this->x + $this->columns)];
        [$y0, $y1] = [max(0, $this->y), min($whole->rows, $this->y + $this->rows)];
        if ($x1 - $x0 === $this->columns && $y1 - $y0 === $this->rows) {
            return $picture->pixels($this->level, $x0, $y0, $this->columns, $this->rows);
        }
        $pixels = array_fill(0, $this->columns * $this->rows, 0);
        if ($x1 <= $x0 || $y1 <= $y0) {
            return $pixels;
        }
        $inside = $picture->pixels($this->level, $x0, $y0, $x1 - $x0, $y1 - $y0);
        $from = 0;
        for ($y = $y0; $y < $y1; $y++) {
            $to = ($y - $this->y) * $this->columns + $x0 - $this->x;
            for ($x = $x0; $x < $x1; $x++) {
                $pixels[$to++] = $inside[$from++];
            }
        }

        /** @var list<int> $pixels written only where it had values already */
        return $pixels;
    }
}
