<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/**
 * WO11 E is tied to Aux at the plate and its conductor brings what is missing; only where the unit has one heat
 * input.
 */
final class Wo11TieEmergency implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $e = $draft->profile->named(TerminalName::E);
        $aux = $draft->profile->serving(TerminalName::Aux);
        $conductor = $draft->carrier(TerminalName::E);
        $landing =
            $conductor === null || $missing === TerminalName::E ? null : $draft->carrying($conductor, $missing);
        if (
            $conductor === null ||
            $landing === null ||
            $e === null ||
            $aux === null ||
            $draft->house->archetype->heatPump?->emergency === 'own'
        ) {
            return [];
        }
        $tie = Jumper::tie(Place::Wall, $e->printed, $aux->printed);

        return [
            $draft
                ->without(TerminalName::E)
                ->taking(
                    new WayOut(
                        'WO11',
                        Message::of(
                            'planning.wo11.brings-tied-at-plate',
                            conductor: $conductor->name(),
                            missing: $missing->value,
                            e: $e->printed,
                            aux: $aux->printed,
                        ),
                        Message::of('planning.wo11.jumper-with-pigtail'),
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
