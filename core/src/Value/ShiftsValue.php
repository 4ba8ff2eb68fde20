<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\Shifts;

/** Colours of darks, mids and lights moved apart from one another. */
final readonly class ShiftsValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, new Shifts);
    }

    public static function key(): string
    {
        return 'shifts';
    }

    public function read(mixed $raw, string $field): Shifts
    {
        return Shifts::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Shifts ? $value->toArray() : null;
    }

    public function schema(): array
    {
        $shift = ['type' => 'array', 'minItems' => 3, 'maxItems' => 3, 'items' => ['type' => 'number', 'minimum' => -Shifts::MOST, 'maximum' => Shifts::MOST]];

        return ['type' => 'object', 'properties' => array_fill_keys(Shifts::RANGES, $shift), 'additionalProperties' => false];
    }

    public function describe(): array
    {
        return ['least' => -Shifts::MOST, 'most' => Shifts::MOST];
    }
}
