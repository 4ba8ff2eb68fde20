<?php

declare(strict_types=1);

namespace App\Render;

/** A finished band of a picture. */
final readonly class Piece
{
    public function __construct(public int $firstRow, public PaintedReply $painted)
    {
    }

    /** @param  non-empty-list<self>  $pieces  of one picture, all of them, in any order */
    public static function joined(array $pieces): PaintedReply
    {
        usort($pieces, static fn (self $one, self $other): int => $one->firstRow <=> $other->firstRow);

        return PaintedReply::joined(array_map(static fn (self $piece): PaintedReply => $piece->painted, $pieces));
    }
}
