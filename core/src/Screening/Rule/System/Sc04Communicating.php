<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

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
                    'Communicating system',
                    'Its conductors carry data between the boards, not 24 V calls. A conventional thermostat on them does nothing, or harm.',
                    'Keep its own controller, or go back to 24 V calls where both boards accept them (answer so, then plan).',
                    overridable: true,
                ),
            ];
        }
        $printed = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            if (
                $conductor->near->terminal !== null &&
                in_array(strtoupper($conductor->near->terminal), self::BUS, true)
            ) {
                $printed[] = $conductor->near->terminal;
            }
        }
        $few = count($installation->wallCable()->conductors ?? []);
        if (count($printed) > 1 && ! $installation->answers->is('bus', 'convert', 'no')) {
            return [
                Finding::of(
                    'SC04',
                    Severity::Warning,
                    'Bus labels on the plate: '.implode(', ', $printed),
                    "Letters like these and only {$few} conductors point to a communicating system.",
                    'Look at both boards, then answer whether it communicates.',
                ),
            ];
        }

        return [];
    }
}
