<?php

declare(strict_types=1);

use App\Http\ErrorReplies;
use App\Http\Middleware\Compressed;
use App\Http\Middleware\FewEntries;
use App\Http\Middleware\FiniteNumbers;
use App\Http\Middleware\ForgeryOrToken;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\KnowsPassphrase;
use App\Http\Middleware\Measured;
use App\Http\Middleware\NamedGesture;
use App\Http\Middleware\OwnPages;
use App\Http\Middleware\PageSession;
use App\Http\Middleware\SafeHeaders;
use App\Http\Passphrase;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        // the application is same-origin
        $middleware->remove(HandleCors::class);
        // the first of these sees a request first
        $middleware->prepend([Measured::class, SafeHeaders::class, KnownHost::class, OwnPages::class, KnowsPassphrase::class, Compressed::class, FewEntries::class]);
        $middleware->append([FiniteNumbers::class, NamedGesture::class]);
        $middleware->web(replace: [ValidateCsrfToken::class => ForgeryOrToken::class]);
        $middleware->encryptCookies(except: [PageSession::COOKIE, Passphrase::COOKIE]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        ErrorReplies::register($exceptions);
    })
    ->create();
