<?php

declare(strict_types=1);

return [
    // Hosts under which the application answers; others are turned away, so that no foreign name can be pointed at it.
    'hosts' => array_filter(explode(',', (string) env('AUMBREL_HOSTS', '127.0.0.1,localhost,[::1]'))),

    // The socket on which the render processes listen.
    'socket' => env('AUMBREL_SOCKET', storage_path('run/render.sock')),

    // Where pictures, kernels, shapes that were worked out of pictures, and exports are kept.
    'pictures' => env('AUMBREL_PICTURES', storage_path('pictures')),
    'kernels' => env('AUMBREL_KERNELS', storage_path('kernels')),
    'shapes' => env('AUMBREL_SHAPES', storage_path('shapes')),
    'exports' => env('AUMBREL_EXPORTS', storage_path('exports')),
];
