<?php

declare(strict_types=1);

namespace App\Render;

/** A finished band of a picture. */
final readonly class Piece
{
    public function __construct(public int $firstRow, public PaintedReply $painted)
    {
    }
}
