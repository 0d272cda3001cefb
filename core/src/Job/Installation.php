<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\DrivenContact;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\Terminal;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Damage;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Splices;
use Unionbit\Core\Words\Message;

/** The house in hand as the survey found it: the aggregate that every other part of the core reads. */
final readonly class Installation
{
    use Copies;

    /**
     * @param  list<Cable>  $cables
     * @param  list<Jumper>  $jumpers  found in place, at the plate or the board
     * @param  array<string, string>  $places  what places are called in this house, by place: "attic air handler"
     * @param  array<string, string>  $prints  which screw of the catalogue a board's print is, by point: "indoor.COM"
     * @param  array<string, string>  $overrides  reason given for going on in spite of a stop, by the rule's code
     */
    public function __construct(
        public Archetype $archetype,
        public Facts $facts,
        public array $cables,
        public array $jumpers = [],
        public Answers $answers = new Answers(),
        public array $overrides = [],
        public array $places = [],
        public array $prints = [],
        public EquipmentFrom $equipmentFrom = EquipmentFrom::Person,
    ) {
    }

    /** What a place is called in this house, "attic air handler", or the word for such a place. */
    public function placeName(Place $place): Message
    {
        $name = $this->places[$place->value] ?? '';

        return $name === '' ? $place->label() : Message::raw($name);
    }

    /** @return list<Cable> those that come out of the wall behind the thermostat */
    public function wallCables(): array
    {
        return array_values(
            array_filter($this->cables, static fn (Cable $cable): bool => $cable->from === Place::Wall),
        );
    }

    /** The first cable out of the wall: to the indoor unit, or to the zone panel between. */
    public function wallCable(): ?Cable
    {
        return $this->wallCables()[0] ?? null;
    }

    /** @return list<Conductor> of every cable out of the wall */
    public function wallConductors(): array
    {
        return array_merge([], ...array_map(static fn (Cable $c): array => $c->conductors, $this->wallCables()));
    }

    public function wallConductor(string $id): ?Conductor
    {
        foreach ($this->wallConductors() as $conductor) {
            if ($conductor->id() === $id) {
                return $conductor;
            }
        }

        return null;
    }

    /** @return list<Damage> what makes a conductor unfit to carry anything */
    public function damageOf(Conductor $conductor): array
    {
        return $this->cable($conductor->cable)?->damageOf($conductor) ?? [];
    }

    /** @return list<Message> what was found on a conductor: its marks, what it touches, a loop over its length */
    public function marksOf(Conductor $conductor): array
    {
        return Message::unique([
            ...array_map(static fn (Condition $c): Message => $c->label(), $conductor->condition),
            ...array_map(
                static fn (Damage $d): Message => $d->says,
                array_filter(
                    $this->damageOf($conductor),
                    static fn (Damage $d): bool => $d->says->code !== 'wiring.damage.condition',
                ),
            ),
        ]);
    }

    /** The cable from a board to the outdoor unit. */
    public function outdoorCable(): ?Cable
    {
        foreach ($this->cables as $cable) {
            if ($cable->to->isOutdoors()) {
                return $cable;
            }
        }

        return null;
    }

    /** Where the far end of a wall conductor is. */
    public function boardOf(Conductor $conductor): Place
    {
        return $this->cable($conductor->cable)->to ?? Place::Indoor;
    }

    public function cable(string $id): ?Cable
    {
        foreach ($this->cables as $cable) {
            if ($cable->id === $id) {
                return $cable;
            }
        }

        return null;
    }

    /** The first letter that no cable has. */
    public function freeLetter(): string
    {
        return array_values(array_diff(range('A', 'Z'), array_column($this->cables, 'id')))[0];
    }

    public function withCable(Cable $changed): self
    {
        return $this->withCables(
            array_map(
                static fn (Cable $cable): Cable => $cable->id === $changed->id ? $changed : $cable,
                $this->cables,
            ),
        );
    }

    /** @param  list<Cable>  $cables */
    public function withCables(array $cables): self
    {
        return $this->copy(['cables' => $cables]);
    }

    /** The same house where a board's print is said to be one of its screws; null: nobody knows which. */
    public function withPrint(Place $place, string $printed, ?string $means): self
    {
        $prints = $this->prints;
        unset($prints[At::screw($place, $printed)->id]);

        return $this->copy([
            'prints' => $means === null ? $prints : [...$prints, At::screw($place, $printed)->id => $means],
        ]);
    }

    /** The same house with other facts of its supply and plate. */
    public function withFacts(Facts $facts): self
    {
        return $this->copy(['facts' => $facts]);
    }

    /** Whether anybody has said what the equipment is; until then the catalogue's entry is only a place holder. */
    public function equipmentSeen(): bool
    {
        return $this->equipmentFrom !== EquipmentFrom::Nobody &&
            ($this->answers->choice('outdoor') !== null || $this->answers->choice('heatSource') !== null);
    }

    /** The same house where somebody else says what its equipment is. */
    public function toldBy(EquipmentFrom $from): self
    {
        return $this->copy(['equipmentFrom' => $from]);
    }

    /** What the equipment is, or that nobody has said it. */
    public function equipment(): Message
    {
        return $this->equipmentSeen()
            ? Message::raw($this->archetype->title)
            : Message::of('job.installation.equipment-not-seen');
    }

    /** The same in a word or two. */
    public function equipmentInShort(): Message
    {
        return $this->equipmentSeen()
            ? Message::raw($this->archetype->short)
            : Message::of('job.installation.equipment-not-seen');
    }

    /**
     * The screw that a letter read at a board is: printed so, said to be it, or meaning the same as the only one there
     * (COM is C, a Y1 written before anybody had looked is the Y). Null where the print is not understood.
     */
    public function screw(Place $place, string $printed): ?EquipmentTerminal
    {
        $known =
            $this->archetype->terminal($place, $printed) ??
            $this->archetype->terminal($place, $this->prints[At::screw($place, $printed)->id] ?? '');
        if ($known !== null) {
            return $known;
        }
        $read = Vocabulary::resolve($printed, $place, $this->archetype->reverses);

        return $read->name === null || $read->ambiguous
            ? null
            : $this->archetype->terminalNamed($place, $read->name);
    }

    /** What a screw means, at the old plate by its letter; null for what is no screw, or a print nobody understands. */
    public function nameAt(At $at): ?TerminalName
    {
        if ($at->place === null || $at->screw === null) {
            return null;
        }
        $known = $at->place === Place::Wall ? null : $this->screw($at->place, $at->screw)?->name;

        return $known ?? Vocabulary::resolve($at->screw, $at->place, $this->archetype->reverses)->name;
    }

    /** Whether something stands there that a conductor on this letter is on: the board, or a kit's adapter at it. */
    public function hasScrew(Place $place, string $printed): bool
    {
        return $this->screw($place, $printed) !== null ||
            ($this->facts->sharedKit && $printed === SharedKit::SCREW && $this->archetype->isBoard($place));
    }

    /** The point of the circuit where a conductor lands that is on this letter. */
    public function pointOf(Place $place, string $printed): string
    {
        return $this->screw($place, $printed)?->point() ?? At::screw($place, $printed)->id;
    }

    /** What the letter means that a wall conductor is on at the old plate; null where that end is free. */
    public function onPlate(Conductor $conductor): ?Terminal
    {
        return $conductor->near->terminal === null
            ? null
            : Vocabulary::resolve($conductor->near->terminal, Place::Wall, $this->archetype->reverses);
    }

    /** What the far end of a wall conductor is, on the board or through a splice further on; null where it is free. */
    public function meaning(Conductor $conductor): ?TerminalName
    {
        $cable = $this->cable($conductor->cable);
        $reached = $cable === null ? null : (new Splices($this->cables))->reaches($cable, $conductor);
        $letter = $reached?->end()->terminal;

        return $reached === null || $letter === null
            ? null
            : $this->screw($reached->place(), $letter)->name ??
                    Vocabulary::resolve($letter, $reached->place(), $this->archetype->reverses)->name;
    }

    /** @return list<Transformer> with the ratings that the survey read from the plates */
    public function transformers(): array
    {
        $transformers = [];
        foreach ($this->archetype->transformers as $index => $catalogued) {
            $supply = $this->facts->ofSupply($catalogued->id, $index === 0)->on($catalogued);
            $transformers[] = match (true) {
                $supply->aside => $supply->wired($supply->bonded ?? false, false),
                $index > 0 => $supply->wired(
                    $this->facts->secondBonded ?? ($supply->bonded ?? false),
                    $this->facts->secondPhase === 'out',
                ),
                $this->answers->is('fuseState', 'none', 'bridged') => $supply->rated($supply->ratingVa, null),
                default => $supply,
            };
        }

        return $transformers;
    }

    /** @return list<Load> of the equipment, and the relays of safety devices */
    public function loads(): array
    {
        $loads = [...$this->archetype->loads, ...$this->facts->sharedKit ? SharedKit::loads($this->archetype) : []];
        foreach ($this->facts->safety as $device) {
            if ($device->relay) {
                $contacts = array_map(
                    static fn (string $screw): DrivenContact => new DrivenContact(
                        "{$device->id}-{$screw}",
                        Message::of('job.installation.relays-contact-in', device: $device->label, screw: $screw),
                        At::before($device->screw($screw), $device->id)->id,
                        $device->point($screw),
                        false,
                        0.0,
                    ),
                    $device->breaks,
                );
                $loads[] = new Load(
                    "{$device->id}-relay",
                    LoadKind::Relay,
                    Message::of('job.installation.relay', device: $device->label),
                    $device->point($device->id),
                    $device->point('C'),
                    null,
                    $contacts,
                );
            }
        }

        return $loads;
    }

    public function load(string $id): ?Load
    {
        foreach ($this->loads() as $load) {
            if ($load->id === $id) {
                return $load;
            }
        }

        return null;
    }

    public function commonBonded(): bool
    {
        return $this->facts->commonBonded ?? $this->archetype->commonBonded;
    }
}
