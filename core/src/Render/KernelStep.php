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

    public function run(array &$lines, int $row, float $y): void
    {
        if ($this->kept?->take($lines, $row) === true) {
            return;
        }
        [$from, $to] = $this->columns($y);
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

    /** @return array{int, int} the columns where there is anything to do on a row, from and before */
    private function columns(float $y): array
    {
        if ($this->extent === null) {
            return [0, $this->window->columns];
        }
        $span = $this->extent->span($y);
        if ($span === null) {
            return [0, 0];
        }

        return [
            (int) max(0.0, ceil(($span[0] - $this->left) / $this->step - 1e-6)),
            (int) min((float) $this->window->columns, floor(($span[1] - $this->left) / $this->step + 1e-6) + 1),
        ];
    }
}
