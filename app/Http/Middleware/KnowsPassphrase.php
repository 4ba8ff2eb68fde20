<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Passphrase;
use App\Http\Tokens;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets in whoever has told the passphrase, where one is asked for, and scripts with a token. */
final readonly class KnowsPassphrase
{
    /** What is answered to everybody: the question itself, and whether the server answers. */
    private const OPEN = ['passphrase', 'api/health'];

    public function __construct(private Passphrase $passphrase, private Tokens $tokens)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! $this->passphrase->isAsked() || $request->is(...self::OPEN) || $this->passphrase->wasTold($request) || $this->tokens->isTold($request)) {
            return $next($request);
        }

        return $request->is('api/*')
            ? new JsonResponse(['message' => 'The passphrase is asked for again: load the page. What you did is kept.'], 401)
            : new RedirectResponse('/passphrase');
    }
}
