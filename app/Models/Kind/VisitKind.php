<?php

declare(strict_types=1);

namespace App\Models\Kind;

/** Why a house is visited. */
enum VisitKind: string
{
    case Installation = 'installation';
    case Replacement = 'replacement';
    case Conversion = 'conversion';
    case FaultCall = 'fault call';
    case Maintenance = 'maintenance';
    case FollowUp = 'follow-up';

    /** Whether a thermostat is put up on it: without a plan it is not done. */
    public function replaces(): bool
    {
        return in_array($this, [self::Installation, self::Replacement, self::Conversion], true);
    }
}
