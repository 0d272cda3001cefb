<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Water;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** Every way to wire one overflow switch at a board: in one conductor, or by a relay in several. */
final class SwitchPlaces
{
    private const COOLING = [TerminalName::Y1, TerminalName::Y2];

    private const HEATING = [TerminalName::W1, TerminalName::Aux, TerminalName::W2];

    /** @return list<SafetyDevice> the switch, in each */
    public static function of(Installation $house, SafetyDevice $switch, Place $at): array
    {
        $cooling = self::screws($house, $at, self::COOLING);
        $heating = self::screws($house, $at, self::HEATING);
        $hot = self::screws($house, $at, [TerminalName::R, TerminalName::Rc, TerminalName::Rh]);
        $ways = [];
        foreach ([array_slice($hot, 0, 1), array_slice($cooling, 0, 1), array_slice($heating, 0, 1)] as $one) {
            $ways[] = [$one, false];
        }
        $several = [$cooling, $heating, [...array_slice($cooling, 0, 1), ...array_slice($heating, 0, 1)]];
        foreach ([...$several, [...$cooling, ...$heating]] as $screws) {
            $ways[] = [count($screws) > 1 ? $screws : [], true];
        }

        return array_values(
            array_map(
                static fn (array $way): SafetyDevice => new SafetyDevice(
                    $switch->id,
                    $switch->label,
                    $way[0],
                    $way[1],
                    $at,
                    $switch->kind,
                ),
                array_unique(array_filter($ways, static fn (array $way): bool => $way[0] !== []), SORT_REGULAR),
            ),
        );
    }

    /**
     * @param  list<TerminalName>  $names
     * @return list<string>
     */
    private static function screws(Installation $house, Place $at, array $names): array
    {
        $printed = array_map(
            static fn (TerminalName $n): ?string => $house->archetype->terminalNamed($at, $n)?->printed,
            $names,
        );

        return array_values(array_unique(array_filter($printed)));
    }
}
