<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** SC11 Pairings that were assumed: a plan on them is provisional. */
final readonly class Sc11PairingAssumed implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $assumed = array_values(
            array_filter(
                $installation->wallConductors(),
                static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof(),
            ),
        );
        if ($assumed === []) {
            return [];
        }
        $names = array_map(static fn (Conductor $c): Message => $c->name(), $assumed);

        return [
            Finding::of(
                'SC11',
                Severity::Warning,
                Message::of('screening.sc11.assumed', names: $names),
                Message::of('screening.sc11.colours-change-at-splices-nobody'),
                Message::of('screening.sc11.trace-them-join-two-at'),
                array_map(static fn (Conductor $c): string => $c->id(), $assumed),
            ),
        ];
    }
}
