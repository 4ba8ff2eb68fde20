<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** On or off. */
final readonly class ToggleValue extends ValueType
{
    public static function named(string $name, string $label, string $section, bool $default = false): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    /** One that is on unless it is said otherwise. */
    public static function on(string $name, string $label, string $section): Parameter
    {
        return self::named($name, $label, $section, true);
    }

    public static function key(): string
    {
        return 'switch';
    }

    public function read(mixed $raw, string $field): bool
    {
        return is_bool($raw) ? $raw : throw SceneError::expected($field, 'true or false', $raw);
    }

    public function schema(): array
    {
        return ['type' => 'boolean'];
    }
}
