<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\EndState;
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
        'meaning',
        'label',
    ];

    /** @return list<array<string, string|Message>> */
    public static function rows(Plan $plan): array
    {
        $rows = [];
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
                Message::of('planning.wiring-table.board-outdoor-unit'),
                Message::of('planning.wiring-table.label', conductor: $c->id(), end: $c->far->label()),
            );
        }
        foreach ($plan->landing->jumpers as $jumper) {
            $rows[] = self::row(
                '',
                '',
                '',
                '',
                $jumper->place === Place::Wall ? "{$jumper->a}–{$jumper->b}" : '',
                '',
                $jumper->place === Place::Wall ? '' : "{$jumper->a}–{$jumper->b}",
                Message::of('planning.wiring-table.tie'),
                $jumper->label,
            );
        }
        if ($plan->profile->link !== null) {
            $rows[] = self::row(
                '',
                '',
                '',
                '',
                implode('–', $plan->profile->link),
                '',
                '',
                $plan->landing->linkIn
                    ? Message::of('planning.wiring-table.link-in')
                    : Message::of('planning.wiring-table.link-out'),
                Message::of('planning.wiring-table.link'),
            );
        }

        return $rows;
    }

    /** @return array<string, string|Message> */
    private static function row(string|Message ...$cells): array
    {
        return array_combine(self::COLUMNS, $cells);
    }
}
