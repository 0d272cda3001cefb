<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Call\CallName;

/** The result of simulating one call of a plan: proved, or the reasons why not. */
final readonly class CallProof
{
    /**
     * @param  list<string>  $closes  printed plate terminals
     * @param  list<string>  $pulledIn  load labels
     * @param  list<string>  $problems  empty when proved
     */
    public function __construct(
        public CallName $call,
        public array $closes,
        public array $pulledIn,
        public array $problems,
        public float $amps,
    ) {
    }

    public function isProved(): bool
    {
        return $this->problems === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['call' => $this->call->value, 'label' => $this->call->label(), 'closes' => $this->closes, 'pulledIn' => $this->pulledIn, 'problems' => $this->problems, 'amps' => round($this->amps, 3), 'proved' => $this->isProved()];
    }
}
