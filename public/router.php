<?php

declare(strict_types=1);

// For PHP's own server: files of the public folder as a web server would give them, everything else to the application.

header_remove('X-Powered-By');
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if (preg_match('#^/(build/assets/[\w.-]+|icon\.svg)$#D', $path) !== 1 || str_contains($path, '..') || ! is_file(__DIR__.$path)) {
    require __DIR__.'/index.php';

    return;
}

$types = ['js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2', 'json' => 'application/json'];
$type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? 'application/octet-stream';
header("Content-Type: {$type}");
header('X-Content-Type-Options: nosniff');
header('Cross-Origin-Resource-Policy: same-origin');
// names of built files change with what is in them
header(str_starts_with($path, '/build/') ? 'Cache-Control: public, max-age=31536000, immutable' : 'Cache-Control: public, max-age=3600');
header('Vary: Accept-Encoding');
$file = __DIR__.$path;
// the build leaves compressed copies beside what is worth it
if (is_file("{$file}.gz") && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
    header('Content-Encoding: gzip');
    $file = "{$file}.gz";
}
header('Content-Length: '.filesize($file));
readfile($file);
