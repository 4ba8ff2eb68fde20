<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Kernel\Planes;

/** Brings colours to others. */
interface Likens extends StripKind
{
    /** How far the colours that it moves are from those that they are moved to, in a picture; CIEDE2000 of their means, null where that cannot be told. */
    public function apart(Site $site, Beneath $picture, Planes $planes): ?float;
}
