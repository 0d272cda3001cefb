<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

/** What a row of a trace is. */
enum RowKind: string
{
    /** What the complaint tells of the time before the visit; it has no number. */
    case Told = 'told';
    case Found = 'found';
    case Test = 'test';
    case Event = 'event';
    case Cannot = 'cannot';

    /** Whether it says something of the circuit by itself. */
    public function isEvidence(): bool
    {
        return $this === self::Told || $this === self::Found || $this === self::Test;
    }
}
