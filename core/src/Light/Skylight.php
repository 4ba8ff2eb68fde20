<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\SeenFrom;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Light of a whole sky on the body of a plate: 0.5 + 0.5 n.u, u the way to the middle of the sky, times how open each place is. */
final readonly class Skylight implements SeenFrom, StripKind
{
    use OnBody;

    private function __construct(private ?string $of, private Bearing $up, private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'skylight';
    }

    public static function label(): string
    {
        return 'Skylight';
    }

    public static function hint(): string
    {
        return 'Soft light from a whole side on the form of a plate';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(7500)),
            PlateValue::optional('of', 'On', 'light', 'no plate'),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 90),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, 0),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->optionalText('of'), new Bearing($values->number('azimuth'), $values->number('elevation')), $values->object('colour', LightColour::class));
    }

    public static function placedLevel(): float
    {
        return 0.0;
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
        $form = $this->of === null ? null : $site->plate($this->of)?->form();
        if ($body === null || $plate === null || $colour->largest() <= 0) {
            return [];
        }
        $occlusion = $form?->occlusion === null ? null : $site->pass((string) $this->of, $form->occlusion);

        return [new Layer($site->mode(), new SkyField($body, $plate, $this->up, $occlusion), OneColour::ofLight($colour), Level::of($site, $this->colour), within: $this->of)];
    }
}
