<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Circuit\Solve\Phasors;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Words\Message;

/** The settled state of a circuit: netlist with every contact where it ends up, voltages, load states. */
final readonly class OperatingPoint
{
    /**
     * @param  array<string, LoadState>  $loads  by load id
     * @param  array<string, float>  $loadVolts  volts across each load
     * @param  list<string>  $openFuses  transformer ids whose fuse opened in this state
     * @param  bool  $thermostatUp  its electronics run (a battery thermostat always does)
     * @param  array<string, float>  $peaks  most amperes of each transformer in a cycle; empty where it settled
     * @param  list<Message>  $notes  what a plain reading would not tell: fuse, chatter, overload
     */
    public function __construct(
        public Netlist $netlist,
        public Network $network,
        public Phasors $phasors,
        public array $loads,
        public array $loadVolts,
        public array $openFuses,
        public bool $thermostatUp,
        public array $notes,
        public array $peaks = [],
    ) {
    }

    /** @return list<string> ids of the loads that have pulled in */
    public function pulledIn(): array
    {
        return array_keys(
            array_filter($this->loads, static fn (LoadState $state): bool => $state === LoadState::PulledIn),
        );
    }

    /** The most that a transformer gives: in any state of a cycle, or as it settled; amperes. */
    public function mostAmps(string $transformerId): float
    {
        return max($this->sourceAmps($transformerId), $this->peaks[$transformerId] ?? 0.0);
    }

    /** Volts between two points; null where they float against each other, and a meter shows a ghost. */
    public function between(string $a, string $b): ?float
    {
        return $this->network->knows($a) && $this->network->knows($b) && $this->netlist->joins($a, $b)
            ? $this->phasors->magnitude($a, $b)
            : null;
    }

    /** Whether a clamp goes round what ends there: a conductor, or a lead of a transformer. */
    public function isClampable(string $tip): bool
    {
        return ($this->netlist->points[$tip]->conductor ?? null) !== null || $this->leadOf($tip) !== null;
    }

    /** The winding whose own lead ends there. */
    private function leadOf(string $tip): ?Element
    {
        return array_find(
            $this->netlist->elements,
            static fn (Element $e): bool => $e->kind === ElementKind::Winding && ($e->a === $tip || $e->b === $tip),
        );
    }

    /** Amperes in the conductor or the lead whose tip is given, as a clamp round it reads; 0 where there is none. */
    public function clamped(string $tip): float
    {
        $lead = $this->leadOf($tip);
        if ($lead !== null) {
            return $this->phasors->amps($lead);
        }
        $conductor = $this->netlist->points[$tip]->conductor ?? null;
        $half = $conductor === null ? null : Part::half($conductor, Side::Near)->id;
        $element = $half === null ? null : $this->netlist->elements[$half] ?? null;

        return $element === null ? 0.0 : $this->phasors->amps($element);
    }

    /** Current delivered by a transformer, amperes. */
    public function sourceAmps(string $transformerId): float
    {
        return $this->phasors->amps($this->netlist->element($transformerId));
    }

    /**
     * @return array<string, float> points at hot, seen from the transformers' hot screws through copper, with their
     *     volts to the transformer's common
     */
    public function energised(): array
    {
        $live = [];
        foreach ($this->netlist->elements as $element) {
            if ($element->kind !== ElementKind::Winding || $element->emf === 0.0) {
                continue;
            }
            foreach (
                $this->netlist->region(
                    $element->a,
                    static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen(),
                ) as $point => $_
            ) {
                $volts = $this->phasors->magnitude($point, $element->b);
                if ($volts > 10.0) {
                    $live[$point] = $volts;
                }
            }
        }

        return $live;
    }
}
