<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelSource;
use Closure;

/** One pass of a plan, ready to run on rows. */
final class RowStep
{
    /** @var array<int, array<string, mixed>> covers of rows that were worked out in this run */
    private array $covers = [];

    private readonly float $left;

    private readonly float $step;

    /**
     * @param  array<string, string>  $copies  from line to line
     * @param  list<list<int>|list<float>>  $planes
     * @param  array<int, array<string, mixed>>|null  $kept  covers of an earlier run
     */
    private function __construct(
        private readonly array $copies,
        private readonly ?Closure $function,
        private readonly ?KernelSource $kernel,
        private readonly array $planes,
        private readonly ?Extent $extent,
        private readonly Window $window,
        private readonly ?string $coverKey,
        private readonly ?array $kept,
    ) {
        $this->left = $window->xOf(0);
        $this->step = $window->step();
    }

    /** @param  array<string, string>  $copies */
    public static function copying(array $copies, Window $window): self
    {
        return new self($copies, null, null, [], null, $window, null, null);
    }

    /**
     * @param  list<list<int>|list<float>>  $planes
     * @param  array<int, array<string, mixed>>|null  $kept
     */
    public static function running(callable $function, KernelSource $kernel, array $planes, ?Extent $extent, Window $window, ?string $coverKey, ?array $kept): self
    {
        return new self([], $function(...), $kernel, $planes, $extent, $window, $coverKey, $kept);
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  float  $y  of the row's pixel centres, scene pixels
     */
    public function run(array &$lines, int $row, float $y): void
    {
        if ($this->function === null || $this->kernel === null) {
            foreach ($this->copies as $from => $to) {
                $lines[$to] = $lines[$from];
            }

            return;
        }
        if ($this->kept !== null) {
            foreach ($this->kept[$row] ?? ['first' => 0, 'end' => 0] as $line => $value) {
                $lines[$line] = $value;
            }

            return;
        }
        [$from, $to] = $this->columns($y);
        if ($from >= $to) {
            if ($this->coverKey !== null) {
                $lines['first'] = $lines['end'] = 0;
            }

            return;
        }
        ($this->function)($this->kernel->numbers, $this->kernel->tables, $this->planes, $lines, $from, $to, $row * $this->window->columns, $this->left, $this->step, $y);
        if ($this->coverKey !== null) {
            $this->covers[$row] = ['cover' => $lines['cover'], 'first' => $lines['first'], 'end' => $lines['end']];
        }
    }

    /**
     * Whether it works out a cover in this run that is to be kept.
     *
     * @phpstan-assert-if-true !null $this->coverKey
     */
    public function lacksCover(): bool
    {
        return $this->coverKey !== null && $this->kept === null;
    }

    /** Hands on what was worked out, for the next run. */
    public function keepCover(KeptRows $covers): void
    {
        if ($this->lacksCover()) {
            $covers->put($this->coverKey, $this->covers);
        }
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
