<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Words\Message;

/** One single fault that a job's circuit can have: an entry of the catalogue applied to a part of this house. */
final readonly class Fault
{
    /**
     * @param  string  $id  "conductor-open:A3"
     * @param  string  $entry  id of the catalogue's entry
     * @param  Message  $name  of the entry, without the part that it befalls
     * @param  list<CircuitEdit>  $edits
     * @param  list<string>  $forces  observables that run whatever the circuit does (welded contacts)
     * @param  list<string>  $blocks  observables that never run (line power off)
     * @param  array<string, string>  $settings  settings that it stands for, by key
     * @param  list<string>  $parts  elements that it befalls
     * @param  bool  $fanTurned  the unit's own fan jumper is the other way about
     * @param  bool  $noCalls  the thermostat closes nothing
     * @param  string  $prior  common, occasional or rare
     * @param  list<Look>  $looks  what shows it without a reading of the house together
     * @param  string  $repair  id of the repair that ends it
     * @param  list<Message>  $says  what it does to this circuit, where
     * @param  ?ToldWhen  $shows  at the start of a call only, or only once it has run; null for at any time
     */
    public function __construct(
        public string $id,
        public string $entry,
        public Message $name,
        public Message $title,
        public string $where,
        public array $edits,
        public array $forces,
        public array $blocks,
        public array $settings,
        public bool $noCalls,
        public string $prior,
        public Message $symptoms,
        public Message $fix,
        public int $minutes,
        public bool $intermittent,
        public array $parts = [],
        public bool $fanTurned = false,
        public array $looks = [],
        public string $repair = '',
        public array $says = [],
        public ?ToldWhen $shows = null,
    ) {
    }

    /** Its id without severity or position: the fault that it is one form of. */
    public function base(): string
    {
        return explode('@', $this->id)[0];
    }

    /** How much more often it is met than a rare one; our working figures. */
    public function weight(): float
    {
        return ['common' => 9.0, 'occasional' => 3.0][$this->prior] ?? 1.0;
    }

    /** Commonest first: 0 for common. */
    public function rank(): int
    {
        return ['common' => 0, 'occasional' => 1, 'rare' => 2][$this->prior] ?? 3;
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
                repair: $a->repair,
            ),
            $first,
        );
    }
}
