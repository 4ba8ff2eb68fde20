<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;

/** What tints that are made of the colour below have in common. */
trait FromBelow
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
        return true;
    }
}
