<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;

/** A tint of encoded colours within 0..1 that are worked out at each place and take nothing from below. */
trait EncodedTint
{
    public function isDirect(): bool
    {
        return false;
    }

    public function isLight(BlendMode $mode): bool
    {
        return false;
    }

    public function readsBelow(): bool
    {
        return false;
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
