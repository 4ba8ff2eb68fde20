<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Faults\NotPossible;
use App\Scenes\GestureKey;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Takes the name of the gesture that a request brings. */
final readonly class NamedGesture
{
    public function __construct(private GestureKey $gesture)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->headers->get(GestureKey::HEADER);
        if ($key !== null && preg_match('/^[\w-]{8,64}$/D', $key) !== 1) {
            throw new NotPossible(GestureKey::HEADER, 'The name of a gesture has 8 to 64 letters, digits, - or _.');
        }
        $this->gesture->key = $key;

        return $next($request);
    }
}
