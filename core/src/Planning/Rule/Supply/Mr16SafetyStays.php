<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;

/** MR16 Float and other safety switches found in the wiring stay in circuit. A plan that goes round one is refused. */
final class Mr16SafetyStays implements MappingRule
{
    public function check(Plan $plan): array
    {
        $devices = $plan->installation->facts->safety;
        if ($devices === []) {
            return [];
        }
        $elements = $plan->circuit()->netlist(Setup::calling())->elements;
        $findings = [];
        foreach ($devices as $device) {
            $stands =
                array_filter(
                    array_keys($elements),
                    static fn (string $id): bool => $id === $device->id || str_starts_with($id, "{$device->id}."),
                ) !== [];
            $findings[] = $stands
                ? Finding::of(
                    'MR16',
                    Severity::Good,
                    "The {$device->label} stays in ".implode(' and ', $device->breaks),
                    'Water in the pan opens it.',
                    'Lift it at the end and see what stops.',
                )
                : Finding::of(
                    'MR16',
                    Severity::Error,
                    "The {$device->label} would be out of circuit",
                    'No conductor goes through it any more: the pan could overflow with everything running.',
                    'Keep it in the conductor it breaks, or move it into another one.',
                    [],
                    array_map(static fn (string $screw): string => "indoor.{$screw}", $device->breaks),
                );
        }

        return $findings;
    }
}
