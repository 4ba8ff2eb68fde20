<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Color\LightColour;

/** The colour of a light: by temperature or by swatch. */
final readonly class LightColourValue extends ValueType
{
    public static function named(string $name, string $label, string $section, LightColour $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function key(): string
    {
        return 'light colour';
    }

    public function read(mixed $raw, string $field): LightColour
    {
        return LightColour::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof LightColour ? $value->toArray() : null;
    }

    public function schema(): array
    {
        return ['oneOf' => [
            ['type' => 'object', 'required' => ['swatch'], 'properties' => ['swatch' => FlatColourValue::SCHEMA], 'not' => ['required' => ['kelvin']]],
            ['type' => 'object', 'required' => ['kelvin'], 'properties' => ['kelvin' => ['type' => 'number', 'minimum' => Kelvin::COOLEST, 'maximum' => Kelvin::HOTTEST]], 'not' => ['required' => ['swatch']]],
        ]];
    }
}
