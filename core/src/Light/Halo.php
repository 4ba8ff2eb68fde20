<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\ColourRampValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A halo of a whole plate, in one or several colours: its outline blurred (sigma = spread), shifted, and pulled to a side. Colour
 * and opacity come from a ramp at 1 - field. It lies behind the plate, where that leaves anything, and faintly over its front.
 */
final readonly class Halo implements StripKind
{
    use Plain;

    /**
     * @param  float  $spread  sigma, px
     * @param  array{float, float}  $shift  px, y down
     * @param  array{float, float}  $pull  px, y down
     * @param  float  $front  0..1, the share of it that lies over the plate
     */
    private function __construct(
        private ?string $of,
        private ColourRamp $ramp,
        private float $spread,
        private array $shift,
        private array $pull,
        private float $front,
        private BlendMode $frontMode,
    ) {
    }

    public static function key(): string
    {
        return 'halo';
    }

    public static function label(): string
    {
        return 'Halo';
    }

    public static function hint(): string
    {
        return 'Colours round a whole plate, behind it and faintly over it';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            PlateValue::optional('of', 'Of', 'light', 'no plate'),
            ColourRampValue::named('ramp', 'Colours', 'light', ColourRamp::of([0.0, '#fff1d6', 1.0], [0.45, '#ffb35c', 0.9], [0.75, '#f2683c', 0.75], [1.0, '#7a2b6b', 0.0])),
            NumberValue::named('spread', 'Spread', 'light', Unit::Pixels, 0.5, 4000, 60),
            NumberValue::named('front', 'Over its front', 'light', Unit::Percent, 0, 100, 18),
            ChoiceValue::named('frontMode', 'Front mode', 'light', array_column(BlendMode::cases(), 'value'), BlendMode::Color->value),
            NumberValue::named('shift', 'Shift', 'reach', Unit::Pixels, 0, 20000, 0),
            NumberValue::direction('shiftTo', 'Shift to', 'reach', 90),
            NumberValue::named('pull', 'Pull', 'reach', Unit::Pixels, 0, 4000, 0),
            NumberValue::direction('pullTo', 'Pull to', 'reach', 90),
        ];
    }

    public static function from(Values $values): self
    {
        $way = static function (float $length, float $azimuth): array {
            return [$length * cos(deg2rad($azimuth)), -$length * sin(deg2rad($azimuth))];
        };

        return new self(
            $values->optionalText('of'), $values->object('ramp', ColourRamp::class), $values->number('spread'),
            $way($values->number('shift'), $values->number('shiftTo')), $way($values->number('pull'), $values->number('pullTo')),
            $values->number('front') / 100, BlendMode::from($values->text('frontMode')),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate, 'spread' => round(max(2.0, $span * 0.045))];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Screen;
    }

    public function layers(Site $site): array
    {
        $shape = $this->of === null || $site->outline($this->of) === null ? null : PlateShape::of($site, $this->of, ...$this->shift);
        $seen = $this->of === null ? null : $site->seen($this->of);
        if ($shape === null || $seen === null) {
            return [];
        }
        $field = new Softened($this->pull === [0.0, 0.0] ? $shape : new Pulled($shape, ...$this->pull), $this->spread);
        $ramped = new Ramped($field, $this->ramp);
        $tint = new RampTint($field, $this->ramp, $site->window());
        $layers = [new Layer($site->mode(), new Behind($ramped, $seen), $tint, new Level($site->level()))];
        if ($this->front > 0) {
            $layers[] = new Layer($this->frontMode, $ramped, $tint, new Level($site->level() + log($this->front, 2)), within: $this->of);
        }

        return $layers;
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->of === null => 'A halo lies round a plate: choose which one.',
            $around->plate($this->of) === null => 'Its plate is gone: choose another one.',
            ! $around->hasOutline($this->of) => 'Its plate is not cut out, so there is nothing that a halo could lie round.',
            default => null,
        };
    }
}
