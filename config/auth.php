<?php

declare(strict_types=1);

use App\Crew\Door\StaySignedIn;

// What differs from the framework's own settings: a device stays signed in for so many minutes, see StaySignedIn.
return [
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users', 'remember' => StaySignedIn::DAYS * 24 * 60],
    ],
];
