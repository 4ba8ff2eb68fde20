<?php

declare(strict_types=1);

namespace App\Faults;

/** A process that rendered ended before its time. */
final class RenderStopped extends Fault
{
    public function status(): int
    {
        return 503;
    }

    public static function early(): self
    {
        return new self('A process that rendered ended before its time, perhaps for want of memory. Try again.');
    }
}
