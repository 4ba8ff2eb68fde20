<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Closure;

/** The ids of some plates of the scene; those that are gone count as not named. */
final readonly class PlatesValue extends ValueType
{
    private const MOST = 60;

    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, []);
    }

    public static function key(): string
    {
        return 'plates';
    }

    /** @return list<string> */
    public function read(mixed $raw, string $field): array
    {
        $names = is_array($raw) && array_is_list($raw) && count($raw) <= self::MOST ? array_values(array_filter($raw, Fields::isIdentifier(...))) : null;

        return is_array($raw) && $names !== null && count($names) === count($raw) ? array_values(array_unique($names)) : throw SceneError::expected($field, 'the ids of at most '.self::MOST.' plates', $raw);
    }

    public function renamed(mixed $raw, Closure $strip): mixed
    {
        return is_array($raw) ? array_values(array_filter(array_map(static fn (mixed $plate): mixed => is_string($plate) ? $strip($plate) : $plate, $raw), static fn (mixed $plate): bool => $plate !== null)) : $raw;
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'maxItems' => self::MOST, 'items' => ['type' => 'string', 'pattern' => Fields::IDENTIFIER]];
    }
}
