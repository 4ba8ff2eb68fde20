<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/** A stored shape as a picture of the size that it was worked out for: white, with the shape as its alpha. */
final readonly class ShapePicture implements PictureSource
{
    public function __construct(private PictureSource $stored, private int $width, private int $height, private int $level)
    {
    }

    public function key(): string
    {
        return $this->stored->key();
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
        return $this->stored->bits();
    }

    public function opaque(): bool
    {
        return false;
    }

    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array
    {
        return $level >= $this->level
            ? $this->stored->pixels($level - $this->level, $x, $y, $columns, $rows)
            : $this->enlarged($this->level - $level, $x, $y, $columns, $rows);
    }

    /**
     * Finer than it was worked out: between its pixels.
     *
     * @return list<int>
     */
    private function enlarged(int $levels, int $x, int $y, int $columns, int $rows): array
    {
        $size = 2 ** $levels;
        [$lastX, $lastY] = [$this->stored->width() - 1, $this->stored->height() - 1];
        $left = max(0, intdiv($x, $size) - 1);
        $top = max(0, intdiv($y, $size) - 1);
        $width = min($lastX, intdiv($x + $columns - 1, $size) + 1) - $left + 1;
        $height = min($lastY, intdiv($y + $rows - 1, $size) + 1) - $top + 1;
        $coarse = $this->stored->pixels(0, $left, $top, $width, $height);
        $fine = [];
        for ($row = 0; $row < $rows; $row++) {
            $v = max(0.0, min($height - 1.0, ($y + $row + 0.5) / $size - 0.5 - $top));
            $above = (int) $v;
            $below = min($height - 1, $above + 1);
            $fy = $v - $above;
            for ($column = 0; $column < $columns; $column++) {
                $u = max(0.0, min($width - 1.0, ($x + $column + 0.5) / $size - 0.5 - $left));
                $before = (int) $u;
                $after = min($width - 1, $before + 1);
                $fx = $u - $before;
                $high = ($coarse[$above * $width + $before] >> 24 & 255) * (1 - $fx) + ($coarse[$above * $width + $after] >> 24 & 255) * $fx;
                $low = ($coarse[$below * $width + $before] >> 24 & 255) * (1 - $fx) + ($coarse[$below * $width + $after] >> 24 & 255) * $fx;
                $fine[] = (int) ($high + $fy * ($low - $high) + 0.5) << 24 | 0xFFFFFF;
            }
        }

        return $fine;
    }
}
