<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Color\Rgb;

/** A strip of a single colour as it is stored. */
interface OneTone extends StripKind
{
    public function tone(): Rgb;
}
