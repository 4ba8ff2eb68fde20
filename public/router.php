<?php

declare(strict_types=1);

// For PHP's own server: files of the public folder as they are, everything else to the application.

$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if (preg_match('#^/(build/[\w./-]+|icon\.svg)$#D', $path) === 1 && ! str_contains($path, '..') && is_file(__DIR__.$path)) {
    return false;
}

require __DIR__.'/index.php';
