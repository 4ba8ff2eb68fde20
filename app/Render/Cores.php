<?php

declare(strict_types=1);

namespace App\Render;

/** How many processes are worth starting, and what there is for them. */
final class Cores
{
    public static function count(): int
    {
        return max(1, (int) trim((string) @shell_exec('nproc 2>/dev/null')));
    }

    /** Megabytes of memory that the machine has; 0 when it does not say. */
    public static function memory(): int
    {
        return preg_match('/^MemTotal:\s+(\d+) kB/m', (string) @file_get_contents('/proc/meminfo'), $found) === 1 ? intdiv((int) $found[1], 1024) : 0;
    }
}
