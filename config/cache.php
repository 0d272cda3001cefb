<?php

declare(strict_types=1);

// What differs from the framework's own settings: where the file cache stands.
return [
    // Where tries at the doors are counted: see App\Web\Limit\Limits.
    'limiter' => env('LIMITS_STORE', 'limits'),
    'stores' => [
        'limits' => ['driver' => 'limits'],
        'file' => [
            'driver' => 'file',
            'path' => env('CACHE_PATH', storage_path('framework/cache/data')),
            'lock_path' => env('CACHE_PATH', storage_path('framework/cache/data')),
        ],
    ],
];
