<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Shapely;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Light on the body of a plate: f = max(0, (n.l + k)/(1 + k)), n the way its surface faces, l the way to the light, k the wrap;
 * and its gloss, by the half vector (normalised Blinn-Phong: Akenine-Möller, Haines, Hoffman, *Real-Time Rendering*).
 */
final class KeyLight implements Driven, Proposes, Shapely
{
    use ByBearing;
    use OnBody;

    private ?string $of;

    private Bearing $bearing;

    /** 0..1 */
    private float $wrap;

    /** 0..1, and how small its highlight is */
    private float $gloss;

    private float $glossSize;

    private ?float $even;

    private LightColour $colour;

    private ?LampNearby $lamp = null;

    private function __construct()
    {
    }

    public static function key(): string
    {
        return 'key light';
    }

    public static function label(): string
    {
        return 'Key light';
    }

    public static function hint(): string
    {
        return 'Light on the form of a plate, walked around it';
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
            NumberValue::named('wrap', 'Wrap', 'light', Unit::Percent, 0, 100, 10)->says('How far it reaches round to the side away from it, as a wide light does'),
            NumberValue::named('gloss', 'Gloss', 'light', Unit::Percent, 0, 100, 4)->says('How much of it the surface mirrors'),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 135),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, 35),
            NumberValue::named('glossSize', 'Highlight', 'reach', Unit::None, 2, 200, 20, 1)->says('How small and sharp the highlight is'),
            NumberValue::optional('size', 'Softening', 'reach', Unit::Pixels, 1, 100000, 'a third of the way', 1)->says('Of a lamp: how far from it the light hardly grows any more'),
        ];
    }

    public static function from(Values $values): self
    {
        $own = new self;
        $own->of = $values->optionalText('of');
        $own->bearing = new Bearing($values->number('azimuth'), $values->number('elevation'));
        [$own->wrap, $own->gloss, $own->glossSize] = [$values->number('wrap') / 100, $values->number('gloss') / 100, $values->number('glossSize')];
        $own->even = $values->optionalNumber('size');
        $own->colour = $values->object('colour', LightColour::class);

        return $own;
    }

    /** Over a plate that has its own light already a key is seen from about one stop on (common practice, no source). */
    public static function placedLevel(): float
    {
        return 1.0;
    }

    /** One on each plate that is cut out. */
    public static function proposals(Placed $placed): array
    {
        return array_map(static fn (PlacedPlate $plate): Proposal => new Proposal("key {$plate->id}", "Key light on {$plate->name}", self::class, ['of' => $plate->id], 0.0, ticked: false, order: 110), $placed->subjects());
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        $body = $this->of === null ? null : $site->body($this->of);
        $plate = $this->of === null ? null : $site->seen($this->of);
        if ($body === null || $plate === null || $colour->largest() <= 0) {
            return [];
        }
        $toward = $this->lamp ?? $this->bearing;
        $level = Level::of($site, $this->colour);
        $layers = [new Layer($site->mode(), new KeyField($body, $plate, $toward, $this->wrap), OneColour::ofLight($colour), $level, within: $this->of)];
        if ($this->gloss > 0) {
            $layers[] = new Layer($site->mode()->isLinear() ? BlendMode::Airlight : BlendMode::Screen, new GlossField($body, $plate, $toward, $this->gloss, $this->glossSize), OneColour::ofLight($colour), $level, within: $this->of);
        }

        return $layers;
    }

    /** A lamp lights every place from where it stands. */
    public function driven(Drive $drive, Values $own): StripKind
    {
        $driven = self::from(Values::read(Kinds::parametersOf(self::class), [...$own->toArray(), ...$this->inForce($drive)], 'values'));
        $place = $drive->source->kind->rays($drive->stage->camera)->place();
        $driven->lamp = $place === null ? null : LampNearby::of($place, $drive->from, $drive->stage->camera, $driven->even);

        return $driven;
    }
}
