<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Picture\Pixels;

/**
 * How much of the subject is in each pixel of a band along its edge, told by colour.
 *
 * Beyond the band the subject's and the background's colours are known. For each pixel pairs of them from nearby are
 * tried: the nearer the pixel's colour lies to the straight line between the two, the more a pair counts, and its place on
 * that line is the alpha (samples on both sides of the band: Gastal, Oliveira, *Shared sampling for real-time alpha
 * matting*, 2010; all good pairs are averaged, not the best one taken, which noise would choose).
 */
final class HairColours
{
    /** Side of the squares from whose colours samples are made, in widths of the band. */
    private const SQUARE = 0.5;

    /** So many widths from a pixel of the band the colours of the other side begin and are enough. */
    private const REACH = 2.75;

    /** Samples of each side that are tried at a pixel, at most; the search goes outward until there are half as many. */
    private const SAMPLES = 12;

    /** So many squares outward at most. */
    private const SEARCH = 6;

    /** What a square distance of colour from the line between a pair costs. */
    private const OFF_THE_LINE = 3000.0;

    /** Squares of distances between two colours: below the first they are one sample, below the second no pair. */
    private const ALIKE = 0.0009;

    private const APART = 0.002;

    /** Deviation of lightness below which a square's colours are one. */
    private const EVEN = 0.01;

    /** @var array<int, array{list<array{float, float, float}>, list<array{float, float, float}>}> colours of subject and background by square */
    private array $samples = [];

    private readonly int $side;

    private readonly int $across;

    private readonly int $down;

    /**
     * @param  list<float>  $distances  to the edge, positive inside, ±INF where far
     * @param  Pixels  $pixels  the picture's own
     * @param  float  $width  of the band on each side, px
     */
    private function __construct(private readonly array $distances, private readonly Pixels $pixels, private readonly int $columns, private readonly int $rows, private readonly float $width)
    {
        $this->side = self::side($width);
        $this->across = intdiv($columns - 1, $this->side) + 1;
        $this->down = intdiv($rows - 1, $this->side) + 1;
    }

    /**
     * @param  list<float>  $distances  to the edge, positive inside, ±INF where further than the band reaches
     * @param  Pixels  $pixels  the picture's own
     * @param  float  $width  of the band on each side, px
     * @return array<int, float> alpha by pixel of the band; those whose surroundings tell nothing are left out
     */
    public static function alpha(array $distances, Pixels $pixels, int $columns, int $rows, float $width): array
    {
        return (new self($distances, $pixels, $columns, $rows, $width))->band();
    }

    /** Side of the squares, px: a power of two, so that they lie the same in all blocks of a picture. */
    public static function side(float $width): int
    {
        return 2 ** max(2, (int) round(log(self::SQUARE * max(1.0, $width), 2)));
    }

    /** Pixels around the band whose colours are asked for, a whole number of squares. */
    public static function reach(float $width): int
    {
        $side = self::side($width);

        return $side * (int) ceil(self::REACH * $width / $side);
    }

    /** @return array<int, float> */
    private function band(): array
    {
        $band = [];
        $width = $this->width;
        foreach ($this->distances as $at => $distance) {
            if ($distance < $width && $distance > -$width) {
                $band[intdiv(intdiv($at, $this->columns), $this->side) * $this->across + intdiv($at % $this->columns, $this->side)][] = $at;
            }
        }
        $alpha = [];
        foreach ($band as $square => $places) {
            $pairs = self::pairs($this->near(0, $square), $this->near(1, $square));
            if ($pairs !== []) {
                foreach ($this->mixed($places, $pairs) as $k => $value) {
                    $alpha[$places[$k]] = $value;
                }
            }
        }

        return $alpha;
    }

    /**
     * Samples of the squares around one, the nearest first.
     *
     * @param  0|1  $which  of the subject, of the background
     * @return list<array{float, float, float}>
     */
    private function near(int $which, int $square): array
    {
        [$column, $row] = [$square % $this->across, intdiv($square, $this->across)];
        $near = [];
        for ($ring = 0; $ring <= self::SEARCH && count($near) < self::SAMPLES / 2; $ring++) {
            for ($y = max(0, $row - $ring), $lastY = min($this->down - 1, $row + $ring); $y <= $lastY; $y++) {
                $step = $y === $row - $ring || $y === $row + $ring ? 1 : 2 * $ring;
                for ($x = $column - $ring; $x <= $column + $ring; $x += max(1, $step)) {
                    if ($x >= 0 && $x < $this->across) {
                        $at = $y * $this->across + $x;
                        $this->samples[$at] ??= $this->samplesOf($x, $y);
                        array_push($near, ...$this->samples[$at][$which]);
                    }
                }
            }
        }

        return array_slice($near, 0, self::SAMPLES);
    }

    /** @return array{list<array{float, float, float}>, list<array{float, float, float}>} of subject and background in a square, beyond the band */
    private function samplesOf(int $x, int $y): array
    {
        $subject = $background = [];
        $lastColumn = min($this->columns, ($x + 1) * $this->side);
        for ($row = $y * $this->side, $lastRow = min($this->rows, $row + $this->side); $row < $lastRow; $row++) {
            for ($column = $x * $this->side, $at = $row * $this->columns + $column; $column < $lastColumn; $column++, $at++) {
                $distance = $this->distances[$at];
                // where the picture is not there it has no colour
                if (($distance >= $this->width || $distance <= -$this->width) && $this->pixels->isThere($at)) {
                    if ($distance > 0.0) {
                        $subject[] = $at;
                    } else {
                        $background[] = $at;
                    }
                }
            }
        }

        return [$this->means($subject), $this->means($background)];
    }

    /**
     * The colours of some pixels: the means of the darkest, middle and lightest ones, so that noise is gone and a lit cheek
     * beside dark hair is kept apart.
     *
     * @param  list<int>  $places
     * @return list<array{float, float, float}>
     */
    private function means(array $places): array
    {
        $count = count($places);
        if ($count < 3) {
            return [];
        }
        [$red, $green, $blue] = $this->pixels->channelsAt($places);
        $sum = $squareSum = 0.0;
        $lightness = [];
        foreach ($red as $k => $value) {
            $lightness[] = $value = 0.3 * $value + 0.6 * $green[$k] + 0.1 * $blue[$k];
            $sum += $value;
            $squareSum += $value * $value;
        }
        $mean = $sum / $count;
        $deviation = sqrt(max(0.0, $squareSum / $count - $mean * $mean)) / 2;
        if ($deviation < self::EVEN) {
            $deviation = INF;
        }
        $sums = [[0.0, 0.0, 0.0, 0], [0.0, 0.0, 0.0, 0], [0.0, 0.0, 0.0, 0]];
        foreach ($lightness as $k => $value) {
            $part = $value > $mean + $deviation ? 2 : ($value < $mean - $deviation ? 0 : 1);
            $sums[$part][0] += $red[$k];
            $sums[$part][1] += $green[$k];
            $sums[$part][2] += $blue[$k];
            $sums[$part][3]++;
        }
        $means = [];
        foreach ($sums as [$r, $g, $b, $n]) {
            if ($n > 0) {
                $means[] = [$r / $n, $g / $n, $b / $n];
            }
        }

        return $means;
    }

    /**
     * @param  list<array{float, float, float}>  $subject
     * @param  list<array{float, float, float}>  $background
     * @return list<array{float, float, float, float, float, float, float}> a background's colour, the way from it to a subject's, and the way's square
     */
    private static function pairs(array $subject, array $background): array
    {
        $pairs = [];
        foreach (self::unlike($subject) as $one) {
            foreach (self::unlike($background) as $other) {
                [$r, $g, $b] = [$one[0] - $other[0], $one[1] - $other[1], $one[2] - $other[2]];
                $square = $r * $r + $g * $g + $b * $b;
                if ($square >= self::APART) {
                    $pairs[] = [$other[0], $other[1], $other[2], $r, $g, $b, $square];
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  list<array{float, float, float}>  $samples
     * @return list<array{float, float, float}> without those that say the same again
     */
    private static function unlike(array $samples): array
    {
        $kept = [];
        foreach ($samples as $one) {
            foreach ($kept as $other) {
                if (($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2 < self::ALIKE) {
                    continue 2;
                }
            }
            $kept[] = $one;
        }

        return $kept;
    }

    /**
     * The places of pixels between the colours of each pair, averaged by how well they fit, by how far apart the two are,
     * and by what the distance from the edge lets expect.
     *
     * @param  list<int>  $places
     * @param  list<array{float, float, float, float, float, float, float}>  $pairs
     * @return list<float>
     */
    private function mixed(array $places, array $pairs): array
    {
        [$red, $green, $blue] = $this->pixels->channelsAt($places);
        $expected = [];
        foreach ($places as $at) {
            $expected[] = 0.5 + 0.5 * $this->distances[$at] / $this->width;
        }
        $sums = $weights = array_fill(0, count($places), 0.0);
        // pair by pair over all pixels: short loops are compiled well
        foreach ($pairs as [$r0, $g0, $b0, $r1, $g1, $b1, $square]) {
            $unit = 1 / $square;
            $vague = 1.0 + 0.003 * $unit;
            foreach ($red as $k => $r) {
                $r -= $r0;
                $g = $green[$k] - $g0;
                $b = $blue[$k] - $b0;
                $alpha = ($r * $r1 + $g * $g1 + $b * $b1) * $unit;
                $alpha = $alpha < 0.0 ? 0.0 : ($alpha > 1.0 ? 1.0 : $alpha);
                $r -= $alpha * $r1;
                $g -= $alpha * $g1;
                $b -= $alpha * $b1;
                $unexpected = $alpha - $expected[$k];
                $weight = 1.0 / ($vague + self::OFF_THE_LINE * ($r * $r + $g * $g + $b * $b) + $unexpected * $unexpected);
                $weight *= $weight;
                $weight *= $weight * $square;
                $weights[$k] += $weight;
                $sums[$k] += $weight * $alpha;
            }
        }
        foreach ($sums as $k => $sum) {
            $sums[$k] = $sum / $weights[$k];
        }

        /** @var list<float> $sums changed only where it had values already */
        return $sums;
    }
}
