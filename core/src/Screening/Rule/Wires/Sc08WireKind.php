<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** SC08 Wire that thermostat screws are not made for. */
final readonly class Sc08WireKind implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->cables as $cable) {
            $words = match (true) {
                $cable->kind === 'stranded' => Message::of('screening.sc08.stranded-wire'),
                $cable->kind === 'telephone' => Message::of('screening.sc08.telephone-or-speaker-wire'),
                $cable->gauge > 22 => Message::of('screening.sc08.awg-thinner-than-22', gauge: $cable->gauge),
                default => null,
            };
            if ($words !== null) {
                $findings[] = Finding::of(
                    'SC08',
                    Severity::Warning,
                    Message::of('screening.sc08.cable', id: $cable->id, words: $words),
                    Message::of(
                        'screening.sc08.base-clamps-made-for-solid',
                        value: Quantity::of(2.0 * $cable->conductorOhms(), Unit::Ohms, 1),
                        feet: Quantity::of($cable->feet, Unit::Feet),
                    ),
                    Message::of('screening.sc08.replace-or-ferrule-each-end'),
                );
            }
        }

        return $findings;
    }
}
