<?php

declare(strict_types=1);

// Writes down the pictures of Tests\Support\HeldScenes that are not held yet: php core/tests/reference/held.php
// One that has to change because a definition did is taken out of held.json first.

require dirname(__DIR__, 3).'/vendor/autoload.php';

$file = __DIR__.'/held.json';
$known = json_decode((string) @file_get_contents($file), true) ?: [];
$held = [];
foreach (array_keys(Tests\Support\HeldScenes::all()) as $name) {
    $held[$name] = $known[$name] ?? base64_encode((string) gzdeflate(pack('n*', ...Tests\Support\HeldScenes::rendered($name)), 9));
}
file_put_contents($file, json_encode($held, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n");
echo count(array_diff_key($held, $known)).' more, '.count($held)." pictures held\n";
