<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\LetterToLetter;
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
            } elseif (
                $planned->wallName === TerminalName::C &&
                ! LetterToLetter::isOwnCommon($planned->conductor, $plan->installation, $plan->profile)
            ) {
                $findings[] = $this->ofTheOther($plan, $planned);
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
                Message::of('planning.mr04.thermostat-needs-c-none-lands'),
                Message::of('planning.mr04.runs-on-r-c-without'),
                Message::of('planning.mr04.land-conductor-from-boards-c'),
                [],
                [$plan->profile->named(TerminalName::C)?->point() ?? 'wall.C'],
            );
        }
        if ($plan->profile->named(TerminalName::C) === null) {
            foreach (PlannedConductor::all($plan) as $planned) {
                if ($planned->boardName === TerminalName::C && $planned->wall->terminal === null) {
                    $findings[] = Finding::of(
                        'MR04',
                        Severity::Note,
                        Message::of('planning.mr04.common-plate-has-no-c', conductor: $planned->conductor->name()),
                        Message::of('planning.mr04.not-needed-here'),
                        Message::of('planning.mr04.cap-leave-for-next-thermostat'),
                        [$planned->id()],
                    );
                }
            }
        }

        return $findings;
    }

    /** The common of one supply under a thermostat that takes its power from the other: it gets none. */
    private function ofTheOther(Plan $plan, PlannedConductor $planned): Finding
    {
        return Finding::of(
            'MR04',
            Severity::Error,
            Message::of('planning.mr04.common-of-other-supply', conductor: $planned->conductor->name()),
            Message::of(
                'planning.mr04.takes-power-from-other',
                hot: $plan->profile->powerFrom ?? '',
                place: $plan->installation->placeName($planned->place),
            ),
            Message::of('planning.mr04.land-common-of-that-supply', hot: $plan->profile->powerFrom ?? ''),
            [$planned->id()],
            [At::screw(Place::Wall, (string) $planned->wall->terminal)->id],
        );
    }

    private function onHot(Plan $plan, PlannedConductor $planned): Finding
    {
        $screw = (string) $planned->wall->terminal;
        $point = $plan->circuit()->operate(Setup::calling());
        $title = Message::of(
            'planning.mr04.common-lands-on',
            conductor: $planned->conductor->name(),
            screw: $screw,
        );
        if ($point->openFuses !== []) {
            return Finding::of(
                'MR04',
                Severity::Stop,
                $title,
                Message::of('planning.mr04.r-meets-c-as-power', notes: $point->notes),
                Message::of('planning.mr04.land-on-c-or-cap'),
                [$planned->id()],
                [At::screw(Place::Wall, $screw)->id],
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
            Message::of('planning.mr04.nothing-blows-with-link-out', dead: $dead),
            Message::of('planning.mr04.land-on-c-or-cap-2'),
            [$planned->id()],
            [At::screw(Place::Wall, $screw)->id],
        );
    }
}
