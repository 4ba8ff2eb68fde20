<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Carry;

/** The layers of a glow, from the inside out. */
final readonly class ShellsValue extends ValueType
{
    public static function named(string $name, string $label, string $section, Shells $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function key(): string
    {
        return 'shells';
    }

    public function read(mixed $raw, string $field): Shells
    {
        return Shells::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Shells ? $value->toArray() : null;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return Carry::each($raw, ['radius' => static fn (mixed $radius): mixed => $carry->length($radius, 0, Shell::WIDEST)]);
    }

    public function schema(): array
    {
        return ['type' => 'array', 'minItems' => 1, 'maxItems' => Shells::MOST, 'items' => ['type' => 'object', 'required' => ['part'], 'properties' => [
            'part' => ['enum' => array_column(ShellPart::cases(), 'value')], 'radius' => ['type' => 'number', 'minimum' => 0, 'maximum' => Shell::WIDEST, 'description' => 'px'],
            'level' => ['type' => 'number', 'minimum' => Unit::LEAST_LEVEL, 'maximum' => Unit::MOST_LEVEL, 'description' => 'stops'],
            'pale' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100], 'colour' => (new LightColourValue)->schema(), 'ramp' => ColourRampValue::SCHEMA,
            'mode' => ['enum' => array_column(BlendMode::cases(), 'value')],
        ]]];
    }

    /** How many there may be. */
    public function describe(): array
    {
        return ['most' => Shells::MOST];
    }
}
