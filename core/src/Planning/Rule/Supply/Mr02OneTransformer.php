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
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Words\Message;

/** MR02 One transformer: R lands on R, or on Rc or Rh with the link in. Link out leaves one family of calls dead. */
final class Mr02OneTransformer implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->transformers() !== 1 || $plan->profile->outputs !== Place::Wall) {
            return [];
        }
        $fed = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->boardName?->isHot() === true && $planned->wallName?->isHot() === true) {
                $fed[(string) $planned->wall->terminal] = $planned->id();
            }
        }
        if ($fed === []) {
            return [
                Finding::of(
                    'MR02',
                    Severity::Error,
                    Message::of('planning.mr02.no-r-lands-on-plate'),
                    Message::of('planning.mr02.thermostat-has-no-hot-switch'),
                    Message::of('planning.mr02.land-conductor-from-boards-r'),
                    [],
                    array_map(static fn (PlateTerminal $t): string => $t->point(), $plan->profile->hots()),
                ),
            ];
        }
        $link = $plan->profile->link;
        if ($link === null || $plan->landing->linkIn) {
            return $link === null
                ? []
                : [
                    Finding::of(
                        'MR02',
                        Severity::Good,
                        Message::of('planning.mr02.link-stays-in', link: $link[0], link2: $link[1]),
                        Message::of('planning.mr02.one-transformer-feeds-heating-cooling'),
                        Message::of('planning.mr02.see-in-tight'),
                        array_values($fed),
                    ),
                ];
        }
        $dead = array_values(
            array_filter(
                $link,
                static fn (string $screw): bool => ! isset($fed[$screw]) &&
                    ! ($plan->landing->plugIn && $screw === $plan->profile->powerFrom),
            ),
        );
        if ($dead === []) {
            return [];
        }
        $calls = [];
        foreach ($plan->profile->terminals as $terminal) {
            if ($terminal->hot === $dead[0]) {
                $calls[] = $terminal->printed;
            }
        }

        return [
            Finding::of(
                'MR02',
                Severity::Error,
                Message::of('planning.mr02.link-out-has-no-hot', dead: $dead[0]),
                Message::of('planning.mr02.one-transformer-no-link-never', calls: $calls),
                Message::of('planning.mr02.put-link-in', link: $link[0], link2: $link[1]),
                array_values($fed),
                [At::screw(Place::Wall, $dead[0])->id],
            ),
        ];
    }
}
