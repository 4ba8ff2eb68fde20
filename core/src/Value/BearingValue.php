<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Bearing\Method;

/** Where a plate's light comes from, and how that was found. */
final readonly class BearingValue extends ValueType
{
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'bearing';
    }

    public function read(mixed $raw, string $field): FoundBearing
    {
        return FoundBearing::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof FoundBearing ? $value->toArray() : null;
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'object', 'required' => ['by'], 'properties' => [
            'by' => ['enum' => array_column(Method::cases(), 'value')],
            'azimuth' => ['type' => 'number', 'minimum' => -180, 'maximum' => 180], 'elevation' => ['type' => 'number', 'minimum' => -90, 'maximum' => 90],
            'spread' => ['type' => 'number', 'minimum' => 0, 'maximum' => 180], 'confidence' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
            ...array_fill_keys(['base', 'tip', 'top'], PointValue::SCHEMA),
        ]];
    }
}
