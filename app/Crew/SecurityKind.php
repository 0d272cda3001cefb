<?php

declare(strict_types=1);

namespace App\Crew;

/** What the security log keeps. */
enum SecurityKind: string
{
    case SignedIn = 'signed-in';
    case SignInRefused = 'sign-in-refused';
    case SignInLimited = 'sign-in-limited';
    case SignedOut = 'signed-out';
    case PasswordChanged = 'password-changed';
    case Refused = 'refused';
    case Exported = 'exported';
    case CrewChanged = 'crew-changed';
}
