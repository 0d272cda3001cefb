<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;

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

    /** @return list<array<string, string>> */
    public static function rows(Plan $plan): array
    {
        $rows = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $c = $planned->conductor;
            $means = $planned->isLink() ? 'link to the module' : $planned->boardName?->role() ?? 'spare';
            $rows[] = self::row(
                'A',
                (string) $c->number,
                $c->colour->value.($c->stripe === null ? '' : "/{$c->stripe->value}"),
                $c->near->label(),
                $planned->wall->label(),
                $c->far->label(),
                $planned->board->label(),
                $means,
                'A'.$c->number.' '.($planned->wall->terminal ?? 'spare'),
            );
        }
        foreach ($plan->installation->outdoorCable()->conductors ?? [] as $c) {
            $rows[] = self::row(
                'B',
                (string) $c->number,
                $c->colour->value.($c->stripe === null ? '' : "/{$c->stripe->value}"),
                '',
                '',
                $c->near->label(),
                $c->far->label(),
                'board to outdoor unit',
                'B'.$c->number.' '.($c->far->terminal ?? 'spare'),
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
                'tie',
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
                $plan->landing->linkIn ? 'link in' : 'link out',
                'link',
            );
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function row(string ...$cells): array
    {
        return array_combine(self::COLUMNS, $cells);
    }
}
