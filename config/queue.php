<?php

declare(strict_types=1);

// What differs from the framework's own settings: houses are what this application calls jobs, so the queue's tables
// have names of their own. One long piece of work may take this many seconds before another worker tries it anew.
return [
    'default' => env('QUEUE_CONNECTION', 'sync'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'queue_work',
            'queue' => 'default',
            'retry_after' => 900,
            'after_commit' => false,
        ],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => null, 'table' => 'queue_failed'],
];
