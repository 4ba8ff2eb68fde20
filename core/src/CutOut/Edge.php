<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * How a cut-out's edge is cleaned, in this order: hollow insides filled, grown or shrunk, a hair band along it worked out
 * again from the picture, softened; and the old background's colour taken out of what is half covered.
 *
 * Lengths are pixels of the plate's picture.
 */
final readonly class Edge
{
    public const SECTION = 'edge';

    /** Shares of the hair band from which on it fades into what lies beyond. */
    private const FADING = 0.95;

    /** Averaged alpha never quite reaches its ends: so much of it is none, or all. */
    private const ENDS = 0.04;

    /** Alpha below this has no colour that could be told. */
    private const NEXT_TO_NOTHING = 1e-4;

    public function __construct(
        public float $grow = 0.0,
        public float $soften = 0.0,
        public float $hairBand = 0.0,
        public float $unstain = 0.0,
        public bool $fillInside = false,
    ) {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            NumberValue::named('grow', 'Grow or shrink', self::SECTION, Unit::Pixels, -200, 200, 0, 0.5),
            NumberValue::named('soften', 'Soften', self::SECTION, Unit::Pixels, 0, 200, 0, 0.5),
            NumberValue::named('hairBand', 'Hair band', self::SECTION, Unit::Pixels, 0, 60, 0),
            NumberValue::named('unstain', 'Unstain', self::SECTION, Unit::Percent, 0, 100, 0),
            ToggleValue::named('fillInside', 'Fill insides', self::SECTION),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('grow'), $values->number('soften'), $values->number('hairBand'), $values->number('unstain') / 100, $values->toggle('fillInside'));
    }

    public function isNone(): bool
    {
        return $this == new self;
    }

    public function key(): string
    {
        return implode(' ', [$this->grow, $this->soften, $this->hairBand, $this->unstain, (int) $this->fillInside]);
    }

    /** Whether there is more to do than softening and filling holes. */
    public function cleans(): bool
    {
        return $this->grow != 0.0 || $this->hairBand > 0 || $this->isUnstainedHere();
    }

    /** Whether it is unstained when it is cleaned; what is softened is unstained after that. */
    private function isUnstainedHere(): bool
    {
        return $this->unstain > 0 && $this->soften <= 0;
    }

    /** Pixels around a window that decide about those inside it when it is softened there. */
    public function margin(float $scale): int
    {
        $reach = $this->soften > 0 ? Gaussian::REACH * $this->soften * $scale : 0.0;

        return $reach > 0 ? (int) min(600.0, ceil($reach) + 2 + ($this->unstain > 0 ? Unstain::reach($scale) : 0)) : 0;
    }

    /** Pixels around a block that decide about those inside it when its edge is cleaned. */
    public function reach(float $scale): int
    {
        $hair = $this->hairBand > 0 ? HairColours::reach($this->hairBand * $scale) : 0;
        $grow = $this->grow != 0.0 ? (int) ceil(abs($this->grow) * $scale) + 2 : 0;
        $unstain = $this->isUnstainedHere() ? Unstain::reach($scale) : 0;
        $side = $hair > 0 ? HairColours::side($this->hairBand * $scale) : 4;

        // squares of which means are taken lie the same in all blocks
        return $hair + $side * (int) ceil(($grow + $unstain) / $side);
    }

    /**
     * Grown or shrunk, the hair band worked out again from the picture, unstained.
     *
     * @param  list<float>  $alpha  row after row
     * @param  float  $scale  pixels to one of the picture's
     */
    public function clean(array $alpha, Pixels $pixels, int $columns, int $rows, float $scale): CleanEdge
    {
        if ($this->grow != 0.0) {
            $alpha = self::grown($alpha, $columns, $rows, $this->grow * $scale);
        }
        if ($this->hairBand > 0) {
            $alpha = $this->withHair($alpha, $pixels, $columns, $rows, max(1.0, $this->hairBand * $scale));
        }

        return new CleanEdge($alpha, $this->isUnstainedHere() ? $this->unstained($alpha, $pixels, $columns, $rows, $scale) : []);
    }

    /**
     * Softens the edge, past the plate's border too. What is blurred is how much there is of each colour (premultiplied):
     * where the picture has no colour of its own it takes its neighbours', and none from under what is transparent.
     *
     * @param  list<float>  $alpha  row after row, 0 outside the plate
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue 0..1
     * @param  list<float>  $own  the picture's own alpha
     * @param  SoftBlur  $blur  a Gaussian of so many pixels as the edge is softened by, there
     * @return array{list<float>, array{list<float>, list<float>, list<float>}} alpha and colours
     */
    public function softened(array $alpha, array $colours, array $own, SoftBlur $blur): array
    {
        $soft = [];
        foreach ($blur->of($alpha) as $value) {
            $soft[] = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
        }
        $spread = [];
        foreach ($colours as $channel) {
            $weighted = [];
            foreach ($channel as $at => $value) {
                $weighted[] = $value * $alpha[$at];
            }
            $near = $blur->of($weighted);
            $out = [];
            foreach ($channel as $at => $value) {
                $taken = $soft[$at] > self::NEXT_TO_NOTHING ? $near[$at] / $soft[$at] : $value;
                $taken = $taken < 0.0 ? 0.0 : ($taken > 1.0 ? 1.0 : $taken);
                $out[] = $taken + $own[$at] * ($value - $taken);
            }
            $spread[] = $out;
        }

        return [$soft, [$spread[0], $spread[1], $spread[2]]];
    }

    /**
     * @param  list<float>  $alpha
     * @param  float  $by  pixels; below 0 it shrinks
     * @return list<float> with an edge one pixel wide
     */
    public static function grown(array $alpha, int $columns, int $rows, float $by): array
    {
        $grown = Distance::signed($alpha, $columns, $rows, abs($by) + 1.0);
        // in the distances themselves: a fresh plane costs as much as going through it
        for ($at = 0, $end = $columns * $rows; $at < $end; $at++) {
            $value = $grown[$at] + $by + 0.5;
            $grown[$at] = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
        }

        /** @var list<float> $grown changed only where it had values already */
        return $grown;
    }

    /**
     * @param  list<float>  $alpha
     * @param  float  $width  px
     * @return list<float>
     */
    private function withHair(array $alpha, Pixels $pixels, int $columns, int $rows, float $width): array
    {
        $distances = Distance::signed($alpha, $columns, $rows, $width, isExact: false);
        foreach (HairColours::alpha($distances, $pixels, $columns, $rows, $width) as $at => $hair) {
            $hair = ($hair - self::ENDS) / (1.0 - 2 * self::ENDS);
            $hair = $hair < 0.0 ? 0.0 : ($hair > 1.0 ? 1.0 : $hair);
            $away = abs($distances[$at]) / $width;
            // outside the band nothing changes; toward its borders the change fades
            $share = $away > self::FADING ? (1.0 - $away) / (1.0 - self::FADING) : 1.0;
            $alpha[$at] += $share * ($hair - $alpha[$at]);
        }

        /** @var list<float> $alpha changed only where it had values already */
        return $alpha;
    }

    /**
     * The colours of what is half covered, without the background's.
     *
     * @param  list<float>  $alpha
     * @return array<int, int> packed `R<<32 | G<<16 | B`, by pixel
     */
    private function unstained(array $alpha, Pixels $pixels, int $columns, int $rows, float $scale): array
    {
        foreach ($alpha as $value) {
            if ($value > 0.0 && $value < 1.0) {
                $colours = $pixels->channels();
                $clean = Unstain::colours($colours, $alpha, $pixels->alpha(), $columns, $rows, $scale);

                return array_map(self::packed(...), $this->stainless($colours, $clean));
            }
        }

        return [];
    }

    /**
     * Clean colours by the amount of unstaining.
     *
     * @param  array{list<float>, list<float>, list<float>}  $colours
     * @param  array<int, array{float, float, float}>  $clean  by pixel
     * @return array<int, array{float, float, float}>
     */
    public function stainless(array $colours, array $clean): array
    {
        foreach ($clean as $at => $own) {
            foreach ($own as $k => $value) {
                $clean[$at][$k] = $colours[$k][$at] + $this->unstain * ($value - $colours[$k][$at]);
            }
        }

        return $clean;
    }

    /**
     * @param  array{float, float, float}  $colour
     * @return int `R<<32 | G<<16 | B`
     */
    public static function packed(array $colour): int
    {
        return (int) ($colour[0] * 65535.0 + 0.5) << 32 | (int) ($colour[1] * 65535.0 + 0.5) << 16 | (int) ($colour[2] * 65535.0 + 0.5);
    }
}
