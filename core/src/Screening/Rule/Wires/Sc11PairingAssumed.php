<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Wiring\Conductor;

/** SC11 Pairings that were assumed: a plan on them is provisional. */
final readonly class Sc11PairingAssumed implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $assumed = array_values(
            array_filter(
                $installation->wallCable()->conductors ?? [],
                static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof(),
            ),
        );
        if ($assumed === []) {
            return [];
        }
        $names = implode(', ', array_map(static fn (Conductor $c): string => $c->name(), $assumed));

        return [
            Finding::of(
                'SC11',
                Severity::Warning,
                count($assumed) === 1 ? "Pairing assumed: {$names}" : "Pairings assumed: {$names}",
                'Colours change at splices that nobody sees. A plan on an assumed pairing is provisional.',
                'Trace them (join two at the board, read them at the wall), or prove them in Prove.',
                array_map(static fn (Conductor $c): string => "A{$c->number}", $assumed),
            ),
        ];
    }
}
