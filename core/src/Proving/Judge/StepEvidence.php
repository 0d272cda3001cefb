<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Proving\Step\Step;

/** What a step has shown so far: what was seen and heard, and what was read. */
final readonly class StepEvidence
{
    /**
     * @param  array<string, bool>  $signs  yes or no, by sign
     * @param  list<MeterReading>  $readings
     * @param  array<string, SignAnswer>  $neither  what was neither, by sign
     * @param  Things  $standing  what stood meanwhile beside what the step asks for
     */
    public function __construct(
        public Step $step,
        public array $signs,
        public array $readings,
        public Things $standing = new Things([]),
        public array $neither = [],
    ) {
    }
}
