<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/** White all over: where a picture of this size ends, and how much of it a pixel of a window sees. */
final readonly class BlankPicture implements PictureSource
{
    public function __construct(private int $width, private int $height)
    {
    }

    public function key(): string
    {
        return "blank {$this->width} {$this->height}";
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    public function bits(): int
    {
        return 8;
    }

    public function opaque(): bool
    {
        return true;
    }

    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array
    {
        return array_fill(0, $columns * $rows, 0xFFFFFFFF);
    }
}
