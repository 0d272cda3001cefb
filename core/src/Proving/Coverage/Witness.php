<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;

/**
 * Which single faults a proof would have shown: each is put into the circuit, and every reading and sign of the proof
 * is asked whether it would then have come out otherwise. A tick that no fault would have spoiled shows nothing.
 */
final class Witness
{
    private readonly AskedHouse $house;

    /** @var array<string, HouseState> the house with a fault and nothing done to it by hand, by call and fault */
    private array $states = [];

    public function __construct(private readonly Plan $plan)
    {
        $this->house = AskedHouse::of($plan->circuit());
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
        $hands = Hands::calling($call);
        $sound = $this->house->expects($hands, MeterMode::Amps, $clamp, $clamp);
        $ids = [];
        foreach ($faults as $fault) {
            if (self::deviates($sound, $this->state($hands, $fault))) {
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
        $sound = $this->house->state($step->hands);
        $expected = $this->expected($step);
        $shown = array_fill_keys([...array_keys($expected), ...array_column($step->signs, 'key')], []);
        foreach ($faults as $fault) {
            $state = $this->state($step->hands, $fault);
            foreach ($expected as $key => $expectation) {
                if (self::deviates($expectation, $state)) {
                    $shown[$key][] = $fault->id;
                }
            }
            foreach ($step->signs as $sign) {
                $shows =
                    $sign->key === Sign::DROP_OFF
                        ? $this->hangs($sign, $step, $fault)
                        : self::differ($sign, $state, $sound);
                if ($shows) {
                    $shown[$sign->key][] = $fault->id;
                }
            }
        }

        return $shown;
    }

    /** @return array<string, Expectation> of the sound house, by the reading's key */
    private function expected(Step $step): array
    {
        $expected = [];
        foreach ($step->probes as $measure) {
            $expected[$measure->key()] = $this->house->expects(
                $step->hands,
                $measure->mode,
                $measure->a,
                $measure->b,
            );
        }

        return $expected;
    }

    /** Whether a meter would not have shown what the sound house gives. */
    private static function deviates(Expectation $sound, HouseState $state): bool
    {
        if ($sound->refused !== null) {
            return false;
        }
        $value = $state->read($sound->mode, $sound->a, $sound->b);
        if ($value === null && $sound->mode === MeterMode::Volts) {
            // A ghost, anything up to 20 V: certain only where none of it would pass.
            $certain = $state->isLine($sound->a) || ($sound->low ?? 0.0) > Expectation::GHOST_VOLTS;

            return ! $sound->floating && $certain;
        }

        return ! $sound->fits($value) &&
            ! array_any($sound->others, static fn (Expectation $e): bool => $e->fits($value));
    }

    private static function differ(Sign $sign, HouseState $one, HouseState $other): bool
    {
        return array_any(
            $sign->watched(),
            static fn (string $name): bool => ($one->seen[$name] ?? false) !== ($other->seen[$name] ?? false),
        );
    }

    /** Something that the call pulled in stays in when it has ended: held by a leak, welded, called otherwise. */
    private function hangs(Sign $sign, Step $step, Fault $fault): bool
    {
        $rest = $this->house->state(Hands::calling());
        if (self::differ($sign, $this->state(Hands::calling(), $fault), $rest)) {
            return true;
        }
        // Only what feeds a little holds in what it could not pull in.
        $feeds = array_any($fault->edits, static fn (CircuitEdit $e): bool => $e instanceof Touching);

        return $feeds && self::differ($sign, $this->house->with($fault)->after($step->hands), $rest);
    }

    /** What nobody has touched is asked for again and again. */
    private function state(Hands $hands, Fault $fault): HouseState
    {
        return $hands->isPlain()
            ? ($this->states["{$hands->call->value}/{$fault->id}"] ??= $this->house->with($fault)->state($hands))
            : $this->house->with($fault)->state($hands);
    }

    /** Whether no part of the house carries another current in any call: a state that costs nothing. */
    public function changesNothing(Fault $fault): bool
    {
        if ($fault->forces !== [] || $fault->blocks !== [] || $fault->fanTurned || $fault->noCalls) {
            return false;
        }

        return array_all(
            CallTable::needed($this->plan->installation->archetype)->calls(),
            fn (CallName $call): bool => $this->house
                ->state(Hands::calling($call))
                ->carriesTheSame($this->state(Hands::calling($call), $fault)),
        );
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<string>> by probe
     */
    private function dead(Step $step, array $faults): array
    {
        $expected = $this->expected($step);
        $shown = array_fill_keys(array_keys($expected), []);
        foreach ($faults as $fault) {
            if ($fault->edits === []) {
                continue;
            }
            $state = $this->house->with($fault)->state($step->hands);
            foreach ($expected as $key => $sound) {
                if (self::deviates($sound, $state)) {
                    $shown[$key][] = $fault->id;
                }
            }
        }

        return $shown;
    }
}
