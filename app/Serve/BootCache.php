<?php

declare(strict_types=1);

namespace App\Serve;

use Symfony\Component\Process\Exception\RuntimeException;
use Symfony\Component\Process\Process;

/**
 * What the application reads anew for every request otherwise, settings and routes, in two files that are made at the
 * start of the server and hold for this start only: a request is let in in half of the time. Without them the web server
 * is slower, but right.
 */
final readonly class BootCache
{
    private const SECONDS = 20.0;

    /** @param  string  $folder  of the run, which nobody else can read: settings hold the application's key */
    public function __construct(private string $root, private string $folder)
    {
    }

    /** @return array{APP_CONFIG_CACHE: string, APP_ROUTES_CACHE: string} where the framework looks for them */
    public function environment(): array
    {
        return ['APP_CONFIG_CACHE' => "{$this->folder}/settings.php", 'APP_ROUTES_CACHE' => "{$this->folder}/routes.php"];
    }

    /** @param  array<string, string>  $environment  of the web server: its settings come from there */
    public function make(array $environment): void
    {
        $this->drop();
        foreach (['config:cache', 'route:cache'] as $command) {
            try {
                (new Process([PHP_BINARY, 'artisan', $command], $this->root, [...$environment, ...$this->environment()], timeout: self::SECONDS))->mustRun();
            } catch (RuntimeException) {
                // a start that takes too long must not end for it
                $this->drop();

                return;
            }
        }
    }

    public function drop(): void
    {
        foreach ($this->environment() as $file) {
            if (is_file($file)) {
                unlink($file);
            }
        }
    }
}
