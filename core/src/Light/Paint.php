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
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\Values;

/** Dodging and burning by strokes: by illuminate the light is 2^(stops x what was painted) of what it was. */
final readonly class Paint implements Painted
{
    use Plain;

    private function __construct(private LightColour $colour, private Tones $tones)
    {
    }

    public static function key(): string
    {
        return 'paint';
    }

    public static function label(): string
    {
        return 'Paint';
    }

    public static function hint(): string
    {
        return 'Lighter above 0 stops, darker below, where you paint';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function tip(): string
    {
        return Tip::Brush->value;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::swatch('#ffffff')),
            ChoiceValue::named('tones', 'Only in', 'light', array_column(Tones::cases(), 'value'), Tones::All->value),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('colour', LightColour::class), Tones::from($values->text('tones')));
    }

    public static function placedLevel(): float
    {
        return 1.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());

        return $colour->largest() <= 0 ? [] : [new Layer($site->mode(), new PaintedPlaces($this->tones), OneColour::ofLight($colour), new Stops($site->level()))];
    }
}
