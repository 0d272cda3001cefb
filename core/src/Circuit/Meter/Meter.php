<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Meter;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Explain\Explanation;
use Unionbit\Core\Circuit\Explain\Path;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\Netlist\Tolerance;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Circuit\Supplies;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A meter on the circuit of the job: expected volts, ohms and amperes with bands from the tolerances, and the
 * reason of each from the path by which it is read.
 */
final readonly class Meter
{
    /** Input of a volt range, ohms. */
    public const INPUT_OHMS = 10.0e6;

    /** The beeper sounds below this many ohms. */
    public const BEEPS_BELOW = 30.0;

    /** Ohms above which a meter shows that nothing connects. */
    public const OVER_LIMIT_OHMS = 10.0e6;

    /** Reading of an idle lead pair and pick-up, volts; and a hand meter's accuracy, part of the reading. */
    public const VOLT_FLOOR = 0.5;

    private const ACCURACY = 0.01;

    public function __construct(private Circuit $circuit)
    {
    }

    /** @throws \OutOfBoundsException for a point that the circuit does not have */
    public function read(MeterMode $mode, Setup $setup, string $a, string $b): Expectation
    {
        return match ($mode) {
            MeterMode::Volts => $this->volts($setup, $a, $b),
            MeterMode::Ohms, MeterMode::Beep => $this->ohms($setup, $a, $b, $mode),
            MeterMode::Amps => $this->amps($setup, $a),
            MeterMode::NonContact => Expectation::refused(
                $mode,
                $a,
                $b,
                Message::of('circuit.meter.non-contact-tester-senses-line'),
            ),
        };
    }

    public function volts(Setup $setup, string $a, string $b): Expectation
    {
        $line = LineSide::volts($this->circuit, $setup, $a, $b);
        if ($line !== null) {
            return $line;
        }

        return $this->eitherWay(
            $setup,
            $a,
            $b,
            static fn (self $meter): Expectation => $meter->settledVolts($setup, $a, $b),
        );
    }

    /**
     * A reading with what it would be otherwise, where bonding or phase of a supply is not known.
     *
     * @param  callable(self): Expectation  $read
     */
    private function eitherWay(Setup $setup, string $a, string $b, callable $read): Expectation
    {
        $own = $read($this);
        $others = array_map(
            static fn (Circuit $circuit): Expectation => $read(new self($circuit)),
            $this->isOpen($setup, $a, $b) ? $this->circuit->possibilities() : [],
        );
        $different = array_filter(
            $others,
            static fn (Expectation $e): bool => $e->floating !== $own->floating ||
                $e->overLimit !== $own->overLimit ||
                abs(($e->nominal ?? 0.0) - ($own->nominal ?? 0.0)) > 1.0,
        );

        return $different === []
            ? $own
            : $own->widened(
                $others,
                Message::of(
                    count($this->circuit->installation->archetype->supplies()) > 1
                        ? 'circuit.meter.phase-or-bonding-second-transformer'
                        : 'circuit.meter.bonding-not-known',
                    words: Message::unique(
                        array_map(static fn (Expectation $e): Message => $e->shortly(), [$own, ...$others]),
                    ),
                ),
            );
    }

    /** Whether what is not known of the supplies can change a reading: with one supply only where metal is in it. */
    private function isOpen(Setup $setup, string $a, string $b): bool
    {
        if (count($this->circuit->installation->archetype->supplies()) > 1) {
            return true;
        }
        $touching = array_map(
            static fn (CircuitEdit $edit): array => $edit instanceof Touching ? $edit->points() : [],
            $setup->edits,
        );

        return array_filter(
            [$a, $b, ...At::ids(...array_merge(...$touching)), ...array_merge(...$setup->jumpers)],
            fn (string $point): bool => $this->circuit->point($point)->kind === PointKind::Metal,
        ) !== [];
    }

    private function settledVolts(Setup $setup, string $a, string $b): Expectation
    {
        $nominal = $this->circuit->operate($setup);
        $netlist = $this->known($nominal->netlist, $a, $b);
        if ($a === $b) {
            return new Expectation(
                mode: MeterMode::Volts,
                a: $a,
                b: $b,
                low: 0.0,
                nominal: 0.0,
                high: self::VOLT_FLOOR,
                floating: false,
                overLimit: false,
                reason: Message::of('circuit.meter.both-probes-on-same-point'),
            );
        }
        if (! $nominal->network->knows($a) || ! $nominal->network->knows($b) || ! $netlist->joins($a, $b)) {
            return new Expectation(
                mode: MeterMode::Volts,
                a: $a,
                b: $b,
                low: null,
                nominal: null,
                high: null,
                floating: true,
                overLimit: false,
                reason: Explanation::floating($netlist, $a, $b),
                notes: $nominal->notes,
            );
        }
        $values = [$this->metered($nominal, $a, $b)];
        $edge = [];
        $points = [$nominal];
        foreach (Tolerance::corners() as $corner) {
            $points[] = $point = $this->circuit->operate($setup, $corner);
            $values[] = $value = $this->metered($point, $a, $b);
            $edge += $this->otherOutcome($nominal, $point, $value);
        }
        $path = Path::find($netlist, $nominal->network->probe($a, $b), $a, $b);
        $asked = Decider::isAsked($path);
        $decider = $asked ? (new Decider($this->circuit, $setup, $points))->pair($path, $a, $b) : null;
        $notes = [
            ...$nominal->notes,
            ...$this->otherState($setup, $nominal, $a, $b),
            ...array_values($edge),
            ...$asked && $decider === null ? [Message::of('circuit.meter.no-volts-decide')] : [],
        ];

        return new Expectation(
            mode: MeterMode::Volts,
            a: $a,
            b: $b,
            low: max(0.0, min($values) * (1.0 - self::ACCURACY) - self::VOLT_FLOOR),
            nominal: $values[0],
            high: max($values) * (1.0 + self::ACCURACY) + self::VOLT_FLOOR,
            floating: false,
            overLimit: false,
            reason: Explanation::volts($nominal, $path, $a, $b),
            path: Explanation::steps($nominal, $path),
            decidedBy: $decider,
            refused: null,
            notes: $notes,
        );
    }

    /**
     * A corner of the tolerances at which a load does something else: the band then carries both outcomes.
     *
     * @return array<string, Message> by load and state
     */
    private function otherOutcome(OperatingPoint $nominal, OperatingPoint $corner, float $value): array
    {
        $notes = [];
        foreach ($corner->loads as $id => $state) {
            if ($state !== $nominal->loads[$id]) {
                $notes["{$id}.{$state->value}"] = Message::of(
                    'circuit.meter.within-tolerance-may-be-then',
                    element: $nominal->netlist->element($id)->label,
                    state: $state->label(),
                    value: Quantity::of($value, Unit::Volts, 0),
                );
            }
        }

        return $notes;
    }

    /** @return list<Message> what it reads if a load that cannot pull in was in already */
    private function otherState(Setup $setup, OperatingPoint $rest, string $a, string $b): array
    {
        $buzzing = array_filter($rest->loads, static fn (LoadState $state): bool => $state === LoadState::Buzzing);
        $other = $buzzing === [] ? null : $this->circuit->otherState($setup);
        if ($other === null) {
            return [];
        }
        $names = array_map(
            static fn (string $id): Message => $other->netlist->element($id)->label,
            array_values(array_intersect(array_map(strval(...), array_keys($buzzing)), $other->pulledIn())),
        );

        return $names === []
            ? []
            : [
                Message::of(
                    'circuit.meter.two-stable-states-if-was',
                    names: $names,
                    metered: Quantity::of($this->metered($other, $a, $b), Unit::Volts, 1),
                ),
            ];
    }

    public function ohms(Setup $setup, string $a, string $b, MeterMode $mode = MeterMode::Ohms): Expectation
    {
        if ($setup->power) {
            return Expectation::refused($mode, $a, $b, Message::of('circuit.meter.ohms-only-with-power-off'));
        }

        return $this->eitherWay(
            $setup,
            $a,
            $b,
            static fn (self $meter): Expectation => $meter->settledOhms($setup, $a, $b, $mode),
        );
    }

    /** Ohms with the power off, as the survey's facts or their usual values have it: one solution. */
    public function settledOhms(Setup $setup, string $a, string $b, MeterMode $mode = MeterMode::Ohms): Expectation
    {
        $netlist = $this->known($this->circuit->netlist($setup), $a, $b);
        $lineSide = $netlist->point($a)->isLine() && $netlist->point($b)->isLine();
        $network = $lineSide ? Network::lineSide($netlist, true) : Network::dc($netlist);
        if (! $network->knows($a) || ! $network->knows($b) || ! $netlist->joins($a, $b)) {
            return Expectation::apart($mode, $a, $b);
        }
        $probe = $network->probe($a, $b);
        $ohms = $probe->magnitude($a, $b);
        if ($ohms > self::OVER_LIMIT_OHMS) {
            return Expectation::apart($mode, $a, $b);
        }
        $path = Path::find($netlist, $probe, $a, $b);
        $ends = 0.2 * count($path->ofKind(ElementKind::Joint));
        $coil = $path->ofKind(ElementKind::Load) === [] ? 0.05 : 0.2;
        $beep = match (true) {
            $mode !== MeterMode::Beep => Message::none(),
            $ohms < self::BEEPS_BELOW => Message::of('circuit.meter.beeper-sounds'),
            default => Message::of('circuit.meter.beeper-stays-quiet'),
        };

        return new Expectation(
            mode: $mode,
            a: $a,
            b: $b,
            low: $ohms * (1.0 - $coil),
            nominal: $ohms,
            high: $ohms * (1.0 + $coil) + $ends + 1.0,
            floating: false,
            overLimit: false,
            reason: Message::sentences([Explanation::ohms($netlist, $path), $beep]),
            path: Explanation::steps($this->circuit->operate($setup), $path),
        );
    }

    /** Clamp round the conductor whose tip is `a`. */
    public function amps(Setup $setup, string $a): Expectation
    {
        $nominal = $this->circuit->operate($setup);
        if (! $nominal->isClampable($a)) {
            return Expectation::refused(
                MeterMode::Amps,
                $a,
                $a,
                Message::of('circuit.meter.clamp-goes-round-conductor-choose'),
            );
        }
        $values = [$nominal->clamped($a)];
        foreach (Tolerance::corners() as $corner) {
            $values[] = $this->circuit->operate($setup, $corner)->clamped($a);
        }
        $fed = [];
        foreach ($nominal->pulledIn() as $load) {
            $fed[] = $nominal->netlist->element($load)->label;
        }

        return new Expectation(
            mode: MeterMode::Amps,
            a: $a,
            b: $a,
            low: max(0.0, min($values) - 0.02),
            nominal: $values[0],
            high: max($values) + 0.02,
            floating: false,
            overLimit: false,
            reason: $values[0] < 0.01
                ? Message::of('circuit.meter.no-current-flows-in-conductor')
                : Message::of('circuit.meter.current-in-conductor', loads: $fed),
            notes: [...$nominal->notes, ...$this->hold($nominal, $a)],
        );
    }

    /** @return list<Message> the most that a clamp holds there, beside the fuse; none where no fused supply feeds it */
    private function hold(OperatingPoint $point, string $a): array
    {
        $reached = $point->netlist->region(
            $a,
            static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen(),
        );
        foreach ($this->circuit->installation->transformers() as $transformer) {
            $winding = $point->netlist->element($transformer->id);
            if ($transformer->fuseAmps !== null && isset($reached[$winding->a])) {
                return [
                    Message::of(
                        'circuit.meter.maximum-hold',
                        most: Quantity::of($point->mostAmps($transformer->id), Unit::Amps, 2),
                        fuse: Quantity::of($transformer->fuseAmps, Unit::Amps),
                        opens: Quantity::of(FuseCurve::OPENS_FROM * $transformer->fuseAmps, Unit::Amps, 1),
                    ),
                ];
            }
        }

        return [];
    }

    private function metered(OperatingPoint $point, string $a, string $b): float
    {
        $source = $point->network->probe($a, $b)->across($a, $b);

        return ($point->phasors->magnitude($a, $b) * self::INPUT_OHMS) /
            hypot(self::INPUT_OHMS + $source[0], $source[1]);
    }

    private function known(Netlist $netlist, string ...$points): Netlist
    {
        foreach ($points as $point) {
            $netlist->point($point);
        }

        return $netlist;
    }
}
