<?php

declare(strict_types=1);

namespace App\Serve;

/** What the system tells of processes. */
final class Processes
{
    /** When a process was started, in ticks since the machine's; null when there is none. With the pid it names a process for good. */
    public static function started(int $pid): ?int
    {
        return self::stat($pid)['started'] ?? null;
    }

    /** Names the time since the machine was started: pids of an earlier one mean nothing. */
    public static function boot(): string
    {
        return trim((string) @file_get_contents('/proc/sys/kernel/random/boot_id'));
    }

    /**
     * The processes of a group that were started at a time or later.
     *
     * @return list<int>
     */
    public static function ofGroup(int $group, int $since = 0): array
    {
        $found = [];
        foreach (glob('/proc/[0-9]*') ?: [] as $folder) {
            $stat = self::stat((int) basename($folder));
            if ($stat !== null && $stat['group'] === $group && $stat['started'] >= $since && $stat['state'] !== 'Z') {
                $found[] = (int) basename($folder);
            }
        }

        return $found;
    }

    /** Ends a group and all in it: politely, and then not. */
    public static function endGroup(int $group, float $patience = 1.0): void
    {
        if ($group <= 1) {
            return;
        }
        posix_kill(-$group, SIGTERM);
        for ($until = microtime(true) + $patience; microtime(true) < $until && self::ofGroup($group) !== [];) {
            usleep(20_000);
        }
        posix_kill(-$group, SIGKILL);
    }

    /** @return array{state: string, group: int, started: int}|null */
    private static function stat(int $pid): ?array
    {
        $stat = (string) @file_get_contents("/proc/{$pid}/stat");
        // the name stands in brackets and may hold anything
        $fields = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));

        return isset($fields[19]) ? ['state' => $fields[0], 'group' => (int) $fields[2], 'started' => (int) $fields[19]] : null;
    }
}
