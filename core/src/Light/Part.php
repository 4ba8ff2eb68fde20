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
     * @param  int  $margin  pixels on every side of the whole that nobody sees, and that are left out
     * @return list<float>
     */
    public function spread(array $values, int $margin = 0): array
    {
        $columns = $this->whole->columns - 2 * $margin;
        $rows = $this->whole->rows - 2 * $margin;
        if ($this->window === $this->whole && $margin === 0) {
            return $values;
        }
        $all = array_fill(0, $columns * $rows, 0.0);
        [$left, $right] = [max($margin, $this->left), min($margin + $columns, $this->left + $this->window->columns)];
        [$top, $bottom] = [max($margin, $this->top), min($margin + $rows, $this->top + $this->window->rows)];
        for ($row = $top; $row < $bottom; $row++) {
            $from = ($row - $this->top) * $this->window->columns + $left - $this->left;
            $to = ($row - $margin) * $columns + $left - $margin;
            for ($end = $to + $right - $left; $to < $end; $to++, $from++) {
                $all[$to] = $values[$from];
            }
        }

        /** @var list<float> $all written only where it had values already */
        return $all;
    }
}
