<?php

declare(strict_types=1);

namespace Aumbrel\Core\Fault;

use RuntimeException;

/** Something that had to be kept in a file could not be written, nearly always because the disk is full. */
final class NotKept extends RuntimeException
{
    public function __construct(public readonly string $what)
    {
        parent::__construct("{$what} cannot be written: is the disk full?");
    }
}
