<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * MR03 Two transformers: cooling hot on Rc, heating hot on Rh, link out. The link ties them: an error also where
 * nothing measurable changes.
 */
final class Mr03TwoTransformers implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->transformers() < 2) {
            return [];
        }
        if ($plan->profile->link === null && count($plan->profile->hots()) < 2) {
            return [
                Finding::of(
                    'MR03',
                    Severity::Error,
                    Message::of('planning.mr03.one-hot-screw-for-two'),
                    Message::of('planning.mr03.one-family-calls-would-take'),
                    Message::of('planning.mr03.choose-thermostat-with-rc-rh'),
                ),
            ];
        }
        $findings = [];
        if ($plan->landing->linkIn && $plan->profile->link !== null) {
            $findings[] = Finding::of(
                'MR03',
                Severity::Error,
                Message::of('planning.mr03.link-in-on-two-transformers'),
                Message::of('planning.mr03.ties-them-one-switched-off'),
                Message::of(
                    'planning.mr03.take-link-out',
                    link: $plan->profile->link[0],
                    link2: $plan->profile->link[1],
                ),
                [],
                array_map(
                    static fn (string $screw): string => At::screw(Place::Wall, $screw)->id,
                    $plan->profile->link,
                ),
            );
        }
        foreach (PlannedConductor::all($plan) as $planned) {
            $wrong =
                ($planned->boardName === TerminalName::Rc && $planned->wallName === TerminalName::Rh) ||
                ($planned->boardName === TerminalName::Rh && $planned->wallName === TerminalName::Rc);
            if ($wrong) {
                $findings[] = Finding::of(
                    'MR03',
                    Severity::Error,
                    Message::of(
                        'planning.mr03.brings-wrong-hot',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr03.cooling-takes-from-rc-heating'),
                    Message::of('planning.mr03.land-on', boardName: $planned->boardName->value),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
