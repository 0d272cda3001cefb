<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Words\Message;

/** A contact that an input or coil drives, after a delay: in the control circuit, or on the line side. */
final readonly class DrivenContact
{
    /**
     * @param  bool  $normallyClosed  closed while the driver is at rest
     * @param  float  $delaySeconds  from the driver's pull-in to the contact's movement
     * @param  bool  $overLead  reaches its screw over a lead of its own, so that a float switch can stand in it
     * @param  bool  $onLine  switches line voltage: it is in no control circuit, and a probe reads it by ohms
     */
    public function __construct(
        public string $id,
        public Message $label,
        public string $from,
        public string $to,
        public bool $normallyClosed,
        public float $delaySeconds,
        public bool $overLead = false,
        public bool $onLine = false,
    ) {
    }
}
