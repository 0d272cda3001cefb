<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Suspect\LandingFault;

/** Where a trace stands after its last row. */
final readonly class Answer
{
    /**
     * @param  list<Shares>  $suspects  most first; shares sum to 1
     * @param  list<Group>  $groups
     * @param  list<Proposal>  $next
     * @param  list<int>  $unexplained  numbers of rows that nobody left explains, the worst first
     * @param  list<string>  $notes
     * @param  list<LandingFault>  $landing
     * @param  list<CallName>  $open
     * @param  array<int, bool>  $odd  rows that were odd before the last repair, with whether each is struck off
     */
    public function __construct(
        public int $rows,
        public State $state,
        public array $suspects,
        public array $groups,
        public array $next,
        public array $unexplained,
        public array $notes,
        public array $landing,
        public ?Done $done,
        public array $open,
        public bool $finished,
        public array $odd = [],
    ) {
    }
}
