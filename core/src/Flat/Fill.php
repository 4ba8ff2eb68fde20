<?php

declare(strict_types=1);

namespace Aumbrel\Core\Flat;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\Values;

/** One colour as it is stored, over everything that its masks leave: for burning and for dark tints. */
final readonly class Fill implements OneTone
{
    use Plain;

    public function __construct(public Rgb $colour)
    {
    }

    public static function key(): string
    {
        return 'fill';
    }

    public static function label(): string
    {
        return 'Flat colour';
    }

    public static function hint(): string
    {
        return 'A flat colour, to tint or to burn';
    }

    public static function family(): Family
    {
        return Family::Flat;
    }

    public static function parameters(): array
    {
        return [FlatColourValue::named('colour', 'Colour', 'light', '#20304a')];
    }

    public static function from(Values $values): self
    {
        return new self(Rgb::fromHex($values->text('colour')));
    }

    public function tone(): Rgb
    {
        return $this->colour;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Multiply;
    }

    public function layers(Site $site): array
    {
        return [new Layer($site->mode(), new Everywhere, OneColour::flat($this->colour), new Amount($site->amount()))];
    }
}
