<?php

declare(strict_types=1);

namespace Aumbrel\Core\Flat;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\LaidRamp;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\Values;

/** One colour as it is stored, or a ramp of them, over everything that its masks leave: for burning and for dark tints. */
final readonly class Fill implements OneTone
{
    use Plain;

    private const ONE = 'one colour';

    /** @param  LaidRamp|null  $ramp  null for the one colour */
    private function __construct(private Rgb $colour, private ?LaidRamp $ramp)
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
        return 'A flat colour or a ramp, to tint or to burn';
    }

    public static function family(): Family
    {
        return Family::Flat;
    }

    public static function parameters(): array
    {
        return [
            ChoiceValue::named('filled', 'Filled with', 'light', [self::ONE, LaidRamp::LINEAR, LaidRamp::RADIAL], self::ONE)->says('One colour everywhere, or a ramp along a line or round a place'),
            FlatColourValue::named('colour', 'Colour', 'light', '#20304a')->shownWhen('filled', [self::ONE]),
            // both ends are of the same colour, so that it fades into nothing and not by way of another one
            ...LaidRamp::parameters('filled', ColourRamp::of([0.0, '#20304a', 1.0, 0.5, true], [1.0, '#20304a', 0.0])),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(Rgb::fromHex($values->text('colour')), LaidRamp::from($values, 'filled'));
    }

    public function tone(): ?Rgb
    {
        return $this->ramp === null ? $this->colour : null;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Multiply;
    }

    public function layers(Site $site): array
    {
        return [new Layer(
            $site->mode(), $this->ramp?->field($site->stage()) ?? new Everywhere, $this->ramp?->tint($site->stage()) ?? OneColour::flat($this->colour), new Amount($site->amount()),
        )];
    }
}
