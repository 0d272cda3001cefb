<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Words\Message;

/** A way out of too few conductors that a plan takes: what it is, what it needs, what it costs. */
final readonly class WayOut
{
    /**
     * @param  string  $code  WO.., or MR07 for the tie of E
     * @param  Message  $text  what is done, in this house's words
     * @param  ?Message  $part  what must be bought for it
     * @param  float  $cost  of the part, in points: a jumper 0.2, a cable 6
     * @param  int  $minutes  of work besides the moves themselves; our working figures
     * @param  int  $trips  to the equipment besides the first
     * @param  int  $risk  points: what can turn out otherwise, or needs care later
     * @param  ?Message  $warns  what the installer must be told
     */
    public function __construct(
        public string $code,
        public Message $text,
        public ?Message $part = null,
        public float $cost = 0.0,
        public int $minutes = 0,
        public int $trips = 0,
        public int $risk = 0,
        public ?Message $warns = null,
    ) {
    }

    /** @return array{code: string, text: Message, part: ?Message, minutes: int, warns: ?Message} */
    public function toArray(): array
    {
        return [
            'code' => $this->code,
            'text' => $this->text,
            'part' => $this->part,
            'minutes' => $this->minutes,
            'warns' => $this->warns,
        ];
    }
}
