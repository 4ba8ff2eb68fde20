<?php

declare(strict_types=1);

namespace Aumbrel\Core\Flat;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\LaidRamp;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Kind\Pairs;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\Values;

/** One colour as it is stored, or a ramp of them, over everything that its masks leave: for burning and for dark tints. */
final readonly class Fill implements OneTone, Pairs
{
    use Plain;

    private const ONE = 'one colour';

    /** How much there is of each of a pair, percent: a sky takes more than a ground. */
    private const SKY_AMOUNT = 80.0;

    private const GROUND_AMOUNT = 60.0;

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

    public static function pairLabel(): string
    {
        return 'Sky and ground';
    }

    public static function pairHint(): string
    {
        return 'Two ramps that darken, from above and from below';
    }

    /** Each ends at the horizon, or in the middle while none is known. */
    public static function pair(Point $middle, float $width, Stage $stage): array
    {
        [$columns, $rows] = $stage->size();
        $horizon = round($stage->camera->eyeRow());
        $ramp = static fn (string $name, float $row, float $amount): array => ['name' => $name, 'amount' => $amount, 'values' => ['filled' => LaidRamp::LINEAR, 'from' => [$columns / 2, $row], 'to' => [$columns / 2, $horizon]]];

        return [$ramp('Sky', 0.0, self::SKY_AMOUNT), $ramp('Ground', $rows, self::GROUND_AMOUNT)];
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
