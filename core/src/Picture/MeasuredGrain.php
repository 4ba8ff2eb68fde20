<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

/**
 * The grain of a picture as it is measured on its flat parts: how strong, and how coarse.
 *
 * Immerkaer, *Fast noise variance estimation* (1996), at full size, at half and at a quarter of it; that assumes that pixels do
 * not know of one another, and sees less of grain that is blurred. How much less tells how coarse it is.
 */
final readonly class MeasuredGrain
{
    /** Sizes of grain, sigma of its blur in pixels. */
    private const SIZES = [0.0, 0.4, 0.6, 0.8, 1.0, 1.5];

    /** What it sees of grain of these sizes at full size. */
    private const SEEN = [1.0, 0.88, 0.43, 0.17, 0.08, 0.02];

    /** The same at half. */
    private const SEEN_HALF = [0.50, 0.51, 0.53, 0.47, 0.36, 0.16];

    /** The ratio of half to full for the first five of them. */
    private const HALF_TO_FULL = [0.50, 0.58, 1.25, 2.67, 4.28];

    /** The ratio of a quarter to half for 1, 1.5 and 2 px. */
    private const QUARTER_TO_HALF = [[1.0, 1.35], [1.5, 2.7], [2.0, 4.5]];

    /** Sides of the blocks that are looked at. */
    private const BLOCK = 8;

    /** The flattest share of the blocks counts. */
    private const FLAT = 0.4;

    /** Tones nearer to black or white than this are cut off, and have less. */
    private const CLIPPED = 0.04;

    /** Fewer blocks say nothing. */
    private const LEAST = 6;

    private const MASKED = 0.98;

    /**
     * @param  float  $sigma  of encoded values
     * @param  float  $size  px
     * @param  float  $tone  the mean luma where it was measured
     */
    private function __construct(public float $sigma, public float $size, public float $tone)
    {
    }

    /** @return array{float, float, float} sigma, size, tone */
    public function numbers(): array
    {
        return [$this->sigma, $this->size, $this->tone];
    }

    /**
     * Null where nothing is flat enough, or there is too little of it.
     *
     * @param  list<float>  $luma  encoded
     * @param  list<float>  $there  0..1
     */
    public static function of(array $luma, array $there, int $columns, int $rows): ?self
    {
        $full = self::reading($luma, $there, $columns, $rows);
        if ($full === null) {
            return null;
        }
        [$half, $halfThere, $halfColumns, $halfRows] = self::halved($luma, $there, $columns, $rows);
        $halfReading = self::reading($half, $halfThere, $halfColumns, $halfRows);
        if ($halfReading === null || $full[0] < 1e-5) {
            return new self($full[0], 0.0, $full[1]);
        }
        $size = self::between($halfReading[0] / $full[0], self::HALF_TO_FULL, array_slice(self::SIZES, 0, count(self::HALF_TO_FULL)));
        if ($size >= 1.0) {
            [$quarter, $quarterThere, $quarterColumns, $quarterRows] = self::halved($half, $halfThere, $halfColumns, $halfRows);
            $quarterReading = self::reading($quarter, $quarterThere, $quarterColumns, $quarterRows);
            if ($quarterReading !== null) {
                $size = max($size, self::between($quarterReading[0] / max(1e-6, $halfReading[0]), array_column(self::QUARTER_TO_HALF, 1), array_column(self::QUARTER_TO_HALF, 0)));
            }
        }
        $sigma = $size > 0.8 ? $halfReading[0] / self::between($size, self::SIZES, self::SEEN_HALF) : $full[0] / self::between($size, self::SIZES, self::SEEN);

        return new self($sigma, $size, $full[1]);
    }

    /**
     * Immerkaer's estimate over the flattest blocks, and their mean tone.
     *
     * @param  list<float>  $luma
     * @param  list<float>  $there
     * @return array{float, float}|null
     */
    private static function reading(array $luma, array $there, int $columns, int $rows): ?array
    {
        $blocks = [];
        $means = self::means($luma, $there, $columns, $rows);
        foreach ($means as [$i, $j, $mean]) {
            // how much the tone changes from block to block tells of edges and of texture, not of grain
            $slope = 0.0;
            foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$di, $dj]) {
                $slope = max($slope, abs(($means[($j + $dj).' '.($i + $di)][2] ?? $mean) - $mean));
            }
            if ($mean > self::CLIPPED && $mean < 1 - self::CLIPPED) {
                $blocks[] = [$slope, $i, $j, $mean];
            }
        }
        usort($blocks, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $blocks = array_slice($blocks, 0, (int) ceil(self::FLAT * count($blocks)));
        if (count($blocks) < self::LEAST) {
            return null;
        }
        $sum = 0.0;
        $count = 0;
        foreach ($blocks as [, $i, $j]) {
            for ($y = max(1, $j * self::BLOCK), $endY = min($rows - 1, ($j + 1) * self::BLOCK); $y < $endY; $y++) {
                for ($x = max(1, $i * self::BLOCK), $endX = min($columns - 1, ($i + 1) * self::BLOCK); $x < $endX; $x++) {
                    $at = $y * $columns + $x;
                    [$up, $down] = [$at - $columns, $at + $columns];
                    $sum += abs(4 * $luma[$at] - 2 * ($luma[$at - 1] + $luma[$at + 1] + $luma[$up] + $luma[$down]) + $luma[$up - 1] + $luma[$up + 1] + $luma[$down - 1] + $luma[$down + 1]);
                    $count++;
                }
            }
        }

        return [sqrt(M_PI / 2) / 6 * $sum / max(1, $count), array_sum(array_column($blocks, 3)) / count($blocks)];
    }

    /**
     * Means of the blocks that are wholly there.
     *
     * @param  list<float>  $luma
     * @param  list<float>  $there
     * @return array<string, array{int, int, float}> column, row and mean, by "row column"
     */
    private static function means(array $luma, array $there, int $columns, int $rows): array
    {
        $means = [];
        for ($j = 0; ($j + 1) * self::BLOCK <= $rows; $j++) {
            for ($i = 0; ($i + 1) * self::BLOCK <= $columns; $i++) {
                $sum = 0.0;
                $least = 1.0;
                for ($y = $j * self::BLOCK; $y < ($j + 1) * self::BLOCK; $y++) {
                    for ($x = $i * self::BLOCK, $at = $y * $columns + $x; $x < ($i + 1) * self::BLOCK; $x++, $at++) {
                        $sum += $luma[$at];
                        $least = min($least, $there[$at]);
                    }
                }
                if ($least >= self::MASKED) {
                    $means["{$j} {$i}"] = [$i, $j, $sum / self::BLOCK ** 2];
                }
            }
        }

        return $means;
    }

    /**
     * @param  list<float>  $luma
     * @param  list<float>  $there
     * @return array{list<float>, list<float>, int, int}
     */
    private static function halved(array $luma, array $there, int $columns, int $rows): array
    {
        [$halfColumns, $halfRows] = [intdiv($columns, 2), intdiv($rows, 2)];
        $half = $halfThere = [];
        for ($y = 0; $y < $halfRows; $y++) {
            for ($x = 0, $at = 2 * $y * $columns; $x < $halfColumns; $x++, $at += 2) {
                $half[] = 0.25 * ($luma[$at] + $luma[$at + 1] + $luma[$at + $columns] + $luma[$at + $columns + 1]);
                $halfThere[] = min($there[$at], $there[$at + 1], $there[$at + $columns], $there[$at + $columns + 1]);
            }
        }

        return [$half, $halfThere, $halfColumns, $halfRows];
    }

    /**
     * Read linearly between places of a table, and not beyond its ends.
     *
     * @param  list<float>  $places  rising
     * @param  list<float>  $values
     */
    private static function between(float $place, array $places, array $values): float
    {
        for ($at = 1; $at < count($places); $at++) {
            if ($place < $places[$at]) {
                $share = max(0.0, ($place - $places[$at - 1]) / ($places[$at] - $places[$at - 1]));

                return $values[$at - 1] + $share * ($values[$at] - $values[$at - 1]);
            }
        }

        return $values[count($values) - 1];
    }
}
