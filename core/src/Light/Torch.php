<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Painted;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stops;
use Aumbrel\Core\Stroke\Tip;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\Values;

/** A small lamp that is walked over the picture: its mark is a lamp's own pool, and where it dwells it exposes more. */
final readonly class Torch implements Painted
{
    use Plain;

    private function __construct(private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'torch';
    }

    public static function label(): string
    {
        return 'Torch';
    }

    public static function hint(): string
    {
        return 'A lamp walked over the picture; it lights more where it dwells';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function tip(): string
    {
        return Tip::Lamp->value;
    }

    public static function parameters(): array
    {
        return [LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3400))];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('colour', LightColour::class));
    }

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

        return $colour->largest() <= 0 ? [] : [new Layer($site->mode(), new PaintedPlaces(Tones::All), OneColour::ofLight($colour), new Stops($site->level()))];
    }
}
