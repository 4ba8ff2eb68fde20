<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Closure;

/** The id of a strip of the scene, of any kind. */
final readonly class StripValue extends ValueType
{
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'strip';
    }

    public function read(mixed $raw, string $field): string
    {
        return Fields::isIdentifier($raw) ? $raw : throw SceneError::expected($field, 'the id of a strip', $raw);
    }

    public function renamed(mixed $raw, Closure $strip): mixed
    {
        return is_string($raw) ? $strip($raw) : $raw;
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'string', 'pattern' => Fields::IDENTIFIER];
    }
}
