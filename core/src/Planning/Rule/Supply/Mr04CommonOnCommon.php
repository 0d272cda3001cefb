<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/**
 * MR04 C lands on C only. What a common on a hot screw does is asked of the circuit: with the link in it is a
 * dead short as the power comes on, with the link out one family of calls closes its loads to the common.
 */
final class Mr04CommonOnCommon implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        $landed = false;
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->boardName !== TerminalName::C) {
                continue;
            }
            $landed = $landed || $planned->wallName === TerminalName::C;
            if ($planned->wallName?->isHot() === true) {
                $findings[] = $this->onHot($plan, $planned);
            }
        }
        if (
            ! $landed &&
            $plan->profile->needsCommon() &&
            $plan->profile->outputs === Place::Wall &&
            ! $plan->landing->plugIn
        ) {
            $findings[] = Finding::of(
                'MR04',
                Severity::Error,
                'This thermostat needs C and none lands',
                'It runs on R and C: without C its display stays blank and no call closes.',
                'Land a conductor from the board\'s C, or choose a battery thermostat.',
                [],
                ['wall.C'],
            );
        }
        if ($plan->profile->named(TerminalName::C) === null) {
            foreach (PlannedConductor::all($plan) as $planned) {
                if ($planned->boardName === TerminalName::C && $planned->wall->terminal === null) {
                    $findings[] = Finding::of(
                        'MR04',
                        Severity::Note,
                        "{$planned->conductor->name()} is the common; this plate has no C",
                        'It is not needed here.',
                        'Cap it and leave it for the next thermostat.',
                        [$planned->id()],
                    );
                }
            }
        }

        return $findings;
    }

    private function onHot(Plan $plan, PlannedConductor $planned): Finding
    {
        $screw = (string) $planned->wall->terminal;
        $point = $plan->circuit()->operate(Setup::calling());
        $title = "{$planned->conductor->name()} is the common and lands on {$screw}";
        if ($point->openFuses !== []) {
            return Finding::of(
                'MR04',
                Severity::Stop,
                $title,
                'R meets C as the power comes on: a dead short. '.implode(' ', $point->notes),
                'Land it on C, or cap it. Never on a hot screw.',
                [$planned->id()],
                ["wall.{$screw}"],
            );
        }
        $dead = [];
        foreach ($plan->profile->terminals as $terminal) {
            if ($terminal->hot === $screw) {
                $dead[] = $terminal->printed;
            }
        }

        return Finding::of(
            'MR04',
            Severity::Error,
            $title,
            'Nothing blows with the link out, but '.
                implode(' and ', $dead).
                ' close to the common instead of the hot: dead.',
            'Land it on C, or cap it.',
            [$planned->id()],
            ["wall.{$screw}"],
        );
    }
}
