<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** A surface of the stage: the floor, or a wall by its id; one that is gone leaves the strip that names it without a surface. */
final readonly class SurfaceValue extends ValueType
{
    private function __construct(private bool $wallsOnly)
    {
    }

    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self(false), $whenEmpty);
    }

    /** One that is a wall. */
    public static function wall(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self(true), $whenEmpty);
    }

    public static function key(): string
    {
        return 'surface';
    }

    public function read(mixed $raw, string $field): string
    {
        return Fields::isIdentifier($raw) ? $raw : throw SceneError::expected($field, 'the name of a surface', $raw);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'string', 'pattern' => Fields::IDENTIFIER];
    }

    public function describe(): array
    {
        return ['wallsOnly' => $this->wallsOnly];
    }
}
