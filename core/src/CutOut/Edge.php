<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Unit;
use Aumbrel\Core\Parameter\Values;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\GuidedFilter;

/**
 * How a cut-out's edge is cleaned, in this order: hollow insides filled, grown or shrunk, a hair band along it worked out
 * again from the picture, softened; and the old background's colour taken out of what is half covered.
 *
 * Lengths are pixels of the plate's picture.
 */
final readonly class Edge
{
    public const SECTION = 'edge';

    /** Variance of colour below which the hair band smooths rather than follows. */
    private const SMOOTHNESS = 1e-4;

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
            Parameter::number('grow', 'Grow or shrink', self::SECTION, Unit::Pixels, -200, 200, 0, 0.5),
            Parameter::number('soften', 'Soften', self::SECTION, Unit::Pixels, 0, 200, 0, 0.5),
            Parameter::number('hairBand', 'Hair band', self::SECTION, Unit::Pixels, 0, 60, 0),
            Parameter::number('unstain', 'Unstain', self::SECTION, Unit::Percent, 0, 100, 0),
            Parameter::toggle('fillInside', 'Fill insides', self::SECTION),
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

    /** Pixels around a window that decide about those inside it. */
    public function margin(float $scale): int
    {
        $reach = abs($this->grow) + Gaussian::REACH * $this->soften + 4 * $this->hairBand;

        return $reach + $this->unstain > 0 ? (int) min(600.0, ceil($reach * $scale) + 2 + ($this->unstain > 0 ? Unstain::reach($scale) : 0)) : 0;
    }

    /**
     * @param  list<float>  $alpha  row after row
     * @param  array{list<float>, list<float>, list<float>}|null  $colours  red, green, blue 0..1; only the hair band asks for them
     * @param  float  $scale  pixels to one of the picture's
     * @return list<float>
     */
    public function clean(array $alpha, ?array $colours, int $columns, int $rows, float $scale): array
    {
        if ($this->grow != 0.0) {
            $alpha = self::grown($alpha, $columns, $rows, $this->grow * $scale);
        }
        if ($this->hairBand > 0 && $colours !== null) {
            $alpha = $this->withHair($alpha, $colours, $columns, $rows, $scale);
        }

        return $alpha;
    }

    /**
     * Softens the edge, past the plate's border too. What is blurred is how much there is of each colour (premultiplied):
     * where the picture has no colour of its own it takes its neighbours', and none from under what is transparent.
     *
     * @param  list<float>  $alpha  row after row, 0 outside the plate
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue 0..1
     * @param  list<float>  $own  the picture's own alpha
     * @param  float  $scale  pixels to one of the picture's
     * @return array{list<float>, array{list<float>, list<float>, list<float>}} alpha and colours
     */
    public function softened(array $alpha, array $colours, array $own, int $columns, int $rows, float $scale): array
    {
        $sigma = $this->soften * $scale;
        $soft = [];
        foreach (Gaussian::blur($alpha, $columns, $rows, $sigma) as $value) {
            $soft[] = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
        }
        $spread = [];
        foreach ($colours as $channel) {
            $weighted = [];
            foreach ($channel as $at => $value) {
                $weighted[] = $value * $alpha[$at];
            }
            $near = Gaussian::blur($weighted, $columns, $rows, $sigma);
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
        $grown = [];
        foreach (Distance::signed($alpha, $columns, $rows) as $distance) {
            $value = $distance + $by + 0.5;
            $grown[] = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
        }

        return $grown;
    }

    /**
     * @param  list<float>  $alpha
     * @param  array{list<float>, list<float>, list<float>}  $colours
     * @return list<float>
     */
    private function withHair(array $alpha, array $colours, int $columns, int $rows, float $scale): array
    {
        $width = max(1.0, $this->hairBand * $scale);
        $distances = Distance::signed($alpha, $columns, $rows);
        [$known, $sureness] = HairColours::alpha($distances, $colours, $columns, $rows, $width);
        foreach ($known as $at => $value) {
            $known[$at] = $alpha[$at] + $sureness[$at] * ($value - $alpha[$at]);
        }
        /** @var list<float> $known changed only where it had values already */
        $filtered = GuidedFilter::apply($known, $colours, $columns, $rows, max(1, (int) round($width / 3)), self::SMOOTHNESS);
        $out = [];
        foreach ($distances as $at => $distance) {
            $away = ($distance < 0 ? -$distance : $distance) / $width;
            // outside the band nothing changes; toward its borders the change fades
            $share = $away >= 1.0 ? 0.0 : ($away > 0.7 ? (1.0 - $away) / 0.3 : 1.0);
            $hair = $filtered[$at];
            // a filter's means never quite reach the ends
            $hair = ($hair - 0.04) / 0.92;
            $hair = $hair < 0.0 ? 0.0 : ($hair > 1.0 ? 1.0 : $hair);
            $out[] = $alpha[$at] + $share * ($hair - $alpha[$at]);
        }

        return $out;
    }
}
