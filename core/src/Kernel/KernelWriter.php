<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/**
 * Collects the text of one kernel: a function that works on one row of a window, in one or more loops over its columns.
 *
 * Loops are kept short and apart because the compiler follows paths, not branches: every branch inside a loop may double
 * the paths to be compiled, and a loop with a dozen of them runs several times slower than three loops with four each.
 *
 * In a loop `$c` is the column, `$x` and `$y` the place in scene pixels, `$i` the pixel in a plane; `$first` and `$end`
 * bound the columns that an earlier loop found worth working on.
 */
final class KernelWriter
{
    /** @var list<float> */
    private array $numbers = [];

    /** @var list<array<int, int|float>> */
    private array $tables = [];

    /** @var array<string, int> */
    private array $tableNames = [];

    /** @var list<Plane> */
    private array $planes = [];

    /** @var array<string, int> */
    private array $planeNames = [];

    /** @var array<string, true> */
    private array $lines = [];

    private string $rowText = '';

    private string $closingText = '';

    /** @var list<array{string, string}> the head and the text of each loop */
    private array $loops = [];

    private int $variables = 0;

    public function __construct(private readonly Inliner $inliner)
    {
        $inliner->restart();
    }

    /** A number that the kernel is handed at each run. */
    public function number(float $value): string
    {
        $this->numbers[] = $value;

        return '$k'.(count($this->numbers) - 1);
    }

    /** A variable of its own for each use. */
    public function variable(string $name): string
    {
        return '$'.$name.$this->variables++;
    }

    /** A value of the row that outlives the loop, at the current column; to be read and written. */
    public function stored(string $line): string
    {
        $this->lines[$line] = true;

        return "\$line_{$line}[\$c]";
    }

    /** Text that runs once a row, before the loops. */
    public function row(string $text): void
    {
        $this->rowText .= $text."\n";
    }

    /** Text that runs once a row, after the loops. */
    public function closing(string $text): void
    {
        $this->closingText .= $text."\n";
    }

    /** Starts a loop over all columns that the kernel is called for. */
    public function loop(): void
    {
        $this->loops[] = ['for ($c = $from; $c < $to; $c++)', ''];
    }

    /** Starts a loop over the columns from `$first` to before `$end`, which an earlier loop has set. */
    public function innerLoop(): void
    {
        $this->loops[] = ['for ($c = $first; $c < $end; $c++)', ''];
    }

    /** Text that runs at each column of the current loop. */
    public function line(string $text): void
    {
        $this->loops[count($this->loops) - 1][1] .= $text."\n";
    }

    /**
     * @param  array{class-string, string}  $formula
     * @param  list<string>  $arguments
     */
    public function inline(array $formula, array $arguments, ?string $into = null): void
    {
        $this->line($this->inliner->copy($formula, $arguments, $into));
    }

    /**
     * @param  array{class-string, string}  $formula
     * @param  list<string>  $arguments
     */
    public function expression(array $formula, array $arguments): ?string
    {
        return $this->inliner->expression($formula, $arguments);
    }

    /**
     * A table of numbers that the kernel reads; the same key gives the same variable.
     *
     * @param  array<int, int|float>  $values
     */
    public function table(string $key, array $values): string
    {
        if (! isset($this->tableNames[$key])) {
            $this->tableNames[$key] = count($this->tables);
            $this->tables[] = $values;
        }

        return '$t'.$this->tableNames[$key].'_';
    }

    /** A plane that must be there before the kernel runs; asked for by what it is, filled by whoever runs the kernel. */
    public function plane(Plane $request): string
    {
        $key = $request->key();
        if (! isset($this->planeNames[$key])) {
            $this->planeNames[$key] = count($this->planes);
            $this->planes[] = $request;
        }

        return '$p'.$this->planeNames[$key].'_';
    }

    public function finish(): KernelSource
    {
        $head = '';
        foreach (array_keys($this->numbers) as $at) {
            // the cast tells the compiler the type, which saves a check at every use
            $head .= "\$k{$at} = (float) \$numbers[{$at}];\n";
        }
        foreach (array_keys($this->tables) as $at) {
            $head .= "\$t{$at}_ = \$tables[{$at}];\n";
        }
        foreach (array_keys($this->planes) as $at) {
            $head .= "\$p{$at}_ = \$planes[{$at}];\n";
        }
        $tail = '';
        foreach (array_keys($this->lines) as $line) {
            // taken out of the row while it is worked on, so that writing to it copies nothing
            $head .= "\$line_{$line} = \$lines['{$line}']; \$lines['{$line}'] = null;\n";
            $tail .= "\$lines['{$line}'] = \$line_{$line};\n";
        }
        $loops = '';
        foreach ($this->loops as [$opening, $text]) {
            $place = (str_contains($text, '$i') ? '$i = $at + $c; ' : '').(preg_match('/\$x\b/', $text) === 1 ? '$x = $left + $c * $step; ' : '');
            $loops .= "{$opening} {\n{$place}{$text}}\n";
        }
        $body = <<<PHP
            (array \$numbers, array \$tables, array \$planes, array &\$lines, int \$from, int \$to, int \$at, float \$left, float \$step, float \$y): void
            {
            {$head}{$this->rowText}{$loops}{$this->closingText}{$tail}}

            PHP;

        return new KernelSource('aumbrel_kernel_'.hash('xxh128', $body), $body, $this->numbers, $this->tables, $this->planes, array_keys($this->tableNames), array_keys($this->planeNames), array_keys($this->lines));
    }
}
