<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Evenly;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\StripValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;
use Closure;

/** Air that is plain, in a colour of its own, or bound to a light: then it is seen only where that falls, and in its colour. */
final readonly class LitBy
{
    /** @param  string|null  $light  the strip that lights it */
    private function __construct(private ?string $light, private float $level, private string $colour)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(string $colour): array
    {
        return [
            StripValue::optional('lit', 'Lit by', 'light', 'nothing: plain')->says('The light that it hangs in: it is seen only where that falls, in its colour'),
            FlatColourValue::named('colour', 'Colour', 'light', $colour)->says('Its own colour, where no light is said to fall on it'),
            NumberValue::named('brighter', 'Brighter by', 'light', Unit::Stops, -4, 4, 1, 0.1)->says('How much brighter it is than the light that it hangs in, in stops'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->optionalText('lit'), $values->number('brighter'), $values->text('colour'));
    }

    /** @return list<string> the strip that lights it */
    public function goesBy(): array
    {
        return $this->light === null ? [] : [$this->light];
    }

    /**
     * Its layers, where something says how much of it hangs at each place.
     *
     * @param  Closure(Field): Field  $hangs  what is left of a field
     * @return list<Layer>
     */
    public function layers(Site $site, Closure $hangs): array
    {
        $lights = $this->light === null ? null : $site->lightOf($this->light);
        if ($lights === null) {
            return [new Layer($site->mode(), $hangs(new Evenly(1.0)), OneColour::flat(Rgb::fromHex($this->colour)), new Amount($site->amount()))];
        }
        $amount = new Amount($site->amount() * 2 ** $this->level);

        return array_map(static fn (Layer $light): Layer => new Layer(BlendMode::Airlight, $hangs($light->field), $light->tint, $amount), $lights);
    }
}
