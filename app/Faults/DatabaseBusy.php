<?php

declare(strict_types=1);

namespace App\Faults;

/** Another process holds the database for too long. */
final class DatabaseBusy extends Fault
{
    public function status(): int
    {
        return 503;
    }

    public static function waited(?\Throwable $previous = null): self
    {
        return new self('Another process holds the database. Nothing was written yet; try again in a moment.', $previous);
    }
}
