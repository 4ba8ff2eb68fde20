<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Raster\Box;
use Aumbrel\Core\Raster\Distance;

/**
 * Strokes for a first cut, where only a box round the subject is given, or a place on it.
 *
 * As in Rother, Kolmogorov, Blake, GrabCut (2004) what lies outside the box is background and teaches its colours. What inside
 * is unlikely to be of these is told from the rest by Otsu's threshold (1979); the strokes lie where that is thickest.
 */
final readonly class FirstGuess
{
    private const SMALL = 40_000;

    /** Strokes on each side. */
    private const MOST = 12;

    /** Spots that are thinner than this share of the thickest are left alone. */
    private const THINNEST = 0.18;

    /** How wide a stroke is, of how thick the spot is that it lies in. */
    private const FILLS = 1.1;

    /** Round a box, and along the border of a picture, of the shorter side. */
    private const RING = 0.08;

    /** Pieces that are smaller than this share of the largest are grain. */
    private const LARGE = 0.06;

    private const SAMPLES = 4000;

    /** Colours this far from one another in Oklab are not the same. */
    private const APART = 0.06;

    /** The share of the background whose colours count as usual there. */
    private const USUAL = 0.8;

    private Colours $colours;

    private float $unit;

    public function __construct(private PictureSource $picture)
    {
        $this->colours = Colours::of($picture, self::SMALL);
        $this->unit = 2 ** $this->colours->level;
    }

    /** @return list<array<string, mixed>> strokes as in a scene file, in the picture's pixels */
    public function inBox(Bounds $box): array
    {
        $inside = $this->within($box);
        $ring = array_filter($inside, static fn (bool $is): bool => ! $is);
        if (count($ring) < 0.01 * count($inside)) {
            // the box is the whole picture
            $ring = $this->border();
        }
        [$apart, $usual] = $this->told(array_keys($ring), $inside);
        $subject = $this->strokes($this->thickest($this->large($apart)), true);
        [$x, $y] = [($box->left + $box->right) / 2, ($box->top + $box->bottom) / 2];

        return [
            ...($subject === [] ? [self::dot($x, $y, max(4.0, min($box->right - $box->left, $box->bottom - $box->top) / 5), true)] : $subject),
            ...$this->round($box),
            ...$this->strokes($this->thickest($usual), false),
        ];
    }

    /** @return list<array<string, mixed>> */
    public function at(Point $place): array
    {
        $everywhere = array_fill(0, $this->colours->columns * $this->colours->rows, true);
        [$apart, $usual] = $this->told(array_keys($this->unlike($place)), $everywhere);
        $side = min($this->picture->width(), $this->picture->height());
        $dot = self::dot($place->x, $place->y, max(4.0, $side * 0.03), true);
        [$labels] = Pieces::label($apart, $this->colours->columns, $this->colours->rows);
        $own = $labels[$this->pixel($place)] ?? 0;
        $piece = array_map(static fn (int $label): float => $own > 0 && $label === $own ? 1.0 : 0.0, $labels);

        return [$dot, ...$this->strokes($this->thickest($piece), true), ...$this->strokes($this->thickest($usual), false)];
    }

    /**
     * Where the colours are not those of the background, by Otsu's threshold, and where they are as usual there as most of it.
     *
     * @param  list<int>  $background  pixels that are it
     * @param  list<bool>  $inside  where it is asked at all
     * @return array{list<float>, list<float>} 1 there, 0 elsewhere
     */
    private function told(array $background, array $inside): array
    {
        $step = max(1, intdiv(count($background), self::SAMPLES));
        $samples = [];
        for ($k = 0; $k < count($background); $k += $step) {
            $samples[] = $this->colour($background[$k]);
        }
        if ($samples === []) {
            $samples = [$this->colour(0)];
        }
        $model = ColourModel::of($samples);
        $own = array_map(static fn (array $colour): float => self::unlikely($model, $colour), $samples);
        sort($own);
        $usual = $own[(int) (self::USUAL * (count($own) - 1))];
        $scores = [];
        foreach ($inside as $at => $is) {
            $scores[] = $is ? self::unlikely($model, $this->colour($at)) : NAN;
        }
        $threshold = max($usual, self::otsu(array_values(array_filter($scores, is_finite(...)))));

        return [$this->mostly($scores, static fn (float $score): bool => $score > $threshold), $this->mostly($scores, static fn (float $score): bool => $score <= $usual)];
    }

    /** @param  array{float, float, float}  $colour */
    private static function unlikely(ColourModel $model, array $colour): float
    {
        return min(30.0, -log(max(1e-13, $model->density($colour))));
    }

    /**
     * 1 where most of what is round a pixel is so.
     *
     * @param  list<float>  $scores  no number where nothing is asked
     * @param  callable(float): bool  $isSo
     * @return list<float>
     */
    private function mostly(array $scores, callable $isSo): array
    {
        $so = array_map(static fn (float $score): float => ! is_nan($score) && $isSo($score) ? 1.0 : 0.0, $scores);
        $smooth = Box::mean($so, $this->colours->columns, $this->colours->rows, 2);

        return array_map(static fn (float $value, float $score): float => ! is_nan($score) && $value > 0.5 ? 1.0 : 0.0, $smooth, $scores);
    }

    /**
     * The value that parts values best in two (Otsu, A threshold selection method from gray-level histograms, 1979).
     *
     * @param  list<float>  $values
     */
    private static function otsu(array $values): float
    {
        if ($values === []) {
            return 0.0;
        }
        [$least, $most] = [min($values), max($values)];
        $bins = array_fill(0, 64, 0);
        $per = 63.999 / max(1e-9, $most - $least);
        foreach ($values as $value) {
            $bins[(int) (($value - $least) * $per)]++;
        }
        $all = count($values);
        $sum = array_sum(array_map(static fn (int $bin, int $count): float => $bin * $count, array_keys($bins), $bins));
        [$below, $belowSum, $best, $at] = [0, 0.0, -1.0, 0];
        foreach ($bins as $bin => $count) {
            $below += $count;
            $belowSum += $bin * $count;
            if ($below === 0 || $below === $all) {
                continue;
            }
            $between = $below * ($all - $below) * ($belowSum / $below - ($sum - $belowSum) / ($all - $below)) ** 2;
            if ($between > $best) {
                [$best, $at] = [$between, $bin];
            }
        }

        return $least + ($at + 1) / $per;
    }

    /**
     * The large pieces of a shape alone.
     *
     * @param  list<float>  $shape
     * @return list<float>
     */
    private function large(array $shape): array
    {
        [$labels] = Pieces::label($shape, $this->colours->columns, $this->colours->rows);
        $sizes = array_count_values($labels);
        unset($sizes[0]);
        $least = $sizes === [] ? INF : self::LARGE * max($sizes);

        return array_map(static fn (int $label): float => $label > 0 && $sizes[$label] >= $least ? 1.0 : 0.0, $labels);
    }

    /**
     * Where a shape is thickest, one place after the other.
     *
     * @param  list<float>  $shape
     * @return list<array{float, float, float}> column, row and how far the border is, in small pixels
     */
    private function thickest(array $shape): array
    {
        if (array_sum($shape) < 4) {
            return [];
        }
        [$columns, $rows] = [$this->colours->columns, $this->colours->rows];
        $distances = Distance::signed($shape, $columns, $rows, INF, false);
        $deep = [];
        foreach ($shape as $at => $value) {
            // the picture's own border is one too
            $deep[$at] = $value > 0.5 ? min(abs($distances[$at]), 1 + min($at % $columns, $columns - 1 - $at % $columns, intdiv($at, $columns), $rows - 1 - intdiv($at, $columns))) : 0.0;
        }
        $spots = [];
        while ($deep !== [] && count($spots) < self::MOST) {
            $most = max($deep);
            if ($most < 1.0 || ($spots !== [] && $most < self::THINNEST * $spots[0][2])) {
                break;
            }
            $at = (int) array_search($most, $deep, true);
            [$x, $y] = [$at % $columns, intdiv($at, $columns)];
            $spots[] = [(float) $x, (float) $y, $most];
            foreach ($deep as $other => $depth) {
                if ($depth > 0 && hypot($other % $columns - $x, intdiv($other, $columns) - $y) < max(1.6 * $most, 3.0)) {
                    $deep[$other] = 0.0;
                }
            }
        }

        return $spots;
    }

    /**
     * @param  list<array{float, float, float}>  $spots
     * @return list<array<string, mixed>>
     */
    private function strokes(array $spots, bool $onSubject): array
    {
        return array_map(fn (array $spot): array => self::dot(($spot[0] + 0.5) * $this->unit, ($spot[1] + 0.5) * $this->unit, max(2.0, self::FILLS * $spot[2] * $this->unit), $onSubject), $spots);
    }

    /** @return list<array<string, mixed>> background along the sides of a box that leave anything outside */
    private function round(Bounds $box): array
    {
        [$width, $height] = [$this->picture->width(), $this->picture->height()];
        $away = max(2.0, 0.02 * min($box->right - $box->left, $box->bottom - $box->top));
        [$left, $top, $right, $bottom] = [$box->left - $away, $box->top - $away, $box->right + $away, $box->bottom + $away];
        $sides = [];
        foreach ([[[$left, $top], [$left, $bottom], $left > 0], [[$right, $top], [$right, $bottom], $right < $width], [[$left, $top], [$right, $top], $top > 0], [[$left, $bottom], [$right, $bottom], $bottom < $height]] as [$from, $to, $isThere]) {
            if ($isThere) {
                $sides[] = self::stroke([$from, $to], $away, false);
            }
        }

        return $sides;
    }

    /** @return array<string, mixed> */
    private static function dot(float $x, float $y, float $size, bool $onSubject): array
    {
        return self::stroke([[$x, $y]], $size, $onSubject);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return array<string, mixed>
     */
    private static function stroke(array $points, float $size, bool $onSubject): array
    {
        return [
            'size' => round($size, 1), 'hardness' => 100, 'opacity' => 100, 'flow' => 100, 'spacing' => 25, 'letsIn' => $onSubject, 'pressure' => 'nothing',
            'points' => array_map(static fn (array $point): array => [round($point[0], 1), round($point[1], 1), 1, 0], $points),
        ];
    }

    /** @return list<bool> */
    private function within(Bounds $box): array
    {
        $inside = [];
        for ($row = 0; $row < $this->colours->rows; $row++) {
            $y = ($row + 0.5) * $this->unit;
            for ($column = 0; $column < $this->colours->columns; $column++) {
                $x = ($column + 0.5) * $this->unit;
                $inside[] = $x > $box->left && $x < $box->right && $y > $box->top && $y < $box->bottom;
            }
        }

        return $inside;
    }

    /** @return array<int, bool> pixels along the border of the picture */
    private function border(): array
    {
        $width = max(1, (int) (self::RING * min($this->colours->columns, $this->colours->rows)));
        $border = [];
        foreach (array_keys($this->colours->lightness) as $at) {
            [$column, $row] = [$at % $this->colours->columns, intdiv($at, $this->colours->columns)];
            if (min($column, $row, $this->colours->columns - 1 - $column, $this->colours->rows - 1 - $row) < $width) {
                $border[$at] = true;
            }
        }

        return $border;
    }

    /** @return array<int, bool> pixels along the border that have not the colour of a place */
    private function unlike(Point $place): array
    {
        [$l, $a, $b] = $this->colour($this->pixel($place));
        $border = $this->border();
        $unlike = array_filter($border, function (int $at) use ($l, $a, $b): bool {
            [$x, $y, $z] = $this->colour($at);

            return ($x - $l) ** 2 + ($y - $a) ** 2 + ($z - $b) ** 2 > self::APART ** 2;
        }, ARRAY_FILTER_USE_KEY);

        return $unlike === [] ? $border : $unlike;
    }

    private function pixel(Point $place): int
    {
        $column = max(0, min($this->colours->columns - 1, (int) ($place->x / $this->unit)));

        return max(0, min($this->colours->rows - 1, (int) ($place->y / $this->unit))) * $this->colours->columns + $column;
    }

    /** @return array{float, float, float} */
    private function colour(int $at): array
    {
        return [$this->colours->lightness[$at], $this->colours->first[$at], $this->colours->second[$at]];
    }
}
