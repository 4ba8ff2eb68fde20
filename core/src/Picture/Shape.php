<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/** How much of each pixel of a picture, or of one of its halvings, belongs to something. */
final readonly class Shape
{
    /**
     * @param  int  $width  of the whole picture
     * @param  int  $height  of the whole picture
     * @param  int  $level  the halving that it was worked out on
     * @param  array<int, float>  $values  0..1, row after row of that halving
     */
    public function __construct(public int $width, public int $height, public int $level, public array $values)
    {
    }

    public function halving(): Halving
    {
        return new Halving($this->width, $this->height, $this->level);
    }
}
