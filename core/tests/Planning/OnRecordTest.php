<?php

declare(strict_types=1);

use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Planning\Proof\ShortPath;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Words\Message;

// Plans landed letter to letter, and the same with two conductors exchanged at the wall: which calls are proved, what
// is lost, what shorts and which way, and the ohms before power. On record.

function exchanged(Plan $plan, Pick $pick): Plan
{
    $ids = array_keys($plan->landing->wall);
    [$one, $other] = [$pick->one($ids), $pick->one($ids)];
    $landing = $plan->landing
        ->onWall($one, $plan->landing->wall[$other])
        ->onWall($other, $plan->landing->wall[$one]);

    return new Plan($plan->installation, $plan->profile, $landing);
}

it('proves as it is on record', function (string $archetype): void {
    $told = [];
    $pick = new Pick($archetype);
    foreach (['c-powered-3h-2c', 'battery-1h-1c', 'c-or-battery-2h-2c'] as $profile) {
        $letters = House::example($archetype, $profile);
        $plans = [
            'letters' => $letters,
            'one' => exchanged($letters, $pick),
            'two' => exchanged($letters, $pick),
        ];
        foreach ($plans as $name => $plan) {
            $proof = PlanProof::of($plan);
            $at = "{$profile} {$name}";
            foreach ($proof->calls as $call) {
                $told["{$at} {$call->call->value}"] = [$call->toArray(), $call->in, $call->grave, $call->share];
            }
            $told["{$at} lost"] = $proof->lost;
            $told["{$at} raised"] = $proof->raised;
            $told["{$at} failures"] = $proof->failures;
            $told["{$at} passes"] = [$proof->passes(), $proof->proved()];
            $told["{$at} short"] = ShortPath::of($plan)?->toArray();
            $told["{$at} before power"] = PreCheck::of($plan);
        }
    }

    expect(lines($told))->toBe(onRecord("proof-{$archetype}", lines($told)));
})->with(['furnace-gas-1h-1c', 'heat-pump-o-1c-1aux', 'furnace-oil-own-transformer-1c']);

it('proves what a float, a missing conductor or a supply at the wall does, as it is on record', function (
    string $archetype,
): void {
    $told = [];
    foreach (['c-powered-3h-2c', 'power-sharing-1h-1c', 'battery-1h-1c'] as $profile) {
        $plan = House::example($archetype, $profile);
        // Only what the change adds: what is wrong with the thermostat itself stands in the records above.
        $before = array_map(static fn (Message $m): string => $m->key(), PlanProof::of($plan)->failures);
        $added = static fn (Plan $changed): array => array_values(
            array_filter(
                PlanProof::of($changed)->failures,
                static fn (Message $m): bool => ! in_array($m->key(), $before, true),
            ),
        );
        foreach ([['Y'], ['Y1'], ['R'], ['G'], ['W'], ['Y1', 'Y2'], ['C']] as $breaks) {
            foreach ([false, true] as $relay) {
                $house = $plan->installation;
                $facts = $house->facts->withSafety([new SafetyDevice('float', '', $breaks, $relay)]);
                $told["{$profile} float ".implode('+', $breaks).($relay ? ' relay' : '')] = $added(
                    new Plan($house->withFacts($facts), $plan->profile, $plan->landing),
                );
            }
        }
        foreach (array_keys($plan->landing->wall) as $id) {
            $without = $plan->landing->onWall($id, End::free());
            $proof = PlanProof::of(new Plan($plan->installation, $plan->profile, $without));
            $told["{$profile} without ".substr($id, 1)] = [$proof->lost, $proof->raised, $proof->proved()];
        }
        $told["{$profile} plug-in"] = $added(
            new Plan($plan->installation, $plan->profile, $plan->landing->withPlugIn()),
        );
    }

    expect(lines($told))->toBe(onRecord("proof-changed-{$archetype}", lines($told)));
})->with(['furnace-gas-2h-2c', 'heat-pump-o-2c-2aux', 'dual-fuel-o-2c-2h']);
