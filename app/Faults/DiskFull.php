<?php

declare(strict_types=1);

namespace App\Faults;

/** There is no room left for what was to be written. */
final class DiskFull extends Fault
{
    public function status(): int
    {
        return 507;
    }

    public static function writing(string $what, ?\Throwable $previous = null): self
    {
        return new self("{$what} could not be written: the disk seems to be full. Nothing of it was kept; make room and try again.", $previous);
    }
}
