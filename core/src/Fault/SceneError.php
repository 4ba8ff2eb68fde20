<?php

declare(strict_types=1);

namespace Aumbrel\Core\Fault;

use RuntimeException;

/** A scene, or one value in it, that cannot be accepted: says which field, what was found, what was expected. */
final class SceneError extends RuntimeException
{
    public function __construct(public readonly string $field, public readonly string $reason)
    {
        parent::__construct($field === '' ? $reason : "{$field}: {$reason}");
    }

    public static function expected(string $field, string $expected, mixed $found): self
    {
        return new self($field, "expected {$expected}, found ".self::show($found));
    }

    private static function show(mixed $found): string
    {
        if (is_float($found) && ! is_finite($found)) {
            return is_nan($found) ? 'NaN' : 'infinity';
        }
        $text = json_encode($found, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PARTIAL_OUTPUT_ON_ERROR);
        if ($text === false) {
            $text = get_debug_type($found);
        }

        return mb_strlen($text) > 60 ? mb_substr($text, 0, 57).'...' : $text;
    }
}
