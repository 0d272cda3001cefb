<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC04 A communicating system: data on the conductors, not calls. */
final readonly class Sc04Communicating implements ScreeningRule
{
    /** Labels of a data bus, where a call letter would stand. */
    private const BUS = ['D', 'D+', 'D-', 'DATA', '1', '2', 'A', 'ABCD', 'S'];

    public function check(Installation $installation, array $readings): array
    {
        if ($installation->answers->is('bus', 'yes')) {
            return [
                Finding::of(
                    'SC04',
                    Severity::Stop,
                    Message::of('screening.sc04.communicating-system'),
                    Message::of('screening.sc04.conductors-carry-data-between-boards'),
                    Message::of('screening.sc04.keep-own-controller-or-go'),
                    overridable: true,
                ),
            ];
        }
        // Behind a module the wall unit's own link is numbered; its outputs stand at the equipment.
        if ($installation->facts->oldSwitches === 'receiver') {
            return [];
        }
        $printed = [];
        foreach ($installation->wallConductors() as $conductor) {
            if (
                $conductor->near->terminal !== null &&
                in_array(strtoupper($conductor->near->terminal), self::BUS, true)
            ) {
                $printed[] = $conductor->near->terminal;
            }
        }
        $few = count($installation->wallConductors());
        if (count($printed) > 1 && ! $installation->answers->is('bus', 'convert', 'no')) {
            return [
                Finding::of(
                    'SC04',
                    Severity::Warning,
                    Message::of('screening.sc04.bus-labels-on-plate', printed: $printed),
                    Message::of('screening.sc04.letters-like-these-only-conductors', few: $few),
                    Message::of('screening.sc04.look-at-both-boards-then'),
                ),
            ];
        }

        return [];
    }
}
