<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Closure;

/**
 * What one kind of value is: how it is read from JSON and written back, its JSON Schema, and what its control in the
 * interface needs to know. A new type is a class here and a control there; nothing else knows them one by one.
 */
abstract readonly class ValueType
{
    /** Its name, by which the interface finds its control. */
    abstract public static function key(): string;

    /**
     * Checks a value as it stands in JSON and gives it its type.
     *
     * @throws \Aumbrel\Core\Fault\SceneError naming $field
     */
    abstract public function read(mixed $raw, string $field): mixed;

    /** The value as it stands in JSON. */
    public function write(mixed $value): mixed
    {
        return $value;
    }

    /** The value about a line in the scene; what lies nowhere stays. */
    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value;
    }

    /** The value, as it stands in JSON, for a picture of another size; what is no length and no place stays. */
    public function carried(mixed $raw, Carry $carry): mixed
    {
        return $raw;
    }

    /**
     * The value, as it stands in JSON, where strips are called otherwise.
     *
     * @param  Closure(string): ?string  $strip  what a strip is called; null when it is gone
     */
    public function renamed(mixed $raw, Closure $strip): mixed
    {
        return $raw;
    }

    /** Names a value among those of its type. */
    public function keyOf(mixed $value): string
    {
        return serialize($this->write($value));
    }

    /** Whether it says where something is, on what, or from where: then it is no part of a look. */
    public function isPlace(): bool
    {
        return false;
    }

    /** @return array<string, mixed> its JSON Schema, draft 7 */
    abstract public function schema(): array;

    /** @return array<string, mixed> what the interface needs to know of it besides its name */
    public function describe(): array
    {
        return [];
    }

    /** The unit that its number is in, for whoever reads the schema. */
    public function unit(): string
    {
        return '';
    }
}
