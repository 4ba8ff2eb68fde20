<?php

declare(strict_types=1);

// Writes down the pictures of Tests\Support\HeldScenes: php core/tests/reference/held.php

require dirname(__DIR__, 3).'/vendor/autoload.php';

$held = [];
foreach (array_keys(Tests\Support\HeldScenes::all()) as $name) {
    $held[$name] = base64_encode((string) gzdeflate(pack('n*', ...Tests\Support\HeldScenes::rendered($name)), 9));
}
file_put_contents(__DIR__.'/held.json', json_encode($held, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n");
echo count($held)." pictures held\n";
