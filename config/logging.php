<?php

declare(strict_types=1);

return [
    // a log that cannot be written, as on a full disk, stands in nobody's way
    'default' => 'tolerant',
    'deprecations' => ['channel' => null, 'trace' => false],
    'channels' => [
        'tolerant' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true],
        'single' => ['driver' => 'single', 'path' => storage_path('logs/aumbrel.log'), 'level' => 'warning'],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
