<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Faults\NotPossible;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Turns away a request with more entries than any work has, before anything goes through them one by one. */
final class FewEntries
{
    /** The longest stroke has some ten thousand points of four numbers. */
    public const MOST = 250_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // each entry but the first of a list has a comma before it; words with commas only make it stricter
        if ($request->isJson() && substr_count($request->getContent(), ',') > self::MOST) {
            throw new NotPossible('body', sprintf('The request has more than %d entries: send it in parts.', self::MOST));
        }

        return $next($request);
    }
}
