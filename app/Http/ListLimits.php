<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Validation\ValidationException;

/**
 * Looks how long lists are before anything looks into them: rules with a star cost so much for each entry that a list of some
 * ten thousand keeps a process busy for seconds before it is refused for its length.
 */
final class ListLimits
{
    /** Of lists for which the rules say nothing. */
    private const USUAL = 1000;

    /**
     * @param  array<mixed>  $fields
     * @param  array<string, mixed>  $rules
     *
     * @throws ValidationException naming the list that is too long
     */
    public static function check(array $fields, array $rules): void
    {
        foreach (array_keys($rules) as $name) {
            $parts = explode('.', $name);
            // what stands before each star is a list
            foreach (array_keys($parts, '*', true) as $star) {
                $list = implode('.', array_slice($parts, 0, $star));
                foreach (self::found($fields, array_slice($parts, 0, $star)) as $entries) {
                    if (is_array($entries) && count($entries) > self::most($rules[$list] ?? '')) {
                        throw ValidationException::withMessages([$list => sprintf('%s has %d entries; at most %d are taken.', $list, count($entries), self::most($rules[$list] ?? ''))]);
                    }
                }
            }
        }
    }

    private static function most(mixed $rule): int
    {
        $text = is_array($rule) ? implode('|', array_filter($rule, is_string(...))) : (is_string($rule) ? $rule : '');

        return preg_match('/(?:^|\|)(?:max|size):(\d+)/', $text, $found) === 1 ? (int) $found[1] : self::USUAL;
    }

    /**
     * What stands at a path; of a list on the way all its entries, the list itself being short enough by then.
     *
     * @param  list<string>  $path
     * @return list<mixed>
     */
    private static function found(mixed $fields, array $path): array
    {
        if ($path === []) {
            return [$fields];
        }
        if (! is_array($fields)) {
            return [];
        }
        [$first, $rest] = [$path[0], array_slice($path, 1)];
        if ($first === '*') {
            return array_merge(...array_map(static fn (mixed $entry): array => self::found($entry, $rest), array_values($fields)));
        }

        return array_key_exists($first, $fields) ? self::found($fields[$first], $rest) : [];
    }
}
