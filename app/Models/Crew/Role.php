<?php

declare(strict_types=1);

namespace App\Models\Crew;

/**
 * What a person of a crew may do with its houses. Each may do what the one after it may.
 *
 * The lead also sees to the people. An installer also decides: goes past a stop, leaves a call unproved, signs as the
 * installer, hands over, puts away. An apprentice measures and records all of it. A reader, as the office, reads.
 */
enum Role: string
{
    case Lead = 'lead';
    case Installer = 'installer';
    case Apprentice = 'apprentice';
    case Reader = 'reader';

    public function leads(): bool
    {
        return $this === self::Lead;
    }

    public function decides(): bool
    {
        return $this === self::Lead || $this === self::Installer;
    }

    public function works(): bool
    {
        return $this !== self::Reader;
    }

    /** @return list<self> who may: for a sentence that says whom to ask */
    public static function deciding(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $r): bool => $r->decides()));
    }
}
