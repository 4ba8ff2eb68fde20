<?php

declare(strict_types=1);

namespace App\Faults;

/** An export that was ended before its time. */
final class ExportStopped extends Fault
{
    public function status(): int
    {
        return 500;
    }

    public static function interrupted(): self
    {
        return new self('The export was interrupted before it was done. Export again.');
    }
}
