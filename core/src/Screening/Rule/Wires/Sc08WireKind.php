<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC08 Wire that thermostat screws are not made for. */
final readonly class Sc08WireKind implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->cables as $cable) {
            $words = match (true) {
                $cable->kind === 'stranded' => 'stranded wire',
                $cable->kind === 'telephone' => 'telephone or speaker wire',
                $cable->gauge > 22 => "{$cable->gauge} AWG, thinner than 22",
                default => null,
            };
            if ($words !== null) {
                $findings[] = Finding::of(
                    'SC08',
                    Severity::Warning,
                    "Cable {$cable->id} is {$words}",
                    sprintf(
                        'Base clamps are made for solid 18 to 22 AWG; %.1f Ω out and back over %g ft.',
                        2.0 * $cable->conductorOhms(),
                        $cable->feet,
                    ),
                    'Replace it, or ferrule each end and note that it was accepted.',
                );
            }
        }

        return $findings;
    }
}
