<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/** Known by all that it was made of, see {@see Identity}. */
trait IdentityOfAll
{
    public function identity(): string
    {
        return Identity::of($this);
    }
}
