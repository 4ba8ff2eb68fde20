<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;

/** A kind of which a new one comes with masks of its own. */
interface Begun extends StripKind
{
    /**
     * @param  float  $span  the shorter side of what is looked at, in scene pixels
     * @return list<array<string, mixed>> as in the scene file, without ids
     */
    public static function begun(Point $centre, float $span): array;
}
