<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

/**
 * Draws an upright picture into a window: filtered apart along x and y with a cubic that widens with the reduction.
 *
 * Four taps are taken at once, written out: with a loop over the taps it takes twice as long. Where a picture is clear nothing is
 * worked out.
 */
final readonly class UprightDrawing
{
    /** Taps that are taken at once. */
    private const AT_ONCE = 4;

    /** One and a half times 2^52: added to a number and taken away again it leaves a whole one. */
    private const ROUNDS = 6755399441055744.0;

    /** An alpha of 65535 in its place. */
    private const WHOLE = -1 << 48;

    public function __construct(private PictureAtSize $source)
    {
    }

    /** @return list<int> */
    public function fill(): array
    {
        [$window, $picture] = [$this->source->window, $this->source->picture];
        $across = $this->taps($window->columns, fn (float $column): float => $this->source->at($column, 0)->x,
            fn (int $column): float => $this->source->inPicture($window->borderX($column), 0)->x, $this->source->width, $picture->width());
        $down = $this->taps($window->rows, fn (float $row): float => $this->source->at(0, $row)->y,
            fn (int $row): float => $this->source->inPicture(0, $window->borderY($row))->y, $this->source->height, $picture->height());
        $plane = array_fill(0, $window->columns * $window->rows, 0);
        if ($across === null || $down === null) {
            return $plane;
        }
        /** @var array<int, array{list<list<float>>, int, int}> $lines filtered rows of the picture, by their number */
        $lines = [];
        foreach ($down['start'] as $row => $start) {
            $sources = [];
            for ($number = $start; $number < $start + $down['taps']; $number++) {
                $inside = max(0, min($this->source->height - 1, $number));
                $sources[] = $lines[$inside] ??= $this->filterLine($inside, $across);
            }
            foreach ($lines as $number => $line) {
                if ($number < $start - $down['taps']) {
                    unset($lines[$number]);
                }
            }
            $share = $down['share'][$row];
            $shares = $share === 1.0 ? $across['share'] : array_map(static fn (float $own): float => $own * $share, $across['share']);
            [$from, $pixels] = $this->joined($sources, array_slice($down['weight'], $row * $down['taps'], $down['taps']), $shares);
            $at = ($down['from'] + $row) * $window->columns + $across['from'] + $from;
            foreach ($pixels as $pixel) {
                $plane[$at++] = $pixel;
            }
        }

        /** @var list<int> $plane written only where it had values already */
        return $plane;
    }

    /**
     * The picture's pixels and weights for each output pixel along one axis that it covers; null where it covers none.
     *
     * @param  callable(float): float  $at  the place in the picture (full-size pixels) of an output pixel
     * @param  callable(int): float  $border  the place of the border before it
     * @param  int  $size  pixels of the level along this axis
     * @param  int  $fullSize  pixels of the picture along this axis
     * @return array{from: int, taps: int, start: list<int>, weight: list<float>, share: list<float>, first: int, last: int}|null
     */
    private function taps(int $count, callable $at, callable $border, int $size, int $fullSize): ?array
    {
        $unit = 2 ** $this->source->level;
        $widen = max(1.0, $this->source->pitch);
        $taps = (int) ceil(4 * $widen / self::AT_ONCE) * self::AT_ONCE;
        $starts = $weight = $share = [];
        [$from, $first, $last] = [0, PHP_INT_MAX, -1];
        // the border of a level lies where the picture's does, even when its last pixel is not whole
        $end = $fullSize / $unit;
        for ($n = 0; $n < $count; $n++) {
            $borders = [$border($n) / $unit, $border($n + 1) / $unit];
            $covered = min($end, max($borders)) - max(0.0, min($borders));
            $part = max(0.0, min(1.0, $covered / (max($borders) - min($borders))));
            if ($part <= 0.0) {
                $from += $share === [] ? 1 : 0;

                continue;
            }
            $share[] = $this->source->isCut ? $part : 1.0;
            $place = $at((float) $n) / $unit;
            $starts[] = $start = (int) floor($place - 0.5 - 2 * $widen) + 1;
            $line = [];
            for ($k = 0; $k < $taps; $k++) {
                $line[] = self::cubic(($start + $k + 0.5 - $place) / $widen);
            }
            $sum = array_sum($line);
            foreach ($line as $value) {
                $weight[] = $value / $sum;
            }
            $first = min($first, $start);
            $last = max($last, $start + $taps - 1);
        }

        return $starts === [] ? null : ['from' => $from, 'taps' => $taps, 'start' => $starts, 'weight' => $weight, 'share' => $share, 'first' => $first, 'last' => $last];
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
     * @param  array{taps: int, start: list<int>, weight: list<float>, first: int, last: int, ...}  $across
     * @return array{list<list<float>>, int, int} red, green, blue and, unless the picture is opaque, alpha; the first column in which there is anything, and the one after the last
     */
    private function filterLine(int $number, array $across): array
    {
        [$left, $right] = [max(0, min($this->source->width - 1, $across['first'])), max(0, min($this->source->width - 1, $across['last']))];
        $channels = $this->source->unpacked($left, $number, $right - $left + 1);
        [$from, $to] = [0, count($across['start'])];
        if ($this->source->picture->opaque()) {
            unset($channels[3]);
        } else {
            [$from, $to] = self::there($channels[3], $left, $across);
        }
        $line = [];
        foreach ($channels as $channel) {
            // beyond the picture its border goes on
            $padded = [...array_fill(0, $left - min($left, $across['first']), $channel[0]), ...$channel, ...array_fill(0, max($right, $across['last']) - $right, $channel[$right - $left])];
            $line[] = self::along($padded, $across, $from, $to);
        }

        return [$line, $from, $to];
    }

    /**
     * The columns whose taps meet anything.
     *
     * @param  list<float>  $alpha
     * @param  int  $left  where that begins
     * @param  array{taps: int, start: list<int>, ...}  $across
     * @return array{int, int} the first, and the one after the last
     */
    private static function there(array $alpha, int $left, array $across): array
    {
        for ($first = 0, $last = count($alpha) - 1; $first <= $last && $alpha[$first] === 0.0; $first++);
        if ($first > $last) {
            return [0, 0];
        }
        for (; $alpha[$last] === 0.0; $last--);
        // a border goes on beyond the picture
        $first = $first === 0 ? PHP_INT_MIN : $first + $left;
        $last = $last === count($alpha) - 1 ? PHP_INT_MAX : $last + $left;
        ['start' => $starts, 'taps' => $taps] = $across;
        $meets = static fn (int $start): bool => $start <= $last && $start + $taps > $first;
        for ($from = 0, $to = count($starts); $from < $to && ! $meets($starts[$from]); $from++);
        for (; $to > $from && ! $meets($starts[$to - 1]); $to--);

        return [$from, $to];
    }

    /**
     * @param  list<float>  $channel  from the first place of all on
     * @param  array{taps: int, start: list<int>, weight: list<float>, first: int, ...}  $across
     * @return list<float> 0 but in the columns from $from before $to
     */
    private static function along(array $channel, array $across, int $from, int $to): array
    {
        ['taps' => $taps, 'start' => $starts, 'weight' => $weight, 'first' => $first] = $across;
        $line = array_fill(0, count($starts), 0.0);
        for ($k = 0; $k < $taps; $k += self::AT_ONCE) {
            for ($column = $from, $at = $from * $taps + $k; $column < $to; $column++, $at += $taps) {
                $n = $starts[$column] - $first + $k;
                $line[$column] += $weight[$at] * $channel[$n] + $weight[$at + 1] * $channel[$n + 1] + $weight[$at + 2] * $channel[$n + 2] + $weight[$at + 3] * $channel[$n + 3];
            }
        }

        /** @var list<float> $line written only where it had values already */
        return $line;
    }

    /**
     * Rows of the picture, filtered along y and packed.
     *
     * @param  list<array{list<list<float>>, int, int}>  $lines
     * @param  list<float>  $weights  of each
     * @param  list<float>  $shares  of each pixel that the picture covers
     * @return array{int, list<int>} the first column in which there is anything, and the pixels from there to the last one
     */
    private function joined(array $lines, array $weights, array $shares): array
    {
        [$from, $to] = [PHP_INT_MAX, 0];
        foreach ($lines as [, $first, $end]) {
            [$from, $to] = $first < $end ? [min($from, $first), max($to, $end)] : [$from, $to];
        }
        $sums = [];
        foreach ($lines[0][0] as $channel => $any) {
            $sums[] = self::summed(array_map(static fn (array $line): array => $line[0][$channel], $lines), $weights, $from, $to);
        }

        return [$from, isset($sums[3]) ? self::packed($sums, array_slice($shares, $from, max(0, $to - $from))) : self::packedOpaque($sums, $shares)];
    }

    /**
     * As {@see PictureAtSize::pack}, written out.
     *
     * @param  list<list<float>>  $sums
     * @param  list<float>  $shares
     * @return list<int>
     */
    private static function packed(array $sums, array $shares): array
    {
        [$red, $green, $blue, $alpha] = $sums;
        $packed = [];
        foreach ($shares as $n => $share) {
            $a = $alpha[$n];
            if ($a <= PictureAtSize::CLEAR) {
                $packed[] = 0;

                continue;
            }
            [$r, $g, $b] = [$red[$n] / $a, $green[$n] / $a, $blue[$n] / $a];
            // rounded as numbers, so that one is turned into a whole one in place of three: that is what costs
            $r = $r > 0.0 ? ($r < 65535.0 ? $r + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $g = $g > 0.0 ? ($g < 65535.0 ? $g + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $b = $b > 0.0 ? ($b < 65535.0 ? $b + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $packed[] = (int) (65535.0 * ($a < 1.0 ? $a : 1.0) * $share + 0.5) << 48 | (int) ($r * 4294967296.0 + $g * 65536.0 + $b);
        }

        return $packed;
    }

    /**
     * @param  list<list<float>>  $sums
     * @param  list<float>  $shares
     * @return list<int>
     */
    private static function packedOpaque(array $sums, array $shares): array
    {
        [$red, $green, $blue] = $sums;
        $packed = [];
        foreach ($red as $n => $r) {
            [$g, $b] = [$green[$n], $blue[$n]];
            $r = $r > 0.0 ? ($r < 65535.0 ? $r + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $g = $g > 0.0 ? ($g < 65535.0 ? $g + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $b = $b > 0.0 ? ($b < 65535.0 ? $b + self::ROUNDS - self::ROUNDS : 65535.0) : 0.0;
            $packed[] = ($shares[$n] === 1.0 ? self::WHOLE : (int) (65535.0 * $shares[$n] + 0.5) << 48) | (int) ($r * 4294967296.0 + $g * 65536.0 + $b);
        }

        return $packed;
    }

    /**
     * @param  list<list<float>>  $lines  of one channel, four or a multiple of that
     * @param  list<float>  $weights
     * @return list<float> from the column $from before $to
     */
    private static function summed(array $lines, array $weights, int $from, int $to): array
    {
        $sum = [];
        for ($k = 0; $k < count($lines); $k += self::AT_ONCE) {
            [$w0, $w1, $w2, $w3] = [$weights[$k], $weights[$k + 1], $weights[$k + 2], $weights[$k + 3]];
            [$line0, $line1, $line2, $line3] = [$lines[$k], $lines[$k + 1], $lines[$k + 2], $lines[$k + 3]];
            if ($k === 0) {
                for ($column = $from; $column < $to; $column++) {
                    $sum[] = $w0 * $line0[$column] + $w1 * $line1[$column] + $w2 * $line2[$column] + $w3 * $line3[$column];
                }
            } elseif ($w0 !== 0.0 || $w1 !== 0.0 || $w2 !== 0.0 || $w3 !== 0.0) {
                for ($column = $from, $n = 0; $column < $to; $column++, $n++) {
                    $sum[$n] += $w0 * $line0[$column] + $w1 * $line1[$column] + $w2 * $line2[$column] + $w3 * $line3[$column];
                }
            }
        }

        /** @var list<float> $sum written only where it had values already */
        return $sum;
    }
}
