<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
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

    /** Where its hot side is. */
    public function place(): ?Place
    {
        return At::read($this->from)->place;
    }

    /**
     * With the contacts by which a relay, contactor or sequencer switches the line: open at rest, welded they stay
     * closed, and only ohms with the power off tell it.
     */
    public function withLineContacts(): self
    {
        if ($this->observable === null || ! $this->kind->hasLineContacts()) {
            return $this;
        }
        $place = $this->place() ?? Place::Indoor;
        $contact = new DrivenContact(
            "{$this->id}-line",
            Message::of('equipment.load.line-contacts', load: $this->label),
            At::screw($place, "{$this->id}-line")->id,
            At::screw($place, "{$this->id}-load")->id,
            false,
            0.0,
            onLine: true,
        );

        return new self($this->id, $this->kind, $this->label, $this->from, $this->to, $this->observable, [
            ...$this->drives,
            $contact,
        ]);
    }
}
