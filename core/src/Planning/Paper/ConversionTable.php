<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Paper;

use Unionbit\Core\Equipment\EquipmentKind;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Words\Message;

/** A bus taken back to plain calls, letter by letter at all ends (MR19). */
final class ConversionTable
{
    /** @return list<array{letter: string, wall: string, indoor: string, outdoor: string, note: Message}> */
    public static function rows(Plan $plan): array
    {
        $archetype = $plan->installation->archetype;
        if ($archetype->kind !== EquipmentKind::Communicating) {
            return [];
        }
        $indoor = self::byName($plan, $archetype->boardTerminals());
        $outdoor = self::byName(
            $plan,
            array_values(
                array_filter(
                    $archetype->terminals,
                    static fn (EquipmentTerminal $t): bool => $t->place->isOutdoors(),
                ),
            ),
        );
        $wall = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->boardName !== null && $planned->wall->terminal !== null) {
                $wall[Meaning::of($planned->boardName, $archetype)->value] = $planned->wall->terminal;
            }
        }
        $rows = [];
        foreach ([...$indoor, ...$outdoor] as $letter => $_) {
            $row = [
                'wall' => $wall[$letter] ?? '',
                'indoor' => $indoor[$letter] ?? '',
                'outdoor' => $outdoor[$letter] ?? '',
            ];
            $rows[] = ['letter' => (string) $letter, ...$row, 'note' => self::note($plan, (string) $letter, $row)];
        }

        return $rows;
    }

    /**
     * @param  list<EquipmentTerminal>  $terminals
     * @return array<string, string> printed letters by what they mean
     */
    private static function byName(Plan $plan, array $terminals): array
    {
        $printed = [];
        foreach ($terminals as $terminal) {
            $printed[Meaning::of($terminal->name, $plan->installation->archetype)->value] ??= $terminal->printed;
        }

        return $printed;
    }

    /** @param  array{wall: string, indoor: string, outdoor: string}  $row */
    private static function note(Plan $plan, string $letter, array $row): Message
    {
        $name = TerminalName::from($letter);

        return match (true) {
            $name === TerminalName::C && $row['wall'] === '' => Message::of('planning.conversion.common-capped'),
            $name->isHot() && $plan->profile->link !== null => Message::of(
                $plan->landing->linkIn ? 'planning.conversion.link-in' : 'planning.conversion.link-out',
            ),
            $row['indoor'] === '' => Message::of('planning.conversion.straight-outdoors'),
            $row['outdoor'] === '' => Message::of('planning.conversion.indoors-only'),
            $row['wall'] === '' && $name->isCall() => Message::of('planning.conversion.lost'),
            default => Message::of('planning.conversion.both-ends'),
        };
    }
}
