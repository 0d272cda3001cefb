<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A landing with its proof, its findings, what it loses and what it costs: everything by which plans are compared. */
final readonly class PlanOffer
{
    private const MOVE_MINUTES = 2;

    /** Minutes and part points of a thermostat whose outputs stand at the equipment. */
    private const MODULE = ['minutes' => 25, 'cost' => 4.0];

    /**
     * @param  list<WayOut>  $ways
     * @param  list<Finding>  $findings  mapping rules
     * @param  Installation  $found  the house before the plan changes it
     */
    private function __construct(
        public Plan $plan,
        public array $ways,
        public PlanProof $proof,
        public array $findings,
        private Installation $found,
    ) {
    }

    public static function of(Draft $draft): self
    {
        $plan = $draft->plan();

        return new self($plan, $draft->ways, PlanProof::of($plan), MappingRules::check($plan), $draft->house);
    }

    /** Offered only when the simulation and the rules have nothing against it. */
    public function passes(): bool
    {
        return $this->proof->passes() && $this->blocking() === [] && Wishes::refusal($this) === null;
    }

    /** @return list<Message> why it is not offered */
    public function refusals(): array
    {
        return [
            ...$this->proof->failures,
            ...array_map(static fn (Finding $f): Message => $f->named(), $this->blocking()),
            ...array_filter([Wishes::refusal($this)]),
        ];
    }

    public function title(): Message
    {
        if ($this->ways === []) {
            return $this->plan->profile->outputs === Place::Module
                ? Message::of('planning.plan-offer.outputs-at-equipment')
                : Message::of('planning.plan-offer.letter-letter');
        }

        return Message::series(Message::unique(array_column($this->ways, 'text')))->opening();
    }

    /** @return list<string> */
    public function codes(): array
    {
        return array_values(
            array_unique([
                ...self::ofThermostat($this->plan),
                ...array_map(static fn (WayOut $w): string => $w->code, $this->ways),
            ]),
        );
    }

    /** @return list<string> the ways out that the kind of thermostat is by itself */
    private static function ofThermostat(Plan $plan): array
    {
        $runs = RunsOn::in($plan);

        return match (true) {
            RunsOn::isRadio($plan) => ['WO09'],
            $plan->profile->outputs === Place::Module => ['WO08'],
            $runs === RunsOn::Charging => ['WO06'],
            $runs === RunsOn::BatteriesWithoutC => ['WO05'],
            $runs === RunsOn::Batteries && ! self::hasCommon($plan) => ['WO05'],
            default => [],
        };
    }

    /** Some conductor brings a common to the wall, whether this thermostat takes it or not. */
    private static function hasCommon(Plan $plan): bool
    {
        foreach ($plan->installation->wallConductors() as $conductor) {
            if ($plan->installation->meaning($conductor) === TerminalName::C) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Message> what the house cannot do with it, in words */
    public function lost(): array
    {
        $lost = [
            ...array_map(static fn (array $l): Message => $l['why'], [
                ...$this->proof->lost,
                ...$this->proof->raised,
            ]),
            ...$this->leaks(),
            ...array_map(
                static fn (array $row): Message => Message::of(
                    'planning.plan-offer.accessory-lost',
                    conductor: $row[0]->conductor->name(),
                    accessory: $row[1]->role(),
                    screw: (string) $row[0]->wall->terminal,
                ),
                $this->withoutConductor(),
            ),
        ];

        return $this->plan->profile->remoteControl === RemoteControl::None
            ? [...$lost, Message::of('planning.plan-offer.no-remote-control')]
            : $lost;
    }

    /** @return list<Message> what was wished and this does not give */
    public function unmet(): array
    {
        return Wishes::unmet($this);
    }

    /**
     * Conductors of a humidifier, a dehumidify signal or a sensor that the plan takes for something else: that
     * accessory stays without one (MR17).
     *
     * @return list<array{PlannedConductor, TerminalName}> each with what it was
     */
    private function withoutConductor(): array
    {
        $lost = [];
        foreach (PlannedConductor::all($this->plan) as $planned) {
            $was = $this->found->meaning($this->found->wallConductor($planned->id()) ?? $planned->conductor);
            $now = $planned->boardName;
            if ($was?->isAccessory() === true && $planned->wall->terminal !== null && $now !== $was) {
                $lost[] = [$planned, $was];
            }
        }

        return $lost;
    }

    /** @return list<Message> the accessories that lose their conductor */
    public function accessories(): array
    {
        return array_map(static fn (array $row): Message => $row[1]->role(), $this->withoutConductor());
    }

    /** @return list<Message> what goes on making water into a full pan, past a switch left as it was found */
    private function leaks(): array
    {
        return array_map(
            static fn (FullPan $pan): Message => Message::of(
                'planning.plan-offer.water-goes-on',
                device: $pan->device->name(),
                calls: array_map(
                    static fn (string $call): Message => CallName::from($call)->label(),
                    array_keys($pan->water()),
                ),
            ),
            $this->proof->leaks(),
        );
    }

    /** @return list<string> calls that the house no longer has */
    public function lostCalls(): array
    {
        return array_map(static fn (array $l): string => $l['call']->value, $this->proof->lost);
    }

    /** @return list<Message> to be bought besides the thermostat */
    public function parts(): array
    {
        $parts = array_values(array_filter(array_column($this->ways, 'part')));
        if ($this->plan->profile->outputs === Place::Module) {
            $parts[] = Message::of(
                $this->plan->profile->linkConductors > 0
                    ? 'planning.plan-offer.short-leads-module'
                    : 'planning.plan-offer.short-leads-receiver',
            );
        }

        return $parts;
    }

    public function minutes(): int
    {
        $module = $this->plan->profile->outputs === Place::Module ? self::MODULE['minutes'] : 0;

        return array_sum(array_map(static fn (WayOut $w): int => $w->minutes, $this->ways)) +
            $module +
            self::MOVE_MINUTES * count(MoveList::of($this->plan));
    }

    public function trips(): int
    {
        $module = $this->plan->profile->outputs === Place::Module ? 1 : 0;

        return max([$module, 0, ...array_map(static fn (WayOut $w): int => $w->trips, $this->ways)]);
    }

    /** What has to be bought besides the thermostat, in points. */
    public function partPoints(): float
    {
        return array_sum(array_map(static fn (WayOut $w): float => $w->cost, $this->ways)) +
            ($this->plan->profile->outputs === Place::Module ? self::MODULE['cost'] : 0.0);
    }

    public function points(): PlanPoints
    {
        return PlanPoints::of($this);
    }

    /** Lower is better. */
    public function score(Weights $weights): float
    {
        return $this->points()->score($weights);
    }

    /**
     * What makes two plans really different: the ways they take and what they lose, not which spare they use, nor which
     * good place a switch takes.
     */
    public function signature(): string
    {
        $ways = array_map(
            static fn (WayOut $w): string => $w->code.($w->code === 'MR16' ? '' : $w->part?->key() ?? ''),
            $this->ways,
        );
        $lost = array_map(static fn (array $l): string => $l['call']->value, [
            ...$this->proof->lost,
            ...$this->proof->raised,
        ]);
        sort($ways);
        sort($lost);

        return $this->plan->profile->id.'|'.implode(',', $ways).'|'.implode(',', $lost);
    }

    /** @return list<Message> the reasons of its rank, computed */
    public function reasons(): array
    {
        $all = count(
            array_filter($this->proof->calls, static fn (CallProof $p): bool => $p->call !== CallName::Idle),
        );
        $lost = count($this->proof->lost);
        $reasons = [
            $lost === 0
                ? Message::of('planning.plan-offer.keeps-all-calls', all: $all)
                : Message::of(
                    'planning.plan-offer.keeps-calls',
                    kept: $all - $lost,
                    all: $all,
                    lost: Message::series(array_column($this->proof->lost, 'why'))->within(),
                ),
        ];
        foreach ($this->proof->raised as $raised) {
            $reasons[] = $raised['why']->within();
        }
        foreach ($this->unmet() as $unmet) {
            $reasons[] = Message::of('planning.plan-offer.not-as-wished', what: $unmet);
        }
        foreach (Wishes::met($this) as $met) {
            $reasons[] = Message::of('planning.plan-offer.as-wished', what: $met);
        }
        $parts = $this->parts();
        $reasons[] =
            $parts === []
                ? Message::of('planning.plan-offer.nothing-buy-besides-thermostat')
                : Message::of('planning.plan-offer.buy', parts: $parts);
        $reasons[] = Message::of(
            'planning.plan-offer.about-landing',
            minutes: Quantity::of($this->minutes(), Unit::Minutes),
            trips: $this->trips(),
        );
        $risk = $this->points()->risk;
        if ($risk > 0) {
            $reasons[] = Message::of(
                'planning.plan-offer.risk',
                risk: $risk,
                warnings: Message::sentences($this->warnings()),
            );
        }

        return $reasons;
    }

    /** @return list<Message> what the installer must be told of it */
    private function warnings(): array
    {
        $warnings = array_values(array_filter(array_column($this->ways, 'warns')));
        if ($this->plan->profile->power === PowerKind::Shared) {
            $warnings[] = Message::of('planning.plan-offer.charges-through-load-has-be');
        }
        array_push($warnings, ...$this->proof->doubts);
        $guesses = $this->guesses();

        return $guesses === 0
            ? $warnings
            : [...$warnings, Message::of('planning.plan-offer.pairings-were-not-traced', guesses: $guesses)];
    }

    /** Pairings that it lands without a proof. */
    public function guesses(): int
    {
        return count(
            array_filter(
                $this->plan->installation->wallConductors(),
                fn (Conductor $c): bool => ! $c->evidence->isProof() &&
                    ($this->plan->landing->wall[$c->id()] ?? $c->near)->terminal !== null,
            ),
        );
    }

    /** @return list<Finding> */
    private function blocking(): array
    {
        return array_values(array_filter($this->findings, static fn (Finding $f): bool => $f->severity->blocks()));
    }
}
