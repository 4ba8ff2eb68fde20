<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Light\Part;

/**
 * The shadow of one cut-out on one surface, in the pixels of a window.
 *
 * How a place is gathered changes slowly: it is worked out at the corners of cells, of smaller ones where it changes quickly.
 * Where the shadow is much softer than a cell it is gathered there too, and read between them.
 */
final readonly class ShadowPlane implements Plane
{
    use KeyOfAll;

    /** Pixels along a side of a cell, and of the smallest one. */
    private const CELL = 8;

    private const SMALLEST = 2;

    /** Softer than this, in pixels, a cell's corners are enough. */
    private const SOFT = 10.0;

    public function __construct(private CastShape $shape, private Throwing $throwing, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $part = Part::of($this->window, $this->throwing->extent());

        return $part === null ? array_fill(0, $this->window->columns * $this->window->rows, 0.0)
            : $part->spread($this->gathered(new StackReader(new Stack($this->shape, $this->window->step()), $planes), $part->window));
    }

    /** @return list<float> */
    private function gathered(StackReader $stack, Window $window): array
    {
        [$columns, $rows] = [$window->columns, $window->rows];
        $values = array_fill(0, $columns * $rows, 0.0);
        // cells are anchored to the scene, so that all windows of a scale have the same
        $left = -(((int) round($window->x * $window->scale) % self::CELL + self::CELL) % self::CELL);
        $top = -(((int) round($window->yOf(-0.5) * $window->scale) % self::CELL + self::CELL) % self::CELL);
        $across = intdiv($columns - $left + self::CELL - 1, self::CELL);
        $upper = $this->corners($stack, $window, $left, $top, $across);
        for (; $top < $rows; $top += self::CELL, $upper = $lower) {
            $lower = $this->corners($stack, $window, $left, $top + self::CELL, $across);
            $spans = $this->spans($window, $top);
            for ($k = 0; $k < $across; $k++) {
                $this->cell($values, $stack, $window, $spans, $left + $k * self::CELL, $top, self::CELL, [$upper[$k], $upper[$k + 1], $lower[$k], $lower[$k + 1]]);
            }
        }

        /** @var list<float> $values written only where it had values already */
        return $values;
    }

    /**
     * The shadow in a cell, or in the four that it is divided into.
     *
     * @param  array<int, float>  $values  of the window, written where the cell lies
     * @param  array<int, array{int, int}>  $spans  as {@see spans()}
     * @param  array{Gather|null, Gather|null, Gather|null, Gather|null}  $corners  upper left, upper right, lower left, lower right
     */
    private function cell(array &$values, StackReader $stack, Window $window, array $spans, int $column, int $top, int $size, array $corners): void
    {
        $cell = Cell::between(...$corners);
        if ($cell === null) {
            return;
        }
        if ($size > self::SMALLEST && $cell->changes() && ! $cell->isSofterThan(self::SOFT * $window->step())) {
            [$upperLeft, $upperRight, $lowerLeft, $lowerRight] = $corners;
            $half = intdiv($size, 2);
            $corner = fn (int $x, int $y): ?Gather => $this->corner($stack, $window, $column + $x, $top + $y, $half);
            [$up, $left, $middle, $right, $down] = [$corner($half, 0), $corner(0, $half), $corner($half, $half), $corner($size, $half), $corner($half, $size)];
            $this->cell($values, $stack, $window, $spans, $column, $top, $half, [$upperLeft, $up, $left, $middle]);
            $this->cell($values, $stack, $window, $spans, $column + $half, $top, $half, [$up, $upperRight, $middle, $right]);
            $this->cell($values, $stack, $window, $spans, $column, $top + $half, $half, [$left, $middle, $lowerLeft, $down]);
            $this->cell($values, $stack, $window, $spans, $column + $half, $top + $half, $half, [$middle, $right, $down, $lowerRight]);

            return;
        }
        for ($row = $top; $row < $top + $size; $row++) {
            [$from, $to] = $spans[$row] ?? [0, 0];
            [$first, $last] = [max($from, $column), min($to, $column + $size)];
            foreach ($first < $last ? $this->row($cell, $stack, $window, $row, $first, $last, $column, ($row - $top + 0.5) / $size, $size) : [] as $n => $value) {
                $values[$row * $window->columns + $first + $n] = $value;
            }
        }
    }

    /**
     * The shadow in a row of a cell.
     *
     * @param  int  $first  column of the window @param  int  $last  one after the last
     * @param  int  $column  at which the cell begins
     * @param  float  $down  0..1, of the row in the cell
     * @param  int  $size  pixels along a side of the cell
     * @return list<float>
     */
    private function row(Cell $cell, StackReader $stack, Window $window, int $row, int $first, int $last, int $column, float $down, int $size): array
    {
        $begin = ($first - $column + 0.5) / $size;
        [$left, $less] = self::along($cell->left($down), $begin, $size);
        $count = $last - $first;
        if ($cell->isWhole()) {
            $values = array_fill(0, $count, 1.0);
        } elseif ($cell->isSofterThan(self::SOFT * $window->step())) {
            [$value, $more] = self::along($cell->value($stack, $down), $begin, $size);
            $values = [];
            for ($n = 0; $n < $count; $n++) {
                $values[] = $value + $n * $more;
            }
        } else {
            [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->throwing->toSheet()->h;
            [$x, $y, $step] = [$window->xOf($first), $window->yOf($row), $window->step()];
            $values = $stack->run(
                $count, [$a * $x + $b * $y + $c, $d * $x + $e * $y + $f, $g * $x + $h * $y + $i], [$a * $step, $d * $step, $g * $step],
                self::along($cell->level($down), $begin, $size), self::along($cell->across($down), $begin, $size), self::along($cell->upright($down), $begin, $size), $cell->aside(), $cell->around(),
            );
        }
        foreach ($values as $n => $value) {
            $values[$n] = $value * ($left + $n * $less);
        }

        return $values;
    }

    /**
     * What goes evenly from one end of a cell to the other: at a pixel, and what comes to it from each to the next.
     *
     * @param  array{float, float}  $ends
     * @return array{float, float}
     */
    private static function along(array $ends, float $begin, int $size): array
    {
        return [$ends[0] + $begin * ($ends[1] - $ends[0]), ($ends[1] - $ends[0]) / $size];
    }

    /**
     * How the shadow is gathered at the corners of a row of cells.
     *
     * @return list<Gather|null> null where nothing is thrown
     */
    private function corners(StackReader $stack, Window $window, int $left, int $row, int $across): array
    {
        $corners = [];
        for ($k = 0; $k <= $across; $k++) {
            $corners[] = $this->corner($stack, $window, $left + $k * self::CELL, $row, self::CELL);
        }

        return $corners;
    }

    /** How the shadow is gathered at a corner of cells of a size; null where nothing is thrown. */
    private function corner(StackReader $stack, Window $window, int $column, int $row, int $size): ?Gather
    {
        [$map, $reach] = [$this->throwing->toSheet(), $this->throwing->reach()];
        [$x, $y] = [$window->xOf($column - 0.5), $window->yOf($row - 0.5)];
        $soft = ! $map->reaches($x, $y) || $reach !== null && self::isFar($reach, $map, $x, $y, $size * $window->step()) ? null : $this->throwing->softness($x, $y);

        return $soft === null ? null : Gather::of($soft, $map, $x, $y, $window->step(), $size, $stack);
    }

    /** Whether a place and those about it come from far beside the cut-out: then it need not be asked how soft they are. */
    private static function isFar(Bounds $reach, Homography $map, float $x, float $y, float $cell): bool
    {
        [$u, $v] = $map->at($x, $y);
        [$ux, $uy, $vx, $vy] = $map->jacobian($x, $y);
        [$across, $down] = [$cell * (abs($ux) + abs($uy)), $cell * (abs($vx) + abs($vy))];

        return $u < $reach->left - $across || $u > $reach->right + $across || $v < $reach->top - $down || $v > $reach->bottom + $down;
    }

    /**
     * The columns of each row of cells in which the surface is seen.
     *
     * @return array<int, array{int, int}> the first, and one after the last, by row
     */
    private function spans(Window $window, int $top): array
    {
        $spans = [];
        for ($row = max(0, $top); $row < min($window->rows, $top + self::CELL); $row++) {
            [$from, $to] = [0, $window->columns];
            $y = $window->yOf($row);
            foreach ($this->throwing->sides() as [$a, $b, $c]) {
                $there = $b * $y + $c;
                if (abs($a) < 1e-12) {
                    if ($there < 0) {
                        $to = 0;
                    }

                    continue;
                }
                // columns whose middles lie on the right side of -there / a
                $column = (-$there / $a - $window->x) * $window->scale - 0.5;
                if ($a > 0) {
                    $from = max($from, (int) ceil(min(1e9, $column)));
                } else {
                    $to = min($to, (int) floor(max(-1e9, $column)) + 1);
                }
            }
            $spans[$row] = [$from, $to];
        }

        return $spans;
    }
}
