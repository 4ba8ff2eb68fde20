<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Keeps lines of rows by what they depend on, up to a number of values; the least recently used go first. */
final class KeptRows
{
    /** @var array<string, array<int, array<string, mixed>>> lines by row, in order of use */
    private array $rows = [];

    /** @var array<string, int> */
    private array $sizes = [];

    public function __construct(private readonly int $mostValues)
    {
    }

    /** @return array<int, array<string, mixed>>|null */
    public function get(string $key): ?array
    {
        $rows = $this->rows[$key] ?? null;
        if ($rows !== null) {
            unset($this->rows[$key]);
            $this->rows[$key] = $rows;
        }

        return $rows;
    }

    /**
     * @param  array<int, array<string, mixed>>  $rows
     * @param  int  $values  that they hold
     */
    public function put(string $key, array $rows, int $values): void
    {
        if ($values > $this->mostValues) {
            return;
        }
        $this->rows[$key] = $rows;
        $this->sizes[$key] = $values;
        while (array_sum($this->sizes) > $this->mostValues) {
            $oldest = (string) array_key_first($this->rows);
            unset($this->rows[$oldest], $this->sizes[$oldest]);
        }
    }
}
