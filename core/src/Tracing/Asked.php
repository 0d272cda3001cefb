<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Closure;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Tracing\Next\Proposal;

/** How far a trace is when it is asked for an answer. */
final readonly class Asked
{
    /**
     * @param  array<string, true>  $tests  keys of tests done
     * @param  list<CallName>  $open  calls to be run again
     * @param  list<CallName>  $unseen  calls that were not seen to work since the last repair
     * @param  string  $confirmed  the group whose confirming test is done
     * @param  list<string>  $notes
     * @param  ?Closure(): ?Proposal  $guided  the next step of a routine, where one is followed
     * @param  array<int, bool>  $odd  rows that were odd before the last repair, with whether each is struck off
     */
    public function __construct(
        public int $rows,
        public array $tests,
        public array $open,
        public array $unseen,
        public string $confirmed,
        public array $notes,
        public ?Closure $guided,
        public array $odd,
    ) {
    }
}
