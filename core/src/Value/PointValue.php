<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Point;

/** A place in scene pixels. */
final readonly class PointValue extends ValueType
{
    public const SCHEMA = ['type' => 'array', 'items' => ['type' => 'number', 'minimum' => -Point::FAR, 'maximum' => Point::FAR], 'minItems' => 2, 'maxItems' => 2];

    public static function named(string $name, string $label, string $section, ?Point $default = null): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'point';
    }

    public function read(mixed $raw, string $field): Point
    {
        return Point::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Point ? $value->toArray() : null;
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value instanceof Point ? $mirror->point($value) : $value;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return $carry->point($raw);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return self::SCHEMA;
    }
}
