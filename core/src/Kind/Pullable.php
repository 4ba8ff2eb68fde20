<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;

/** A kind with handles whose places in the picture are worked out by the core, and worked back when they are dragged. */
interface Pullable extends StripKind
{
    /** The handle at the end of a line that is drawn for a new one. */
    public const TIP = 'tip';

    /** From where to where the line is drawn that a new one is placed by. */
    public static function line(): string;

    /** Null when that handle cannot be dragged as things stand. */
    public function pulled(string $handle, Point $to): ?Pull;
}
