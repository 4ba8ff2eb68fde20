<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Body\ChamferPlane;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Evenly;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A rounded edge of a plate's outline, for frames and cut shapes: it shades as relief does, lights and shades apart. */
final readonly class Chamfer implements Directed, Driven, Proposes
{
    use ByBearing;
    use DrivenByValues;
    use Plain;

    /** How wide that of something that hangs is, of its shorter side. */
    private const OF_SIZE = 0.06;

    /**
     * @param  float  $lights  how much of what turns toward the light is seen
     * @param  float  $shades  how much of what turns away from it
     */
    private function __construct(private ?string $of, private float $width, private float $roundness, private float $smooth, private float $lights, private float $shades, private Bearing $bearing, private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'chamfer';
    }

    public static function label(): string
    {
        return 'Chamfer';
    }

    public static function hint(): string
    {
        return 'A rounded edge of a plate that catches light';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            PlateValue::optional('of', 'On', 'light', 'no plate'),
            NumberValue::named('width', 'Width', 'light', Unit::Pixels, 0.5, 1000, 12, 0.5)->says('How far inside its outline the edge has risen'),
            NumberValue::named('roundness', 'Roundness', 'light', Unit::Percent, 0, 100, 70)->says('From a flat slope to a quarter of a circle'),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 135),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, 30),
            NumberValue::named('lights', 'Lights', 'reach', Unit::Percent, 0, 200, 100)->says('How much brighter it gets toward the light'),
            NumberValue::named('shades', 'Shades', 'reach', Unit::Percent, 0, 200, 80)->says('How much darker it gets away from the light'),
            NumberValue::named('smooth', 'Smoothness', 'reach', Unit::Pixels, 0, 100, 1, 0.1)->says('How far the edge is smoothed'),
            LightColourValue::named('colour', 'Colour', 'reach', LightColour::swatch('#ffffff')),
        ];
    }

    public static function from(Values $values): self
    {
        $share = static fn (string $name): float => $values->number($name) / 100;

        return new self($values->optionalText('of'), $values->number('width'), $share('roundness'), $values->number('smooth'), $share('lights'), $share('shades'), new Bearing($values->number('azimuth'), $values->number('elevation')), $values->object('colour', LightColour::class));
    }

    /** On each plate that hangs: a frame, a bezel. */
    public static function proposals(Placed $placed): array
    {
        return array_map(static fn (PlacedPlate $plate): Proposal => new Proposal(
            "chamfer {$plate->id}", "Edge of {$plate->name}", self::class, ['of' => $plate->id, 'width' => round(max(2.0, self::OF_SIZE * $plate->size), 1)], 0.0, ticked: false, order: 114,
        ), $placed->those(Stance::Hangs));
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate, 'width' => round(max(2.0, 0.02 * $span), 1)];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $of = $this->of;
        $name = $of === null ? null : $site->seen($of, Window::whole(1, 1))?->key();
        $colour = $this->colour->linear($site->white());
        if ($of === null || $name === null || ! $site->hasOutline($of) || $colour->largest() <= 0) {
            return [];
        }
        $seen = $site->seen(...);
        $shaded = new Shaded(new ChamferPlane($name, static fn (Window $window) => $seen($of, $window), $this->width, $this->roundness, $this->smooth, $site->window()), $this->bearing, $this->lights, $this->shades);

        return [new Layer($site->mode(), new Evenly(1.0), $site->mode()->isLinear() ? ShadedLight::of($shaded, $colour) : new ShadedGrey($shaded), new ShadedLevel($site->level(), $shaded), recolours: true, within: $of)];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->of === null => 'A chamfer lies along the edge of a plate: choose which one.',
            $around->plate($this->of) === null => 'Its plate is gone: choose another one.',
            ! $around->hasOutline($this->of) => 'Its plate is not cut out, so there is no edge for a chamfer.',
            default => null,
        };
    }

    public function lights(): ?string
    {
        return $this->of;
    }
}
