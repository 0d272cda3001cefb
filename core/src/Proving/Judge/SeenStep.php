<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\Standing\Strip;
use Unionbit\Core\Proving\Step\Step;

/** What a step has shown so far: what was seen and heard, and what was read. */
final readonly class SeenStep
{
    /**
     * @param  array<string, bool>  $signs  yes or no, by sign
     * @param  list<TakenReading>  $readings
     * @param  array<string, Neither>  $neither  what was neither, by sign
     * @param  ?Strip  $strip  what stood meanwhile beside what the step asks for
     */
    public function __construct(
        public Step $step,
        public array $signs,
        public array $readings,
        public ?Strip $strip = null,
        public array $neither = [],
    ) {
    }
}
