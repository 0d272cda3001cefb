<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** A float or overflow switch that somebody added: which conductors it breaks at the board, by itself or by a relay. */
final readonly class SafetyDevice
{
    /**
     * @param  string  $id  "float"
     * @param  list<string>  $breaks  printed board terminals whose conductor from the wall it interrupts
     * @param  bool  $relay  through a relay: its coil on R–switch–C, a normally open contact in each conductor
     * @param  Place  $place  the board whose conductors it interrupts
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $breaks,
        public bool $relay,
        public Place $place = Place::Indoor,
    ) {
    }

    /** A screw of its board, as a point of the circuit: "indoor.Y". */
    public function point(string $screw): string
    {
        return "{$this->place->value}.{$screw}";
    }

    /** As somebody called it; else what it is. */
    public function name(): Message
    {
        return $this->label === '' ? Message::of('job.safety.float') : Message::raw($this->label);
    }
}
