<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Words\Message;

/** MR14 Spares are stripped, capped each on its own and folded; never cut back, never joined under one cap. */
final class Mr14SparesCapped implements MappingRule
{
    public function check(Plan $plan): array
    {
        $bare = [];
        $ids = [];
        $cut = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $atWall = $planned->wall->terminal === null;
            if ($atWall && $planned->wall->state === EndState::CutShort) {
                $cut[] = $planned->conductor->name();
            }
            if ($atWall && $planned->wall->state !== EndState::Capped) {
                $bare[] = $planned->conductor->name();
                $ids[] = $planned->id();
            }
        }
        $findings =
            $bare === []
                ? []
                : [
                    Finding::of(
                        'MR14',
                        Severity::Warning,
                        Message::of('planning.mr14.free-at-wall-not-capped', bare: $bare),
                        Message::of('planning.mr14.bare-end-can-touch-live'),
                        Message::of('planning.mr14.cap-each-on-own-fold'),
                        $ids,
                    ),
                ];

        return $cut === []
            ? $findings
            : [
                ...$findings,
                Finding::of(
                    'MR14',
                    Severity::Note,
                    Message::of('planning.mr14.cut-short', cut: $cut),
                    Message::of('planning.mr14.no-spare-for-next-thermostat'),
                    Message::of('planning.mr14.leave-capped-note-on-record'),
                ),
            ];
    }
}
