<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Ramp\Course;
use Aumbrel\Core\Ramp\ToneRamp;

/** Tones to colours. */
final readonly class ToneRampValue extends ValueType
{
    /** @param  list<array<string, mixed>>  $default  stops */
    public static function named(string $name, string $label, string $section, array $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, ToneRamp::read($default, $name));
    }

    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'tone ramp';
    }

    public function read(mixed $raw, string $field): ToneRamp
    {
        return ToneRamp::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof ToneRamp ? $value->toArray() : null;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'minItems' => 1, 'maxItems' => Course::MOST, 'items' => [
            'type' => 'object', 'required' => ['offset', 'colour'], 'properties' => [
                'offset' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'colour' => FlatColourValue::SCHEMA,
                'midpoint' => ['type' => 'number', 'minimum' => 0.01, 'maximum' => 0.99], 'smooth' => ['type' => 'boolean'],
            ],
        ]];
    }
}
