<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/**
 * A decoded picture: packed rows at full size and five halvings, sRGB-encoded, not premultiplied.
 *
 * With 8 bits a pixel is `A<<24 | R<<16 | G<<8 | B`, with 16 bits `A<<48 | R<<32 | G<<16 | B`.
 */
interface PictureSource
{
    /** Halvings below full size: down to 1/32, so that a large picture in a small window is read from few rows. */
    public const LEVELS = 5;

    /** Names the content. */
    public function key(): string;

    public function width(): int;

    public function height(): int;

    /** 8 or 16 */
    public function bits(): int;

    /** Whether every pixel is fully opaque. */
    public function opaque(): bool;

    /**
     * Packed pixels of a rectangle that lies inside the level, row after row.
     *
     * @return list<int>
     */
    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array;
}
