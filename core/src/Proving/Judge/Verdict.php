<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

/** The judgement of one reading, with its computed reason and what else would read like this. */
final readonly class Verdict
{
    /** @param  list<string>  $candidates states of the circuit that give this reading, likeliest first */
    public function __construct(public Outcome $outcome, public string $reason, public array $candidates = [])
    {
    }

    /** @return array{outcome: string, reason: string, candidates: list<string>} */
    public function toArray(): array
    {
        return ['outcome' => $this->outcome->value, 'reason' => $this->reason, 'candidates' => $this->candidates];
    }
}
