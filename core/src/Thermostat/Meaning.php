<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Terminal\TerminalName;

/**
 * What a board's terminal means to the thermostat: a plate name and an equipment name are two things. Behind a heat
 * pump the first heat (strips, or the furnace of a dual-fuel system) is reached from Aux.
 */
final class Meaning
{
    public static function of(TerminalName $board, Archetype $archetype): TerminalName
    {
        return $archetype->heatPump !== null && $board === TerminalName::W1 ? TerminalName::Aux : $board;
    }
}
