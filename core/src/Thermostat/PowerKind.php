<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

/** Where a thermostat takes its own power from. */
enum PowerKind: string
{
    case Battery = 'battery';
    case Common = 'common';
    case CommonOrBattery = 'common-or-battery';
    case Shared = 'shared';

    public function label(): string
    {
        return match ($this) {
            self::Battery => 'batteries',
            self::Common => 'R and C',
            self::CommonOrBattery => 'R and C, or batteries',
            self::Shared => 'an idle load, without C',
        };
    }
}
