<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
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
    public static function of(Window $whole, ?Bounds $bounds): ?self
    {
        if ($bounds === null) {
            return self::whole($whole);
        }
        $step = $whole->step();
        $upper = $whole->yOf(-0.5);
        // edges are antialiased over a pixel, which may be larger than the bounds allow for
        [$left, $top] = [(int) max(0.0, floor(($bounds->left - $whole->x) / $step) - 1), (int) max(0.0, floor(($bounds->top - $upper) / $step) - 1)];
        $columns = (int) min((float) $whole->columns, ceil(($bounds->right - $whole->x) / $step) + 1) - $left;
        $rows = (int) min((float) $whole->rows, ceil(($bounds->bottom - $upper) / $step) + 1) - $top;
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
        $all = array_fill(0, $this->whole->columns * $this->whole->rows, 0.0);
        $columns = $this->window->columns;
        for ($row = 0, $from = 0; $row < $this->window->rows; $row++) {
            $to = ($this->top + $row) * $this->whole->columns + $this->left;
            for ($end = $from + $columns; $from < $end; $from++, $to++) {
                $all[$to] = $values[$from];
            }
        }

        /** @var list<float> $all written only where it had values already */
        return $all;
    }
}
