<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

/** Draws an upright picture into a window: filtered apart along x and y with a cubic that widens with the reduction. */
final readonly class UprightDrawing
{
    public function __construct(private PictureAtSize $source)
    {
    }

    /** @return list<int> */
    public function fill(): array
    {
        [$columns, $rows] = [$this->source->window->columns, $this->source->window->rows];
        $across = $this->taps($columns, fn (float $column): float => $this->source->at($column, 0)->x,
            fn (int $column): float => $this->source->inPicture($this->source->window->borderX($column), 0)->x, $this->source->width, $this->source->picture->width());
        $down = $this->taps($rows, fn (float $row): float => $this->source->at(0, $row)->y,
            fn (int $row): float => $this->source->inPicture(0, $this->source->window->borderY($row))->y, $this->source->height, $this->source->picture->height());
        if ($across['last'] < $across['first'] || $down['last'] < $down['first']) {
            return array_fill(0, $columns * $rows, 0);
        }
        $plane = [];
        /** @var array<int, array{list<float>, list<float>, list<float>, list<float>}> $lines filtered rows of the picture, by their number */
        $lines = [];
        $opaque = $this->source->picture->opaque();
        $taps = $down['taps'];
        for ($row = 0; $row < $rows; $row++) {
            $share = $down['share'][$row];
            if ($share <= 0.0) {
                for ($column = 0; $column < $columns; $column++) {
                    $plane[] = 0;
                }

                continue;
            }
            $weights = [];
            $sources = [];
            for ($k = 0, $at = $row * $taps; $k < $taps; $k++, $at++) {
                $number = $down['index'][$at];
                $sources[] = $lines[$number] ??= $this->filterLine($number, $across);
                $weights[] = $down['weight'][$at];
            }
            foreach (array_keys($lines) as $number) {
                if ($number < $down['index'][$row * $taps] - $taps) {
                    unset($lines[$number]);
                }
            }
            $this->joinLines($plane, $sources, $weights, $across['share'], $share, $columns, $opaque);
        }

        return $plane;
    }

    /**
     * The picture's pixels and weights for each output pixel along one axis.
     *
     * @param  callable(float): float  $at  the place in the picture (full-size pixels) of an output pixel
     * @param  callable(int): float  $border  the place of the border before it
     * @param  int  $size  pixels of the level along this axis
     * @param  int  $fullSize  pixels of the picture along this axis
     * @return array{taps: int, index: list<int>, weight: list<float>, share: list<float>, first: int, last: int}
     */
    private function taps(int $count, callable $at, callable $border, int $size, int $fullSize): array
    {
        $unit = 2 ** $this->source->level;
        $widen = max(1.0, $this->source->pitch);
        $taps = (int) ceil(4 * $widen) + 1;
        $index = $weight = $share = [];
        [$first, $last] = [PHP_INT_MAX, -1];
        // the border of a level lies where the picture's does, even when its last pixel is not whole
        $end = $fullSize / $unit;
        for ($n = 0; $n < $count; $n++) {
            $place = $at((float) $n) / $unit;
            $borders = [$border($n) / $unit, $border($n + 1) / $unit];
            $covered = min($end, max($borders)) - max(0.0, min($borders));
            $part = max(0.0, min(1.0, $covered / (max($borders) - min($borders))));
            $share[] = $part = $this->source->isCut || $part <= 0.0 ? $part : 1.0;
            $start = (int) floor($place - 0.5 - 2 * $widen) + 1;
            $sum = 0.0;
            $line = [];
            for ($k = 0; $k < $taps; $k++) {
                $line[] = $value = self::cubic(($start + $k + 0.5 - $place) / $widen);
                $sum += $value;
            }
            foreach ($line as $k => $value) {
                $index[] = $source = max(0, min($size - 1, $start + $k));
                $weight[] = $value / $sum;
                if ($part > 0.0) {
                    $first = min($first, $source);
                    $last = max($last, $source);
                }
            }
        }

        return ['taps' => $taps, 'index' => $index, 'weight' => $weight, 'share' => $share, 'first' => $first, 'last' => $last];
    }

    /** Keys' cubic with a = -1/2. */
    private static function cubic(float $x): float
    {
        $x = abs($x);

        return match (true) {
            $x < 1 => (1.5 * $x - 2.5) * $x * $x + 1,
            $x < 2 => ((-0.5 * $x + 2.5) * $x - 4) * $x + 2,
            default => 0.0,
        };
    }

    /**
     * One row of the picture, filtered along x; values 0..65535, premultiplied.
     *
     * @param  array{taps: int, index: list<int>, weight: list<float>, first: int, last: int, share: list<float>}  $across
     * @return array{list<float>, list<float>, list<float>, list<float>}
     */
    private function filterLine(int $number, array $across): array
    {
        $first = $across['first'];
        [$red, $green, $blue, $alpha] = $this->source->unpacked($first, $number, $across['last'] - $first + 1);
        $taps = $across['taps'];
        $index = $across['index'];
        $weight = $across['weight'];
        $columns = $this->source->window->columns;
        $lineRed = $lineGreen = $lineBlue = $lineAlpha = [];
        $opaque = $this->source->picture->opaque();
        for ($column = 0, $at = 0; $column < $columns; $column++) {
            $r = $g = $b = $a = 0.0;
            if ($across['share'][$column] <= 0.0) {
                $at += $taps;
            } elseif ($opaque) {
                for ($k = 0; $k < $taps; $k++, $at++) {
                    $n = $index[$at] - $first;
                    $w = $weight[$at];
                    $r += $w * $red[$n];
                    $g += $w * $green[$n];
                    $b += $w * $blue[$n];
                }
            } else {
                for ($k = 0; $k < $taps; $k++, $at++) {
                    $n = $index[$at] - $first;
                    $w = $weight[$at];
                    $r += $w * $red[$n];
                    $g += $w * $green[$n];
                    $b += $w * $blue[$n];
                    $a += $w * $alpha[$n];
                }
                $lineAlpha[] = $a;
            }
            $lineRed[] = $r;
            $lineGreen[] = $g;
            $lineBlue[] = $b;
            if (! $opaque && count($lineAlpha) <= $column) {
                $lineAlpha[] = 0.0;
            }
        }

        return [$lineRed, $lineGreen, $lineBlue, $lineAlpha];
    }

    /**
     * @param  list<int>  $plane
     * @param  list<array{list<float>, list<float>, list<float>, list<float>}>  $lines
     * @param  list<float>  $weights
     * @param  list<float>  $shares  of the pixel's width that the picture covers
     * @param  float  $share  the same of its height
     */
    private function joinLines(array &$plane, array $lines, array $weights, array $shares, float $share, int $columns, bool $opaque): void
    {
        $red = $green = $blue = array_fill(0, $columns, 0.0);
        $alpha = array_fill(0, $columns, $opaque ? 1.0 : 0.0);
        foreach ($lines as $k => [$lineRed, $lineGreen, $lineBlue, $lineAlpha]) {
            $w = $weights[$k];
            if ($w == 0.0) {
                continue;
            }
            for ($column = 0; $column < $columns; $column++) {
                $red[$column] += $w * $lineRed[$column];
                $green[$column] += $w * $lineGreen[$column];
                $blue[$column] += $w * $lineBlue[$column];
            }
            if (! $opaque) {
                for ($column = 0; $column < $columns; $column++) {
                    $alpha[$column] += $w * $lineAlpha[$column];
                }
            }
        }
        for ($column = 0; $column < $columns; $column++) {
            $plane[] = PictureAtSize::pack($red[$column], $green[$column], $blue[$column], $alpha[$column], $share * $shares[$column]);
        }
    }
}
