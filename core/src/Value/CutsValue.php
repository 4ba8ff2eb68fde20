<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Cuts;
use Aumbrel\Core\Geometry\Mirror;

/** Up to four straight edges that cut a light off. */
final readonly class CutsValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, Cuts::none());
    }

    public static function key(): string
    {
        return 'cuts';
    }

    public function read(mixed $raw, string $field): Cuts
    {
        return Cuts::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Cuts ? $value->toArray() : null;
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value instanceof Cuts ? $value->mirrored($mirror) : $value;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return Carry::each($raw, ['from' => $carry->point(...), 'to' => $carry->point(...), 'softness' => static fn (mixed $length): mixed => $carry->length($length, 0, Cuts::SOFTEST)]);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'maxItems' => Cuts::MOST, 'items' => [
            'type' => 'object', 'required' => ['from', 'to'],
            'properties' => ['from' => PointValue::SCHEMA, 'to' => PointValue::SCHEMA, 'softness' => ['type' => 'number', 'minimum' => 0]],
        ]];
    }
}
