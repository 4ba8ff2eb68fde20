<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Geometry\Window;

/** A picture as a whole, at full size or one of its halvings. */
final readonly class Halving
{
    public int $columns;

    public int $rows;

    /** @param  int  $level  0 for full size */
    public function __construct(int $width, int $height, public int $level)
    {
        $this->columns = (int) ceil($width / 2 ** $level);
        $this->rows = (int) ceil($height / 2 ** $level);
    }

    /** The first one with no more pixels than that, or the smallest there is. */
    public static function within(PictureSource $picture, int $mostPixels): self
    {
        for ($level = 0; $level < PictureSource::LEVELS; $level++) {
            $halving = new self($picture->width(), $picture->height(), $level);
            if ($halving->columns * $halving->rows <= $mostPixels) {
                return $halving;
            }
        }

        return new self($picture->width(), $picture->height(), PictureSource::LEVELS);
    }

    /** @return list<int> all its packed pixels */
    public function pixels(PictureSource $picture): array
    {
        return $picture->pixels($this->level, 0, 0, $this->columns, $this->rows);
    }

    /** Its pixels as a window of the picture's own coordinates; past an odd edge the last ones reach beyond the picture. */
    public function window(): Window
    {
        $unit = 2 ** $this->level;

        return new Window(0, 0, $this->columns * $unit, $this->rows * $unit, 1 / $unit);
    }
}
