<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Tracing\Record\Event;

/** A test or an event to do next: what to do first, how, what it costs, what it would tell. */
final readonly class Proposal
{
    /** @param  list<Outcome>  $outcomes */
    public function __construct(
        public ?Hands $setup,
        public ?Probe $probe,
        public ?Event $event,
        public Handling $handling,
        public float $bits,
        public array $outcomes,
        public float $worth = 0.0,
    ) {
    }

    /** @param  list<Outcome>  $outcomes */
    public static function test(
        Hands $setup,
        Probe $probe,
        Handling $handling,
        float $bits,
        array $outcomes,
        float $worth,
    ): self {
        return new self($setup, $probe, null, $handling, $bits, $outcomes, $worth);
    }

    public static function event(Event $event, Handling $handling, float $bits = 0.0): self
    {
        return new self(null, null, $event, $handling, $bits, [], $bits / max(0.1, $handling->minutes));
    }

    public function key(): string
    {
        return $this->setup !== null && $this->probe !== null
            ? $this->setup->key().'/'.$this->probe->key()
            : 'event/'.json_encode($this->event?->toArray());
    }
}
