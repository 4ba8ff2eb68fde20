<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** The plain name of a picture file that lies beside the scene. */
final readonly class PictureValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self);
    }

    /** @param  string  $whenEmpty  what the bench says while there is no picture */
    public static function optional(string $name, string $label, string $section, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self, $whenEmpty);
    }

    public static function key(): string
    {
        return 'picture';
    }

    public function read(mixed $raw, string $field): string
    {
        return is_string($raw) && preg_match('/^[\w][\w .()+-]{0,199}$/Du', $raw) === 1
            ? $raw : throw SceneError::expected($field, 'the plain name of a picture file', $raw);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'string', 'description' => 'the plain name of a picture file beside the scene'];
    }
}
