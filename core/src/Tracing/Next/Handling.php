<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\Event;

/** What hands and feet do before a probe is read: movements in order, events, minutes, and where one then stands. */
final readonly class Handling
{
    /**
     * @param  list<array<string, mixed>>  $steps
     * @param  list<Event>  $before
     */
    public function __construct(
        public array $steps,
        public array $before,
        public float $minutes,
        public Place $at,
    ) {
    }
}
