<?php

declare(strict_types=1);

// What differs from the framework's own settings: over TLS the name holds the browser to this host alone; what is old
// is cleared each hour and not by whoever asks for a page.
return [
    'cookie' => env('SESSION_SECURE_COOKIE', false) ? '__Host-unionbit' : 'unionbit',
    'lottery' => [0, 100],
];
