<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Keeps the rows of the picture below the strip that is being changed, so that dragging it renders only what lies above. */
final class Checkpoints
{
    private const MOST = 4;

    private const MOST_VALUES = 12_000_000;

    /** @var array<string, list<array<string, mixed>>> rows of lines, in order of use */
    private array $rows = [];

    /** @return list<array<string, mixed>>|null */
    public function get(string $key): ?array
    {
        $rows = $this->rows[$key] ?? null;
        if ($rows !== null) {
            unset($this->rows[$key]);
            $this->rows[$key] = $rows;
        }

        return $rows;
    }

    /** @param  list<array<string, mixed>>  $rows */
    public function put(string $key, array $rows, int $columns): void
    {
        if ($rows === [] || count($rows) * $columns * count($rows[0]) > self::MOST_VALUES) {
            return;
        }
        $this->rows[$key] = $rows;
        if (count($this->rows) > self::MOST) {
            unset($this->rows[array_key_first($this->rows)]);
        }
    }
}
