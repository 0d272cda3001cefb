<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Words\Message;

/** The judgement of one reading, with its computed reason and what else would read like this. */
final readonly class Verdict
{
    /** @param  list<Message>  $candidates states of the circuit that give this reading, likeliest first */
    public function __construct(public Outcome $outcome, public Message $reason, public array $candidates = [])
    {
    }

    /** @return array{outcome: string, reason: Message, candidates: list<Message>} */
    public function toArray(): array
    {
        return ['outcome' => $this->outcome->value, 'reason' => $this->reason, 'candidates' => $this->candidates];
    }
}
