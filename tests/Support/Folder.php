<?php

declare(strict_types=1);

namespace Tests\Support;

/** Folders for one run of the tests, removed when it ends. */
final class Folder
{
    private static ?string $root = null;

    public static function of(string $name): string
    {
        if (self::$root === null) {
            self::$root = sys_get_temp_dir().'/aumbrel-tests-'.getmypid();
            $root = self::$root;
            $owner = getmypid();
            register_shutdown_function(static function () use ($root, $owner): void {
                if (getmypid() === $owner) {
                    exec('rm -rf '.escapeshellarg($root));
                }
            });
        }
        $folder = self::$root."/{$name}";
        if (! is_dir($folder)) {
            mkdir($folder, 0o755, true);
        }

        return $folder;
    }
}
