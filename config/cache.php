<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    /* Where pages are kept that somebody just saw: in a folder of their own, or beside all else. */
    'pages' => env('CACHE_STORE', 'file') === 'file' ? 'pages' : env('CACHE_STORE'),
    'stores' => [
        // Two copies that run beside each other must not count each other's tries.
        'file' => [
            'driver' => 'file',
            'path' => env('LUFTIG_CACHE', storage_path('framework/cache/data')),
            'lock_path' => env('LUFTIG_CACHE', storage_path('framework/cache/data')),
        ],
        'pages' => [
            'driver' => 'file',
            'path' => env('LUFTIG_CACHE', storage_path('framework/cache')).'/pages',
            'permission' => 0700,
        ],
    ],
];
