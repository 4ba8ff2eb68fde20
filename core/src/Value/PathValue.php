<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Path;

/** A closed line of straight and curved sides. */
final readonly class PathValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, Path::none());
    }

    public static function key(): string
    {
        return 'path';
    }

    public function read(mixed $raw, string $field): Path
    {
        return Path::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Path ? $value->toArray() : null;
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value instanceof Path ? $value->mirrored($mirror) : $value;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return Carry::each($raw, ['at' => $carry->point(...), 'in' => $carry->way(...), 'out' => $carry->way(...)]);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'maxItems' => Path::MOST_NODES, 'items' => [
            'type' => 'object', 'required' => ['at'], 'properties' => array_fill_keys(['at', 'in', 'out'], PointValue::SCHEMA),
        ]];
    }
}
