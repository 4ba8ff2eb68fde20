<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Raster\Box;

/**
 * What colours say of a pixel, 1 for the subject: by the colours under all strokes, and by those that are held for subject
 * and background around it (Bai, Wang, Simons, Sapiro, *Video SnapCut*, 2009, has such local classifiers along a border).
 */
final class CutPrior
{
    /** A model never says more surely than this what a pixel is. */
    private const SUREST = 0.985;

    /** Samples that a colour model is learnt from, and that reliability is judged by, at most. */
    private const SAMPLES = 2500;

    private const JUDGED = 600;

    /** Parts into which strokes are divided: each is told by models of the others. */
    private const PARTS = 4;

    /** Of the samples under the strokes so many must be told rightly for colours to count; from the second on they count fully. */
    private const DOUBTED = 0.82;

    private const TRUSTED = 0.88;

    /** How far around colours are gathered, px. */
    private const AROUND = 16;

    /** Share of the pixels around that must be held for something before they say what it looks like. */
    private const FEW = 0.002;

    /** Least variances around a place: lightness, and both colour axes. */
    private const LEAST = [0.0004, 0.00012, 0.00012];

    /** How much what lies around counts beside all strokes together. */
    private const LOCAL = 0.8;

    private ColourModel $subject;

    private ColourModel $background;

    /** How far colours tell subject and background apart in this picture, 0..1. */
    public readonly float $trust;

    /** @param  array<int, int>  $marks  of the strokes */
    public function __construct(private readonly Colours $colours, array $marks)
    {
        $samples = [self::samples($colours, $marks, Segmentation::SUBJECT), self::samples($colours, $marks, Segmentation::BACKGROUND)];
        $this->subject = ColourModel::of($samples[0]);
        $this->background = ColourModel::of($samples[1]);
        $told = self::told($samples);
        $this->trust = max(0.0, min(1.0, ($told - self::DOUBTED) / (self::TRUSTED - self::DOUBTED)));
    }

    /**
     * Learns from what a round has found.
     *
     * @param  array<int, int>  $labels
     */
    public function learn(array $labels): void
    {
        $this->subject = ColourModel::of(self::samples($this->colours, $labels, Segmentation::SUBJECT));
        $this->background = ColourModel::of(self::samples($this->colours, $labels, Segmentation::BACKGROUND));
    }

    /**
     * @param  Colours  $colours  of the same picture, at any size
     * @param  list<int>  $only  the pixels that are wanted
     * @return list<float>
     */
    public function at(Colours $colours, array $only): array
    {
        $subject = self::densities($colours, $this->subject, $only);
        $background = self::densities($colours, $this->background, $only);
        $prior = [];
        foreach ($subject as $at => $density) {
            $prior[] = self::bounded(($density + 1e-4) / ($density + $background[$at] + 2e-4));
        }

        return $prior;
    }

    /**
     * @param  array<int, int>  $labels  what the last round has found; none before the first
     * @return list<float> for all pixels
     */
    public function everywhere(array $labels): array
    {
        $prior = $this->at($this->colours, range(0, $this->colours->columns * $this->colours->rows - 1));
        $share = self::LOCAL * $this->trust;
        if ($labels === [] || $share <= 0.0) {
            return $prior;
        }
        foreach ($this->around($labels) as $at => $local) {
            $odds = ($prior[$at] / (1 - $prior[$at])) ** (1 - $share) * ($local / (1 - $local)) ** $share;
            $prior[$at] = $odds / (1 + $odds);
        }

        /** @var list<float> $prior changed only where it had values already */
        return $prior;
    }

    /**
     * By what is held for subject and background around; left out where one of them is not there.
     *
     * @param  array<int, int>  $labels
     * @return array<int, float>
     */
    private function around(array $labels): array
    {
        $subject = $this->unlikeness($labels, Segmentation::SUBJECT);
        $background = $this->unlikeness($labels, Segmentation::BACKGROUND);
        $prior = [];
        foreach ($subject as $at => $value) {
            if (isset($background[$at])) {
                $prior[$at] = self::bounded(1 / (1 + exp(max(-30.0, min(30.0, 0.5 * ($value - $background[$at]))))));
            }
        }

        return $prior;
    }

    /**
     * Minus twice the logarithm of the likelihood of each pixel's colour, in a normal distribution of those around it.
     *
     * @param  array<int, int>  $labels
     * @return array<int, float>
     */
    private function unlikeness(array $labels, int $wanted): array
    {
        [$columns, $rows] = [$this->colours->columns, $this->colours->rows];
        $held = [];
        foreach ($labels as $label) {
            $held[] = $label === $wanted ? 1.0 : 0.0;
        }
        $weights = Box::mean($held, $columns, $rows, self::AROUND);
        $unlikeness = [];
        foreach ($weights as $at => $weight) {
            if ($weight >= self::FEW) {
                $unlikeness[$at] = 0.0;
            }
        }
        foreach ([$this->colours->lightness, $this->colours->first, $this->colours->second] as $k => $plane) {
            $values = $squares = [];
            foreach ($held as $at => $is) {
                $values[] = $is * $plane[$at];
                $squares[] = $is * $plane[$at] * $plane[$at];
            }
            $means = Box::mean($values, $columns, $rows, self::AROUND);
            $meanSquares = Box::mean($squares, $columns, $rows, self::AROUND);
            foreach ($unlikeness as $at => $sum) {
                $mean = $means[$at] / $weights[$at];
                $variance = max(0.0, $meanSquares[$at] / $weights[$at] - $mean * $mean) + self::LEAST[$k];
                $unlikeness[$at] = $sum + ($plane[$at] - $mean) ** 2 / $variance + log($variance);
            }
        }

        return $unlikeness;
    }

    /**
     * How surely colours under one part of the strokes are told by what is under the others, 0..1 (cross-validation). Where
     * strokes on a mottled ground know only the mottles that they cross, the models look sure and are wrong elsewhere.
     *
     * @param  array{list<array{float, float, float}>, list<array{float, float, float}>}  $samples
     */
    private static function told(array $samples): float
    {
        foreach ($samples as $k => $side) {
            $step = max(1, intdiv(count($side), self::JUDGED));
            $samples[$k] = array_values(array_filter($side, static fn (int $n): bool => $n % $step === 0, ARRAY_FILTER_USE_KEY));
        }
        if (min(count($samples[0]), count($samples[1])) < 2 * self::PARTS) {
            return 0.0;
        }
        $sum = 0.0;
        for ($part = 0; $part < self::PARTS; $part++) {
            $models = $asked = [];
            foreach ($samples as $k => $side) {
                $from = intdiv(count($side) * $part, self::PARTS);
                $count = intdiv(count($side) * ($part + 1), self::PARTS) - $from;
                $asked[$k] = array_splice($side, $from, $count);
                $models[$k] = ColourModel::of($side);
            }
            foreach ($asked as $k => $side) {
                $right = 0.0;
                foreach ($side as $sample) {
                    $own = $models[$k]->density($sample) + 1e-4;
                    $right += $own / ($own + $models[1 - $k]->density($sample) + 1e-4);
                }
                $sum += $right / count($side);
            }
        }

        return $sum / (2 * self::PARTS);
    }

    private static function bounded(float $share): float
    {
        return $share > self::SUREST ? self::SUREST : ($share < 1 - self::SUREST ? 1 - self::SUREST : $share);
    }

    /**
     * @param  list<int>  $only
     * @return list<float>
     */
    private static function densities(Colours $colours, ColourModel $model, array $only): array
    {
        [$l, $a, $b] = [$colours->lightness, $colours->first, $colours->second];
        $densities = array_fill(0, count($only), 0.0);
        foreach ($model->parts() as [$factor, $ml, $ma, $mb, $xx, $yy, $zz, $xy, $xz, $yz]) {
            foreach ($only as $k => $at) {
                $x = $l[$at] - $ml;
                $y = $a[$at] - $ma;
                $z = $b[$at] - $mb;
                $far = $xx * $x * $x + $yy * $y * $y + $zz * $z * $z + 2.0 * ($xy * $x * $y + $xz * $x * $z + $yz * $y * $z);
                if ($far < 40.0) {
                    $densities[$k] += $factor * exp(-0.5 * $far);
                }
            }
        }

        /** @var list<float> $densities changed only where it had values already */
        return $densities;
    }

    /**
     * @param  array<int, int>  $labels
     * @return list<array{float, float, float}>
     */
    private static function samples(Colours $colours, array $labels, int $wanted): array
    {
        $found = array_keys($labels, $wanted, true);
        $samples = [];
        for ($k = 0, $n = count($found), $step = max(1, intdiv($n, self::SAMPLES)); $k < $n; $k += $step) {
            $at = $found[$k];
            if ($colours->alpha[$at] >= 0.02) {
                $samples[] = [$colours->lightness[$at], $colours->first[$at], $colours->second[$at]];
            }
        }

        return $samples === [] ? [[0.0, 0.0, 0.0]] : $samples;
    }
}
