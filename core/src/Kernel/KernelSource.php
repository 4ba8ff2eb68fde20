<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/** A kernel's text, and what it is to be run with. */
final readonly class KernelSource
{
    /**
     * @param  string  $name  the function's name, which follows from its text
     * @param  string  $body  parameters and body of the function
     * @param  list<float>  $numbers
     * @param  list<array<int, int|float>>  $tables
     * @param  list<Plane>  $planes  in the order in which the kernel reads them
     * @param  list<string>  $tableKeys  what the tables are, in the same order
     * @param  list<string>  $planeKeys  what the planes are, in the same order
     * @param  list<string>  $lines  the names of the row's lines that it reads or writes
     */
    public function __construct(
        public string $name,
        public string $body,
        public array $numbers,
        public array $tables,
        public array $planes,
        public array $tableKeys,
        public array $planeKeys,
        public array $lines,
    ) {
    }

    /** Names what the kernel computes: its text and all that it is run with. */
    public function key(): string
    {
        return hash('xxh128', serialize([$this->name, $this->numbers, $this->tableKeys, $this->planeKeys]));
    }
}
