<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Turns away requests for a host name that is not ours, so that a foreign page cannot reach us under its own name. */
final class KnownHost
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $host = preg_replace('/:\d+$/D', '', strtolower((string) $request->headers->get('host')));
        if (! in_array($host, config()->array('aumbrel.hosts'), true)) {
            return response('Aumbrel does not answer under this host name. Set AUMBREL_HOSTS to allow it.', 421);
        }

        return $next($request);
    }
}
