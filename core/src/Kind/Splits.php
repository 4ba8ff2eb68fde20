<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of which two make a pair that shares one line. */
interface Splits extends StripKind
{
    /** @return array{array<string, mixed>, array<string, mixed>} fields of the first and of the second one, as in the scene file */
    public static function pair(): array;
}
