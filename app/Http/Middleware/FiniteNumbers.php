<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Faults\NotPossible;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses numbers that are too large to be any: JSON has no word for infinity, but 1e999 becomes it. */
final class FiniteNumbers
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $field = $request->isJson() ? self::infinite($request->json()->all()) : null;
        if ($field !== null) {
            throw new NotPossible($field, "{$field} is no number that can be worked with.");
        }

        return $next($request);
    }

    /** @param  array<mixed>  $values */
    private static function infinite(array $values, string $path = ''): ?string
    {
        foreach ($values as $name => $value) {
            $field = $path === '' ? (string) $name : "{$path}.{$name}";
            if (is_float($value) && ! is_finite($value)) {
                return $field;
            }
            $inside = is_array($value) ? self::infinite($value, $field) : null;
            if ($inside !== null) {
                return $inside;
            }
        }

        return null;
    }
}
