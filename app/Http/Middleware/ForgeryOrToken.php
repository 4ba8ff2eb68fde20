<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Tokens;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;

/** Holds the token of a page's session against what a request brings; scripts bring a token of their own instead, which no foreign page knows. */
final class ForgeryOrToken extends ValidateCsrfToken
{
    /** @param  Request  $request */
    protected function inExceptArray($request): bool
    {
        return parent::inExceptArray($request) || $this->app->make(Tokens::class)->isTold($request);
    }
}
