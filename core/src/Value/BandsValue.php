<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\HueBands;

/** Families of hues and what becomes of each. */
final readonly class BandsValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, HueBands::none());
    }

    public static function key(): string
    {
        return 'bands';
    }

    public function read(mixed $raw, string $field): HueBands
    {
        return HueBands::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof HueBands ? (object) $value->toArray() : null;
    }

    public function describe(): array
    {
        return ['choices' => array_keys(HueBands::MIDDLES), 'middles' => array_values(HueBands::MIDDLES)];
    }

    public function schema(): array
    {
        $band = ['type' => 'object', 'properties' => array_map(static fn (array $part): array => ['type' => 'number', 'minimum' => $part[0], 'maximum' => $part[1]], HueBands::PARTS)];

        return ['type' => 'object', 'properties' => array_fill_keys(array_keys(HueBands::MIDDLES), $band), 'additionalProperties' => false];
    }
}
