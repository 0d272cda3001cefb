<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** MR12 In the plan: a heat pump's outdoor W reaches the indoor heat input, so that a defrost does not blow cold. */
final class Mr12DefrostConductor implements MappingRule
{
    public function check(Plan $plan): array
    {
        $house = $plan->installation;
        $indoor = $house->archetype->terminalNamed(Place::Indoor, TerminalName::W1);
        $w = $house->archetype->terminalNamed(Place::Outdoor, TerminalName::W1)?->printed;
        if (
            $house->archetype->heatPump === null ||
            $w === null ||
            $indoor === null ||
            $house->outdoorCable() === null
        ) {
            return [];
        }
        foreach ($house->outdoorCable()->conductors as $conductor) {
            if ($conductor->far->terminal === $w && ! $conductor->near->isFree()) {
                return [];
            }
        }

        return [
            Finding::of(
                'MR12',
                Severity::Warning,
                Message::of('planning.mr12.no-conductor-from-outdoor-w'),
                Message::of('planning.mr12.in-defrost-house-blown-cold'),
                Message::of('planning.mr12.splice-outdoor-w-indoor-heat'),
                [],
                ["outdoor.{$w}"],
            ),
        ];
    }
}
