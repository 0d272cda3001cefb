<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Thermostat\PowerKind;

/**
 * What the simulation of a whole plan comes to: calls proved, calls given up without harm (what runs instead is
 * right for a lesser call), calls that always run the higher stage, and what makes the plan fail.
 */
final readonly class PlanProof
{
    private const PLUG_IN_VA = 20.0;

    /** What may run instead of a call that is given up, nearest first. Heating never becomes cooling. */
    private const LESSER = [
        'fan' => ['idle'],
        'cool-1' => ['idle', 'fan'],
        'cool-2' => ['cool-1', 'idle', 'fan'],
        'heat-1' => ['idle', 'fan'],
        'heat-2' => ['heat-1', 'idle', 'fan'],
        'aux-1' => ['heat-2', 'heat-1'],
        'aux-2' => ['aux-1', 'heat-2', 'heat-1'],
        'emergency' => ['idle', 'fan'],
        'furnace-1' => ['idle', 'fan'],
        'furnace-2' => ['furnace-1', 'idle', 'fan'],
    ];

    private const HIGHER = ['cool-1' => 'cool-2', 'heat-1' => 'heat-2', 'furnace-1' => 'furnace-2', 'aux-1' => 'aux-2'];

    /**
     * @param  list<CallProof>  $calls
     * @param  list<array{call: CallName, why: string}>  $lost
     * @param  list<array{call: CallName, why: string}>  $raised  always the higher stage
     * @param  list<string>  $failures
     */
    private function __construct(
        public array $calls,
        public array $lost,
        public array $raised,
        public array $failures,
    ) {
    }

    /** The proof of a plan, computed once however often it is asked for. */
    public static function of(Plan $plan): self
    {
        /** @var ?\WeakMap<Plan, self> $known */
        static $known = null;
        $known ??= new \WeakMap();

        return $known[$plan] ??= self::prove($plan);
    }

    private static function prove(Plan $plan): self
    {
        $archetype = $plan->installation->archetype;
        $circuit = $plan->circuit();
        $calls = Simulation::prove($plan, $circuit);
        $lost = $raised = $failures = [];
        if ($archetype->reverses && ! $plan->profile->heatPump) {
            $failures[] = 'This thermostat cannot drive a reversing valve.';
        }
        foreach ($calls as $proof) {
            $instead = $proof->isProved() || $proof->grave ? null : self::instead($proof, $archetype);
            $always =
                $proof->isProved() || $proof->grave || $instead !== null ? null : self::always($proof, $archetype);
            if (
                $instead === null &&
                ! $proof->isProved() &&
                ! $proof->grave &&
                self::firstStageOnly($proof, $archetype)
            ) {
                $lost[] = [
                    'call' => $proof->call,
                    'why' => "{$proof->call->label()} runs without the compressor's second stage",
                ];
            } elseif ($instead !== null) {
                $lost[] = ['call' => $proof->call, 'why' => self::words($proof, $instead)];
            } elseif ($always !== null) {
                $raised[] = ['call' => $proof->call, 'why' => "{$proof->call->label()} always runs {$always->label()}"];
            } elseif (! $proof->isProved()) {
                array_push(
                    $failures,
                    ...array_map(
                        static fn (string $problem): string => "{$proof->call->label()}: {$problem}",
                        $proof->problems,
                    ),
                );
            }
            if ($proof->share > 1.0) {
                $failures[] = sprintf(
                    '%s asks %.0f %% of the transformer.',
                    $proof->call->label(),
                    100.0 * $proof->share,
                );
            }
        }

        return new self(
            $calls,
            $lost,
            $raised,
            array_values(
                array_unique([
                    ...$failures,
                    ...self::floats($plan, $circuit),
                    ...self::plugIn($plan, $circuit),
                    ...self::charging($plan, $circuit),
                ]),
            ),
        );
    }

    public function passes(): bool
    {
        return $this->failures === [];
    }

    public function proved(): int
    {
        return count(array_filter($this->calls, static fn (CallProof $p): bool => $p->isProved()));
    }

    private static function instead(CallProof $proof, Archetype $archetype): ?CallName
    {
        if ($proof->call === CallName::Defrost) {
            return array_diff($proof->in, $archetype->needs['defrost'] ?? [], $archetype->allows['defrost'] ?? []) ===
                []
                ? CallName::Heat1
                : null;
        }
        foreach (self::LESSER[$proof->call->value] ?? [] as $lesser) {
            if (self::runs($proof, $archetype, $lesser)) {
                return CallName::from($lesser);
            }
        }

        return null;
    }

    /** A call beside the compressor, as auxiliary heat, with all that it needs but the compressor's second stage. */
    private static function firstStageOnly(CallProof $proof, Archetype $archetype): bool
    {
        $second = array_diff($archetype->needs['heat-2'] ?? [], $archetype->needs['heat-1'] ?? []);
        $needs = array_filter(
            array_diff($archetype->needs[$proof->call->value] ?? [], $second),
            static fn (string $id): bool => $archetype->load($id)?->kind->hasState() === true,
        );

        return $second !== [] &&
            array_diff($needs, $proof->in) === [] &&
            array_diff($proof->in, $needs, $archetype->allows[$proof->call->value] ?? []) === [];
    }

    private static function always(CallProof $proof, Archetype $archetype): ?CallName
    {
        $higher = self::HIGHER[$proof->call->value] ?? null;

        return $higher !== null && isset($archetype->needs[$higher]) && self::runs($proof, $archetype, $higher)
            ? CallName::from($higher)
            : null;
    }

    /** Whether exactly what another call needs has pulled in, and nothing else but what may. */
    private static function runs(CallProof $proof, Archetype $archetype, string $call): bool
    {
        $needs = array_filter(
            $archetype->needs[$call] ?? [],
            static fn (string $id): bool => $archetype->load($id)?->kind->hasState() === true,
        );

        return array_diff($needs, $proof->in) === [] &&
            array_diff($proof->in, $needs, $archetype->allows[$call] ?? []) === [];
    }

    private static function words(CallProof $proof, CallName $instead): string
    {
        return match (true) {
            $proof->call === CallName::Defrost => 'No heat indoors while the outdoor unit defrosts',
            $proof->call === CallName::Fan => 'The fan alone cannot be called',
            $instead === CallName::Idle => "{$proof->call->label()} does nothing",
            $instead === CallName::Fan => "{$proof->call->label()} only runs the fan",
            default => "{$proof->call->label()} runs as {$instead->label()}",
        };
    }

    /**
     * With water in the pan the thermostat must stay up, and what makes water must stop.
     *
     * @return list<string>
     */
    private static function floats(Plan $plan, Circuit $circuit): array
    {
        $failures = [];
        $calls = array_filter(
            Simulation::setups($plan),
            static fn (string $call): bool => str_starts_with($call, 'cool') || $call === 'idle',
            ARRAY_FILTER_USE_KEY,
        );
        foreach ($plan->installation->facts->safety as $device) {
            $contacts = array_values(
                array_filter(
                    self::contacts($device),
                    static fn (string $id): bool => isset($circuit->netlist(Setup::calling())->elements[$id]),
                ),
            );
            if ($contacts === []) {
                $failures[] = "MR16: the {$device->label} would no longer stand in any conductor.";

                continue;
            }
            $open = array_map(static fn (string $id): Opened => new Opened($id), $contacts);
            foreach ($calls as $call => $setup) {
                $point = $circuit->operate($setup->with(...$open));
                if (! $point->thermostatUp && $plan->profile->power === PowerKind::Common) {
                    $failures[] =
                        "The {$device->label} in ".
                        implode(' and ', $device->breaks).
                        ' takes the thermostat\'s power: with water in the pan its display is blank.';
                }
                $cools = array_filter(
                    $plan->installation->archetype->loads,
                    static fn ($load): bool => $load->observable === 'outdoor-unit' &&
                        in_array($load->id, $point->pulledIn(), true),
                );
                if (
                    str_starts_with($call, 'cool') &&
                    $cools !== [] &&
                    array_intersect($device->breaks, ['R', 'Rc', 'RC', 'Y', 'Y1', 'Y2']) !== []
                ) {
                    $failures[] =
                        "With the {$device->label} open, ".
                        CallName::from($call)->label().
                        ' still runs the outdoor unit: it goes on making water.';
                }
            }
        }

        return $failures;
    }

    /** @return list<string> ids of the circuit's elements that the switch opens */
    private static function contacts(SafetyDevice $device): array
    {
        return $device->relay || count($device->breaks) === 1
            ? [$device->id]
            : array_map(static fn (string $printed): string => "{$device->id}.{$printed}", $device->breaks);
    }

    /**
     * A thermostat without C charges through an idle load: that load has to be there and take the current (WO06).
     *
     * @return list<string>
     */
    private static function charging(Plan $plan, Circuit $circuit): array
    {
        if ($plan->profile->power !== PowerKind::Shared) {
            return [];
        }
        $point = $circuit->operate(Setup::calling());
        $own = $point->netlist->elements['thermostat.electronics'] ?? null;
        $volts = $own === null ? 0.0 : $point->phasors->magnitude($own->a, $own->b);

        return $volts >= Circuit::BLANK_VOLTS
            ? []
            : [
                sprintf(
                    'It charges through %s and gets %.1f V there: what hangs behind it here does not let it live (WO06).',
                    $plan->profile->charges ?? 'a load',
                    $volts,
                ),
            ];
    }

    /** @return list<string> */
    private static function plugIn(Plan $plan, Circuit $circuit): array
    {
        if (! $plan->landing->plugIn) {
            return [];
        }
        $point = $circuit->operate(Setup::calling());
        $plug = $point->netlist->elements['plug-in'] ?? null;
        if ($plug === null) {
            return ['This plate has no screws of its own for a plug-in transformer.'];
        }
        $failures =
            $point->phasors->amps($plug) * 24.0 > self::PLUG_IN_VA ? ['The plug-in transformer is overloaded.'] : [];
        foreach (Simulation::setups($plan) as $setup) {
            $reach = $circuit
                ->operate($setup)
                ->netlist->region($plug->a, static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
            foreach ($plan->installation->transformers() as $transformer) {
                if (isset($reach[$transformer->hot])) {
                    return [
                        ...$failures,
                        'The plug-in transformer\'s hot meets the equipment\'s: two supplies joined.',
                    ];
                }
            }
            foreach ($plan->installation->archetype->loads as $load) {
                if (isset($reach[$load->from])) {
                    return [
                        ...$failures,
                        "The plug-in transformer would feed the {$load->label} from the wrong source.",
                    ];
                }
            }
        }

        return $failures;
    }
}
