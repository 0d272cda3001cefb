<?php

declare(strict_types=1);

// What differs from the framework's own settings: where the file cache stands.
return [
    'stores' => [
        'file' => [
            'driver' => 'file',
            'path' => env('CACHE_PATH', storage_path('framework/cache/data')),
            'lock_path' => env('CACHE_PATH', storage_path('framework/cache/data')),
        ],
    ],
];
