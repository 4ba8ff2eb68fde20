<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\LaidRamp;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Pairs;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\ToneRamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\ToneRampValue;
use Aumbrel\Core\Value\Values;

/**
 * Colour over everything that its masks leave: plain, keyed by the tones below, so that black stays black, or a ramp from one
 * colour of light to another.
 */
final readonly class Wash implements Pairs
{
    use Plain;

    /** How far one of a pair goes over into the other, of the width of what they lie on. */
    private const SOFT = 0.3;

    private const KEYED = ['plain', 'by tones', LaidRamp::LINEAR, LaidRamp::RADIAL];

    /**
     * @param  ToneRamp|null  $ramp  of its own; null from black to the colour
     * @param  LaidRamp|null  $laid  null where it is of one colour, or goes by tones
     */
    private function __construct(private LightColour $colour, private bool $isKeyed, private ?ToneRamp $ramp, private ?LaidRamp $laid, private Following $following)
    {
    }

    public static function key(): string
    {
        return 'wash';
    }

    public static function label(): string
    {
        return 'Wash';
    }

    public static function hint(): string
    {
        return 'Coloured light over everything, or over a plate';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3200))->shownWhen('keyed', [self::KEYED[0], self::KEYED[1]]),
            ChoiceValue::named('keyed', 'Keyed', 'light', self::KEYED, self::KEYED[0]),
            ToneRampValue::optional('ramp', 'Tones', 'light', 'black to the colour')->shownWhen('keyed', [self::KEYED[1]]),
            ...LaidRamp::parameters('keyed', ColourRamp::of([0.0, '#ffab5e', 1.0, 0.5, true], [1.0, '#5f8dff', 1.0])),
            ...Following::parameters('surroundings', false),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('colour', LightColour::class), $values->text('keyed') === self::KEYED[1], $values->optional('ramp', ToneRamp::class), LaidRamp::from($values, 'keyed'), Following::from($values, false));
    }

    public static function pairLabel(): string
    {
        return 'Split pair';
    }

    public static function pairHint(): string
    {
        return 'Two gels that share one line';
    }

    /** Two gels by tones, in hard light, at nine tenths (common practice, no source): where the one ends the other begins, along a soft line through the middle. */
    public static function pair(Point $middle, float $width, Stage $stage): array
    {
        $gel = static fn (string $name, string $colour): array => ['name' => $name, 'mode' => BlendMode::HardLight->value, 'level' => -0.15, 'values' => ['colour' => ['swatch' => $colour], 'keyed' => self::KEYED[1]]];
        $soft = $width * self::SOFT / 2;
        $line = ['kind' => 'linear', 'values' => ['from' => [round($middle->x - $soft, 1), round($middle->y, 1)], 'to' => [round($middle->x + $soft, 1), round($middle->y, 1)], 'smooth' => true]];

        return [[...$gel('Gel, one side', '#ff4a24'), 'masks' => [$line]], [...$gel('Gel, other side', '#2a7bff'), 'complements' => true]];
    }

    /** A stop down: the whole picture takes it. */
    public static function placedLevel(): float
    {
        return -1.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function problem(Surroundings $around): ?string
    {
        return $this->following->problem($around);
    }

    public function layers(Site $site): array
    {
        if ($this->laid !== null) {
            return [new Layer($site->mode(), $this->following->onto($this->laid->field($site->stage()), $site), $this->laid->tint($site->stage()), new Level($site->level()))];
        }
        $colour = $this->colour->linear($site->white());
        if ($colour->largest() <= 0 && $this->ramp === null) {
            return [];
        }
        $tint = $this->isKeyed ? new ByTones($this->ramp ?? ToneRamp::toward($colour->encoded())) : OneColour::ofLight($colour);

        return [new Layer($site->mode(), $this->following->onto(new Everywhere, $site), $tint, Level::of($site, $this->colour))];
    }
}
