<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Showing;

/** One test with what it would tell and what it costs. */
final readonly class Scored
{
    /**
     * @param  list<Showing>  $predictions  one for each world
     * @param  float  $worth  bits a minute
     * @param  float  $minutes  as the school weighs them, with what a fuse is worth where one may open
     */
    public function __construct(
        public Candidate $candidate,
        public Probe $probe,
        public Handling $handling,
        public Partition $partition,
        public array $predictions,
        public float $worth,
        public float $minutes,
    ) {
    }

    public function proposal(Hypotheses $hypotheses, float $worth): Proposal
    {
        return Proposal::test(
            $this->candidate->setup,
            $this->probe,
            $this->handling,
            $this->partition->bits,
            $this->partition->outcomes($this->predictions, $hypotheses),
            $worth,
        );
    }
}
