<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells browsers to keep to what this application is: its own scripts and styles, in no foreign frame. */
final class SafeHeaders
{
    /** React writes styles on elements, so those are allowed inline; scripts are not. */
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' blob: data:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public const HEADERS = [
        'X-Content-Type-Options' => 'nosniff', 'X-Frame-Options' => 'DENY', 'Referrer-Policy' => 'same-origin',
        'Cross-Origin-Opener-Policy' => 'same-origin', 'Cross-Origin-Resource-Policy' => 'same-origin', 'Content-Security-Policy' => self::POLICY,
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }
        $response->headers->add(self::HEADERS);

        return $response;
    }
}
