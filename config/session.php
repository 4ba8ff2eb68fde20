<?php

declare(strict_types=1);

// The session holds nothing but the token against forged requests; it travels in an encrypted cookie.
return [
    'driver' => 'cookie',
    'lifetime' => 60 * 24 * 30,
    'expire_on_close' => false,
    'encrypt' => false,
    'cookie' => 'aumbrel',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
