<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Kernel\Planes;

/** Reads a stack between its points and between its levels. */
final class StackReader
{
    /** What is less, or lacks less from whole, is not gathered. */
    public const NOTHING = 4e-4;

    /** @var list<float> */
    private readonly array $values;

    /**
     * @var list<array{float, float, float, float, float, int, int}> of each level: scene x and y of its first point, points to a scene
     *                                                              pixel, the last column and row that have a next one, points in a row, where it begins
     */
    private array $geometry = [];

    /** @var list<float> px² */
    private array $variances = [];

    /** @var array<int, array{list<float>, list<float>}> */
    private readonly array $places;

    private readonly float $most;

    public function __construct(Stack $stack, Planes $planes)
    {
        $this->values = $planes->numbers($stack);
        foreach ($stack->levels as $level) {
            $points = $level->points;
            $this->geometry[] = [$points->xOf(0), $points->yOf(0), $points->scale, $points->columns - 1.0, $points->rows - 1.0, $points->columns, $level->offset];
            $this->variances[] = $level->variance;
        }
        $this->most = count($this->geometry) - 1.001;
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

    /** The softest level. */
    public function last(): int
    {
        return count($this->geometry) - 1;
    }

    /**
     * What a place of the cut-out and those beside it come to.
     *
     * @param  float  $level  as {@see level()} gives it
     * @param  float  $across  of the way along which places lie, px
     * @param  float  $upright  px, down
     * @param  int  $aside  places on each side
     */
    public function gathered(float $x, float $y, float $level, float $across, float $upright, int $aside): float
    {
        return $this->run(1, [$x, $y, 1.0], [0.0, 0.0, 0.0], [$level, 0.0], [$across, 0.0], [$upright, 0.0], $aside, null)[0];
    }

    /**
     * The same for places one beside the other.
     *
     * @param  array{float, float, float}  $place  the first one, homogeneous
     * @param  array{float, float, float}  $way  from each to the next one
     * @param  array{float, float}  $level  of the first one, and what comes to it from each to the next
     * @param  array{float, float}  $across  the same, px
     * @param  array{float, float}  $upright  the same, px
     * @param  int|null  $around  the level at which it is told whether there is anything; null when that is known
     * @return list<float>
     */
    public function run(int $count, array $place, array $way, array $level, array $across, array $upright, int $aside, ?int $around): array
    {
        [$px, $py, $pw] = $place;
        [$dx, $dy, $dw] = $way;
        [$deep, $deeper] = $level;
        [$tx, $dtx] = $across;
        [$ty, $dty] = $upright;
        [$offsets, $weights] = $this->places[$aside];
        $middle = $deep + $deeper * ($count - 1) / 2;
        // the two levels of the middle one serve them all
        $k = (int) max(0.0, min($middle, $this->most));
        [$leftA, $topA, $scaleA, $endA, $bottomA, $columnsA, $offsetA] = $this->geometry[$k];
        [$leftB, $topB, $scaleB, $endB, $bottomB, $columnsB, $offsetB] = $this->geometry[$k + 1];
        [$leftC, $topC, $scaleC, $endC, $bottomC, $columnsC, $offsetC] = $this->geometry[$around ?? $k];
        $values = $this->values;
        $all = [];
        for ($n = 0; $n < $count; $n++, $px += $dx, $py += $dy, $pw += $dw, $deep += $deeper, $tx += $dtx, $ty += $dty) {
            if ($pw <= 0.0) {
                $all[] = 0.0;

                continue;
            }
            $x = $px / $pw;
            $y = $py / $pw;
            if ($around !== null) {
                $u = ($x - $leftC) * $scaleC;
                $v = ($y - $topC) * $scaleC;
                if ($u < 0.0 || $v < 0.0 || $u >= $endC || $v >= $bottomC) {
                    $all[] = 0.0;

                    continue;
                }
                $at = $offsetC + (int) $v * $columnsC + (int) $u;
                $there = $values[$at] + $values[$at + 1] + $values[$at + $columnsC] + $values[$at + $columnsC + 1];
                if ($there < 4 * self::NOTHING) {
                    $all[] = 0.0;

                    continue;
                }
                if ($there > 4 - 4 * self::NOTHING) {
                    $all[] = 1.0;

                    continue;
                }
            }
            $share = $deep - $k;
            $rest = 1.0 - $share;
            $uA = ($x - $leftA) * $scaleA;
            $vA = ($y - $topA) * $scaleA;
            $duA = $tx * $scaleA;
            $dvA = $ty * $scaleA;
            $uB = ($x - $leftB) * $scaleB;
            $vB = ($y - $topB) * $scaleB;
            $duB = $tx * $scaleB;
            $dvB = $ty * $scaleB;
            $sum = 0.0;
            foreach ($offsets as $m => $t) {
                $weight = $weights[$m];
                $u = $uA + $t * $duA;
                $v = $vA + $t * $dvA;
                if ($u >= 0.0 && $v >= 0.0 && $u < $endA && $v < $bottomA) {
                    $column = (int) $u;
                    $row = (int) $v;
                    $at = $offsetA + $row * $columnsA + $column;
                    $u -= $column;
                    $upper = $values[$at];
                    $upper += $u * ($values[$at + 1] - $upper);
                    $at += $columnsA;
                    $lower = $values[$at];
                    $lower += $u * ($values[$at + 1] - $lower);
                    $sum += $weight * $rest * ($upper + ($v - $row) * ($lower - $upper));
                }
                $u = $uB + $t * $duB;
                $v = $vB + $t * $dvB;
                if ($u >= 0.0 && $v >= 0.0 && $u < $endB && $v < $bottomB) {
                    $column = (int) $u;
                    $row = (int) $v;
                    $at = $offsetB + $row * $columnsB + $column;
                    $u -= $column;
                    $upper = $values[$at];
                    $upper += $u * ($values[$at + 1] - $upper);
                    $at += $columnsB;
                    $lower = $values[$at];
                    $lower += $u * ($values[$at + 1] - $lower);
                    $sum += $weight * $share * ($upper + ($v - $row) * ($lower - $upper));
                }
            }
            $all[] = $sum > 0.0 ? ($sum < 1.0 ? $sum : 1.0) : 0.0;
        }

        return $all;
    }
}
