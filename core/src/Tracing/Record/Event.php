<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Data\Copies;

/** Something done or noticed in a trace that is no test. */
final readonly class Event
{
    use Copies;

    /**
     * @param  string  $of  transformer, point, place: what the kind is of
     * @param  string  $what  a repair's id, or a fault's
     * @param  ?int  $row  of which it says something
     * @param  list<string>  $list  wires in order, each as end and screw: "A4.far>indoor.Y1"
     */
    public function __construct(
        public EventKind $kind,
        public string $of = '',
        public string $what = '',
        public string $part = '',
        public ?float $amps = null,
        public ?float $minutes = null,
        public string $key = '',
        public string $value = '',
        public ?bool $answered = null,
        public ?int $row = null,
        public ?float $ohms = null,
        public array $list = [],
    ) {
    }

    /** The same, having ended what a repair ends. */
    public function ending(string $what): self
    {
        return $this->copy(['what' => $what]);
    }

    /** What was found along a cable: hurt, sound, or out of reach. */
    public function found(): string
    {
        return match ($this->answered) {
            true => 'hurt',
            false => 'sound',
            null => 'no_access',
        };
    }

    /** The same, by another name of what it is of. */
    public function named(string $of): self
    {
        return $this->copy(['of' => $of]);
    }

    public function answering(bool $answered): self
    {
        return $this->copy(['answered' => $answered]);
    }

    /** @param  list<string>  $list */
    public function listing(array $list): self
    {
        return $this->copy(['list' => $list]);
    }

    /** The same, of a row by the number that it has now. */
    public function ofRow(int $row): self
    {
        return $this->copy(['row' => $row]);
    }

    /** @return array<string, mixed> as the protocol has it */
    public function toArray(): array
    {
        return array_filter(
            [
                'kind' => $this->kind->value,
                $this->kind === EventKind::Moved ? 'at' : 'of' => $this->of,
                'what' => $this->what,
                'part' => $this->part,
                'amps' => $this->amps,
                'minutes' => $this->minutes,
                'key' => $this->key,
                'value' => $this->value,
                'answered' => $this->answered,
                'row' => $this->row,
                'ohms' => $this->ohms,
                'list' => $this->list,
            ],
            static fn (mixed $v): bool => $v !== null && $v !== '' && $v !== [],
        );
    }
}
