<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Words\Message;

/** One single fault that a job's circuit can have: an entry of the catalogue applied to a part of this house. */
final readonly class Fault
{
    /** Id of the repair that ends it. */
    public string $repair;

    /**
     * @param  string  $id  "conductor-open:A3"; several at once are joined
     * @param  string  $entry  of the catalogue
     * @param  Message  $name  of the entry, without the part that it befalls
     * @param  list<CircuitEdit>  $edits
     * @param  list<string>  $forces  observables that run whatever the circuit does (welded contacts)
     * @param  list<string>  $blocks  observables that never run (line power off)
     * @param  array<string, string>  $settings  settings that it stands for, by key
     * @param  list<string>  $parts  what it befalls: parts, conductors, points
     * @param  bool  $fanTurned  the unit's own fan jumper is the other way about
     * @param  bool  $noCalls  the thermostat closes nothing
     * @param  list<Look>  $looks  what shows it without a reading of the house together
     * @param  string  $base  its id without severity or position: the fault that it is one form of
     * @param  RepairId  $mend  the repair that ends it
     * @param  list<Message>  $says  what it does to this circuit, where
     * @param  ?ToldWhen  $shows  at the start of a call only, or only once it has run; null for at any time
     */
    public function __construct(
        public string $id,
        public string $base,
        public string $entry,
        public Message $name,
        public Message $title,
        public string $where,
        public array $edits,
        public array $forces,
        public array $blocks,
        public array $settings,
        public bool $noCalls,
        public Prior $prior,
        public Message $symptoms,
        public Message $fix,
        public int $minutes,
        public bool $intermittent,
        public RepairId $mend,
        public array $parts = [],
        public bool $fanTurned = false,
        public array $looks = [],
        public array $says = [],
        public ?ToldWhen $shows = null,
    ) {
        $this->repair = $mend->text;
    }

    /** How much more often it is met than a rare one. */
    public function weight(): float
    {
        return $this->prior->weight();
    }

    /** Commonest first: 0 for common. */
    public function rank(): int
    {
        return $this->prior->rank();
    }

    /**
     * Several faults of one house as one, as a short behind a bridged fuse. It comes and goes only where all of them
     * do.
     */
    public static function together(self $first, self ...$others): self
    {
        return array_reduce(
            $others,
            static fn (self $a, self $b): self => new self(
                id: "{$a->id}+{$b->id}",
                base: "{$a->base}+{$b->base}",
                entry: "{$a->entry}+{$b->entry}",
                name: Message::of('fault.together', one: $a->name, other: $b->name),
                title: Message::of('fault.together', one: $a->title, other: $b->title),
                where: $a->where,
                edits: [...$a->edits, ...$b->edits],
                forces: [...$a->forces, ...$b->forces],
                blocks: [...$a->blocks, ...$b->blocks],
                settings: $a->settings + $b->settings,
                noCalls: $a->noCalls || $b->noCalls,
                prior: $a->prior,
                symptoms: Message::of('fault.together', one: $a->symptoms, other: $b->symptoms),
                fix: Message::of('fault.together', one: $a->fix, other: $b->fix),
                minutes: $a->minutes + $b->minutes,
                intermittent: $a->intermittent && $b->intermittent,
                parts: [...$a->parts, ...$b->parts],
                fanTurned: $a->fanTurned || $b->fanTurned,
                mend: $a->mend,
            ),
            $first,
        );
    }
}
