<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;

/**
 * Points in the scene on which something is worked out that changes slowly, anchored to the scene so that every window reads the
 * same values, and how kernels read between them.
 */
final readonly class Lattice
{
    private const MOST_COLUMNS = 48;

    /** What is less counts as nothing: a filter leaves that much far outside. */
    private const NOTHING = 1e-7;

    public Window $points;

    /** @param  float  $step  scene pixels between points */
    public function __construct(public float $step, Window $window)
    {
        $this->points = $window->lattice($step);
    }

    public function key(): string
    {
        return "on {$this->points->x} {$this->points->y} {$this->points->columns} {$this->points->rows} {$this->step}";
    }

    /**
     * Writes the value at the current place: between its rows once a row, between its columns by tables that hold, for each
     * column of the window, the lattice's column and the share of the next.
     *
     * @param  Plane  $plane  values at the points
     * @param  bool  $isAll  there is nothing where it is 0, so that the row is worked on only where it is more
     * @return string the variable that holds it
     */
    public function write(KernelWriter $kernel, Window $window, Plane $plane, bool $isAll): string
    {
        $values = $kernel->plane($plane);
        [$entries, $shares] = $this->columnsOf($window);
        $entry = $kernel->table("{$plane->key()} entries", $entries);
        $share = $kernel->table("{$plane->key()} shares", $shares);
        [$line, $place, $part, $from, $shape, $at, $value, $low, $high] = array_map($kernel->variable(...), ['lattice', 'place', 'part', 'from', 'shape', 'at', 'value', 'low', 'high']);
        $columns = $kernel->number($this->points->columns);
        $kernel->row("{$place} = (\$y - {$kernel->number($this->points->yOf(0))}) * {$kernel->number(1 / $this->step)}; {$part} = {$place} - (int) {$place};");
        $kernel->row("{$from} = (int) {$place} * (int) {$columns}; {$line} = []; {$low} = -1; {$high} = 0;");
        $kernel->row("for (\$n = 0; \$n < {$columns}; \$n++, {$from}++) { {$value} = {$values}[{$from}] + {$part} * ({$values}[{$from} + (int) {$columns}] - {$values}[{$from}]); {$line}[] = {$value};");
        if (! $isAll) {
            $kernel->row('}');
            $kernel->line("{$at} = {$entry}[\$c]; {$shape} = {$line}[{$at}]; {$shape} += {$share}[\$c] * ({$line}[{$at} + 1] - {$shape});");

            return $shape;
        }
        $nothing = $kernel->number(self::NOTHING);
        $kernel->row("if ({$value} > {$nothing}) { if ({$low} < 0) { {$low} = \$n; } {$high} = \$n; } }");
        // the row is worked on only where there is light
        $perColumn = $kernel->number($this->step / $window->step());
        $offset = $kernel->number(($this->points->xOf(0) - $window->xOf(0)) / $window->step());
        $kernel->row("if ({$low} < 0) { \$to = \$from; } else {");
        $kernel->row("{$low} = (int) (({$low} - 1) * {$perColumn} + {$offset}); {$high} = (int) (({$high} + 1) * {$perColumn} + {$offset}) + 2;");
        $kernel->row("if ({$low} > \$from) { \$from = {$low}; } if ({$high} < \$to) { \$to = {$high}; } }");
        $kernel->line("{$at} = {$entry}[\$c]; {$shape} = {$line}[{$at}]; {$shape} += {$share}[\$c] * ({$line}[{$at} + 1] - {$shape});");
        $kernel->line("if ({$shape} < {$nothing}) { {$shape} = 0.0; }");

        return $shape;
    }

    /** @return array{list<int>, list<float>} */
    private function columnsOf(Window $window): array
    {
        // a drag asks for the same ones again and again
        $key = "{$this->points->x} {$this->step} {$window->x} {$window->columns} {$window->scale}";
        /** @var array<string, array{list<int>, list<float>}> $known */
        static $known = [];
        $found = $known[$key] ?? $this->calculated($window);
        $known = [...array_slice($known, -self::MOST_COLUMNS, null, true), $key => $found];

        return $found;
    }

    /** @return array{list<int>, list<float>} */
    private function calculated(Window $window): array
    {
        $entries = $shares = [];
        for ($column = 0; $column < $window->columns; $column++) {
            $place = ($window->xOf($column) - $this->points->xOf(0)) / $this->step;
            $entries[] = $entry = max(0, (int) $place);
            $shares[] = $place - $entry;
        }

        return [$entries, $shares];
    }
}
