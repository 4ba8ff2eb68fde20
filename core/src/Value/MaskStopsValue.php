<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Ramp\Course;
use Aumbrel\Core\Ramp\Stops;

/** The stops of a mask's gradient. */
final readonly class MaskStopsValue extends ValueType
{
    public static function named(string $name, string $label, string $section, Stops $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function key(): string
    {
        return 'mask stops';
    }

    public function read(mixed $raw, string $field): Stops
    {
        return Stops::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Stops ? $value->toArray() : null;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'minItems' => 1, 'maxItems' => Course::MOST, 'items' => [
            'type' => 'object', 'required' => ['offset', 'value'], 'properties' => [
                'offset' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'value' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
                'midpoint' => ['type' => 'number', 'minimum' => 0.01, 'maximum' => 0.99], 'smooth' => ['type' => 'boolean'],
            ],
        ]];
    }
}
