<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Words\Message;

/** A piece of work that a visit still holds. */
final readonly class Task
{
    /**
     * @param  int  $minutes  hands at work
     * @param  int  $wait  minutes that a delay of the equipment adds, when nobody can hurry it
     * @param  bool  $two  a person at each end
     */
    public function __construct(
        public Message $label,
        public int $minutes,
        public int $wait = 0,
        public bool $two = false,
    ) {
    }

    /** @return array{label: Message, minutes: int, wait: int, two: bool} */
    public function toArray(): array
    {
        return ['label' => $this->label, 'minutes' => $this->minutes, 'wait' => $this->wait, 'two' => $this->two];
    }
}
