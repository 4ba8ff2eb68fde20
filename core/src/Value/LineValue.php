<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Line;

/** A straight line from one point to another. */
final readonly class LineValue extends ValueType
{
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'line';
    }

    public function read(mixed $raw, string $field): Line
    {
        return Line::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Line ? $value->toArray() : null;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return $carry->points($raw);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => PointValue::SCHEMA, 'minItems' => 2, 'maxItems' => 2];
    }
}
