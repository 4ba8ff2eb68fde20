<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Registers;
use Closure;
use LogicException;

/**
 * Runs a plan over the rows of a window.
 *
 * Three things are kept for the next run. The rows of the picture below the strip that is being changed: dragging it then
 * renders only what lies above. And how much there is of each light and fill at each place, which does not depend on
 * what lies below: changing one strip leaves the others' as they are. And, while a strip is changed, the finished rows:
 * of each only the columns that it reaches are made anew.
 */
final readonly class RowRunner
{
    /** Lines that mean nothing to the strips above. */
    private const PASSING = ['clipped' => 0, 'cover' => 0, 'first' => 0, 'end' => 0, 'out' => 0];

    private KeptRows $checkpoints;

    private KeptRows $covers;

    /**
     * @param  Closure(Plane): (list<int>|list<float>)  $plane  fills the planes that kernels read
     * @param  Closure(): void  $step  told before each row
     */
    public function __construct(private KernelStore $kernels, private Closure $plane, private Memory $memory, private Closure $step)
    {
        $this->checkpoints = new KeptRows($memory, 'below');
        $this->covers = new KeptRows($memory, 'cover');
    }

    /**
     * @template T
     *
     * @param  callable(array<string, mixed>, int, int): T  $done  makes of the lines of a finished row what is wanted of it between two columns
     * @param  (callable(T, T, int): T)|null  $join  lays what was made of some columns over what was made of the whole row, from a column on; without it rows are made as a whole
     * @return array{int, list<T>} clipped pixels, and what was made of the rows
     */
    public function run(Plan $plan, Window $window, callable $done, ?callable $join = null): array
    {
        $zero = array_fill(0, $window->columns, 0.0);
        $lines = ['r' => $zero, 'g' => $zero, 'b' => $zero, 'a' => $zero, 'clipped' => 0];
        // planes are filled here, by code that is no kernel
        $steps = $this->steps($plan, $window, $lines, $zero);

        return Registers::kept(fn (): array => $this->rows($plan, $window, $steps, $lines, $zero, $done, $join));
    }

    /**
     * The rows, one after the other.
     *
     * @template T
     *
     * @param  list<RowStep>  $steps
     * @param  array<string, mixed>  $lines
     * @param  list<float>  $zero
     * @param  callable(array<string, mixed>, int, int): T  $done  makes of the lines of a finished row what is wanted of it between two columns
     * @param  (callable(T, T, int): T)|null  $join  lays what was made of some columns over what was made of the whole row, from a column on; without it rows are made as a whole
     * @return array{int, list<T>} clipped pixels, and what was made of the rows
     */
    private function rows(Plan $plan, Window $window, array $steps, array $lines, array $zero, callable $done, ?callable $join): array
    {
        $key = "{$plan->checkpointKey()} {$window->key()}";
        $below = $plan->checkpoint > 0 ? $this->checkpoints->get($key) : null;
        $kept = [];
        $first = $below === null ? 0 : $plan->checkpoint;
        $count = count($steps);
        $name = 'last '.implode(' ', $plan->results)." {$window->key()}";
        /** @var LastPicture<T>|null $last */
        $last = $plan->checkpoint > 0 ? $this->memory->get($name) : null;
        $changes = $last === null || $below === null || ! $this->haveCovers($steps) ? null : $last->changesTo($plan);
        /** @var LastPicture<T>|null $next */
        $next = $plan->checkpoint > 0 ? new LastPicture($plan) : null;
        $made = [];
        $clipped = 0;
        for ($row = 0; $row < $window->rows; $row++) {
            ($this->step)();
            $y = $window->yOf($row);
            $was = $changes === null ? null : $last->row($row);
            [$from, $to] = $was === null ? [0, $window->columns] : $window->between(...LastPicture::reached($changes, $y));
            if ($was !== null && $from >= $to) {
                [$made[], $more] = $was;
                $clipped += $more;
                $next?->put($row, ...$was);

                continue;
            }
            // how many of the columns were clipped is known of a row only where none was
            $isPart = $was !== null && $was[1] === 0 && $join !== null;
            [$from, $to] = $isPart ? [$from, $to] : [0, $window->columns];
            $lines['clipped'] = 0;
            $lines = $below === null ? ['r' => $zero, 'g' => $zero, 'b' => $zero, 'a' => $zero] + $lines : $below[$row] + $lines;
            for ($at = $first; $at < $count; $at++) {
                if ($at === $plan->checkpoint && $below === null && $at > 0) {
                    $kept[$row] = array_diff_key($lines, self::PASSING);
                }
                $steps[$at]->run($lines, $row, $y, $from, $to);
            }
            $made[] = $isPart ? $join($was[0], $done($lines, $from, $to), $from) : $done($lines, $from, $to);
            $more = is_int($lines['clipped']) ? $lines['clipped'] : 0;
            $clipped += $more;
            $next?->put($row, $made[$row], $more);
        }
        if ($next !== null) {
            $this->memory->put($name, $next);
        }
        if ($kept !== []) {
            $this->checkpoints->put($key, $kept);
        }
        foreach ($steps as $step) {
            $step->handOn($this->covers);
        }

        return [$clipped, $made];
    }

    /**
     * Whether no step has a cover to work out that is kept: one of some of the rows would be taken for the whole.
     *
     * @param  list<RowStep>  $steps
     */
    private function haveCovers(array $steps): bool
    {
        foreach ($steps as $step) {
            if ($step->lacksKept()) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<string, mixed>  $lines  gets every line that a kernel reads or writes
     * @param  list<float>  $zero
     * @return list<RowStep>
     */
    private function steps(Plan $plan, Window $window, array &$lines, array $zero): array
    {
        $steps = [];
        foreach ($plan->passes as $pass) {
            $steps[] = match (true) {
                $pass instanceof Pass => $this->kernelStep($pass, $window, $lines, $zero),
                $pass instanceof JoinedLights => $this->joiningStep($pass, $window, $lines, $zero),
                $pass instanceof Keep => new CopyStep($pass->copies),
                default => throw new LogicException($pass::class.' is no step of a plan that could be run'),
            };
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  list<float>  $zero
     */
    private function kernelStep(Pass $pass, Window $window, array &$lines, array $zero): KernelStep
    {
        foreach ($pass->kernel->lines as $line) {
            $lines[$line] ??= $zero;
        }

        return new KernelStep($this->kernels->load($pass->kernel), $pass->kernel, array_map($this->plane, $pass->kernel->planes), $pass->extent, $window, $pass->keepsCover ? $this->kept($pass, ['cover'], $window) : null);
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  list<float>  $zero
     */
    private function joiningStep(JoinedLights $joined, Window $window, array &$lines, array $zero): JoiningStep
    {
        $kept = $this->kept($joined, array_keys($joined->lines), $window);
        $steps = [];
        // what is kept needs none of the planes that it was made of
        foreach ($kept->isLacking() ? $joined->passes : [] as $pass) {
            $steps[] = $this->kernelStep($pass, $window, $lines, $zero);
        }

        return new JoiningStep($steps, $joined->lines, $window->columns, $kept);
    }

    /** @param  list<string>  $lines */
    private function kept(PlanStep $step, array $lines, Window $window): KeptLines
    {
        $key = "{$step->key()} {$window->key()}";

        return new KeptLines($key, $lines, $this->covers->get($key));
    }
}
