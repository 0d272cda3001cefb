<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

/** A visit as the day sees it. */
final readonly class DayVisit
{
    /**
     * @param  string  $who  van or person
     * @param  int  $start  minutes after midnight
     * @param  int  $minutes  expected, delays included
     * @param  int  $waits  minutes of it that are the equipment's delays
     * @param  ?string  $two  the task that takes two people; null where one can do all
     */
    public function __construct(
        public string $id,
        public string $site,
        public string $who,
        public int $start,
        public int $minutes,
        public int $waits,
        public ?string $two,
    ) {
    }

    public function end(): int
    {
        return $this->start + $this->minutes;
    }

    public function overlaps(self $other): bool
    {
        return $this->start < $other->end() && $other->start < $this->end();
    }
}
