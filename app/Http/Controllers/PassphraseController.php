<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Passphrase;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class PassphraseController
{
    /** Wrong answers within a minute: from one address, and from all of them. */
    private const TRIES = 5;

    private const ALL_TRIES = 30;

    public function __construct(private readonly Passphrase $passphrase, private readonly RateLimiter $limiter)
    {
    }

    public function ask(): Response|RedirectResponse
    {
        return $this->passphrase->isAsked() ? response()->view('passphrase') : redirect('/');
    }

    public function tell(Request $request): Response|RedirectResponse
    {
        $limits = ["passphrase {$request->ip()}" => self::TRIES, 'passphrase' => self::ALL_TRIES];
        foreach ($limits as $of => $tries) {
            if ($this->limiter->tooManyAttempts($of, $tries)) {
                $seconds = $this->limiter->availableIn($of);

                return response()->view('passphrase', ['problem' => "Too many wrong answers. Try again in {$seconds} seconds."], 429)->withHeaders(['Retry-After' => (string) $seconds]);
            }
        }
        if (! $this->passphrase->is($request->string('passphrase')->value())) {
            foreach (array_keys($limits) as $of) {
                $this->limiter->hit($of);
            }

            return response()->view('passphrase', ['problem' => 'That is not the passphrase.'], 403);
        }

        return redirect('/')->withCookie($this->passphrase->cookie($request));
    }
}
