<?php

declare(strict_types=1);

namespace App\Models\Kind;

use Unionbit\Core\Words\Message;

/**
 * The stages of a job, in the order in which a person goes through them. Another stage is one entry here and its
 * room.
 */
enum Stage: string
{
    case Survey = 'survey';
    case Plan = 'plan';
    case Set = 'set';
    case Prove = 'prove';
    case Handover = 'handover';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** Whether the meter is used in it. */
    public function takesReadings(): bool
    {
        return $this !== self::Handover;
    }

    /** @return list<self> */
    public static function withReadings(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $stage): bool => $stage->takesReadings()));
    }
}
