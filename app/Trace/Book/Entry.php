<?php

declare(strict_types=1);

namespace App\Trace\Book;

use App\Models\Record\Observation;
use App\Models\Record\Reading;
use App\Models\Tracing\TraceRow;
use Illuminate\Support\Carbon;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Tracing\Test\Result;

/** A record of a job that is a row of its trace, or says something of one. */
final readonly class Entry
{
    /** @param  ?TraceRow  $own  the trace's own row, read later; null where a reading or a sign says all */
    private function __construct(
        public string $id,
        public Carbon $at,
        public int $seq,
        public ?TraceRow $own = null,
        public ?Hands $setup = null,
        public ?Probe $probe = null,
        public ?Result $result = null,
    ) {
    }

    public static function own(TraceRow $row): self
    {
        return new self($row->id, $row->at, $row->seq, $row);
    }

    public static function test(Reading|Observation|TraceRow $row, Hands $setup, Probe $probe, Result $result): self
    {
        return new self($row->id, $row->at, $row->seq, null, $setup, $probe, $result);
    }
}
