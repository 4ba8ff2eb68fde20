<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Color\Rgb;

/** A strip of a colour as it is stored, the same everywhere or not. */
interface OneTone extends StripKind
{
    /** Null where it is of more than one. */
    public function tone(): ?Rgb;
}
