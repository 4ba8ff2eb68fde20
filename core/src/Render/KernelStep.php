<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelSource;
use Closure;

/** Runs a kernel on rows. */
final readonly class KernelStep implements RowStep
{
    private Closure $function;

    private float $left;

    private float $step;

    /**
     * @param  list<list<int>|list<float>>  $planes
     * @param  KeptLines|null  $kept  where its cover is kept
     */
    public function __construct(callable $function, private KernelSource $kernel, private array $planes, private ?Extent $extent, private Window $window, private ?KeptLines $kept = null)
    {
        $this->function = $function(...);
        $this->left = $window->xOf(0);
        $this->step = $window->step();
    }

    public function run(array &$lines, int $row, float $y, int $from, int $to): void
    {
        if ($this->kept?->take($lines, $row, $from, $to) === true) {
            return;
        }
        if ($this->extent !== null) {
            $span = $this->extent->span($y);
            [$first, $end] = $span === null ? [0, 0] : $this->window->between(...$span);
            [$from, $to] = [max($from, $first), min($to, $end)];
        }
        if ($from >= $to) {
            if ($this->kept !== null) {
                $lines['first'] = $lines['end'] = 0;
            }

            return;
        }
        ($this->function)($this->kernel->numbers, $this->kernel->tables, $this->planes, $lines, $from, $to, $row * $this->window->columns, $this->left, $this->step, $y);
        $this->kept?->put($lines, $row);
    }

    public function lacksKept(): bool
    {
        return $this->kept?->isLacking() === true;
    }

    public function handOn(KeptRows $covers): void
    {
        $this->kept?->handOn($covers);
    }
}
