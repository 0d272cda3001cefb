<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

/** What a found tie is for in a plan, and with that whether it goes, stays, or is the person's to decide (MR25). */
enum TieFate: string
{
    /** Y–G: a fan call would start the compressor. */
    case FanHasItsConductor = 'fan-has-its-conductor';

    /** Y–G: without it the compressor runs without air. */
    case AirWithCooling = 'air-with-cooling';

    /** W1–W2, Y1–Y2: both are landed. */
    case StageHasItsConductor = 'stage-has-its-conductor';

    /** W1–W2, Y1–Y2: kept it is always high, taken out the first stage only. */
    case AlwaysHigh = 'always-high';

    case EmergencyHasItsRelay = 'emergency-has-its-relay';

    case EmergencyNeedsIt = 'emergency-needs-it';

    case SignalHasItsConductor = 'signal-has-its-conductor';

    case SignalHeld = 'signal-held';

    case Unknown = 'unknown';

    public function mustGo(): bool
    {
        return in_array(
            $this,
            [
                self::FanHasItsConductor,
                self::StageHasItsConductor,
                self::EmergencyHasItsRelay,
                self::SignalHasItsConductor,
            ],
            true,
        );
    }

    public function mustStay(): bool
    {
        return in_array($this, [self::AirWithCooling, self::EmergencyNeedsIt, self::SignalHeld], true);
    }
}
