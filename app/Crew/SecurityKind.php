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
    case CrewMade = 'crew-made';
    case LinkMade = 'link-made';
    case LinkUsed = 'link-used';
    case LinkRevoked = 'link-revoked';
    case RoleChanged = 'role-changed';
    case NameChanged = 'name-changed';
    case Deactivated = 'deactivated';
    case Reactivated = 'reactivated';
    case FactorOn = 'factor-on';
    case FactorOff = 'factor-off';
    case RecoveryUsed = 'recovery-used';
    case DeviceEnded = 'device-ended';
    case Forgotten = 'forgotten';
    case ShareMade = 'share-made';
    case ShareOpened = 'share-opened';
    case ShareRevoked = 'share-revoked';
}
