<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Tracing\Next\Proposal;

/** The fault as found: what ends it, what would confirm it, which calls have to be proved again. */
final readonly class Done
{
    /**
     * @param  list<string>  $ids  of the group
     * @param  ?Repair  $repair  null for "none of what I know" and for what a rule has against the landing
     * @param  array<string, float>  $fuses  amperes of the new fuse, by transformer whose fuse is open
     * @param  list<CallName>  $reopen
     * @param  bool  $stuck  nothing that can be reached parts it further
     */
    public function __construct(
        public string $group,
        public array $ids,
        public float $share,
        public ?Repair $repair,
        public array $fuses,
        public ?Proposal $confirm,
        public array $reopen,
        public bool $stuck,
    ) {
    }
}
