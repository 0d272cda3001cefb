<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Words\Message;

/** The result of simulating one call of a plan: proved, or the reasons why not. */
final readonly class CallProof
{
    /**
     * @param  list<string>  $closes  printed plate terminals
     * @param  list<Message>  $pulledIn  load labels
     * @param  list<Message>  $problems  empty when proved
     * @param  list<string>  $in  ids of the equipment's loads that pull in
     * @param  bool  $grave  more than a load that stays out or comes in beside: a fuse, chatter, a blank thermostat
     * @param  float  $share  of the rating that the most loaded transformer gives, 1 at its VA
     */
    public function __construct(
        public CallName $call,
        public array $closes,
        public array $pulledIn,
        public array $problems,
        public float $amps,
        public array $in = [],
        public bool $grave = false,
        public float $share = 0.0,
    ) {
    }

    public function isProved(): bool
    {
        return $this->problems === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'call' => $this->call->value,
            'label' => $this->call->label(),
            'closes' => $this->closes,
            'pulledIn' => $this->pulledIn,
            'problems' => $this->problems,
            'amps' => round($this->amps, 3),
            'proved' => $this->isProved(),
        ];
    }
}
