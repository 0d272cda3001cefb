<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Words\Message;

/** Something of the equipment that current flows through, between two points of the circuit. */
final readonly class Load
{
    /**
     * @param  string  $from  point on the hot side, "indoor.G"
     * @param  string  $to  point on the common side
     * @param  ?Observable  $observable  what a person notices when it has pulled in
     * @param  list<DrivenContact>  $drives  contacts that move with it
     */
    public function __construct(
        public string $id,
        public LoadKind $kind,
        public Message $label,
        public string $from,
        public string $to,
        public ?Observable $observable = null,
        public array $drives = [],
    ) {
    }
}
