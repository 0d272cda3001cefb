<?php

declare(strict_types=1);

namespace App\Models\Record;

/** What happened to a proving step. */
enum StepMoment: string
{
    case Start = 'start';
    /** Started by the thermostat's test menu, which has a wait of its own. */
    case Forced = 'forced';
    /** The thermostat's call has ended; what pulled in has yet to fall out. */
    case Off = 'off';
    case End = 'end';

    public function begins(): bool
    {
        return $this === self::Start || $this === self::Forced;
    }
}
