<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\Gel;
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
        $percent = static fn (int $most): array => ['type' => 'number', 'minimum' => 0, 'maximum' => $most];
        $more = [
            'gel' => ['enum' => array_map(static fn (Gel $gel): string => $gel->name, Gel::shelf())], 'loses' => ['type' => 'boolean'],
            'saturation' => $percent(200), 'tint' => FlatColourValue::SCHEMA, 'tinted' => $percent(100),
        ];

        return ['oneOf' => [
            ['type' => 'object', 'required' => ['swatch'], 'properties' => ['swatch' => FlatColourValue::SCHEMA, ...$more], 'not' => ['required' => ['kelvin']]],
            ['type' => 'object', 'required' => ['kelvin'], 'properties' => [
                'kelvin' => ['type' => 'number', 'minimum' => Kelvin::COOLEST, 'maximum' => Kelvin::HOTTEST], 'shift' => ['type' => 'number', 'description' => 'mireds'], ...$more,
            ], 'not' => ['required' => ['swatch']]],
        ]];
    }
}
