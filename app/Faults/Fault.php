<?php

declare(strict_types=1);

namespace App\Faults;

use RuntimeException;
use Throwable;

/**
 * Something that went wrong outside of what was asked for: its message is a whole sentence for the person who waits, its
 * status tells the interface whether to keep the gesture and send it again.
 */
abstract class Fault extends RuntimeException
{
    final public function __construct(string $sentence, ?Throwable $previous = null)
    {
        parent::__construct($sentence, 0, $previous);
    }

    abstract public function status(): int;
}
