<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;

/** The part of a window where there can be anything: what is worked out there is spread over the whole of it. */
final readonly class Part
{
    private function __construct(private Window $whole, public Window $window, public int $left, public int $top)
    {
    }

    public static function whole(Window $whole): self
    {
        return new self($whole, $whole, 0, 0);
    }

    /** Null when it lies outside the window. */
    public static function of(Window $whole, ?Extent $extent): ?self
    {
        if ($extent === null) {
            return self::whole($whole);
        }
        [$left, $right, $top, $bottom] = [$whole->columns, 0, -1, -2];
        $step = $whole->step();
        for ($row = 0; $row < $whole->rows; $row++) {
            // a part of the pixel may reach into it where its middle does not
            foreach ([-0.5, 0.0, 0.5] as $beside) {
                $span = $extent->span($whole->yOf($row + $beside));
                if ($span === null) {
                    continue;
                }
                $top = $top < 0 ? $row : $top;
                $bottom = $row;
                $left = (int) max(0.0, min($left, floor(($span[0] - $whole->x) / $step)));
                $right = (int) max($right, min((float) $whole->columns, ceil(($span[1] - $whole->x) / $step)));
            }
        }
        [$columns, $rows] = [$right - $left, $bottom - $top + 1];
        if ($columns <= 0 || $rows <= 0) {
            return null;
        }

        return $columns === $whole->columns && $rows === $whole->rows ? self::whole($whole)
            : new self($whole, new Window($whole->xOf($left) - $step / 2, $whole->yOf($top) - $step / 2, $columns * $step, $rows * $step, $whole->scale), $left, $top);
    }

    /**
     * Values of the part in the whole, and nothing around them.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public function spread(array $values): array
    {
        if ($this->window === $this->whole) {
            return $values;
        }
        $columns = $this->window->columns;
        $before = array_fill(0, $this->left, 0.0);
        $behind = array_fill(0, $this->whole->columns - $this->left - $columns, 0.0);
        $all = $this->top > 0 ? array_fill(0, $this->top * $this->whole->columns, 0.0) : [];
        for ($row = 0, $from = 0; $row < $this->window->rows; $row++, $from += $columns) {
            array_push($all, ...$before, ...array_slice($values, $from, $columns), ...$behind);
        }
        $left = $this->whole->columns * $this->whole->rows - count($all);

        return $left > 0 ? [...$all, ...array_fill(0, $left, 0.0)] : $all;
    }
}
