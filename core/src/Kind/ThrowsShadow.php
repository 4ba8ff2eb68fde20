<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Bearing\Bearing;

/** A kind of shadow that a light throws. */
interface ThrowsShadow extends StripKind
{
    /** @return list<string> the plates that throw it */
    public function plates(): array;

    /** Whether it falls on the wall behind its plates; otherwise on the ground. */
    public function isOnWall(): bool;

    /** Where its light comes from by its own values; null while a lamp throws it. */
    public function lightFrom(): ?Bearing;

    /** How much of it there is at each place, before its density; null when nothing is thrown. */
    public function field(Site $site): ?Field;
}
