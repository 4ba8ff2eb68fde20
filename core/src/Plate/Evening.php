<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** How far a plate's own light is taken down, and what is kept while it is. */
final readonly class Evening
{
    private const SECTION = 'own light';

    /**
     * @param  float  $amount  e, 0..1
     * @param  float|null  $level  x, stops; null for as bright as it was
     * @param  float  $hold  what is finer than a few pixels is raised so many times at most
     */
    private function __construct(public float $amount, public ?float $level, public float $hold)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            NumberValue::named('evened', 'Evened out', self::SECTION, Unit::Percent, 0, 100, 0)->says('How far its own light is taken down: at 100 % it lies in its ambient light alone'),
            NumberValue::optional('ambient', 'Ambient', self::SECTION, Unit::Percent, 2, 98, 'as it is read', 1)->says('How much of its light has no direction'),
            NumberValue::optional('evenedLevel', 'Lifted by', self::SECTION, Unit::Stops, -6, 6, 'as bright as before', 0.1)->says('How far it is lifted while its light is taken down'),
            NumberValue::named('hold', 'Hold', self::SECTION, Unit::Factor, 1, 16, 2, 0.1)->says('What is finer than a few pixels is raised so many times at most: the grain of its dark side stays down'),
            ToggleValue::named('bends', 'Form from its shading', self::SECTION, true)->says('Its body follows what its own light shows of it, where the outline only guesses'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('evened') / 100, $values->optionalNumber('evenedLevel'), $values->number('hold'));
    }

    public function isNone(): bool
    {
        return $this->amount <= 0.0;
    }
}
