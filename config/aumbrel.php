<?php

declare(strict_types=1);

use App\Render\Cores;

return [
    // Hosts under which the application answers; others are turned away, so that no foreign name can be pointed at it.
    'hosts' => array_filter(explode(',', (string) env('AUMBREL_HOSTS', '127.0.0.1,localhost,[::1]'))),

    // As the change log names it.
    'version' => '0.34',

    // Names the start of the server, so that whoever started it knows its own.
    'instance' => env('AUMBREL_INSTANCE', ''),

    // The socket on which the render processes listen.
    'socket' => env('AUMBREL_SOCKET', storage_path('run/render.sock')),

    // Megabytes that all render processes together may use before they forget what they have not used for the longest time:
    // without one a quarter of what the machine has, 800 at least. Each has its share, 1600 at most.
    'memory' => (int) env('AUMBREL_MEMORY', Cores::usual(Cores::memory())),

    // Where pictures, kernels, shapes that were worked out of pictures, and exports are kept.
    'pictures' => env('AUMBREL_PICTURES', storage_path('pictures')),
    'kernels' => env('AUMBREL_KERNELS', storage_path('kernels')),
    'shapes' => env('AUMBREL_SHAPES', storage_path('shapes')),
    'exports' => env('AUMBREL_EXPORTS', storage_path('exports')),

    // A small picture of each scene as it last looked.
    'kept' => env('AUMBREL_KEPT', storage_path('kept')),

    // Work that is thrown away: uploads on their way, packed scenes while they are taken in.
    'temporary' => env('AUMBREL_TEMPORARY', storage_path('uploads')),

    // What is asked of everybody before anything else; nothing when only this machine can reach the server.
    'passphrase' => env('AUMBREL_PASSPHRASE'),
];
