<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Kernel\Planes;

/** Reads a stack between its points and between its levels. */
final class StackReader
{
    /** @var list<float> */
    private readonly array $values;

    /** @var list<int> where each level begins */
    private array $offsets = [];

    /** @var list<float> scene x of the first point of each level */
    private array $lefts = [];

    /** @var list<float> */
    private array $tops = [];

    /** @var list<float> points to a scene pixel */
    private array $scales = [];

    /** @var list<int> points in a row */
    private array $columns = [];

    /** @var list<float> the last point that has one to its right */
    private array $ends = [];

    /** @var list<float> */
    private array $bottoms = [];

    /** @var list<float> px² */
    private array $variances = [];

    /** @var array<int, array{list<float>, list<float>}> */
    private readonly array $places;

    private readonly float $most;

    public function __construct(Stack $stack, Planes $planes)
    {
        $this->values = $planes->numbers($stack);
        foreach ($stack->levels as $level) {
            $this->offsets[] = $level->offset;
            $this->lefts[] = $level->points->xOf(0);
            $this->tops[] = $level->points->yOf(0);
            $this->scales[] = $level->points->scale;
            $this->columns[] = $level->points->columns;
            $this->ends[] = $level->points->columns - 1.0;
            $this->bottoms[] = $level->points->rows - 1.0;
            $this->variances[] = $level->variance;
        }
        $this->most = count($this->offsets) - 1.001;
        $this->places = Gather::places();
    }

    /** The place between the levels that is as soft as that: a whole number for each level, the share of the next one behind the point. */
    public function level(float $variance): float
    {
        [$first, $second] = [$this->variances[0], $this->variances[1]];
        if ($variance <= $second) {
            return max(0.0, ($variance - $first) / ($second - $first));
        }
        // from the second on each has twice the variance
        $octaves = log($variance / $second, 2);
        $whole = floor($octaves);

        return min($this->most, 1 + $whole + 2 ** ($octaves - $whole) - 1);
    }

    /**
     * What a place of the cut-out and those beside it come to.
     *
     * @param  float  $level  as {@see level()} gives it
     * @param  float  $tx  of the way along which places lie, px
     * @param  int  $aside  places on each side
     */
    public function gathered(float $x, float $y, float $level, float $tx, float $ty, int $aside): float
    {
        $k = (int) $level;
        $share = $level - $k;
        [$offsets, $weights] = $this->places[$aside];
        $values = $this->values;
        $sum = 0.0;
        foreach ([$k, $k + 1] as $j) {
            $scale = $this->scales[$j];
            $u0 = ($x - $this->lefts[$j]) * $scale;
            $v0 = ($y - $this->tops[$j]) * $scale;
            $du = $tx * $scale;
            $dv = $ty * $scale;
            $end = $this->ends[$j];
            $bottom = $this->bottoms[$j];
            $columns = $this->columns[$j];
            $offset = $this->offsets[$j];
            $part = 0.0;
            foreach ($offsets as $n => $t) {
                $u = $u0 + $t * $du;
                $v = $v0 + $t * $dv;
                if ($u >= 0.0 && $v >= 0.0 && $u < $end && $v < $bottom) {
                    $column = (int) $u;
                    $row = (int) $v;
                    $at = $offset + $row * $columns + $column;
                    $fx = $u - $column;
                    $upper = $values[$at];
                    $upper += $fx * ($values[$at + 1] - $upper);
                    $at += $columns;
                    $lower = $values[$at];
                    $lower += $fx * ($values[$at + 1] - $lower);
                    $part += $weights[$n] * ($upper + ($v - $row) * ($lower - $upper));
                }
            }
            $sum += $j === $k ? (1.0 - $share) * $part : $share * $part;
        }

        return $sum;
    }
}
