<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Circuit\Netlist\OutputLeads;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Planning\Plan\FoundTies;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/** The plan as a table, one row a conductor, joint or lead: what a wiring record and its labels are made from. */
final class WiringTable
{
    public const COLUMNS = [
        'cable',
        'number',
        'colour',
        'wall_before',
        'wall',
        'board_before',
        'board',
        'condition',
        'meaning',
        'label',
    ];

    /** @return list<array<string, string|Message>> */
    public static function rows(Plan $plan): array
    {
        return [...self::conductors($plan), ...self::further($plan)];
    }

    /** @return list<array<string, string|Message>> */
    private static function conductors(Plan $plan): array
    {
        $rows = [];
        $marks = static fn (Conductor $c): string|Message => $plan->installation->marksOf($c) === []
            ? ''
            : Message::series($plan->installation->marksOf($c));
        foreach (PlannedConductor::all($plan) as $planned) {
            $c = $planned->conductor;
            $means = $planned->isLink()
                ? Message::of('planning.wiring-table.link-module')
                : $planned->boardName?->role() ?? Message::term(EndState::Spare);
            $rows[] = self::row(
                $c->cable,
                (string) $c->number,
                $c->color(),
                $c->near->label(),
                $planned->wall->label(),
                $c->far->label(),
                $planned->board->label(),
                $marks($c),
                $means,
                Message::of('planning.wiring-table.label', conductor: $c->id(), end: $planned->wall->label()),
            );
        }
        foreach ($plan->installation->outdoorCable()->conductors ?? [] as $c) {
            $rows[] = self::row(
                $c->cable,
                (string) $c->number,
                $c->color(),
                '',
                '',
                $c->near->label(),
                $c->far->label(),
                $marks($c),
                Message::of('planning.wiring-table.board-outdoor-unit'),
                Message::of('planning.wiring-table.label', conductor: $c->id(), end: $c->far->label()),
            );
        }

        return $rows;
    }

    /**
     * What stands beside the conductors, before and now: ties, the link, short leads of a module or receiver, a kit's
     * adapter, a plug-in transformer.
     *
     * @return list<array<string, string|Message>>
     */
    public static function further(Plan $plan): array
    {
        $link = $plan->profile->link;

        return [
            ...self::ties($plan),
            ...$link === null
                ? []
                : [
                    self::beside(
                        wall: implode('–', $link),
                        meaning: $plan->landing->linkIn
                            ? Message::of('planning.wiring-table.link-in')
                            : Message::of('planning.wiring-table.link-out'),
                        label: Message::of('planning.wiring-table.link'),
                    ),
                ],
            ...array_map(
                static fn (array $lead): array => self::beside(
                    board: $lead[1]->printed,
                    meaning: Message::of(
                        $plan->profile->linkConductors > 0
                            ? 'planning.wiring-table.lead-of-module'
                            : 'planning.wiring-table.lead-of-receiver',
                        screw: $lead[0]->printed,
                    ),
                    label: $lead[0]->printed,
                ),
                OutputLeads::of($plan->installation, $plan->profile),
            ),
            ...$plan->changes->sharedKit
                ? [
                    self::beside(
                        board: implode(
                            ', ',
                            array_map(
                                static fn (EquipmentTerminal $t): string => $t->printed,
                                SharedKit::screws($plan->installation->archetype),
                            ),
                        ),
                        meaning: Message::of('planning.wiring-table.adapter'),
                        label: SharedKit::SCREW,
                    ),
                ]
                : [],
            ...$plan->landing->plugIn
                ? [
                    self::beside(
                        wall: Message::of('planning.wiring-table.plug-in'),
                        meaning: Message::of('planning.wiring-table.own-supply'),
                        label: '',
                    ),
                ]
                : [],
        ];
    }

    /** @return list<array<string, string|Message>> those that stand now, and those that were found and are out */
    private static function ties(Plan $plan): array
    {
        $rows = $standing = [];
        foreach (FoundTies::of($plan) as $tie) {
            $standing[] = $tie->stands;
            $rows[] = self::tie($tie->found, $tie->stands);
        }
        foreach ($plan->landing->jumpers as $jumper) {
            if (! in_array($jumper, $standing, true)) {
                $rows[] = self::tie(null, $jumper);
            }
        }

        return $rows;
    }

    /** @return array<string, string|Message> */
    private static function tie(?Jumper $before, ?Jumper $now): array
    {
        $one = $now ?? $before;
        $at = static fn (?Jumper $jumper, bool $wall): string => $jumper !== null &&
        ($jumper->place === Place::Wall) === $wall
            ? "{$jumper->a}–{$jumper->b}"
            : '';

        return self::beside(
            wallBefore: $at($before, true),
            wall: $at($now, true),
            boardBefore: $at($before, false),
            board: $at($now, false),
            meaning: Message::of($now === null ? 'planning.wiring-table.tie-out' : 'planning.wiring-table.tie'),
            label: Message::of('planning.wiring-table.tie-label', a: $one->a ?? '', b: $one->b ?? ''),
        );
    }

    /** @return array<string, string|Message> what is no conductor */
    private static function beside(
        string $wallBefore = '',
        string|Message $wall = '',
        string $boardBefore = '',
        string $board = '',
        string|Message $meaning = '',
        string|Message $label = '',
    ): array {
        return self::row('', '', '', $wallBefore, $wall, $boardBefore, $board, '', $meaning, $label);
    }

    /** @return array<string, string|Message> */
    private static function row(string|Message ...$cells): array
    {
        return array_combine(self::COLUMNS, $cells);
    }
}
