<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;

/**
 * The passphrase that lets people in from other machines. Who has told it gets a cookie for the session of the browser,
 * signed with the passphrase and the application's key: a new passphrase makes older ones worthless.
 */
final readonly class Passphrase
{
    public const COOKIE = 'aumbrel_pass';

    public function __construct(private string $passphrase, private string $key)
    {
    }

    public function isAsked(): bool
    {
        return $this->passphrase !== '';
    }

    public function is(string $told): bool
    {
        // compared by their sums, so that the time it takes says nothing of its length either
        return hash_equals(hash_hmac('sha256', $this->passphrase, $this->key), hash_hmac('sha256', trim($told), $this->key));
    }

    public function wasTold(Request $request): bool
    {
        [$nonce, $sum] = explode('.', (string) $request->cookies->get(self::COOKIE), 2) + [1 => ''];

        return $nonce !== '' && hash_equals($this->sum($nonce), $sum);
    }

    public function cookie(Request $request): Cookie
    {
        $nonce = bin2hex(random_bytes(16));

        return Cookie::create(self::COOKIE, "{$nonce}.{$this->sum($nonce)}", sameSite: Cookie::SAMESITE_STRICT)->withSecure($request->isSecure());
    }

    private function sum(string $nonce): string
    {
        return hash_hmac('sha256', "{$nonce} {$this->passphrase}", $this->key);
    }
}
