<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;

/** WO11 E is tied to Aux at the plate and its conductor brings what is missing; only where the unit has one heat input. */
final class Wo11TieEmergency implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $e = $draft->profile->named(TerminalName::E);
        $aux = $draft->profile->serving(TerminalName::Aux);
        $conductor = $draft->carrier(TerminalName::E);
        $landing = $conductor === null || $missing === TerminalName::E ? null : $draft->carrying($conductor, $missing);
        if (
            $conductor === null ||
            $landing === null ||
            $e === null ||
            $aux === null ||
            $draft->house->archetype->heatPump?->emergency === 'own'
        ) {
            return [];
        }
        $tie = new Jumper(Place::Wall, $e->printed, $aux->printed, "{$e->printed}–{$aux->printed} tie");

        return [
            $draft
                ->without(TerminalName::E)
                ->taking(
                    new WayOut(
                        'WO11',
                        "{$conductor->name()} brings {$missing->value}; {$e->printed} and {$aux->printed} tied at the plate",
                        'Jumper with pigtail',
                        0.2,
                        6,
                        1,
                        0,
                    ),
                    $landing->withJumper($tie),
                ),
        ];
    }
}
