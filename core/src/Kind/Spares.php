<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of which a new one lets some tones be. */
interface Spares extends StripKind
{
    /** @return array<string, mixed> its tone limits, as in the scene file */
    public static function spared(): array;
}
