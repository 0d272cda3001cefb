<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Words\Message;

/** One thing that shows faults: a reading, a sign, a look, a setting compared. */
final readonly class Item
{
    public const AMPS = 'amps';

    /**
     * @param  string  $key  of all items of a house
     * @param  ?string  $step  key of the step that it belongs to; null where it belongs to none
     * @param  ?CallName  $call  in which it is clamped, without a step
     * @param  int  $minutes  that it takes, its step and way there included
     */
    public function __construct(
        public string $key,
        public ?string $step,
        public Message $says,
        public int $minutes,
        public ?CallName $call = null,
    ) {
    }

    public static function ofStep(string $step, string $part): string
    {
        return "{$step}/{$part}";
    }

    /** The clamp on the hot conductor in a call. */
    public static function amps(string $call): string
    {
        return self::AMPS."/{$call}";
    }
}
