<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind that does nothing until it is painted: a new one comes with an empty mask of strokes, and the brush in hand. */
interface Painted extends StripKind
{
    /** What its brush leaves: the name of a tip. */
    public static function tip(): string;
}
