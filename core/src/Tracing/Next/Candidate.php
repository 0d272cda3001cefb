<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;

/** A set-up that could be made, with everything that could be read or seen in it. */
final readonly class Candidate
{
    /** @param  list<Probe>  $probes */
    public function __construct(public TestSetup $setup, public array $probes)
    {
    }
}
