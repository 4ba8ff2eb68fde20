<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Turns away what pages of other origins ask for; a link that leads here is followed. */
final class OwnPages
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($this->isForeign($request)) {
            return response('Aumbrel answers to its own pages only.', 403);
        }

        return $next($request);
    }

    private function isForeign(Request $request): bool
    {
        $origin = $request->headers->get('Origin');
        if ($origin !== null && preg_replace('#^https?://#', '', strtolower($origin)) !== strtolower((string) $request->headers->get('Host'))) {
            return true;
        }
        $isLink = $request->isMethod('GET') && $request->headers->get('Sec-Fetch-Mode') === 'navigate' && $request->headers->get('Sec-Fetch-Dest') === 'document';

        return ! $isLink && in_array($request->headers->get('Sec-Fetch-Site'), ['cross-site', 'same-site'], true);
    }
}
