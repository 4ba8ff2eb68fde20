<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;

/**
 * A subject cut out by rough strokes on it and on its background.
 *
 * Random walks with prior models: Grady, *Multilabel random walker image segmentation using prior models* (2005). Each
 * pixel takes the mean of its neighbours, weighted by how alike they are in colour, and of what the colour models of
 * subject and background say; the models are learnt from the strokes and again from the outcome, as in Rother,
 * Kolmogorov, Blake, *GrabCut* (2004). Worked out small first; every doubling of the size only looks at the pixels around
 * the border again (Lombaert, Sun, Grady, Xu, *A multilevel banded graph cuts method*, 2005).
 */
final class Segmentation
{
    public const SUBJECT = 1;

    public const BACKGROUND = 2;

    /** Pixels of the size at which it is worked out as a whole. */
    private const COARSE = 32_000;

    /** Coverage below which a cut has nothing. */
    private const TRACE = 0.02;

    private const MODEL_ROUNDS = 4;

    private const SWEEPS = 60;

    private const BAND_SWEEPS = 14;

    /** Over-relaxation of the sweeps. */
    private const HASTE = 1.7;

    /** How much colours count beside the neighbours: at least, where they tell little, and where they are trusted. */
    private const DOUBTFUL = 0.0015;

    private const TRUSTED = 0.03;

    /** How much lightness counts where neighbours are compared, colour counting 2: the edge of a shadow on a body is none of the body's. */
    private const LIGHTNESS = 0.5;

    /** So many times their mean differences of neighbours count as an edge. */
    private const EDGE = 0.5;

    /** @param  list<Stroke>  $strokes  in the picture's pixels; those that reveal are on the subject */
    public static function of(Colours $colours, int $width, int $height, array $strokes): Shape
    {
        $sizes = [$colours->unshaded()];
        while (($last = $sizes[count($sizes) - 1])->columns * $last->rows > self::COARSE && min($last->columns, $last->rows) > 8) {
            $sizes[] = $last->halved();
        }
        $coarsest = $sizes[count($sizes) - 1];
        $marks = self::marks($coarsest, $width, $height, $strokes);
        $prior = new CutPrior($coarsest, $marks);
        $values = self::connected(self::whole($coarsest, $marks, $prior), $marks, $coarsest->columns, $coarsest->rows);
        for ($k = count($sizes) - 2; $k >= 0; $k--) {
            $marks = self::marks($sizes[$k], $width, $height, $strokes);
            // what hung together by less than a pixel of the smaller size may not hang together any more
            $values = self::connected(self::finer($sizes[$k], $sizes[$k + 1], $values, $marks, $prior), $marks, $sizes[$k]->columns, $sizes[$k]->rows);
        }
        $sharp = self::sharpened($values, $colours);

        return new Shape($width, $height, $colours->level, self::connected($sharp, $marks, $colours->columns, $colours->rows, self::TRACE));
    }

    /**
     * @param  list<Stroke>  $strokes
     * @return array<int, int>
     */
    private static function marks(Colours $colours, int $width, int $height, array $strokes): array
    {
        $brush = new Brush(Frame::scene((new Halving($width, $height, $colours->level))->window()));
        $marks = [];
        foreach ($colours->alpha as $alpha) {
            $marks[] = $alpha < 0.02 ? self::BACKGROUND : 0;
        }
        foreach ($strokes as $stroke) {
            $brush->mark($marks, $stroke, $stroke->reveals ? self::SUBJECT : self::BACKGROUND);
        }

        return $marks;
    }

    /**
     * @param  array<int, int>  $marks
     * @return array<int, float>
     */
    private static function whole(Colours $colours, array $marks, CutPrior $colour): array
    {
        [$right, $down] = self::likeness($colours);
        $near = self::nearness($colours, $marks, $right, $down);
        $values = $labels = [];
        for ($round = 0; $round < self::MODEL_ROUNDS; $round++) {
            $prior = $colour->everywhere($labels);
            // what lies near a stroke, without an edge between, belongs to it rather, whatever its colour
            foreach ($prior as $at => $value) {
                $odds = $value / (1 - $value) * $near[$at] / (1 - $near[$at]);
                $prior[$at] = $odds / (1 + $odds);
            }
            $values = $values === [] ? $prior : $values;
            foreach ($marks as $at => $mark) {
                if ($mark !== 0) {
                    $values[$at] = $mark === self::SUBJECT ? 1.0 : 0.0;
                }
            }
            $values = self::walk($values, $prior, $marks, $right, $down, $colours->columns, $colours->rows, self::weight($colour));
            $labels = [];
            foreach ($values as $at => $value) {
                $labels[] = $marks[$at] !== 0 ? $marks[$at] : ($value > 0.6 ? self::SUBJECT : ($value < 0.4 ? self::BACKGROUND : 0));
            }
            $colour->learn($labels);
        }

        return $values;
    }

    /** How much colours count beside the neighbours in this picture. */
    private static function weight(CutPrior $colour): float
    {
        return self::DOUBTFUL + $colour->trust * (self::TRUSTED - self::DOUBTFUL);
    }

    /**
     * How alike neighbours are, 0..1: to the right and below.
     *
     * @return array{array<int, float>, array<int, float>}
     */
    private static function likeness(Colours $colours): array
    {
        [$l, $a, $b, $columns, $rows] = [$colours->lightness, $colours->first, $colours->second, $colours->columns, $colours->rows];
        $right = $down = [];
        $sum = 0.0;
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $next = $column + 1 < $columns ? $at + 1 : $at;
                $below = $row + 1 < $rows ? $at + $columns : $at;
                $right[] = $across = self::LIGHTNESS * ($l[$at] - $l[$next]) ** 2 + 2 * (($a[$at] - $a[$next]) ** 2 + ($b[$at] - $b[$next]) ** 2);
                $down[] = $along = self::LIGHTNESS * ($l[$at] - $l[$below]) ** 2 + 2 * (($a[$at] - $a[$below]) ** 2 + ($b[$at] - $b[$below]) ** 2);
                $sum += $across + $along;
            }
        }
        $steepness = 1 / max(1e-6, self::EDGE * $sum / (2 * $columns * $rows));
        for ($at = 0, $count = $columns * $rows; $at < $count; $at++) {
            $right[$at] = exp(-$right[$at] * $steepness) + 0.002;
            $down[$at] = exp(-$down[$at] * $steepness) + 0.002;
        }

        return [$right, $down];
    }

    /**
     * 1 where a stroke on the subject is nearer than one on the background, on ways that avoid edges; 0 the other way.
     * Two sweeps there and back, twice: Toivanen, *New geodesic distance transforms for gray-scale images* (1996).
     *
     * @param  array<int, int>  $marks
     * @param  array<int, float>  $right
     * @param  array<int, float>  $down
     * @return array<int, float>
     */
    private static function nearness(Colours $colours, array $marks, array $right, array $down): array
    {
        [$columns, $rows] = [$colours->columns, $colours->rows];
        $distances = [];
        foreach ([self::SUBJECT, self::BACKGROUND] as $wanted) {
            $far = [];
            foreach ($marks as $mark) {
                $far[] = $mark === $wanted ? 0.0 : 1e9;
            }
            for ($round = 0; $round < 3; $round++) {
                for ($row = 0, $at = 0; $row < $rows; $row++) {
                    for ($column = 0; $column < $columns; $column++, $at++) {
                        $value = $far[$at];
                        if ($column > 0 && ($by = $far[$at - 1] + 0.02 + 1.0 - $right[$at - 1]) < $value) {
                            $value = $by;
                        }
                        if ($row > 0 && ($by = $far[$at - $columns] + 0.02 + 1.0 - $down[$at - $columns]) < $value) {
                            $value = $by;
                        }
                        $far[$at] = $value;
                    }
                }
                for ($row = $rows - 1, $at = $columns * $rows - 1; $row >= 0; $row--) {
                    for ($column = $columns - 1; $column >= 0; $column--, $at--) {
                        $value = $far[$at];
                        if ($column + 1 < $columns && ($by = $far[$at + 1] + 0.02 + 1.0 - $right[$at]) < $value) {
                            $value = $by;
                        }
                        if ($row + 1 < $rows && ($by = $far[$at + $columns] + 0.02 + 1.0 - $down[$at]) < $value) {
                            $value = $by;
                        }
                        $far[$at] = $value;
                    }
                }
            }
            $distances[] = $far;
        }
        $near = [];
        foreach ($distances[0] as $at => $subject) {
            $background = $distances[1][$at];
            $near[] = ($background + 0.01) / ($subject + $background + 0.02);
        }

        return $near;
    }

    /**
     * Successive over-relaxation toward the walkers' potentials.
     *
     * @param  array<int, float>  $values
     * @param  array<int, float>  $prior
     * @param  array<int, int>  $marks
     * @param  array<int, float>  $right
     * @param  array<int, float>  $down
     * @return array<int, float>
     */
    private static function walk(array $values, array $prior, array $marks, array $right, array $down, int $columns, int $rows, float $weight): array
    {
        for ($sweep = 0; $sweep < self::SWEEPS; $sweep++) {
            for ($row = 0, $at = 0; $row < $rows; $row++) {
                for ($column = 0; $column < $columns; $column++, $at++) {
                    if ($marks[$at] !== 0) {
                        continue;
                    }
                    $pull = $weight;
                    $sum = $weight * $prior[$at];
                    if ($column > 0) {
                        $like = $right[$at - 1];
                        $pull += $like;
                        $sum += $like * $values[$at - 1];
                    }
                    if ($column + 1 < $columns) {
                        $like = $right[$at];
                        $pull += $like;
                        $sum += $like * $values[$at + 1];
                    }
                    if ($row > 0) {
                        $like = $down[$at - $columns];
                        $pull += $like;
                        $sum += $like * $values[$at - $columns];
                    }
                    if ($row + 1 < $rows) {
                        $like = $down[$at];
                        $pull += $like;
                        $sum += $like * $values[$at + $columns];
                    }
                    $values[$at] += self::HASTE * ($sum / $pull - $values[$at]);
                }
            }
        }

        return $values;
    }

    /**
     * Only what hangs together with a stroke on the subject is the subject.
     *
     * @param  float  $least  what is there at all
     * @param  array<int, float>  $values
     * @param  array<int, int>  $marks
     * @return array<int, float>
     */
    private static function connected(array $values, array $marks, int $columns, int $rows, float $least = 0.5): array
    {
        [$pieces] = Pieces::label($values, $columns, $rows, $least);
        $held = [];
        foreach (array_keys($marks, self::SUBJECT, true) as $at) {
            $held[$pieces[$at]] = true;
        }
        foreach ($pieces as $at => $piece) {
            if ($piece !== 0 && ! isset($held[$piece])) {
                $values[$at] = 0.0;
            }
        }

        return $values;
    }

    /**
     * The next doubling: only pixels around the border are worked out again.
     *
     * @param  array<int, float>  $coarse
     * @param  array<int, int>  $marks
     * @return array<int, float>
     */
    private static function finer(Colours $fine, Colours $small, array $coarse, array $marks, CutPrior $colour): array
    {
        [$columns, $rows] = [$fine->columns, $fine->rows];
        $border = self::border($coarse, $small->columns, $small->rows);
        $values = [];
        $band = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            $from = ($row >> 1) * $small->columns;
            for ($column = 0; $column < $columns; $column++, $at++) {
                $mark = $marks[$at];
                $source = $from + ($column >> 1);
                $values[] = $mark !== 0 ? ($mark === self::SUBJECT ? 1.0 : 0.0) : ($border[$source] ? $coarse[$source] : ($coarse[$source] > 0.5 ? 1.0 : 0.0));
                if ($mark === 0 && $border[$source]) {
                    $band[] = $at;
                }
            }
        }

        return self::walkBand($fine, $values, $band, $colour->at($fine, $band), self::weight($colour));
    }

    /**
     * @param  array<int, float>  $values
     * @return array<int, bool> the pixels within two of the border
     */
    private static function border(array $values, int $columns, int $rows): array
    {
        $border = array_fill(0, $columns * $rows, false);
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $inside = $values[$at] > 0.5;
                if (($column + 1 < $columns && $inside !== $values[$at + 1] > 0.5) || ($row + 1 < $rows && $inside !== $values[$at + $columns] > 0.5)) {
                    for ($y = max(0, $row - 1), $lastY = min($rows - 1, $row + 2); $y <= $lastY; $y++) {
                        for ($x = max(0, $column - 1), $lastX = min($columns - 1, $column + 2); $x <= $lastX; $x++) {
                            $border[$y * $columns + $x] = true;
                        }
                    }
                }
            }
        }

        return $border;
    }

    /**
     * @param  array<int, float>  $values
     * @param  list<int>  $band
     * @param  array<int, float>  $prior  of the band's pixels
     * @return array<int, float>
     */
    private static function walkBand(Colours $colours, array $values, array $band, array $prior, float $weight): array
    {
        [$l, $a, $b, $columns] = [$colours->lightness, $colours->first, $colours->second, $colours->columns];
        $count = $colours->columns * $colours->rows;
        $neighbours = $weights = [];
        $sum = 0.0;
        foreach ($band as $at) {
            $column = $at % $columns;
            foreach ([$column > 0 ? $at - 1 : $at, $column + 1 < $columns ? $at + 1 : $at, $at >= $columns ? $at - $columns : $at, $at + $columns < $count ? $at + $columns : $at] as $next) {
                $neighbours[] = $next;
                $weights[] = $difference = self::LIGHTNESS * ($l[$at] - $l[$next]) ** 2 + 2 * (($a[$at] - $a[$next]) ** 2 + ($b[$at] - $b[$next]) ** 2);
                $sum += $difference;
            }
        }
        $steepness = 1 / max(1e-6, self::EDGE * $sum / max(1, count($weights)));
        foreach ($weights as $k => $difference) {
            $weights[$k] = exp(-$difference * $steepness) + 0.002;
        }
        for ($sweep = 0; $sweep < self::BAND_SWEEPS; $sweep++) {
            $k = 0;
            foreach ($band as $n => $at) {
                [$w0, $w1, $w2, $w3] = [$weights[$k], $weights[$k + 1], $weights[$k + 2], $weights[$k + 3]];
                $mean = ($w0 * $values[$neighbours[$k]] + $w1 * $values[$neighbours[$k + 1]] + $w2 * $values[$neighbours[$k + 2]] + $w3 * $values[$neighbours[$k + 3]] + $weight * $prior[$n])
                    / ($w0 + $w1 + $w2 + $w3 + $weight);
                $values[$at] += 1.3 * ($mean - $values[$at]);
                $k += 4;
            }
        }

        return $values;
    }

    /**
     * The potentials as a cut: a soft step one pixel wide at a half.
     *
     * @param  array<int, float>  $values
     * @return array<int, float>
     */
    private static function sharpened(array $values, Colours $colours): array
    {
        [$columns, $rows] = [$colours->columns, $colours->rows];
        $sharp = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $value = $values[$at];
                if ($value > 0.02 && $value < 0.98) {
                    $left = $column > 0 ? $at - 1 : $at;
                    $right = $column + 1 < $columns ? $at + 1 : $at;
                    $above = $row > 0 ? $at - $columns : $at;
                    $below = $row + 1 < $rows ? $at + $columns : $at;
                    $slope = 0.5 * sqrt(($values[$right] - $values[$left]) ** 2 + ($values[$below] - $values[$above]) ** 2);
                    $value = ($value - 0.5) / ($slope > 0.05 ? $slope : 0.05) + 0.5;
                    $value = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
                }
                $sharp[] = $colours->alpha[$at] < 0.02 ? 0.0 : ($value < self::TRACE ? 0.0 : ($value > 1 - self::TRACE ? 1.0 : $value));
            }
        }

        return $sharp;
    }
}
