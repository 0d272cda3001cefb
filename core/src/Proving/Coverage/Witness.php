<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\FaultedStep;
use Unionbit\Core\Proving\Step\Probe;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;

/**
 * Which single faults a proof would have shown: each is put into the circuit, and every reading and sign of the proof
 * is asked whether it would then have come out otherwise. A tick that no fault would have spoiled shows nothing.
 */
final class Witness
{
    private readonly Circuit $circuit;

    private readonly Meter $meter;

    /** Amperes: less than any leak of the catalogue carries. */
    private const NOTHING = 0.001;

    /** @var array<string, Setup> by call */
    private array $sound = [];

    /** @var array<string, array{Setup, array<string, bool>}> the house with a fault and nothing called, by fault */
    private array $rests = [];

    /** @var array<string, Setup> the house with a fault in a call, by call and fault */
    private array $calls = [];

    public function __construct(private readonly Plan $plan)
    {
        $this->circuit = $plan->circuit();
        $this->meter = new Meter($this->circuit);
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<string>> ids of the faults that each of its readings and signs would have shown, by
     *     the item's key
     */
    public function of(Step $step, array $faults): array
    {
        // Looks ask nothing of the circuit: the catalogue says what they show.
        $shown = match (true) {
            $step->method->isLook() => [],
            $step->staysDead => $this->dead($step, $faults),
            default => $this->live($step, $faults),
        };
        $items = [];
        foreach ($shown as $part => $ids) {
            $items[Item::ofStep($step->key(), (string) $part)] = $ids;
        }

        return $items;
    }

    /**
     * The clamp on the hot conductor in one call, without a step.
     *
     * @param  list<Fault>  $faults
     * @return array<string, list<string>>
     */
    public function amps(CallName $call, array $faults): array
    {
        $clamp = (new LoadChecks($this->plan))->clampIn($call);
        if ($clamp === null) {
            return [];
        }
        $sound = $this->meter->amps(FaultedCall::setup($this->circuit, $call), $clamp);
        $probe = new Probe($clamp, $clamp, $sound->reason, MeterMode::Amps);
        $ids = [];
        foreach ($faults as $fault) {
            $point = $this->circuit->operate($this->inCall($call, $fault));
            if ((new Faulted($point, []))->deviates($probe, $sound)) {
                $ids[] = $fault->id;
            }
        }

        return [Item::amps($call->value) => $ids];
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<string>> by probe or sign
     */
    private function live(Step $step, array $faults): array
    {
        $sound = $this->circuit->operate($step->setup);
        $seen = Observables::of($this->circuit, $sound);
        $resting = $this->circuit->operate($this->soundCall(CallName::Idle));
        $rest = Observables::of($this->circuit, $resting);
        $expected = array_map(
            fn (Probe $p): Expectation => $this->meter->read($p->mode, $step->setup, $p->a, $p->b),
            $step->probes,
        );
        $shown = [];
        foreach ($step->probes as $probe) {
            $shown[$probe->key()] = [];
        }
        foreach ($step->signs as $sign) {
            $shown[$sign->key] = [];
        }
        foreach ($faults as $fault) {
            $point = $this->circuit->operate($this->faulted($step, $fault));
            $faulted = new Faulted($point, Observables::of($this->circuit, $point, $fault));
            foreach ($step->probes as $n => $probe) {
                $line = $sound->netlist->point($probe->a)->isLine();
                if (
                    $line
                        ? $this->lineDeviates($step, $fault, $expected[$n])
                        : $faulted->deviates($probe, $expected[$n])
                ) {
                    $shown[$probe->key()][] = $fault->id;
                }
            }
            foreach ($step->signs as $sign) {
                $shows =
                    $sign->key === Sign::DROP_OFF
                        ? $this->hangs($sign, $point->pulledIn(), $fault, $rest)
                        : $faulted->differs($sign, $seen);
                if ($shows) {
                    $shown[$sign->key][] = $fault->id;
                }
            }
        }

        return $shown;
    }

    private function faulted(Step $step, Fault $fault): Setup
    {
        return FaultedStep::byThermostat($step)
            ? $this->inCall($step->call, $fault)
            : FaultedStep::setup($this->circuit, $step, $fault);
    }

    /**
     * Something that the call pulled in stays in when it has ended: held by a leak, welded, called by something else.
     *
     * @param  list<string>  $in  loads that were in
     * @param  array<string, bool>  $rest  what the sound house shows at rest
     */
    private function hangs(Sign $sign, array $in, Fault $fault, array $rest): bool
    {
        [$setup, $seen] = $this->rests[$fault->id] ??= $this->atRest($fault);
        $point = $this->circuit->operate($setup);
        if ((new Faulted($point, $seen))->differs($sign, $rest)) {
            return true;
        }
        // Only what feeds a little holds in what it could not pull in.
        $feeds = array_any($fault->edits, static fn (CircuitEdit $e): bool => $e instanceof Touching);
        if (! $feeds || $in === []) {
            return false;
        }
        $after = FaultedStep::afterwards($this->circuit, $in, $fault);

        return (new Faulted($after, Observables::of($this->circuit, $after, $fault)))->differs($sign, $rest);
    }

    /** @return array{Setup, array<string, bool>} */
    private function atRest(Fault $fault): array
    {
        $setup = $this->inCall(CallName::Idle, $fault);

        return [$setup, Observables::of($this->circuit, $this->circuit->operate($setup), $fault)];
    }

    /** One set-up for a call and a fault, so that its operating point is found once. */
    private function inCall(CallName $call, Fault $fault): Setup
    {
        return $this->calls["{$call->value}/{$fault->id}"] ??= FaultedCall::setup($this->circuit, $call, $fault);
    }

    private function soundCall(CallName $call): Setup
    {
        return $this->sound[$call->value] ??= FaultedCall::setup($this->circuit, $call);
    }

    /** Whether no part of the house carries another current in any call: a state that costs nothing. */
    public function changesNothing(Fault $fault): bool
    {
        if ($fault->forces !== [] || $fault->blocks !== [] || $fault->fanTurned || $fault->noCalls) {
            return false;
        }
        foreach (CallTable::needed($this->plan->installation->archetype)->calls() as $call) {
            $sound = $this->circuit->operate($this->soundCall($call));
            $point = $this->circuit->operate($this->inCall($call, $fault));
            foreach ($sound->netlist->elements as $id => $element) {
                $other = $point->netlist->elements[$id] ?? null;
                $amps = $other === null ? 0.0 : $point->phasors->amps($other);
                if (abs($amps - $sound->phasors->amps($element)) > self::NOTHING) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Between points of the line side volts come from the line's own parts. */
    private function lineDeviates(Step $step, Fault $fault, Expectation $sound): bool
    {
        $read = $this->meter->volts($step->setup->with(...$fault->edits), $sound->a, $sound->b);

        return $read->nominal === null ? ! $sound->floating : ! $sound->fits($read->nominal);
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<string>> by probe
     */
    private function dead(Step $step, array $faults): array
    {
        $shown = [];
        $sound = [];
        foreach ($step->probes as $probe) {
            $shown[$probe->key()] = [];
            $sound[] = $this->meter->ohms($step->setup, $probe->a, $probe->b);
        }
        $pairs = array_map(static fn (Probe $p): array => [$p->a, $p->b], $step->probes);
        foreach ($faults as $fault) {
            $read =
                $fault->edits === [] ? [] : $this->meter->manyOhms($step->setup->with(...$fault->edits), $pairs);
            foreach ($read as $n => $value) {
                $fits =
                    $sound[$n]->fits($value) ||
                    array_any($sound[$n]->others, static fn (Expectation $e): bool => $e->fits($value));
                if (! $fits) {
                    $shown[$step->probes[$n]->key()][] = $fault->id;
                }
            }
        }

        return $shown;
    }
}
