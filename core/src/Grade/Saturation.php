<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Colours made richer or paler and turned, in Oklab, and brighter or darker, in linear light. */
final readonly class Saturation implements LinearGrade, StripKind
{
    use RecoloursItself;
    use WorksInLinear;

    /**
     * @param  float  $factor  of chroma, 0..3
     * @param  float  $turn  radians
     * @param  float  $gain  of linear light
     */
    private function __construct(private float $factor, private float $turn, private float $gain)
    {
    }

    public static function key(): string
    {
        return 'saturation';
    }

    public static function label(): string
    {
        return 'Saturation';
    }

    public static function hint(): string
    {
        return 'Colours richer or paler, turned, brighter';
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('saturation', 'Saturation', 'tone', Unit::Percent, 0, 300, 100)->says('How rich colours are: 0 is grey, as bright as they look'),
            NumberValue::named('turned', 'Hue turned by', 'tone', Unit::Degrees, -180, 180, 0)->says('Turns every hue by so much: red toward yellow above 0, toward violet below'),
            NumberValue::named('brighter', 'Brighter by', 'tone', Unit::Stops, -4, 4, 0, 0.1)->says('Brighter or darker in stops, before colours are changed'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('saturation') / 100, deg2rad($values->number('turned')), 2 ** $values->number('brighter'));
    }

    /** A little paler: what most plates that were not lit together need. */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['saturation' => 70];
    }

    public function isNone(): bool
    {
        return $this->factor === 1.0 && $this->turn === 0.0 && $this->gain === 1.0;
    }

    public function writeLinear(KernelWriter $kernel, array $colour): void
    {
        foreach ($this->gain === 1.0 ? [] : $colour as $channel) {
            $kernel->line("{$channel} *= {$kernel->number($this->gain)};");
        }
        if ($this->turn === 0.0) {
            if ($this->factor !== 1.0) {
                InOklab::move($kernel, $colour, $this->factor);
            }

            return;
        }
        InOklab::ofLinear($kernel, $colour);
        [, $a, $b] = $colour;
        $before = $kernel->variable('before');
        [$cos, $sin] = [$kernel->number($this->factor * cos($this->turn)), $kernel->number($this->factor * sin($this->turn))];
        $kernel->line("{$before} = {$a}; {$a} = {$cos} * {$a} - {$sin} * {$b}; {$b} = {$sin} * {$before} + {$cos} * {$b};");
        InOklab::toLinear($kernel, $colour);
        InOklab::atLeastNone($kernel, $colour);
    }

    public function mayExceed(): bool
    {
        // white comes back a hair above itself
        return true;
    }
}
