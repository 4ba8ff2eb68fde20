<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Copies lines of a row. */
final readonly class CopyStep implements RowStep
{
    /** @param  array<string, string>  $copies  from line to line */
    public function __construct(private array $copies)
    {
    }

    public function run(array &$lines, int $row, float $y, int $from, int $to): void
    {
        foreach ($this->copies as $from => $to) {
            $lines[$to] = $lines[$from];
        }
    }

    public function lacksKept(): bool
    {
        return false;
    }

    public function handOn(KeptRows $covers): void
    {
    }
}
