<?php

declare(strict_types=1);

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Planning\Proof\ShortPath;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;

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
