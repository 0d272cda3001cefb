<?php

declare(strict_types=1);

namespace App\Models\Kind;

/** What happened to a proving step. */
enum StepMoment: string
{
    case Start = 'start';
    /** Started by the thermostat's test menu, which has a wait of its own. */
    case Forced = 'forced';
    /** The thermostat's call has ended; what pulled in has yet to fall out. */
    case Off = 'off';
    case End = 'end';
    /** Called once more in the same run, for one figure or one answer: what was taken in it stays. */
    case Again = 'again';

    public function begins(): bool
    {
        return $this === self::Start || $this === self::Forced;
    }

    /** Whether the step runs from here on. */
    public function calls(): bool
    {
        return $this->begins() || $this === self::Again;
    }
}
