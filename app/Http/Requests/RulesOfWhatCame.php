<?php

declare(strict_types=1);

namespace App\Http\Requests;

/**
 * Leaves out the rules that cannot fail because nothing came that they speak of. A draft brings three or four of some
 * forty fields, thirty times a second, and each rule costs as much as a query.
 */
final class RulesOfWhatCame
{
    /**
     * @param  array<string, mixed>  $rules  by field; with dots into objects, and `*` for what lists hold
     * @param  array<array-key, mixed>  $came
     * @return array<string, mixed> those that say the same of what came as all of them
     */
    public static function of(array $rules, array $came): array
    {
        return array_filter($rules, static fn (mixed $rule, string $field): bool => ! self::holdsOfNothing($rule)
            || self::speaksOf($came, explode('.', $field), self::has($rule, 'nullable')), ARRAY_FILTER_USE_BOTH);
    }

    /** Whether a rule lets through that a field is not there. */
    private static function holdsOfNothing(mixed $rule): bool
    {
        foreach (['required', 'present', 'missing', 'prohibited', 'exclude', 'accepted', 'declined'] as $demand) {
            if (self::has($rule, $demand)) {
                return false;
            }
        }

        return true;
    }

    private static function has(mixed $rule, string $word): bool
    {
        foreach (is_string($rule) ? explode('|', $rule) : (is_array($rule) ? $rule : [$rule]) as $part) {
            if (is_string($part) && str_starts_with($part, $word)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<string>  $path */
    private static function speaksOf(mixed $came, array $path, bool $isNullable): bool
    {
        if ($path === []) {
            return $came !== null || ! $isNullable;
        }
        if (! is_array($came)) {
            return false;
        }
        $part = array_shift($path);
        foreach ($part === '*' ? $came : (array_key_exists($part, $came) ? [$came[$part]] : []) as $inside) {
            if (self::speaksOf($inside, $path, $isNullable)) {
                return true;
            }
        }

        return false;
    }
}
