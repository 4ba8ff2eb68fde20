<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;

/**
 * A softened field on a lattice of its own: coarse where the softness allows, anchored to the scene so that
 * every window reads the same values, without level and colour so that fading it costs nothing.
 */
final readonly class SoftShape implements Plane
{
    /** Lattice points to a sigma. */
    private const POINTS = 5;

    private const MOST_COLUMNS = 24;

    /** Scene pixels between lattice points. */
    public float $step;

    /** Scene x and y of the first point. */
    public float $left;

    public float $top;

    public int $columns;

    public int $rows;

    private int $margin;

    private Window $points;

    public function __construct(private Field $field, private float $softness, Window $window)
    {
        $this->step = max($window->step(), $softness / self::POINTS);
        $this->margin = (int) ceil(Gaussian::REACH * $softness / $this->step) + 1;
        $this->points = $window->lattice($this->step);
        $this->left = $this->points->xOf(0);
        $this->top = $this->points->yOf(0);
        $this->columns = $this->points->columns;
        $this->rows = $this->points->rows;
    }

    public function key(): string
    {
        return "{$this->field->identity()} softened by {$this->softness} on {$this->left} {$this->top} {$this->columns} {$this->rows} {$this->step}";
    }

    /**
     * Writes the shape at the current place, read off the lattice: between its rows once a row, between its columns by
     * tables that hold, for each column of the window, the lattice's column and the share of the next.
     *
     * @return string the variable that holds it
     */
    public function write(KernelWriter $kernel, Window $window): string
    {
        $plane = $kernel->plane($this);
        [$entries, $shares] = $this->columnsOf($window);
        $entry = $kernel->table("{$this->key()} entries", $entries);
        $share = $kernel->table("{$this->key()} shares", $shares);
        [$line, $place, $part, $from, $shape, $at] = array_map($kernel->variable(...), ['lattice', 'place', 'part', 'from', 'shape', 'at']);
        $columns = $kernel->number($this->columns);
        $kernel->row("{$place} = (\$y - {$kernel->number($this->top)}) * {$kernel->number(1 / $this->step)}; {$part} = {$place} - (int) {$place};");
        $kernel->row("{$from} = (int) {$place} * (int) {$columns}; {$line} = [];");
        [$value, $low, $high] = array_map($kernel->variable(...), ['value', 'low', 'high']);
        $kernel->row("{$low} = -1; {$high} = 0;");
        $kernel->row("for (\$n = 0; \$n < {$columns}; \$n++, {$from}++) { {$value} = {$plane}[{$from}] + {$part} * ({$plane}[{$from} + (int) {$columns}] - {$plane}[{$from}]); {$line}[] = {$value};");
        $kernel->row("if ({$value} > 1e-7) { if ({$low} < 0) { {$low} = \$n; } {$high} = \$n; } }");
        // the row is worked on only where there is light
        $perColumn = $kernel->number($this->step / $window->step());
        $offset = $kernel->number(($this->left - $window->xOf(0)) / $window->step());
        $kernel->row("if ({$low} < 0) { \$to = \$from; } else {");
        $kernel->row("{$low} = (int) (({$low} - 1) * {$perColumn} + {$offset}); {$high} = (int) (({$high} + 1) * {$perColumn} + {$offset}) + 2;");
        $kernel->row("if ({$low} > \$from) { \$from = {$low}; } if ({$high} < \$to) { \$to = {$high}; } }");
        $kernel->line("{$at} = {$entry}[\$c]; {$shape} = {$line}[{$at}]; {$shape} += {$share}[\$c] * ({$line}[{$at} + 1] - {$shape});");
        // what the filter leaves far outside is no light
        $kernel->line("if ({$shape} < 1e-7) { {$shape} = 0.0; }");

        return $shape;
    }

    /** @return array{list<int>, list<float>} */
    private function columnsOf(Window $window): array
    {
        // a drag asks for the same ones again and again
        $key = "{$this->left} {$this->step} {$window->x} {$window->columns} {$window->scale}";
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
            $place = ($window->xOf($column) - $this->left) / $this->step;
            $entries[] = $entry = max(0, (int) $place);
            $shares[] = $place - $entry;
        }

        return [$entries, $shares];
    }

    /** @return list<float> columns x rows */
    public function fill(Planes $planes): array
    {
        $padded = $this->points->padded($this->margin);
        $soft = Gaussian::blur($planes->sample(fn (KernelWriter $kernel): string => $this->field->write($kernel, $padded), $padded), $padded->columns, $padded->rows, $this->softness / $this->step);

        return Margin::cut($soft, $padded->columns, $padded->rows, $this->margin);
    }
}
