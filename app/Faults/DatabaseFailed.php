<?php

declare(strict_types=1);

namespace App\Faults;

/** The database cannot be read or written for another reason than room or waiting. */
final class DatabaseFailed extends Fault
{
    public function status(): int
    {
        return 503;
    }

    public static function because(\Throwable $previous): self
    {
        return new self('The database cannot be used at the moment. Nothing was written; storage/logs/aumbrel.log says why.', $previous);
    }
}
