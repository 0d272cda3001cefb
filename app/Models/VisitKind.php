<?php

declare(strict_types=1);

namespace App\Models;

/** Why a house is visited. */
enum VisitKind: string
{
    case Installation = 'installation';
    case Replacement = 'replacement';
    case Conversion = 'conversion';
    case FaultCall = 'fault call';
    case Maintenance = 'maintenance';
    case FollowUp = 'follow-up';
}
