<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Words\Message;

/** SC20 The screws seen at the outdoor unit against those of the unit that the circuit is worked out for. */
final readonly class Sc20OutdoorScrews implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $archetype = $installation->archetype;
        $has = array_filter(
            $archetype->terminals,
            static fn (EquipmentTerminal $t): bool => $t->place->isOutdoors(),
        );
        $seen = array_filter(
            array_map(
                static fn (string $letter): ?TerminalName => $letter === 'B' && $archetype->reverses
                    ? TerminalName::B
                    : Vocabulary::resolve($letter, Place::Outdoor, $archetype->reverses)->name,
                $installation->answers->ticks('outdoorScrews'),
            ),
        );
        if ($seen === [] || $has === [] || ! $installation->equipmentSeen()) {
            return [];
        }
        $names = array_map(static fn (EquipmentTerminal $t): TerminalName => $t->name, $has);
        $more = self::letters($seen, $names);
        $fewer = self::letters($names, $seen);
        if ($more === [] && $fewer === []) {
            return [];
        }

        return [
            Finding::of(
                'SC20',
                Severity::Warning,
                Message::of('screening.sc20.outdoor-screws'),
                Message::sentences([
                    ...$more === [] ? [] : [Message::of('screening.sc20.outdoor-more', letters: $more)],
                    ...$fewer === [] ? [] : [Message::of('screening.sc20.outdoor-fewer', letters: $fewer)],
                ]),
                Message::of('screening.sc20.look-outdoors-again'),
            ),
        ];
    }

    /**
     * @param  array<TerminalName>  $these
     * @param  array<TerminalName>  $without
     * @return list<string>
     */
    private static function letters(array $these, array $without): array
    {
        $letters = [];
        foreach ($these as $name) {
            // A fault signal changes no call.
            if ($name !== TerminalName::L && ! in_array($name, $without, true)) {
                $letters[] = $name->value;
            }
        }

        return $letters;
    }
}
