<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\HueStretch;
use Aumbrel\Core\Color\HueStretches;

/** Stretches of hues and what becomes of each. */
final readonly class BandsValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, HueStretches::none());
    }

    public static function key(): string
    {
        return 'bands';
    }

    public function read(mixed $raw, string $field): HueStretches
    {
        return HueStretches::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof HueStretches ? $value->toArray() : null;
    }

    public function describe(): array
    {
        return ['choices' => array_keys(HueStretches::NAMED), 'middles' => array_values(HueStretches::NAMED), 'most' => HueStretches::MOST];
    }

    public function schema(): array
    {
        $parts = array_map(static fn (array $part): array => ['type' => 'number', 'minimum' => $part[0], 'maximum' => $part[1]], HueStretch::PARTS);
        $hues = ['type' => 'array', 'minItems' => 4, 'maxItems' => 4, 'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 720]];
        $stretch = ['type' => 'object', 'properties' => ['hues' => $hues, ...$parts], 'required' => ['hues']];

        return ['anyOf' => [
            ['type' => 'array', 'maxItems' => HueStretches::MOST, 'items' => $stretch],
            ['type' => 'object', 'properties' => array_fill_keys(array_keys(HueStretches::NAMED), ['type' => 'object', 'properties' => $parts]), 'additionalProperties' => false],
        ]];
    }
}
