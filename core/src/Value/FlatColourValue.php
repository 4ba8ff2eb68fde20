<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use InvalidArgumentException;

/** A colour as it is stored, `#rrggbb`. */
final readonly class FlatColourValue extends ValueType
{
    public const SCHEMA = ['type' => 'string', 'pattern' => '^#[0-9a-fA-F]{6}$'];

    public static function named(string $name, string $label, string $section, string $default): Parameter
    {
        return new Parameter($name, $label, $section, new self, $default);
    }

    public static function key(): string
    {
        return 'flat colour';
    }

    public function read(mixed $raw, string $field): string
    {
        try {
            return Rgb::fromHex(is_string($raw) ? $raw : '')->toHex();
        } catch (InvalidArgumentException) {
            throw SceneError::expected($field, 'a colour #rrggbb', $raw);
        }
    }

    public function schema(): array
    {
        return self::SCHEMA;
    }
}
