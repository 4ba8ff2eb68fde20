<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Light along the edge of a plate that faces it: facing x exp(-(d/width)²), d the distance inside the outline.
 *
 * facing = clamp(c cos e + k, 0, 1), c the share of the outward normal toward the light, k = wrap + max(0, -sin e): light from
 * behind comes round the edge.
 */
final readonly class Rim implements Directed, Driven, Proposes
{
    use ByBearing;
    use DrivenByValues;
    use Plain;

    /** The width of a new one, of the plate's shorter side. */
    private const OF_SIZE = 0.035;

    /**
     * @param  string|null  $of  the plate along whose edge it lies
     * @param  float  $width  scene pixels
     * @param  float  $wrap  0..1
     */
    public function __construct(
        public ?string $of,
        public Bearing $bearing,
        public float $width,
        public float $wrap,
        private LightColour $colour,
    ) {
    }

    public static function key(): string
    {
        return 'rim';
    }

    public static function label(): string
    {
        return 'Rim';
    }

    public static function hint(): string
    {
        return 'Light along the edge of a plate, from where it comes';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(4300)),
            PlateValue::optional('of', 'On', 'light', 'no plate'),
            NumberValue::named('width', 'Width', 'light', Unit::Pixels, 0.5, 1000, 8, 0.5),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 45),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, -20),
            NumberValue::named('wrap', 'Wrap', 'direction', Unit::Percent, 0, 100, 0),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->optionalText('of'), new Bearing($values->number('azimuth'), $values->number('elevation')), $values->number('width'),
            $values->number('wrap') / 100, $values->object('colour', LightColour::class),
        );
    }

    /** About a hundredth of what is looked at, so that it is seen. */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate, 'width' => max(2.0, round($span * 0.012, 1))];
    }

    /** One on each plate that is cut out; its width follows from the plate's size. */
    public static function proposals(Placed $placed): array
    {
        return array_map(static fn (PlacedPlate $plate): Proposal => new Proposal(
            "rim {$plate->id}", "Rim on {$plate->name}", self::class, ['of' => $plate->id, 'width' => round(max(1.0, self::OF_SIZE * $plate->size), 1)],
            self::placedLevel(), order: 100,
        ), $placed->subjects());
    }

    /** On a lit plate a rim is seen from about two stops over it on (common practice, no source). */
    public static function placedLevel(): float
    {
        return 2.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        $outline = $this->of === null ? null : $site->outline($this->of);
        $plate = $this->of === null ? null : $site->seen($this->of);
        if ($outline === null || $plate === null || $colour->largest() <= 0) {
            return [];
        }

        return [new Layer($site->mode(), new RimField($this, $outline, $plate), OneColour::ofLight($colour), Level::of($site, $this->colour), within: $this->of)];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->of === null => 'A rim lies along the edge of a plate: choose which one.',
            $around->plate($this->of) === null => 'Its plate is gone: choose another one.',
            ! $around->hasOutline($this->of) => 'Its plate is not cut out, so there is no edge for a rim.',
            default => null,
        };
    }

    public function lights(): ?string
    {
        return $this->of;
    }

    /**
     * How much of the light an edge takes, 0..1.
     *
     * @param  float  $toward  the share of the outward normal toward the light's azimuth, -1..1
     * @param  float  $slant  cos of the elevation
     * @param  float  $round  wrap + max(0, -sin of the elevation)
     */
    public static function facing(float $toward, float $slant, float $round): float
    {
        $facing = $toward * $slant + $round;
        if ($facing > 1.0) {
            $facing = 1.0;
        }

        return $facing > 0.0 ? $facing : 0.0;
    }
}
