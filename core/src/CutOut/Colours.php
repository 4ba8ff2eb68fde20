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
     * @param  array<int, float>  $lightness
     * @param  array<int, float>  $first  from green to red
     * @param  array<int, float>  $second  from blue to yellow
     * @param  array<int, float>  $alpha
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
     * Of some pixels alone; there is nothing of the others.
     *
     * @param  list<int>  $only  by their place in the halving
     */
    public static function some(PictureSource $picture, Halving $halving, array $only): self
    {
        [$lightness, $first, $second, $alpha] = self::read($picture, self::pixelsAt($picture, $halving, $only));

        return new self($halving->level, $halving->columns, $halving->rows, array_combine($only, $lightness), array_combine($only, $first), array_combine($only, $second), array_combine($only, $alpha));
    }

    /**
     * @param  list<int>  $only
     * @return list<int> packed
     */
    private static function pixelsAt(PictureSource $picture, Halving $halving, array $only): array
    {
        if ($only === []) {
            return [];
        }
        [$left, $right, $top, $bottom] = [$halving->columns, 0, intdiv(min($only), $halving->columns), intdiv(max($only), $halving->columns)];
        foreach ($only as $at) {
            $column = $at % $halving->columns;
            $left = min($left, $column);
            $right = max($right, $column);
        }
        $columns = $right + 1 - $left;
        $box = $picture->pixels($halving->level, $left, $top, $columns, $bottom + 1 - $top);

        return array_map(static fn (int $at): int => $box[(intdiv($at, $halving->columns) - $top) * $columns + $at % $halving->columns - $left], $only);
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
     */
    public function unshaded(): self
    {
        $lightness = $first = $second = [];
        foreach ($this->lightness as $at => $value) {
            $share = 1 / ($value + self::DARKEST);
            $lightness[$at] = self::KEPT_LIGHTNESS * $value;
            $first[$at] = $this->first[$at] * $share;
            $second[$at] = $this->second[$at] * $share;
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
