<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        // Two copies that run beside each other must not count each other's tries.
        'file' => [
            'driver' => 'file',
            'path' => env('LUFTIG_CACHE', storage_path('framework/cache/data')),
            'lock_path' => env('LUFTIG_CACHE', storage_path('framework/cache/data')),
        ],
    ],
];
