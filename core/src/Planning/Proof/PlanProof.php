<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\TerminalName;
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
     * @param  list<FullPan>  $pans  each overflow switch of the house open
     * @param  list<Message>  $doubts  what the installer must know and nothing here decides (WO06)
     */
    private function __construct(
        public array $calls,
        public array $lost,
        public array $raised,
        public array $failures,
        public array $pans,
        public array $doubts,
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

        $pans = self::pans($plan, $circuit, $calls);

        return new self(
            $calls,
            $lost,
            $raised,
            Message::unique([
                ...$failures,
                ...self::floats($plan, $circuit, $pans),
                ...self::plugIn($plan, $circuit),
                ...Charging::failures($plan, $circuit),
            ]),
            $pans,
            Charging::doubts($plan, $circuit, $pans),
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
     * @param  list<CallProof>  $calls
     * @return list<FullPan>
     */
    private static function pans(Plan $plan, Circuit $circuit, array $calls): array
    {
        $dry = [];
        foreach ($calls as $proof) {
            $dry[$proof->call->value] = $proof->in;
        }

        return array_map(
            static fn (SafetyDevice $device): FullPan => FullPan::of($circuit, $device, $dry),
            $plan->installation->facts->floats(),
        );
    }

    /**
     * With water in the pan the thermostat must stay up, and cooling must stop by a switch that is to stop it. A switch
     * that the plan moves stops everything that makes water where it stands; of one that stays as it was found, what
     * goes on is said ({@see self::leaks()}).
     *
     * @param  list<FullPan>  $pans
     * @return list<Message>
     */
    private static function floats(Plan $plan, Circuit $circuit, array $pans): array
    {
        $failures = [];
        foreach ($plan->installation->facts->safety as $device) {
            if ($circuit->netlist(Setup::calling())->contactsOf($device->id) === []) {
                $failures[] = Message::of(
                    'planning.plan-proof.mr16-would-no-longer-stand',
                    device: $device->name(),
                );
            }
        }
        foreach ($pans as $pan) {
            if (! $pan->display && $plan->profile->power === PowerKind::Common) {
                $failures[] = Message::of(
                    'planning.plan-proof.in-takes-thermostats-power-with',
                    device: $pan->device->name(),
                    breaks: $pan->device->breaks,
                );
            }
            foreach (array_keys($pan->water()) as $call) {
                if ($plan->changes->safety !== null || self::isToStop($plan, $pan, CallName::from($call))) {
                    $failures[] = Message::of(
                        'planning.plan-proof.with-open-goes-on-making-water',
                        device: $pan->device->name(),
                        call: CallName::from($call)->label(),
                    );
                }
            }
        }

        return $failures;
    }

    /** A switch in the hot or in the call of the cooling, however they are printed, is there to stop it. */
    private static function isToStop(Plan $plan, FullPan $pan, CallName $call): bool
    {
        $stops = [TerminalName::R, TerminalName::Rc, TerminalName::Y1, TerminalName::Y2];

        return $call->isCooling() &&
            array_any(
                $pan->device->breaks,
                static fn (string $printed): bool => in_array(
                    $plan->installation->nameAt($pan->device->screw($printed)),
                    $stops,
                    true,
                ),
            );
    }

    /** @return list<FullPan> switches that stay as they were found and let something go on making water */
    public function leaks(): array
    {
        return array_values(array_filter($this->pans, static fn (FullPan $p): bool => $p->water() !== []));
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
