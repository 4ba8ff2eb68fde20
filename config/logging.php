<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'deprecations' => ['channel' => null, 'trace' => false],
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/aumbrel.log'), 'level' => 'warning'],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
