<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\Test\Result;

/** What a test may come out as, how often, and whom it would leave. */
final readonly class Outcome
{
    /** @param  list<string>  $leaves  ids of suspects */
    public function __construct(public Result $result, public float $share, public array $leaves)
    {
    }
}
