<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Compresses longer answers in JSON for whoever takes that; pixels change too fast to be worth it. */
final class Compressed
{
    private const WORTH_IT = 1000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $text = $response instanceof JsonResponse ? (string) $response->getContent() : '';
        if (strlen($text) >= self::WORTH_IT && in_array('gzip', $request->getEncodings(), true)) {
            $response->setContent(gzencode($text, 1));
            $response->headers->set('Content-Encoding', 'gzip');
            $response->headers->set('Vary', 'Accept-Encoding');
        }

        return $response;
    }
}
