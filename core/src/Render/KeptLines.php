<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** The lines that a step works out once and that are kept for the next run, with the columns between which they hold something. */
final class KeptLines
{
    private const BOUNDS = ['first', 'end'];

    /** @var array<int, array<string, mixed>> lines of rows that were worked out in this run */
    private array $worked = [];

    /**
     * @param  list<string>  $lines
     * @param  array<int, array<string, mixed>>|null  $kept  those of an earlier run
     */
    public function __construct(private readonly string $key, private readonly array $lines, private readonly ?array $kept)
    {
    }

    /**
     * Whether the row was kept; then its lines are as they were, and hold something between these columns at most.
     *
     * @param  array<string, mixed>  $lines
     */
    public function take(array &$lines, int $row, int $from, int $to): bool
    {
        if ($this->kept === null) {
            return false;
        }
        foreach ($this->kept[$row] ?? array_fill_keys(self::BOUNDS, 0) as $line => $value) {
            $lines[$line] = $value;
        }
        $lines['first'] = max($lines['first'], $from);
        $lines['end'] = min($lines['end'], $to);

        return true;
    }

    /** @param  array<string, mixed>  $lines */
    public function put(array $lines, int $row): void
    {
        foreach ([...$this->lines, ...self::BOUNDS] as $line) {
            $this->worked[$row][$line] = $lines[$line];
        }
    }

    public function isLacking(): bool
    {
        return $this->kept === null;
    }

    public function handOn(KeptRows $covers): void
    {
        if ($this->isLacking()) {
            $covers->put($this->key, $this->worked);
        }
    }
}
