<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Corners;

/** Four corners in order round a quadrilateral without a dent. */
final readonly class CornersValue extends ValueType
{
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'corners';
    }

    public function read(mixed $raw, string $field): Corners
    {
        return Corners::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Corners ? $value->toArray() : null;
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
        return ['type' => 'array', 'items' => PointValue::SCHEMA, 'minItems' => 4, 'maxItems' => 4];
    }
}
