<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Light\Part;

/**
 * The shadow of one cut-out on one surface, in the pixels of a window.
 *
 * How a place is gathered changes slowly: it is worked out at the corners of cells. Where the shadow is much softer than a cell
 * it is gathered there too, and read between them.
 */
final readonly class ShadowPlane implements Plane
{
    /** Pixels along a side of a cell. */
    private const CELL = 4;

    /** Softer than this, in pixels, a cell's corners are enough. */
    private const SOFT = 6.0;

    /** What is less, or lacks less from whole, is not gathered. */
    private const NOTHING = 4e-4;

    public function __construct(private CastShape $shape, private Throwing $throwing, private Window $window)
    {
    }

    public function key(): string
    {
        return "{$this->shape->key()} {$this->throwing->key()} {$this->window->key()}";
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
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->throwing->toSheet()->h;
        // cells are anchored to the scene, so that all windows of a scale have the same
        $left = -(((int) round($window->x * $window->scale) % self::CELL + self::CELL) % self::CELL);
        $top = -(((int) round($window->yOf(-0.5) * $window->scale) % self::CELL + self::CELL) % self::CELL);
        $across = intdiv($columns - $left + self::CELL - 1, self::CELL);
        $upper = $this->corners($stack, $window, $left, $top, $across);
        $unit = 1 / self::CELL;
        $step = $window->step();
        for (; $top < $rows; $top += self::CELL, $upper = $lower) {
            $lower = $this->corners($stack, $window, $left, $top + self::CELL, $across);
            $spans = $this->spans($window, $top);
            for ($k = 0; $k < $across; $k++) {
                $corners = [$upper[$k], $upper[$k + 1], $lower[$k], $lower[$k + 1]];
                $any = $corners[0] ?? $corners[1] ?? $corners[2] ?? $corners[3];
                if ($any === null) {
                    continue;
                }
                [$c00, $c10, $c01, $c11] = [$corners[0] ?? $any, $corners[1] ?? $any, $corners[2] ?? $any, $corners[3] ?? $any];
                if ($c00->isNothing && $c10->isNothing && $c01->isNothing && $c11->isNothing) {
                    continue;
                }
                $between = $corners[0] !== null && $corners[1] !== null && $corners[2] !== null && $corners[3] !== null && min($c00->soft, $c10->soft, $c01->soft, $c11->soft) > self::SOFT * $step;
                $isWhole = $c00->isWhole && $c10->isWhole && $c01->isWhole && $c11->isWhole;
                if ($between && ! $isWhole) {
                    foreach ([$c00, $c10, $c01, $c11] as $corner) {
                        $corner->value ??= $stack->gathered($corner->u, $corner->v, $corner->level, $corner->x, $corner->y, $corner->aside);
                    }
                }
                $aside = max($c00->aside, $c10->aside, $c01->aside, $c11->aside);
                $column = $left + $k * self::CELL;
                foreach ($spans as $row => [$from, $to]) {
                    $fy = ($row - $top + 0.5) * $unit;
                    $y = $window->yOf($row);
                    $last = min($to, $column + self::CELL);
                    for ($p = max($from, $column); $p < $last; $p++) {
                        $fx = ($p - $column + 0.5) * $unit;
                        [$w00, $w10, $w01, $w11] = [(1 - $fx) * (1 - $fy), $fx * (1 - $fy), (1 - $fx) * $fy, $fx * $fy];
                        $density = $w00 * $c00->left + $w10 * $c10->left + $w01 * $c01->left + $w11 * $c11->left;
                        if ($isWhole) {
                            $values[$row * $columns + $p] = $density;
                        } elseif ($between) {
                            $values[$row * $columns + $p] = $density * ($w00 * $c00->value + $w10 * $c10->value + $w01 * $c01->value + $w11 * $c11->value);
                        } else {
                            $x = $window->xOf($p);
                            $w = $g * $x + $h * $y + $i;
                            if ($w > 0.0) {
                                $values[$row * $columns + $p] = $density * $stack->gathered(
                                    ($a * $x + $b * $y + $c) / $w, ($d * $x + $e * $y + $f) / $w,
                                    $w00 * $c00->level + $w10 * $c10->level + $w01 * $c01->level + $w11 * $c11->level,
                                    $w00 * $c00->x + $w10 * $c10->x + $w01 * $c01->x + $w11 * $c11->x,
                                    $w00 * $c00->y + $w10 * $c10->y + $w01 * $c01->y + $w11 * $c11->y, $aside,
                                );
                            }
                        }
                    }
                }
            }
        }

        /** @var list<float> $values written only where it had values already */
        return $values;
    }

    /**
     * How the shadow is gathered at the corners of a row of cells.
     *
     * @return list<Gather|null> null where nothing is thrown
     */
    private function corners(StackReader $stack, Window $window, int $left, int $row, int $across): array
    {
        $corners = [];
        $map = $this->throwing->toSheet();
        $y = $window->yOf($row - 0.5);
        for ($k = 0; $k <= $across; $k++) {
            $x = $window->xOf($left + $k * self::CELL - 0.5);
            $soft = $this->throwing->softness($x, $y);
            $corners[] = $soft === null ? null : Gather::of($soft, $map, $x, $y, $window->step(), self::CELL, $stack, self::NOTHING);
        }

        return $corners;
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
                    $to = $there >= 0 ? $to : 0;

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
