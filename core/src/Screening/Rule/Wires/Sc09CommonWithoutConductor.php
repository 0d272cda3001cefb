<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** SC09 A C screw without a conductor: 0 V from R to it means nothing; an idle call terminal stands in for it. */
final class Sc09CommonWithoutConductor implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $conductors = $installation->wallConductors();
        // Behind a receiver nothing of the wall is asked for volts: its outputs and its common are at the equipment.
        if ($conductors === [] || $installation->facts->oldSwitches === 'receiver') {
            return [];
        }
        $standIn = null;
        foreach ($conductors as $conductor) {
            $name = $installation->onPlate($conductor)?->name;
            if ($name === TerminalName::C) {
                return [];
            }
            $standIn ??= $name?->isCall() === true ? $conductor : null;
        }
        $instead =
            $standIn === null
                ? Message::of('screening.sc09.measure-r-c-at-board')
                : Message::of(
                    'screening.sc09.with-thermostat-off-read-r',
                    near: $standIn->near->label(),
                    standIn: $standIn->name(),
                );

        $ran = in_array($installation->facts->oldPower, ['common', 'both'], true);

        return [
            ...$ran
                ? [
                    Finding::of(
                        'SC09',
                        Severity::Warning,
                        Message::of('screening.sc09.ran-on-r-c-without-c'),
                        Message::of('screening.sc09.one-of-two-is-wrong'),
                        Message::of('screening.sc09.look-behind-plate-for-another'),
                    ),
                ]
                : [],
            Finding::of(
                'SC09',
                Severity::Warning,
                Message::of('screening.sc09.no-conductor-on-c-at'),
                Message::of('screening.sc09.reading-0-v-from-r'),
                $instead,
                $standIn === null ? [] : [$standIn->id()],
            ),
        ];
    }
}
