<?php

declare(strict_types=1);

namespace App\Models\Record;

/** What happened to a proving step. */
enum StepMoment: string
{
    case Start = 'start';
    /** The thermostat's call has ended; what pulled in has yet to fall out. */
    case Off = 'off';
    case End = 'end';
}
