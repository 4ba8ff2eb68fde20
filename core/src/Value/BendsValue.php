<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Bends;
use Aumbrel\Core\Geometry\Mirror;

/** Places of a shadow that were dragged elsewhere, where the ground is not flat. */
final readonly class BendsValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, Bends::none());
    }

    public static function key(): string
    {
        return 'bends';
    }

    public function read(mixed $raw, string $field): Bends
    {
        return Bends::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Bends ? $value->toArray() : null;
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value instanceof Bends ? $value->mirrored() : $value;
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'maxItems' => Bends::MOST, 'items' => ['type' => 'object', 'required' => ['at', 'by'], 'properties' => ['at' => PointValue::SCHEMA, 'by' => PointValue::SCHEMA]]];
    }
}
