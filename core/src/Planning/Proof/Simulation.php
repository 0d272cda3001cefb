<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Proof of a plan by simulation: every call that equipment and thermostat share pulls in exactly the loads that
 * the equipment needs and no other, no fuse opens, and the thermostat stays powered.
 */
final class Simulation
{
    /** @return list<CallProof> */
    public static function prove(Plan $plan, ?Circuit $circuit = null): array
    {
        $circuit ??= $plan->circuit();
        $table = CallTable::needed($plan->installation->archetype);

        return array_map(
            static fn (CallName $call): CallProof => self::call($circuit, $plan, $table, $call),
            $table->calls(),
        );
    }

    /** @return array<string, Setup> what the thermostat closes in each call, by call */
    public static function setups(Plan $plan): array
    {
        $table = CallTable::needed($plan->installation->archetype);
        $setups = [];
        foreach ($table->calls() as $call) {
            $setups[$call->value] = Setup::ofCall($table, $call, $plan->profile);
        }

        return $setups;
    }

    private static function call(Circuit $circuit, Plan $plan, CallTable $table, CallName $call): CallProof
    {
        $closes = $table->printed($call, $plan->profile);
        $point = $circuit->operate(Setup::ofCall($table, $call, $plan->profile));
        $archetype = $plan->installation->archetype;
        $needed = $archetype->needs[$call->value] ?? [];
        $allowed = [...$needed, ...$archetype->allows[$call->value] ?? []];

        $problems = $point->notes;
        $in = $ids = [];
        foreach ($plan->installation->loads() as $load) {
            $state = $point->loads[$load->id];
            if ($load->kind->hasState() && $state === LoadState::PulledIn) {
                $in[] = $load->label;
                // What the wiring adds, as a float's relay, is not the equipment's and decides no call.
                if ($archetype->load($load->id) !== null) {
                    $ids[] = $load->id;
                    if (! in_array($load->id, $allowed, true)) {
                        $problems[] = Message::of('planning.simulation.pulls-in-should-not', load: $load->label);
                    }
                }
            } elseif (in_array($load->id, $needed, true)) {
                $problems[] = self::missing($load, $state, $point);
            }
        }
        if (! $point->thermostatUp) {
            $problems[] = Message::of('planning.simulation.thermostat-has-no-power-display');
        }

        $share = max(
            0.0,
            ...array_map(
                static fn (Transformer $t): float => ($point->sourceAmps($t->id) * 24.0) / $t->ratingVa,
                $plan->installation->transformers(),
            ),
        );

        return new CallProof(
            call: $call,
            closes: $closes,
            pulledIn: $in,
            problems: Message::unique($problems),
            amps: max(
                0.0,
                ...array_map(
                    static fn (Transformer $t): float => $point->sourceAmps($t->id),
                    $archetype->transformers,
                ),
            ),
            in: $ids,
            grave: $point->notes !== [] || ! $point->thermostatUp,
            share: $share,
        );
    }

    private static function missing(Load $load, LoadState $state, OperatingPoint $point): Message
    {
        return Message::of(
            'planning.simulation.at',
            load: $load->label,
            state: $state->label(),
            loadVolts: Quantity::of($point->loadVolts[$load->id], Unit::Volts, 1),
        );
    }
}
