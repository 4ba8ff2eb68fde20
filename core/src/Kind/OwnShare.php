<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A field of shares from 0 to 1 that takes nothing from below. */
trait OwnShare
{
    public function largest(): float
    {
        return 1.0;
    }

    public function readsBelow(): bool
    {
        return false;
    }
}
