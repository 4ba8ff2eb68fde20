<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Raster\Box;

/**
 * The subject's own colour where it is only half there: Forte, Pitié, *Approximate fast foreground colour estimation*
 * (2021), blurred fusion in two rounds, a wide and a narrow one. Works on encoded colours, as the mixing does that stained
 * them. The wide means are taken on a smaller plane, the narrow ones only around pixels that are half there.
 */
final class Unstain
{
    /** Radius of the two rounds, in pixels of the picture. */
    private const WIDE = 40.0;

    private const NARROW = 5.0;

    /** The wide means are taken of squares of so many pixels, as long as their radius is four of them. */
    private const SMALLER = 4;

    /** Side of the squares around pixels that are half there, px. */
    private const SIDE = 32;

    /** A picture's own alpha below which its colour cannot be relied on. */
    private const KNOWN = 0.02;

    /** @var array{list<float>, list<float>, list<float>} wide means of the subject's colour, of a smaller plane */
    private array $subject;

    /** @var array{list<float>, list<float>, list<float>} wide means of the background's colour */
    private array $background;

    private readonly int $unit;

    private readonly int $across;

    /**
     * @param  array{list<float>, list<float>, list<float>}  $colours
     * @param  list<float>  $alpha
     * @param  list<float>|null  $known
     */
    private function __construct(private readonly array $colours, private readonly array $alpha, private readonly ?array $known, private readonly int $columns, private readonly int $rows, private readonly float $scale)
    {
        $this->unit = self::WIDE * $scale >= 4 * self::SMALLER ? self::SMALLER : 1;
        $this->across = intdiv($columns - 1, $this->unit) + 1;
        $this->takeWideMeans();
    }

    /** Pixels around a place that decide about it: a whole number of squares, so that they lie the same in all blocks. */
    public static function reach(float $scale): int
    {
        return self::SMALLER * (int) ceil((self::WIDE + self::NARROW) * $scale / self::SMALLER);
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue 0..1 as they are in the picture
     * @param  list<float>  $alpha
     * @param  list<float>|null  $known  how far a pixel's colour can be relied on: the picture's own alpha
     * @return array<int, array{float, float, float}> of the pixels that are half there
     */
    public static function colours(array $colours, array $alpha, ?array $known, int $columns, int $rows, float $scale): array
    {
        $squares = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            $first = intdiv($row, self::SIDE) * $columns;
            for ($column = 0; $column < $columns; $column++, $at++) {
                if ($alpha[$at] > 0.0 && $alpha[$at] < 1.0) {
                    $squares[$first + intdiv($column, self::SIDE)][] = $at;
                }
            }
        }
        $clean = [];
        $unstain = $squares === [] ? null : new self($colours, $alpha, $known, $columns, $rows, $scale);
        foreach ($squares as $square => $places) {
            $unstain?->square($square % $columns * self::SIDE, intdiv($square, $columns) * self::SIDE, $places, $clean);
        }

        return $clean;
    }

    private function takeWideMeans(): void
    {
        $down = intdiv($this->rows - 1, $this->unit) + 1;
        $sums = array_fill(0, 8, array_fill(0, $this->across * $down, 0.0));
        [$red, $green, $blue] = $this->colours;
        for ($row = 0, $at = 0; $row < $this->rows; $row++) {
            $first = intdiv($row, $this->unit) * $this->across;
            for ($column = 0; $column < $this->columns; $column++, $at++) {
                $to = $first + intdiv($column, $this->unit);
                $share = $this->alpha[$at];
                $rest = $this->rest($at);
                if ($share > 0.0) {
                    $sums[0][$to] += $share * $red[$at];
                    $sums[1][$to] += $share * $green[$at];
                    $sums[2][$to] += $share * $blue[$at];
                    $sums[3][$to] += $share;
                }
                if ($rest > 0.0) {
                    $sums[4][$to] += $rest * $red[$at];
                    $sums[5][$to] += $rest * $green[$at];
                    $sums[6][$to] += $rest * $blue[$at];
                    $sums[7][$to] += $rest;
                }
            }
        }
        $radius = max(1, (int) round(self::WIDE * $this->scale / $this->unit));
        $means = [];
        foreach ($sums as $plane) {
            /** @var list<float> $plane */
            $means[] = Box::mean($plane, $this->across, $down, $radius);
        }
        $this->subject = [self::over($means[0], $means[3]), self::over($means[1], $means[3]), self::over($means[2], $means[3])];
        $this->background = [self::over($means[4], $means[7]), self::over($means[5], $means[7]), self::over($means[6], $means[7])];
    }

    /**
     * @param  list<float>  $sums
     * @param  list<float>  $weights
     * @return list<float> means; -1 where nothing has any weight
     */
    private static function over(array $sums, array $weights): array
    {
        foreach ($sums as $at => $sum) {
            $sums[$at] = $weights[$at] > 1e-5 ? $sum / $weights[$at] : -1.0;
        }

        return $sums;
    }

    /** How much of a pixel is background of a known colour. */
    private function rest(int $at): float
    {
        return $this->known === null || $this->known[$at] > self::KNOWN ? 1.0 - $this->alpha[$at] : 0.0;
    }

    /**
     * @param  list<int>  $places  of the pixels that are asked for
     * @param  array<int, array{float, float, float}>  $clean  gets them
     */
    private function square(int $x, int $y, array $places, array &$clean): void
    {
        $radius = max(1, (int) round(self::NARROW * $this->scale));
        [$left, $top] = [max(0, $x - $radius), max(0, $y - $radius)];
        $columns = min($this->columns, $x + self::SIDE + $radius) - $left;
        $rows = min($this->rows, $y + self::SIDE + $radius) - $top;
        $alpha = $inverse = $smaller = $from = [];
        for ($row = $top; $row < $top + $rows; $row++) {
            $first = intdiv($row, $this->unit) * $this->across;
            for ($column = $left, $at = $row * $this->columns + $left; $column < $left + $columns; $column++, $at++) {
                $from[] = $at;
                $alpha[] = $this->alpha[$at];
                $inverse[] = $this->rest($at);
                $smaller[] = $first + intdiv($column, $this->unit);
            }
        }
        $meanAlpha = Box::mean($alpha, $columns, $rows, $radius);
        $meanInverse = Box::mean($inverse, $columns, $rows, $radius);
        $found = [];
        foreach ($this->colours as $k => $channel) {
            $seen = $wideSubject = $wideBackground = [];
            foreach ($from as $n => $at) {
                $seen[] = $value = $channel[$at];
                $mean = $this->subject[$k][$smaller[$n]];
                $wideSubject[] = $mean < 0.0 ? $value : $mean;
                $mean = $this->background[$k][$smaller[$n]];
                $wideBackground[] = $mean < 0.0 ? $value : $mean;
            }
            [$subject, $background] = self::fused($seen, $alpha, $wideSubject, $wideBackground);
            [$found[]] = self::fused(
                $seen, $alpha,
                Box::weighted($subject, $alpha, $meanAlpha, $columns, $rows, $radius),
                Box::weighted($background, $inverse, $meanInverse, $columns, $rows, $radius),
            );
        }
        foreach ($places as $at) {
            $n = (intdiv($at, $this->columns) - $top) * $columns + $at % $this->columns - $left;
            $clean[$at] = [$found[0][$n], $found[1][$n], $found[2][$n]];
        }
    }

    /**
     * Both colours of a channel such that they mix to what is seen, each near its mean around.
     *
     * @param  list<float>  $channel
     * @param  list<float>  $alpha
     * @param  list<float>  $meanSubject
     * @param  list<float>  $meanBackground
     * @return array{list<float>, list<float>}
     */
    private static function fused(array $channel, array $alpha, array $meanSubject, array $meanBackground): array
    {
        $subject = $background = [];
        foreach ($alpha as $at => $value) {
            $rest = $channel[$at] - $value * $meanSubject[$at] - (1.0 - $value) * $meanBackground[$at];
            $own = $meanSubject[$at] + $value * $rest;
            $subject[] = $own < 0.0 ? 0.0 : ($own > 1.0 ? 1.0 : $own);
            $old = $meanBackground[$at] + (1.0 - $value) * $rest;
            $background[] = $old < 0.0 ? 0.0 : ($old > 1.0 ? 1.0 : $old);
        }

        return [$subject, $background];
    }
}
