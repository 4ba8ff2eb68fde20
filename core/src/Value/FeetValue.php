<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Feet;

/** Where a plate touches the ground: up to six points of its picture. */
final readonly class FeetValue extends ValueType
{
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'feet';
    }

    public function read(mixed $raw, string $field): Feet
    {
        return Feet::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Feet ? $value->toArray() : null;
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => PointValue::SCHEMA, 'minItems' => 1, 'maxItems' => Feet::MOST];
    }
}
