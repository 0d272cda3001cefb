<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** What ends one or several faults of a house by the same hand at the same place. */
final readonly class Repair
{
    /** "screw:A3.near" */
    public string $id;

    /** Of the catalogue: "screw". */
    public string $kind;

    /** @var list<string> what it is done at; none for the house as such */
    public array $of;

    /**
     * @param  list<string>  $parts  what has to be brought, by the catalogue's words
     * @param  list<Caution>  $safety
     * @param  ?int  $look  minutes in which a look there tells whether it is needed; null where none does
     * @param  list<Fault>  $ends
     * @param  ?Wires  $wires  that come off where something is exchanged
     * @param  ?Place  $at  where one stands for it; null for where the part is
     */
    public function __construct(
        RepairId $id,
        public Message $title,
        public array $parts,
        public array $safety,
        public ?int $look,
        public array $ends,
        public ?Place $at,
        public ?Doing $does,
        public ?Wires $wires,
    ) {
        $this->id = $id->text;
        $this->kind = $id->kind;
        $this->of = $id->of;
    }

    /** Whether it is done at this point, part or supply and nothing else. */
    public function isAt(string $subject): bool
    {
        return $this->of === [$subject];
    }

    /** Whether it is done by waiting: a delay that runs out by itself. */
    public function isWait(): bool
    {
        return $this->does === Doing::Wait;
    }

    /** Minutes of the work, of the longest fault that it ends. */
    public function minutes(): int
    {
        return max(0, ...array_map(static fn (Fault $f): int => $f->minutes, $this->ends));
    }

    /** What was done last of its fixes, each once. */
    public function fixes(): Message
    {
        return Message::series(Message::unique(array_map(static fn (Fault $f): Message => $f->fix, $this->ends)));
    }

    /** @return list<string> ids of what it ends */
    public function faults(): array
    {
        return array_map(static fn (Fault $f): string => $f->id, $this->ends);
    }

    /** @return list<string> what a look there may find */
    public function finds(): array
    {
        return array_values(array_unique(array_map(static fn (Fault $f): string => $f->entry, $this->ends)));
    }
}
