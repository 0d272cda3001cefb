<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Words\Message;

/** A delay that must pass before a step can be judged, why, and from which moment it counts. */
final readonly class Wait
{
    public const FROM_START = 'start';

    public const FROM_POWER_ON = 'power-on';

    public const FROM_POWER_OFF = 'power-off';

    /** Of the moment in which the thermostat's call ended. */
    public const FROM_CALL_OFF = 'call-off';

    /**
     * @param  int  $rest  seconds that must also have passed since the last compressor call ended; 0 where nothing
     *     has to rest
     */
    public function __construct(
        public int $seconds,
        public Message $reason,
        public string $from,
        public int $rest = 0,
    ) {
    }
}
