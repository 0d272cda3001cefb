<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/** MR16 Float and other safety switches found in the wiring stay in circuit. A plan that goes round one is refused. */
final class Mr16SafetyStays implements MappingRule
{
    public function check(Plan $plan): array
    {
        $devices = $plan->installation->facts->safety;
        if ($devices === []) {
            return [];
        }
        $net = $plan->circuit()->netlist(Setup::calling());
        $findings = [];
        foreach (PlanProof::of($plan)->leaks() as $pan) {
            $findings[] = Finding::of(
                'MR16',
                Severity::Warning,
                Message::of(
                    'planning.mr16.water-goes-on',
                    device: $pan->device->name(),
                    water: $pan->words($plan->circuit(), $pan->water()),
                ),
                Message::of('planning.mr16.pan-runs-over'),
                Message::of('planning.mr16.move-it-see-figures'),
                [],
                array_map($pan->device->point(...), $pan->device->breaks),
            );
        }
        foreach ($devices as $device) {
            $stands = $net->contactsOf($device->id) !== [];
            $findings[] = $stands
                ? Finding::of(
                    'MR16',
                    Severity::Good,
                    Message::of('planning.mr16.stays-in', device: $device->name(), breaks: $device->breaks),
                    Message::of('planning.mr16.what-opens', kind: $device->kind->value),
                    Message::of('planning.mr16.see-what-stops', kind: $device->kind->value),
                )
                : Finding::of(
                    'MR16',
                    Severity::Error,
                    Message::of('planning.mr16.would-be-out-circuit', device: $device->name()),
                    Message::of('planning.mr16.no-conductor-goes-through-any'),
                    Message::of('planning.mr16.keep-in-conductor-breaks-or'),
                    [],
                    array_map($device->point(...), $device->breaks),
                );
        }

        return $findings;
    }
}
