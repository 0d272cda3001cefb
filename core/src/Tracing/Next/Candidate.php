<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;

/** A set-up that could be made, with everything that could be read or seen in it. */
final readonly class Candidate
{
    /** @param  list<Probe>  $probes */
    public function __construct(public Hands $setup, public array $probes)
    {
    }
}
