<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** A rendered window: red, green, blue, alpha, row after row, sRGB-encoded and unpremultiplied; 16 bits are big-endian. */
final readonly class Picture
{
    /** @param  int  $clipped pixels with a channel above 1 before they were cut */
    public function __construct(public int $columns, public int $rows, public int $bits, public string $bytes, public int $clipped)
    {
    }
}
