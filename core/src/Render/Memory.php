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

    /** @var array<string, float> when each was used last, seconds of a clock of its own */
    private array $used = [];

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
            $this->used[$key] = self::now();
        }

        return $value;
    }

    public function put(string $key, mixed $value): void
    {
        unset($this->kept[$key]);
        $this->kept[$key] = $value;
        $this->used[$key] = self::now();
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
            unset($this->kept[$oldest], $this->used[$oldest]);
        }
    }

    /**
     * Gives back what has not been used for so long.
     *
     * @return int how many things
     */
    public function giveBack(float $seconds): int
    {
        $count = 0;
        foreach (array_keys($this->kept) as $key) {
            // in order of use: behind the first that was used lately there are none
            if (($this->used[$key] ?? 0.0) > self::now() - $seconds) {
                break;
            }
            unset($this->kept[$key], $this->used[$key]);
            $count++;
        }
        if ($count > 0) {
            // and the pages too, not to this process alone
            gc_mem_caches();
        }

        return $count;
    }

    private static function now(): float
    {
        return hrtime(true) / 1e9;
    }
}
