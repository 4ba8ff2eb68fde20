<?php

declare(strict_types=1);

namespace App\Files;

use App\Faults\DiskFull;

/** A folder for work that goes when the work is done. */
final class Folder
{
    /**
     * @template T
     *
     * @param  callable(string): T  $work
     * @return T
     *
     * @throws DiskFull when it cannot be made
     */
    public static function temporary(callable $work): mixed
    {
        $folder = config()->string('aumbrel.temporary').'/'.bin2hex(random_bytes(8));
        if (! @mkdir($folder, 0o700, true)) {
            throw DiskFull::writing('What was brought');
        }
        try {
            return $work($folder);
        } finally {
            self::remove($folder);
        }
    }

    /** Removes a folder with all that is in it; links go, not what they lead to. */
    public static function remove(string $folder): void
    {
        foreach (@scandir($folder) ?: [] as $name) {
            $path = "{$folder}/{$name}";
            if ($name !== '.' && $name !== '..') {
                is_dir($path) && ! is_link($path) ? self::remove($path) : @unlink($path);
            }
        }
        @rmdir($folder);
    }

    /** Bytes in a folder and all below it. */
    public static function bytes(string $folder): int
    {
        $bytes = 0;
        foreach (@scandir($folder) ?: [] as $name) {
            $path = "{$folder}/{$name}";
            if ($name !== '.' && $name !== '..' && ! is_link($path)) {
                $bytes += is_dir($path) ? self::bytes($path) : (int) @filesize($path);
            }
        }

        return $bytes;
    }
}
