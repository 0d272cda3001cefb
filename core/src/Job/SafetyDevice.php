<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * A float, pump or load-shedding switch that somebody added: which conductors it breaks, by itself or by a relay. At a
 * board those from the wall; outdoors the one from the board, so that wall and board still read a whole call.
 */
final readonly class SafetyDevice
{
    private const SHEDDING = 'shedding';

    /**
     * @param  string  $id  "float"
     * @param  list<string>  $breaks  printed board terminals whose conductor from the wall it interrupts
     * @param  bool  $relay  through a relay: its coil on R–switch–C, a normally open contact in each conductor
     * @param  Place  $place  where the conductors land that it interrupts
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $breaks,
        public bool $relay,
        public Place $place = Place::Indoor,
        public SafetyKind $kind = SafetyKind::Float,
    ) {
    }

    /** The load-shedding relay where nobody has looked closer: in Y outdoors, or at the board of a package. */
    public static function shedding(Archetype $archetype): ?self
    {
        $y = $archetype->outdoorTerminal(TerminalName::Y1) ?? $archetype->boardTerminal(TerminalName::Y1);

        return $y === null
            ? null
            : new self(self::SHEDDING, '', [$y->printed], false, $y->place, SafetyKind::Shedding);
    }

    /** A screw of its board. */
    public function screw(string $printed): At
    {
        return At::screw($this->place, $printed);
    }

    /** The same as a point of the circuit: "indoor.Y". */
    public function point(string $printed): string
    {
        return $this->screw($printed)->id;
    }

    /** As somebody called it; else what it is. */
    public function name(): Message
    {
        return $this->label === ''
            ? Message::of('job.safety.unnamed', kind: $this->kind->value)
            : Message::raw($this->label);
    }
}
