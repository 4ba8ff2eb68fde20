<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/** Gives each browser a name of its own, by which its views are told from those of others. */
final class PageSession
{
    public const COOKIE = 'aumbrel_page';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (! $request->cookies->has(self::COOKIE)) {
            $response->headers->setCookie(Cookie::create(self::COOKIE, bin2hex(random_bytes(16)), sameSite: Cookie::SAMESITE_STRICT)->withSecure($request->isSecure()));
        }

        return $response;
    }
}
