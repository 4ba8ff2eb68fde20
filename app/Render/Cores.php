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

    /** The most and the least that one render process may use, MB. */
    private const MOST = 1600;

    private const LEAST = 60;

    /**
     * Megabytes that each of some render processes may use, so that all of them stay below a limit together. A process holds some
     * sixty before it keeps anything.
     */
    public static function share(int $all, int $processes): int
    {
        return max(self::LEAST, min(self::MOST, intdiv($all, max(1, $processes))));
    }

    /** Megabytes that the whole instance may use where nothing else is said: a quarter of the machine, 800 at least. */
    public static function usual(int $machine): int
    {
        return max(800, intdiv($machine, 4));
    }

    /** Megabytes of memory that the machine has; 0 when it does not say. */
    public static function memory(): int
    {
        return preg_match('/^MemTotal:\s+(\d+) kB/m', (string) @file_get_contents('/proc/meminfo'), $found) === 1 ? intdiv((int) $found[1], 1024) : 0;
    }
}
