<?php

declare(strict_types=1);

namespace App\Scenes;

use RuntimeException;

/** Somebody else (another tab) has changed a strip since it was read. */
final class StripChanged extends RuntimeException
{
    public function __construct(public readonly string $strip, string $name)
    {
        parent::__construct("\"{$name}\" was changed in another window since you last saw it. Nothing of yours was written; you now see the newer state, so repeat what you did.");
    }
}
