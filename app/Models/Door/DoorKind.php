<?php

declare(strict_types=1);

namespace App\Models\Door;

/** What a link at the door is for, and how long it can be used. */
enum DoorKind: string
{
    case Invitation = 'invitation';
    case Password = 'password';

    /** Hours until it ends. */
    public function hours(): int
    {
        return match ($this) {
            self::Invitation => 7 * 24,
            self::Password => 24,
        };
    }
}
