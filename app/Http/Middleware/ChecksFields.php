<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ListLimits;
use App\Http\Takes;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use ReflectionMethod;
use Symfony\Component\HttpFoundation\Response;

/** Holds a request against what the method that answers it says that it takes. */
final class ChecksFields
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $method = self::method($request->route());
        $takes = $method === null ? null : Takes::by($method);
        if ($takes !== null && $takes->rules() !== []) {
            ListLimits::check($request->all(), $takes->rules());
            $request->validate($takes->rules());
        }

        return $next($request);
    }

    /** The method of a controller that answers a route; null for what is no method. */
    public static function method(Route $route): ?ReflectionMethod
    {
        $uses = $route->getAction('uses');
        if (! is_string($uses)) {
            return null;
        }
        [$class, $method] = explode('@', $uses, 2) + [1 => '__invoke'];

        return method_exists($class, $method) ? new ReflectionMethod($class, $method) : null;
    }
}
