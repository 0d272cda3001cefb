<?php

declare(strict_types=1);

// What differs from the framework's own settings: a log that cannot be written, as on a full disk, keeps nobody from
// being answered; mail that goes to a log has one of its own, whatever level the other is set to.
return [
    'channels' => [
        'single' => ['driver' => 'stack', 'channels' => ['file'], 'ignore_exceptions' => true],
        'file' => [
            'driver' => 'single',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'debug'),
        ],
        'mail' => ['driver' => 'single', 'path' => storage_path('logs/mail.log'), 'level' => 'debug'],
    ],
];
