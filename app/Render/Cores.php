<?php

declare(strict_types=1);

namespace App\Render;

/** How many processes are worth starting. */
final class Cores
{
    public static function count(): int
    {
        return max(1, (int) trim((string) @shell_exec('nproc 2>/dev/null')));
    }
}
