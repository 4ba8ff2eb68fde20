<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;

/** A picture's colours in Oklab, on a halving that is small enough to be worked on as a whole. */
final readonly class Colours
{
    /** Pictures are worked on at no more pixels than this. */
    public const MOST_PIXELS = 2_200_000;

    private const KEPT_LIGHTNESS = 0.5;

    /** Added to lightness, so that the noise of the darkest tones is no colour. */
    private const DARKEST = 0.2;

    /**
     * @param  list<float>  $lightness
     * @param  list<float>  $first  from green to red
     * @param  list<float>  $second  from blue to yellow
     * @param  list<float>  $alpha
     */
    private function __construct(
        public int $level,
        public int $columns,
        public int $rows,
        public array $lightness,
        public array $first,
        public array $second,
        public array $alpha,
    ) {
    }

    public static function of(PictureSource $picture, int $most = self::MOST_PIXELS): self
    {
        return self::at($picture, Halving::within($picture, $most));
    }

    public static function at(PictureSource $picture, Halving $halving): self
    {
        $colours = self::read($picture, $halving->pixels($picture));

        return new self($halving->level, $halving->columns, $halving->rows, ...$colours);
    }

    /**
     * Of some pixels alone; the others are black and not there.
     *
     * @param  list<int>  $only  by their place in the halving
     */
    public static function some(PictureSource $picture, Halving $halving, array $only): self
    {
        $planes = array_fill(0, 4, array_fill(0, $halving->columns * $halving->rows, 0.0));
        if ($only === []) {
            return new self($halving->level, $halving->columns, $halving->rows, ...$planes);
        }
        [$left, $right, $top, $bottom] = [$halving->columns, 0, intdiv(min($only), $halving->columns), intdiv(max($only), $halving->columns)];
        foreach ($only as $at) {
            $column = $at % $halving->columns;
            $left = min($left, $column);
            $right = max($right, $column);
        }
        $columns = $right + 1 - $left;
        $box = $picture->pixels($halving->level, $left, $top, $columns, $bottom + 1 - $top);
        $wanted = [];
        foreach ($only as $at) {
            $wanted[] = $box[(intdiv($at, $halving->columns) - $top) * $columns + $at % $halving->columns - $left];
        }
        foreach (self::read($picture, $wanted) as $plane => $values) {
            foreach ($only as $k => $at) {
                $planes[$plane][$at] = $values[$k];
            }
        }

        return new self($halving->level, $halving->columns, $halving->rows, ...$planes);
    }

    /**
     * @param  list<int>  $pixels  packed
     * @return array{list<float>, list<float>, list<float>, list<float>} lightness, both axes of colour, alpha
     */
    private static function read(PictureSource $picture, array $pixels): array
    {
        $bits = $picture->bits();
        $mask = (1 << $bits) - 1;
        $down = $bits - 8;
        $linear = Srgb::bytesDecoded();
        // cube roots by table: to a 4096th of linear light, finer than what 8 bits tell apart above black
        $roots = [];
        for ($k = 0; $k <= 4096; $k++) {
            $roots[] = ($k / 4096) ** (1 / 3);
        }
        $lightness = $first = $second = $alpha = [];
        // unpacked here and not by Pixels: another pass over them costs a third more
        foreach ($pixels as $pixel) {
            $r = $linear[($pixel >> 2 * $bits & $mask) >> $down];
            $g = $linear[($pixel >> $bits & $mask) >> $down];
            $b = $linear[($pixel & $mask) >> $down];
            $l = $roots[(int) (4096 * (0.4122214708 * $r + 0.5363325363 * $g + 0.0514459929 * $b))];
            $m = $roots[(int) (4096 * (0.2119034982 * $r + 0.6806995451 * $g + 0.1073969566 * $b))];
            $s = $roots[(int) (4096 * (0.0883024619 * $r + 0.2817188376 * $g + 0.6299787005 * $b))];
            $lightness[] = 0.2104542553 * $l + 0.7936177850 * $m - 0.0040720468 * $s;
            $first[] = 1.9779984951 * $l - 2.4285922050 * $m + 0.4505937099 * $s;
            $second[] = 0.0259040371 * $l + 0.7827717662 * $m - 0.8086757660 * $s;
            $alpha[] = ($pixel >> 3 * $bits & $mask) / $mask;
        }

        return [$lightness, $first, $second, $alpha];
    }

    /** @return array{float, float, float} one colour for comparing with these */
    public static function one(float $red, float $green, float $blue): array
    {
        return Oklab::ofLinear(Srgb::decode($red), Srgb::decode($green), Srgb::decode($blue));
    }

    /**
     * The same with colourfulness taken as a share of lightness, which shading leaves almost as it is, and with lightness
     * counting less: a body's lit and shaded side become alike, while what differs in hue stays apart.
     *
     * @param  list<int>|null  $only  where it is wanted; everywhere if not given
     */
    public function unshaded(?array $only = null): self
    {
        [$lightness, $first, $second] = [$this->lightness, $this->first, $this->second];
        foreach ($only ?? array_keys($lightness) as $at) {
            $value = $lightness[$at];
            $share = 1 / ($value + self::DARKEST);
            $lightness[$at] = self::KEPT_LIGHTNESS * $value;
            $first[$at] *= $share;
            $second[$at] *= $share;
        }

        return new self($this->level, $this->columns, $this->rows, $lightness, $first, $second, $this->alpha);
    }

    /** The same at half the size: means of 2 x 2. */
    public function halved(): self
    {
        [$columns, $rows] = [intdiv($this->columns + 1, 2), intdiv($this->rows + 1, 2)];
        $planes = [];
        foreach ([$this->lightness, $this->first, $this->second, $this->alpha] as $plane) {
            $half = [];
            for ($row = 0; $row < $rows; $row++) {
                $top = 2 * $row * $this->columns;
                $bottom = 2 * $row + 1 < $this->rows ? $top + $this->columns : $top;
                for ($column = 0; $column < $columns; $column++) {
                    $left = 2 * $column;
                    $right = $left + 1 < $this->columns ? $left + 1 : $left;
                    $half[] = ($plane[$top + $left] + $plane[$top + $right] + $plane[$bottom + $left] + $plane[$bottom + $right]) * 0.25;
                }
            }
            $planes[] = $half;
        }

        return new self($this->level + 1, $columns, $rows, ...$planes);
    }
}
