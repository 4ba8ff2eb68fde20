<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/** Kept by all that it was made of, see {@see Identity}. */
trait KeyOfAll
{
    public function key(): string
    {
        return Identity::of($this);
    }
}
