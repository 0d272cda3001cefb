<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Load;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Tolerance;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Step\BoardPoints;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/**
 * Loaded against unloaded, and idle against calling: for each call what the supply's own screws should read, how far
 * that may fall from rest, and the current that each load adds. A fall is compared with itself, so the band of the
 * line's tolerance, which moves both readings, drops out.
 */
final readonly class LoadChecks
{
    /** Accuracy of a hand meter between two readings of the same range: part of the reading, and volts. */
    private const ACCURACY = 0.005;

    private const FLOOR = 0.3;

    /** A clamp's own floor, amperes. */
    private const CLAMP_FLOOR = 0.02;

    private Circuit $circuit;

    private BoardPoints $board;

    public function __construct(private Plan $plan)
    {
        $this->circuit = $plan->circuit();
        $this->board = new BoardPoints($plan);
    }

    /** @return list<LoadCheck> at rest first, then every call of the house */
    public function all(): array
    {
        $table = CallTable::needed($this->plan->installation->archetype);
        $calls = array_values(array_filter($table->calls(), static fn (CallName $c): bool => $c->mode() === null));

        return array_map($this->of(...), $calls);
    }

    public function of(CallName $call): LoadCheck
    {
        $table = CallTable::needed($this->plan->installation->archetype);
        $supply = $this->supply($call);
        $setup = Setup::calling(...$table->printed($call, $this->plan->profile));
        $rest = Setup::calling();
        $clamp = $this->clampIn($call);
        [$a, $b] = [$this->screw($supply->hot), $this->screw($supply->common)];
        $volts = $falls = $amps = [];
        foreach ([Tolerance::nominal(), ...Tolerance::corners()] as $tolerance) {
            $point = $this->circuit->operate($setup, $tolerance);
            $volts[] = $point->phasors->magnitude($a, $b);
            $falls[] = $this->circuit->operate($rest, $tolerance)->phasors->magnitude($a, $b) - end($volts);
            if ($clamp !== null) {
                $amps[] = $point->clamped($clamp);
            }
        }
        $point = $this->circuit->operate($setup);
        $meter = self::ACCURACY * $volts[0];
        $winding = $point->netlist->element($supply->id);

        return new LoadCheck(
            call: $call,
            a: $a,
            b: $b,
            clamp: $clamp,
            volts: self::band($volts, self::ACCURACY * max($volts) + self::FLOOR),
            fall: [
                'low' => round(min($falls) - $meter - self::FLOOR, 2),
                'nominal' => round($falls[0], 2),
                'high' => round(max($falls) + $meter + self::FLOOR, 2),
            ],
            amps: $amps === [] ? null : self::band($amps, self::CLAMP_FLOOR),
            adds: $this->adds($point),
            va: $point->sourceAmps($supply->id) * $point->phasors->magnitude($winding->a, $winding->b),
            rating: $supply->ratingVa,
        );
    }

    /** Where a clamp goes in a call, by the tip of the conductor; null where no hot runs to the thermostat. */
    public function clampIn(CallName $call): ?string
    {
        $table = CallTable::needed($this->plan->installation->archetype);
        $hot = $this->clamp($table->printed($call, $this->plan->profile));

        return $hot === null ? null : At::near($hot)->id;
    }

    /**
     * Where a clamp reads all that one supply gives to the thermostat, or where no hot of it runs there, all that it
     * gives.
     */
    public function clampOn(Transformer $supply): string
    {
        $net = $this->circuit->netlist(Setup::calling());
        $reached = $net->region($supply->hot, static fn ($e): bool => $e->kind->isCopper() && ! $e->isOpen());
        foreach ($this->plan->profile->outputs === Place::Wall ? $this->plan->profile->hots() : [] as $hot) {
            foreach ($this->plan->landing->on($hot->printed) as $id) {
                if (isset($reached[At::far($id)->id])) {
                    return At::near($id)->id;
                }
            }
        }

        return $net->element($supply->id)->a;
    }

    /** The transformer that feeds the call: with two each family has its own. */
    public function supply(CallName $call): Transformer
    {
        $transformers = $this->plan->installation->transformers();
        $first = $this->board->ofCall($call)[0] ?? null;
        $common = $first === null ? null : $this->board->commonOf($first);
        foreach ($transformers as $transformer) {
            if ($transformer->common === $common) {
                return $transformer;
            }
        }

        return $transformers[0];
    }

    /** A screw where a probe reaches the supply: its own, or the nearest that copper joins to it. */
    private function screw(string $point): string
    {
        $points = $this->circuit->netlist(Setup::calling())->points;
        if ($points[$point]->probeable) {
            return $point;
        }
        foreach (
            $this->circuit
                ->netlist(Setup::calling())
                ->region($point, static fn ($e): bool => $e->kind->isCopper() && ! $e->isOpen()) as $near => $_
        ) {
            if ($points[$near]->probeable && $this->plan->installation->archetype->isBoard($points[$near]->place)) {
                return (string) $near;
            }
        }

        return $point;
    }

    /**
     * The conductor of the thermostat cable that carries the hot of this call.
     *
     * @param  list<string>  $closes  printed
     */
    private function clamp(array $closes): ?string
    {
        if ($this->plan->profile->outputs !== Place::Wall) {
            return null;
        }
        $hots = array_unique([
            $this->plan->profile->terminal($closes[0] ?? '')->hot ?? '',
            ...array_map(static fn ($t): string => $t->printed, $this->plan->profile->hots()),
        ]);
        foreach ($hots as $hot) {
            $ids = $this->plan->landing->on($hot);
            if ($ids !== []) {
                return $ids[0];
            }
        }

        return null;
    }

    /** @return list<array{load: Message, amps: float}> the largest first */
    private function adds(OperatingPoint $point): array
    {
        $rest = $this->circuit->operate(Setup::calling());
        $adds = [];
        foreach ($this->plan->installation->loads() as $load) {
            $more =
                $point->phasors->amps($point->netlist->element($load->id)) -
                $rest->phasors->amps($rest->netlist->element($load->id));
            if ($more > 0.01) {
                $adds[] = ['load' => $load->label, 'amps' => round($more, 2)];
            }
        }
        usort($adds, static fn (array $a, array $b): int => $b['amps'] <=> $a['amps']);

        return $adds;
    }

    /**
     * @param  non-empty-list<float>  $values  the nominal first
     * @return array{low: float, nominal: float, high: float}
     */
    private static function band(array $values, float $more): array
    {
        return [
            'low' => round(max(0.0, min($values) - $more), 2),
            'nominal' => round($values[0], 2),
            'high' => round(max($values) + $more, 2),
        ];
    }
}
