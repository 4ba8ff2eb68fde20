<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of strip that needs the picture below as a whole, or what another strip is, before it can be drawn. */
interface LooksBelow extends StripKind
{
    /** Whether it needs the picture below. */
    public function looksBelow(): bool;

    /** @return list<string> ids of the strips that it goes by */
    public function goesBy(): array;
}
