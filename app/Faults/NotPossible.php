<?php

declare(strict_types=1);

namespace App\Faults;

use RuntimeException;

/** Something that was asked for and cannot be done: a whole sentence, and what it is about. */
final class NotPossible extends RuntimeException
{
    public function __construct(public readonly string $field, string $sentence)
    {
        parent::__construct($sentence);
    }
}
