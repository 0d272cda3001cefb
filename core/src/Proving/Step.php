<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Setup;

/** One proof of one call: power, place, set-up, wait, what to measure, what to see, how to put things back. */
final readonly class Step
{
    /**
     * @param  bool  $setUpIsolated  the set-up needs the power off and proved dead
     * @param  list<string>  $closes  printed terminals that stand closed to the hot
     * @param  string  $hot  printed hot screw that the call takes from
     * @param  Setup  $waiting  the same while the delay still runs: what is held back is not closed yet
     * @param  list<Probe>  $probes
     * @param  list<Sign>  $signs
     * @param  list<string>  $restore  temporary things that the step leaves, to be undone
     * @param  bool  $staysDead  measured with the power off from beginning to end
     */
    public function __construct(
        public CallName $call,
        public Method $method,
        public bool $setUpIsolated,
        public string $do,
        public array $closes,
        public string $hot,
        public Wait $wait,
        public Setup $setup,
        public Setup $waiting,
        public array $probes,
        public array $signs,
        public array $restore,
        public bool $staysDead = false,
    ) {
    }

    public function key(): string
    {
        return $this->call->value.'.'.$this->method->value;
    }
}
