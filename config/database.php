<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', database_path('aumbrel.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // a gesture waits this long (ms) for another one to be written
            'busy_timeout' => 15000,
            'journal_mode' => 'wal',
            // a gesture that was called done survives a power cut
            'synchronous' => 'full',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
