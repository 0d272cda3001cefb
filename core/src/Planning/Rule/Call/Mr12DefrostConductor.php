<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** MR12 In the plan: a heat pump's outdoor W reaches the indoor heat input, so that a defrost does not blow cold. */
final class Mr12DefrostConductor implements MappingRule
{
    public function check(Plan $plan): array
    {
        $house = $plan->installation;
        $indoor = $house->archetype->boardTerminal(TerminalName::W1);
        $cable = $house->outdoorCable();
        $w = $cable === null ? null : $house->archetype->terminalNamed($cable->to, TerminalName::W1);
        if ($house->archetype->heatPump === null || $w === null || $indoor === null) {
            return [];
        }
        foreach ($cable->conductors as $conductor) {
            if ($conductor->far->terminal === $w->printed && ! $conductor->near->isFree()) {
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
                [$w->point()],
            ),
        ];
    }
}
