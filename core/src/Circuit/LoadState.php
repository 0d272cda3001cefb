<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

/** What the armature or the input of a load does. */
enum LoadState: string
{
    case Rest = 'rest';
    case PulledIn = 'in';
    case Buzzing = 'buzzing';
    case Chattering = 'chattering';

    public function label(): string
    {
        return match ($this) {
            self::Rest => 'at rest',
            self::PulledIn => 'pulled in',
            self::Buzzing => 'buzzing, does not pull',
            self::Chattering => 'chattering',
        };
    }
}
