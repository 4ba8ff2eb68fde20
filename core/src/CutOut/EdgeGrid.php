<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;

/**
 * The pixels of a box, and what it costs to go from one to the next: little where the gradient is large, crosses its own middle
 * (the Laplacian's sign changes) and runs the same way (Mortensen and Barrett 1995, equations 1 to 6, with their weights).
 */
final class EdgeGrid
{
    private const CROSSING = 0.43;

    private const DIRECTION = 0.43;

    private const GRADIENT = 0.14;

    /** Whole costs to one of the formula's. */
    private const UNIT = 64;

    /** Steps to the eight neighbours, and how long they are. */
    private const STEPS = [[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [-1, 1], [1, -1], [-1, -1]];

    /** @var array<int, array{float, float, float, float}> by pixel: the gradient across and down, its size, and the Laplacian */
    private array $seen = [];

    /**
     * @param  list<int>  $packed  pixels of the box
     * @param  int  $bits  8 or 16 a channel
     */
    private function __construct(private readonly int $level, private readonly int $left, private readonly int $top, private readonly int $columns, private readonly int $rows, private readonly array $packed, private readonly int $bits)
    {
    }

    /** @param  array{float, float, float, float}  $box  left, top, right and bottom in the picture's pixels */
    public static function read(PictureSource $picture, Halving $halving, array $box): self
    {
        $unit = 2 ** $halving->level;
        $left = (int) floor($box[0] / $unit);
        $top = (int) floor($box[1] / $unit);
        $columns = max(1, min($halving->columns, (int) ceil($box[2] / $unit)) - $left);
        $rows = max(1, min($halving->rows, (int) ceil($box[3] / $unit)) - $top);

        return new self($halving->level, $left, $top, $columns, $rows, $picture->pixels($halving->level, $left, $top, $columns, $rows), $picture->bits());
    }

    /**
     * The pixels beside a path.
     *
     * @param  list<array{float, float}>  $path  in the picture's pixels
     * @return array<int, true>
     */
    public function beside(array $path, int $reach): array
    {
        $only = [];
        $unit = 2 ** $this->level;
        [$x, $y] = $path[0];
        foreach ($path as [$nextX, $nextY]) {
            $steps = (int) max(1, ceil(max(abs($nextX - $x), abs($nextY - $y)) / $unit));
            for ($k = 0; $k <= $steps; $k++) {
                $column = (int) (($x + $k / $steps * ($nextX - $x)) / $unit) - $this->left;
                $row = (int) (($y + $k / $steps * ($nextY - $y)) / $unit) - $this->top;
                for ($j = max(0, $row - $reach); $j <= min($this->rows - 1, $row + $reach); $j++) {
                    for ($i = max(0, $column - $reach); $i <= min($this->columns - 1, $column + $reach); $i++) {
                        $only[$j * $this->columns + $i] = true;
                    }
                }
            }
            [$x, $y] = [$nextX, $nextY];
        }

        return $only;
    }

    /**
     * Dijkstra's shortest path, over buckets of whole costs (Dial, 1969).
     *
     * @param  array<int, true>|null  $only  pixels that it may go over; null for all
     * @return list<array{float, float}> the middles of its pixels, in the picture's pixels
     */
    public function shortest(Point $from, Point $to, ?array $only): array
    {
        $largest = 1e-6;
        foreach ($only === null ? range(0, $this->columns * $this->rows - 1) : array_keys($only) as $at) {
            $largest = max($largest, $this->at($at)[2]);
        }
        [$start, $end] = [$this->pixel($from), $this->pixel($to)];
        $costs = [$start => 0];
        $before = [];
        $buckets = [0 => [$start]];
        $done = [];
        for ($cost = 0, $last = 0; $cost <= $last; $cost++) {
            foreach ($buckets[$cost] ?? [] as $at) {
                if (isset($done[$at])) {
                    continue;
                }
                $done[$at] = true;
                if ($at === $end) {
                    break 2;
                }
                foreach ($this->next($at) as [$next, $dx, $dy]) {
                    if (isset($done[$next]) || ($only !== null && ! isset($only[$next]))) {
                        continue;
                    }
                    $total = $cost + $this->cost($at, $next, $dx, $dy, $largest);
                    if ($total < ($costs[$next] ?? PHP_INT_MAX)) {
                        $costs[$next] = $total;
                        $before[$next] = $at;
                        $buckets[$total][] = $next;
                        $last = max($last, $total);
                    }
                }
            }
            unset($buckets[$cost]);
        }

        return $this->traced($before, $start, $end);
    }

    /**
     * @param  array<int, int>  $before
     * @return list<array{float, float}>
     */
    private function traced(array $before, int $start, int $end): array
    {
        $unit = 2 ** $this->level;
        $path = [];
        for ($at = $end; $at !== $start && isset($before[$at]); $at = $before[$at]) {
            $path[] = $at;
        }
        $path[] = $start;

        return array_map(fn (int $at): array => [($this->left + $at % $this->columns + 0.5) * $unit, ($this->top + intdiv($at, $this->columns) + 0.5) * $unit], array_reverse($path));
    }

    private function pixel(Point $place): int
    {
        $unit = 2 ** $this->level;

        return max(0, min($this->rows - 1, (int) ($place->y / $unit) - $this->top)) * $this->columns + max(0, min($this->columns - 1, (int) ($place->x / $unit) - $this->left));
    }

    /** @return list<array{int, int, int}> the neighbours of a pixel, and the steps to them */
    private function next(int $at): array
    {
        [$column, $row] = [$at % $this->columns, intdiv($at, $this->columns)];
        $next = [];
        foreach (self::STEPS as [$dx, $dy]) {
            if ($column + $dx >= 0 && $column + $dx < $this->columns && $row + $dy >= 0 && $row + $dy < $this->rows) {
                $next[] = [$at + $dy * $this->columns + $dx, $dx, $dy];
            }
        }

        return $next;
    }

    /** What a step costs, at least one. */
    private function cost(int $from, int $to, int $dx, int $dy, float $largest): int
    {
        [$gx, $gy, $size] = $this->at($from);
        [$hx, $hy, $next] = $this->at($to);
        $length = $dx !== 0 && $dy !== 0 ? M_SQRT2 : 1.0;
        // along an edge is across its gradient
        $along = static fn (float $x, float $y, float $gradient): float => $gradient > 0 ? ($dx * $y - $dy * $x) / ($gradient * $length) : 0.0;
        $p = $along($gx, $gy, $size);
        $q = $along($hx, $hy, $next) * ($p < 0 ? -1.0 : 1.0);
        $direction = (acos(max(-1.0, min(1.0, abs($p)))) + acos(max(-1.0, min(1.0, $q)))) / M_PI;
        $cost = self::CROSSING * ($this->crosses($to) ? 0.0 : 1.0) + self::DIRECTION * $direction + self::GRADIENT * (1.0 - $next / $largest);

        return max(1, (int) round(self::UNIT * $length * $cost));
    }

    /** Whether the Laplacian changes its sign here: it is nearer to nothing than a neighbour's of the other sign. */
    private function crosses(int $at): bool
    {
        $own = $this->at($at)[3];
        [$column, $row] = [$at % $this->columns, intdiv($at, $this->columns)];
        foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$dx, $dy]) {
            if ($column + $dx >= 0 && $column + $dx < $this->columns && $row + $dy >= 0 && $row + $dy < $this->rows) {
                $other = $this->at($at + $dy * $this->columns + $dx)[3];
                if ($own * $other < 0 && abs($own) <= abs($other)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{float, float, float, float} of the channel in which the gradient is largest (Sobel), and the Laplacian of that */
    private function at(int $at): array
    {
        if (isset($this->seen[$at])) {
            return $this->seen[$at];
        }
        // beyond the border of the box its own pixels go on
        [$column, $row] = [$at % $this->columns, intdiv($at, $this->columns)];
        [$before, $after] = [$column > 0 ? -1 : 0, $column < $this->columns - 1 ? 1 : 0];
        [$above, $below] = [$row > 0 ? -$this->columns : 0, $row < $this->rows - 1 ? $this->columns : 0];
        $around = [
            $this->packed[$at + $above + $before], $this->packed[$at + $above], $this->packed[$at + $above + $after], $this->packed[$at + $before], $this->packed[$at],
            $this->packed[$at + $after], $this->packed[$at + $below + $before], $this->packed[$at + $below], $this->packed[$at + $below + $after],
        ];
        $most = [0.0, 0.0, 0.0, 0.0];
        $down = $this->bits - 8;
        foreach ([2 * $this->bits + $down, $this->bits + $down, $down] as $shift) {
            $c = [];
            foreach ($around as $pixel) {
                $c[] = ($pixel >> $shift & 255) * ($pixel >> 3 * $this->bits + $down & 255);
            }
            $gx = $c[2] + 2 * $c[5] + $c[8] - $c[0] - 2 * $c[3] - $c[6];
            $gy = $c[6] + 2 * $c[7] + $c[8] - $c[0] - 2 * $c[1] - $c[2];
            $size = sqrt($gx * $gx + $gy * $gy);
            if ($size > $most[2]) {
                // with the diagonals, so that noise of single pixels crosses less
                $most = [(float) $gx, (float) $gy, $size, (float) (2 * ($c[1] + $c[3] + $c[5] + $c[7]) + $c[0] + $c[2] + $c[6] + $c[8] - 12 * $c[4])];
            }
        }

        return $this->seen[$at] = $most;
    }
}
