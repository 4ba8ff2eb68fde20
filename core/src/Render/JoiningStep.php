<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Joins lights on rows. */
final readonly class JoiningStep implements RowStep
{
    /** @var array<string, list<float>> the row where there is no light */
    private array $none;

    /**
     * @param  list<KernelStep>  $steps
     * @param  array<string, float>  $lines  with their values where there is no light
     */
    public function __construct(private array $steps, array $lines, int $columns, private KeptLines $kept)
    {
        $this->none = array_map(static fn (float $value): array => array_fill(0, $columns, $value), $lines);
    }

    public function run(array &$lines, int $row, float $y, int $from, int $to): void
    {
        if ($this->kept->take($lines, $row, $from, $to)) {
            return;
        }
        $lines = [...$lines, ...$this->none];
        [$first, $end] = [PHP_INT_MAX, 0];
        foreach ($this->steps as $step) {
            $lines['first'] = $lines['end'] = 0;
            $step->run($lines, $row, $y, $from, $to);
            if ($lines['end'] > 0) {
                $first = min($first, $lines['first']);
                $end = max($end, $lines['end']);
            }
        }
        $lines['first'] = $end > 0 ? $first : 0;
        $lines['end'] = $end;
        if ($end > 0) {
            $this->kept->put($lines, $row);
        }
    }

    public function lacksKept(): bool
    {
        return $this->kept->isLacking();
    }

    public function handOn(KeptRows $covers): void
    {
        $this->kept->handOn($covers);
    }
}
