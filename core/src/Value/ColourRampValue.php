<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Course;

/** Colours that come and go. */
final readonly class ColourRampValue extends ValueType
{
    public const SCHEMA = ['type' => 'array', 'minItems' => 1, 'maxItems' => Course::MOST, 'items' => [
        'type' => 'object', 'required' => ['offset', 'colour'], 'properties' => [
            'offset' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'colour' => FlatColourValue::SCHEMA,
            'opacity' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'midpoint' => ['type' => 'number', 'minimum' => 0.01, 'maximum' => 0.99], 'smooth' => ['type' => 'boolean'],
        ],
    ]];

    public static function named(string $name, string $label, string $section, ColourRamp $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function key(): string
    {
        return 'colour ramp';
    }

    public function read(mixed $raw, string $field): ColourRamp
    {
        return ColourRamp::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof ColourRamp ? $value->toArray() : null;
    }

    public function schema(): array
    {
        return self::SCHEMA;
    }
}
