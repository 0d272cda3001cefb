<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

/** What opens a switch that somebody put into the conductors: water in a pan, a full pump, the power company. */
enum SafetyKind: string
{
    case Float = 'float';
    case Pump = 'pump';
    case Shedding = 'shedding';
}
