<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * What the simulation of a whole plan comes to: calls proved, calls given up without harm (what runs instead is
 * right for a lesser call), calls that always run the higher stage, and what makes the plan fail.
 */
final readonly class PlanProof
{
    private const PLUG_IN_VA = 20.0;

    /**
     * @param  list<CallProof>  $calls
     * @param  list<array{call: CallName, why: Message}>  $lost
     * @param  list<array{call: CallName, why: Message}>  $raised  always the higher stage
     * @param  list<Message>  $failures
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
        static $known = null;
        $known ??= new \WeakMap();
        /** @var \WeakMap<Plan, self> $proofs */
        $proofs = $known;

        return $proofs[$plan] ??= self::prove($plan);
    }

    private static function prove(Plan $plan): self
    {
        $archetype = $plan->installation->archetype;
        $circuit = $plan->circuit();
        $calls = Simulation::prove($plan, $circuit);
        $lost = $raised = $failures = [];
        if ($archetype->reverses && ! $plan->profile->heatPump) {
            $failures[] = Message::of('planning.plan-proof.thermostat-cannot-drive-reversing-valve');
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
                    'why' => Message::of(
                        'planning.plan-proof.runs-without-compressors-second-stage',
                        call: $proof->call->label(),
                    ),
                ];
            } elseif ($instead !== null) {
                $lost[] = ['call' => $proof->call, 'why' => self::words($proof, $instead)];
            } elseif ($always !== null) {
                $raised[] = [
                    'call' => $proof->call,
                    'why' => Message::of(
                        'planning.plan-proof.always-runs',
                        call: $proof->call->label(),
                        always: $always->label(),
                    ),
                ];
            } elseif (! $proof->isProved()) {
                array_push(
                    $failures,
                    ...array_map(
                        static fn (Message $problem): Message => Message::of(
                            'planning.plan-proof.problem',
                            call: $proof->call->label(),
                            problem: $problem,
                        ),
                        $proof->problems,
                    ),
                );
            }
            if ($proof->share > 1.0) {
                $failures[] = Message::of(
                    'planning.plan-proof.asks-transformer',
                    call: $proof->call->label(),
                    value: Quantity::of(100.0 * $proof->share, Unit::Percent, 0),
                );
            }
        }

        return new self(
            $calls,
            $lost,
            $raised,
            Message::unique([
                ...$failures,
                ...self::floats($plan, $circuit),
                ...self::plugIn($plan, $circuit),
                ...self::charging($plan, $circuit),
            ]),
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
            return array_diff(
                $proof->in,
                $archetype->needs['defrost'] ?? [],
                $archetype->allows['defrost'] ?? [],
            ) === []
                ? CallName::Heat1
                : null;
        }
        foreach ($proof->call->lesser() as $lesser) {
            if (self::runs($proof, $archetype, $lesser)) {
                return $lesser;
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
        $higher = $proof->call->higher();

        return $higher !== null &&
            isset($archetype->needs[$higher->value]) &&
            self::runs($proof, $archetype, $higher)
            ? $higher
            : null;
    }

    /** Whether exactly what another call needs has pulled in, and nothing else but what may. */
    private static function runs(CallProof $proof, Archetype $archetype, CallName $call): bool
    {
        $needs = array_filter(
            $archetype->needs[$call->value] ?? [],
            static fn (string $id): bool => $archetype->load($id)?->kind->hasState() === true,
        );

        return array_diff($needs, $proof->in) === [] &&
            array_diff($proof->in, $needs, $archetype->allows[$call->value] ?? []) === [];
    }

    private static function words(CallProof $proof, CallName $instead): Message
    {
        return match (true) {
            $proof->call === CallName::Defrost => Message::of('planning.plan-proof.no-heat-indoors-while-outdoor'),
            $proof->call === CallName::Fan => Message::of('planning.plan-proof.fan-alone-cannot-be-called'),
            $instead === CallName::Idle => Message::of(
                'planning.plan-proof.does-nothing',
                call: $proof->call->label(),
            ),
            $instead === CallName::Fan => Message::of(
                'planning.plan-proof.only-runs-fan',
                call: $proof->call->label(),
            ),
            default => Message::of(
                'planning.plan-proof.runs-as',
                call: $proof->call->label(),
                instead: $instead->label(),
            ),
        };
    }

    /**
     * With water in the pan the thermostat must stay up, and what makes water must stop.
     *
     * @return list<Message>
     */
    private static function floats(Plan $plan, Circuit $circuit): array
    {
        $failures = [];
        $calls = array_filter(
            Simulation::setups($plan),
            static fn (string $call): bool => CallName::from($call)->isCooling() || $call === CallName::Idle->value,
            ARRAY_FILTER_USE_KEY,
        );
        foreach ($plan->installation->facts->safety as $device) {
            $contacts = $circuit->netlist(Setup::calling())->contactsOf($device->id);
            if ($contacts === []) {
                $failures[] = Message::of(
                    'planning.plan-proof.mr16-would-no-longer-stand',
                    device: $device->name(),
                );

                continue;
            }
            $open = array_map(static fn (string $id): Opened => new Opened($id), $contacts);
            foreach ($calls as $call => $setup) {
                $point = $circuit->operate($setup->with(...$open));
                if (! $point->thermostatUp && $plan->profile->power === PowerKind::Common) {
                    $failures[] = Message::of(
                        'planning.plan-proof.in-takes-thermostats-power-with',
                        device: $device->name(),
                        breaks: $device->breaks,
                    );
                }
                $cools = array_filter(
                    $plan->installation->archetype->loads,
                    static fn ($load): bool => $load->observable === Observable::OutdoorUnit &&
                        in_array($load->id, $point->pulledIn(), true),
                );
                if (
                    CallName::from($call)->isCooling() &&
                    $cools !== [] &&
                    array_intersect($device->breaks, ['R', 'Rc', 'RC', 'Y', 'Y1', 'Y2']) !== []
                ) {
                    $failures[] = Message::of(
                        'planning.plan-proof.with-open-still-runs-outdoor',
                        device: $device->name(),
                        from: CallName::from($call)->label(),
                    );
                }
            }
        }

        return $failures;
    }

    /**
     * A thermostat without C charges through an idle load: that load has to be there and take the current (WO06).
     *
     * @return list<Message>
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
                Message::of(
                    'planning.plan-proof.charges-through-gets-there-what',
                    charges: $plan->profile->charges ?? Message::of('planning.plan-proof.load'),
                    volts: Quantity::of($volts, Unit::Volts, 1),
                ),
            ];
    }

    /** @return list<Message> */
    private static function plugIn(Plan $plan, Circuit $circuit): array
    {
        if (! $plan->landing->plugIn) {
            return [];
        }
        $point = $circuit->operate(Setup::calling());
        $plug = $point->netlist->elements['plug-in'] ?? null;
        if ($plug === null) {
            return [Message::of('planning.plan-proof.plate-has-no-screws-own')];
        }
        $failures =
            $point->phasors->amps($plug) * 24.0 > self::PLUG_IN_VA
                ? [Message::of('planning.plan-proof.plug-in-transformer-overloaded')]
                : [];
        foreach (Simulation::setups($plan) as $setup) {
            $reach = $circuit
                ->operate($setup)
                ->netlist->region($plug->a, static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
            foreach ($plan->installation->transformers() as $transformer) {
                if (isset($reach[$transformer->hot])) {
                    return [...$failures, Message::of('planning.plan-proof.plug-in-transformers-hot-meets')];
                }
            }
            foreach ($plan->installation->archetype->loads as $load) {
                if (isset($reach[$load->from])) {
                    return [
                        ...$failures,
                        Message::of('planning.plan-proof.plug-in-transformer-would-feed', load: $load->label),
                    ];
                }
            }
        }

        return $failures;
    }
}
