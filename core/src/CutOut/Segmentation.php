<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;
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

    /** From this coverage on a pixel teaches the subject's colours; the background's, below what is left. */
    private const LEARNT = 0.6;

    /** The gentlest slope of a border: one pixel is at most so wide. */
    private const FLATTEST = 0.05;

    /** Pixels along the shorter side below which it is not halved any more. */
    private const NARROWEST = 8;

    /** How much colours count beside the neighbours: at least, where they tell little, and where they are trusted. */
    private const DOUBTFUL = 0.0015;

    private const TRUSTED = 0.03;

    /** @param  list<Stroke>  $strokes  in the picture's pixels; those that reveal are on the subject */
    public static function of(PictureSource $picture, array $strokes): Shape
    {
        $full = Halving::within($picture, Colours::MOST_PIXELS);
        $divided = self::divides($full->columns, $full->rows);
        // colours of the largest size are needed along the border alone, and it is not known before the smaller ones are done
        $sizes = [Colours::at($picture, $divided ? new Halving($picture->width(), $picture->height(), $full->level + 1) : $full)->unshaded()];
        while (self::divides(($last = $sizes[count($sizes) - 1])->columns, $last->rows)) {
            $sizes[] = $last->halved();
        }
        $small = array_pop($sizes);
        $marks = self::marks($picture, $small->level, $small->alpha, $strokes);
        $prior = new CutPrior($small, $marks);
        $values = self::connected(self::whole($small, $marks, $prior), $marks, $small->columns, $small->rows);
        while (($colours = array_pop($sizes)) !== null) {
            $marks = self::marks($picture, $colours->level, $colours->alpha, $strokes);
            [$values, $band] = self::spread($values, $small->columns, $small->rows, $marks, $colours->columns, $colours->rows);
            // what hung together by less than a pixel of the smaller size may not hang together any more
            $values = self::connected(self::along($colours, $values, $band, $prior), $marks, $colours->columns, $colours->rows);
            $small = $colours;
        }
        $alpha = $divided ? self::alpha($picture, $full) : $small->alpha;
        $band = array_keys($values);
        if ($divided) {
            $marks = self::marks($picture, $full->level, $alpha, $strokes);
            [$values, $band] = self::spread($values, $small->columns, $small->rows, $marks, $full->columns, $full->rows);
            $seen = self::widened($band, $full->columns, $full->rows);
            $values = self::connected(self::along(Colours::some($picture, $full, $seen)->unshaded(), $values, $band, $prior), $marks, $full->columns, $full->rows);
        }
        $sharp = self::sharpened($values, $band, $full->columns, $full->rows);
        foreach ($alpha as $at => $value) {
            if ($value < self::TRACE) {
                $sharp[$at] = 0.0;
            }
        }

        return new Shape($picture->width(), $picture->height(), $full->level, self::connected($sharp, $marks, $full->columns, $full->rows, self::TRACE));
    }

    /** Whether a size is worked out from one of half of it. */
    private static function divides(int $columns, int $rows): bool
    {
        return $columns * $rows > self::COARSE && min($columns, $rows) > self::NARROWEST;
    }

    /** @return list<float> nothing where the whole picture is there */
    private static function alpha(PictureSource $picture, Halving $halving): array
    {
        return $picture->opaque() ? [] : (new Pixels($halving->pixels($picture), $picture->bits()))->alpha();
    }

    /**
     * @param  array<int, float>  $alpha  nothing where the whole picture is there
     * @param  list<Stroke>  $strokes
     * @return array<int, int>
     */
    private static function marks(PictureSource $picture, int $level, array $alpha, array $strokes): array
    {
        $halving = new Halving($picture->width(), $picture->height(), $level);
        $brush = new Brush(Frame::scene($halving->window()));
        $marks = array_fill(0, $halving->columns * $halving->rows, 0);
        foreach ($alpha as $at => $value) {
            if ($value < self::TRACE) {
                $marks[$at] = self::BACKGROUND;
            }
        }
        foreach ($strokes as $stroke) {
            $brush->mark($marks, $stroke, $stroke->letsIn ? self::SUBJECT : self::BACKGROUND);
        }

        return $marks;
    }

    /**
     * @param  array<int, int>  $marks
     * @return array<int, float>
     */
    private static function whole(Colours $colours, array $marks, CutPrior $colour): array
    {
        [$right, $down] = Walk::likeness($colours);
        $near = Nearness::of($colours, $marks, $right, $down);
        $values = $labels = [];
        for ($round = 0; $round < self::MODEL_ROUNDS; $round++) {
            $prior = $colour->everywhere($labels);
            // what lies near a stroke, without an edge between, belongs to it rather, whatever its colour
            foreach ($prior as $at => $value) {
                $odds = $value / (1 - $value) * $near[$at] / (1 - $near[$at]);
                $prior[$at] = $odds / (1 + $odds);
            }
            if ($values === []) {
                $values = $prior;
            }
            foreach ($marks as $at => $mark) {
                if ($mark !== 0) {
                    $values[$at] = $mark === self::SUBJECT ? 1.0 : 0.0;
                }
            }
            $values = Walk::everywhere($values, $prior, $marks, $right, $down, $colours->columns, $colours->rows, self::weight($colour));
            $labels = [];
            foreach ($values as $at => $value) {
                $labels[] = $marks[$at] !== 0 ? $marks[$at] : ($value > self::LEARNT ? self::SUBJECT : ($value < 1 - self::LEARNT ? self::BACKGROUND : 0));
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
     * Only what hangs together with a stroke on the subject is the subject.
     *
     * @param  float  $least  what is there at all
     * @param  array<int, float>  $values
     * @param  array<int, int>  $marks
     * @return array<int, float>
     */
    private static function connected(array $values, array $marks, int $columns, int $rows, float $least = 0.5): array
    {
        $runs = Pieces::runs($values, $columns, $rows, $least);
        $held = [];
        foreach ($runs as [$first, $end, $piece]) {
            for ($at = $first; $at < $end && ! isset($held[$piece]); $at++) {
                if ($marks[$at] === self::SUBJECT) {
                    $held[$piece] = true;
                }
            }
        }
        foreach ($runs as [$first, $end, $piece]) {
            for ($at = $first; $at < $end && ! isset($held[$piece]); $at++) {
                $values[$at] = 0.0;
            }
        }

        return $values;
    }

    /**
     * What is known of twice the size: only pixels around the border are to be worked out again.
     *
     * @param  array<int, float>  $coarse
     * @param  array<int, int>  $marks
     * @return array{array<int, float>, list<int>} values, and the pixels around the border
     */
    private static function spread(array $coarse, int $coarseColumns, int $coarseRows, array $marks, int $columns, int $rows): array
    {
        $border = self::border($coarse, $coarseColumns, $coarseRows);
        $values = [];
        $band = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            $from = ($row >> 1) * $coarseColumns;
            for ($column = 0; $column < $columns; $column++, $at++) {
                $mark = $marks[$at];
                $source = $from + ($column >> 1);
                $values[] = $mark !== 0 ? ($mark === self::SUBJECT ? 1.0 : 0.0) : ($border[$source] ? $coarse[$source] : ($coarse[$source] > 0.5 ? 1.0 : 0.0));
                if ($mark === 0 && $border[$source]) {
                    $band[] = $at;
                }
            }
        }

        return [$values, $band];
    }

    /**
     * @param  array<int, float>  $values
     * @param  list<int>  $band
     * @return array<int, float>
     */
    private static function along(Colours $colours, array $values, array $band, CutPrior $prior): array
    {
        return Walk::alongBand($colours, $values, $band, $prior->at($colours, $band), self::weight($prior));
    }

    /**
     * @param  list<int>  $band
     * @return list<int> these pixels and those beside them
     */
    private static function widened(array $band, int $columns, int $rows): array
    {
        $is = array_fill(0, $columns * $rows, false);
        $wide = [];
        foreach ($band as $at) {
            $column = $at % $columns;
            foreach ([$at, $column > 0 ? $at - 1 : $at, $column + 1 < $columns ? $at + 1 : $at, $at - $columns, $at + $columns] as $beside) {
                if (isset($is[$beside]) && ! $is[$beside]) {
                    $is[$beside] = true;
                    $wide[] = $beside;
                }
            }
        }

        return $wide;
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
     * The potentials as a cut: a soft step one pixel wide at a half.
     *
     * @param  array<int, float>  $values
     * @param  list<int>  $band  where they may lie between
     * @return array<int, float>
     */
    private static function sharpened(array $values, array $band, int $columns, int $rows): array
    {
        $sharp = $values;
        foreach ($band as $at) {
            $value = $values[$at];
            if ($value > self::TRACE && $value < 1 - self::TRACE) {
                [$column, $row] = [$at % $columns, intdiv($at, $columns)];
                $left = $column > 0 ? $at - 1 : $at;
                $right = $column + 1 < $columns ? $at + 1 : $at;
                $above = $row > 0 ? $at - $columns : $at;
                $below = $row + 1 < $rows ? $at + $columns : $at;
                $slope = 0.5 * sqrt(($values[$right] - $values[$left]) ** 2 + ($values[$below] - $values[$above]) ** 2);
                $value = ($value - 0.5) / ($slope > self::FLATTEST ? $slope : self::FLATTEST) + 0.5;
            }
            $sharp[$at] = $value < self::TRACE ? 0.0 : ($value > 1 - self::TRACE ? 1.0 : $value);
        }

        return $sharp;
    }
}
