<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/**
 * What a process keeps for the next picture, of all kinds, by what it depends on. There is one limit for the whole
 * process; when it is reached, what has not been used for the longest time goes first.
 */
final class Memory
{
    public const BYTES = 600 * 1024 * 1024;

    /** @var array<string, mixed> in order of use */
    private array $kept = [];

    /** @param  int  $limit  bytes that the process may use before old things go */
    public function __construct(private readonly int $limit = self::BYTES)
    {
    }

    public function holds(string $key): bool
    {
        return isset($this->kept[$key]);
    }

    /** Null when it is not, or no longer, there. */
    public function get(string $key): mixed
    {
        $value = $this->kept[$key] ?? null;
        if ($value !== null) {
            unset($this->kept[$key]);
            $this->kept[$key] = $value;
        }

        return $value;
    }

    public function put(string $key, mixed $value): void
    {
        unset($this->kept[$key]);
        $this->kept[$key] = $value;
        $this->tidy($key);
    }

    /**
     * Lets old things go until the process is below its limit. What the picture of the moment holds is not freed by it,
     * so this is called again when that is done.
     */
    public function tidy(?string $but = null): void
    {
        while (memory_get_usage() > $this->limit) {
            $oldest = array_key_first($this->kept);
            if ($oldest === null || (string) $oldest === $but) {
                return;
            }
            unset($this->kept[$oldest]);
        }
    }
}
