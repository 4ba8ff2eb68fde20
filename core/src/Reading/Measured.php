<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** Takes what was measured out of the JSON in which a render process hands it on. */
final class Measured
{
    /** @return list<array<string, mixed>> */
    public static function rows(mixed $raw): array
    {
        return is_array($raw) ? array_values(array_map(self::row(...), $raw)) : [];
    }

    /** @return array<string, mixed> */
    public static function row(mixed $raw): array
    {
        $row = [];
        foreach (is_array($raw) ? $raw : [] as $name => $value) {
            $row[(string) $name] = $value;
        }

        return $row;
    }

    public static function number(mixed $raw): float
    {
        return is_numeric($raw) ? (float) $raw : 0.0;
    }

    /** @return list<float>|null so many numbers, or none */
    public static function numbers(mixed $raw, int $count): ?array
    {
        return is_array($raw) && count($raw) === $count ? array_map(self::number(...), array_values($raw)) : null;
    }
}
