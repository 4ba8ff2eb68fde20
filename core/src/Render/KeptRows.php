<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Keeps lines of rows by what they depend on. */
final readonly class KeptRows
{
    /** @param  string  $kind  of rows, apart from others in the same memory */
    public function __construct(private Memory $memory, private string $kind)
    {
    }

    /** @return array<int, array<string, mixed>>|null lines by row */
    public function get(string $key): ?array
    {
        /** @var array<int, array<string, mixed>>|null */
        return $this->memory->get("{$this->kind} {$key}");
    }

    /** @param  array<int, array<string, mixed>>  $rows */
    public function put(string $key, array $rows): void
    {
        $this->memory->put("{$this->kind} {$key}", $rows);
    }
}
