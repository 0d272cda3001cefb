<?php

declare(strict_types=1);

use App\Crew\Door\StaySignedIn;
use App\Models\Crew\User;

// What differs from the framework's own settings: a device stays signed in for so many minutes, see StaySignedIn; who
// signs in is of a crew.
return [
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users', 'remember' => StaySignedIn::DAYS * 24 * 60],
    ],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => User::class]],
];
