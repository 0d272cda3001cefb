<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Solve\Network;

/** One house in one set-up, with what is wrong in it: every pair of points, every current, every sign. */
final class HouseState
{
    /** Amperes that part two states of a call: less than any leak of the catalogue carries. */
    private const SAME_AMPS = 0.001;

    /** @var ?array<string, string> an island's first point, by point */
    private ?array $islands = null;

    /**
     * @param  ?OperatingPoint  $point  null with the power off
     * @param  array<string, bool>  $seen
     * @param  ?Network  $dead  with the power off
     * @param  ?self  $like  the sound house, where nothing of it is moved
     */
    public function __construct(
        public readonly Netlist $netlist,
        public readonly ?OperatingPoint $point,
        public readonly array $seen,
        private readonly ?Network $dead = null,
        public readonly ?self $like = null,
    ) {
    }

    /** Volts between two points; null where they float against each other. */
    public function volts(string $a, string $b): ?float
    {
        if ($this->isLine($a) && $this->isLine($b)) {
            $line = Network::lineSide($this->netlist, false);

            return $line->knows($a) && $line->knows($b) ? $line->solve()->magnitude($a, $b) : null;
        }
        if ($this->point === null) {
            return $this->joined($a, $b) ? 0.0 : null;
        }

        return $this->point->network->knows($a) && $this->point->network->knows($b) && $this->joined($a, $b)
            ? $this->point->phasors->magnitude($a, $b)
            : null;
    }

    /** @return list<string> ids of the loads that have pulled in */
    public function pulledIn(): array
    {
        return $this->point?->pulledIn() ?? [];
    }

    /** What the meter shows in its mode; null for a ghost, and over the limit. */
    public function read(MeterMode $mode, string $a, string $b): ?float
    {
        return match ($mode) {
            MeterMode::Volts => $this->volts($a, $b),
            MeterMode::Ohms, MeterMode::Beep => $this->ohms($a, $b),
            MeterMode::Amps => $this->amps($a),
            MeterMode::NonContact => null,
        };
    }

    /** Ohms with the power off; null where nothing connects the points. */
    public function ohms(string $a, string $b): ?float
    {
        if ($this->isLine($a) && $this->isLine($b)) {
            $line = Network::lineSide($this->netlist, true);
            $joined = $line->knows($a) && $line->knows($b) && $this->netlist->joins($a, $b);

            return $joined ? self::inRange($line->probe($a, $b)->magnitude($a, $b)) : null;
        }
        $network = $this->dead;
        if ($network === null || ! $network->knows($a) || ! $network->knows($b) || ! $this->joined($a, $b)) {
            return null;
        }

        return self::inRange($network->between($a, $b));
    }

    private static function inRange(float $ohms): ?float
    {
        return $ohms > Meter::OVER_LIMIT_OHMS ? null : $ohms;
    }

    public function amps(string $from): float
    {
        if ($this->point === null) {
            return 0.0;
        }
        $fuse = $this->netlist->elements[$from] ?? null;

        return $fuse === null ? $this->point->clamped($from) : $this->point->phasors->amps($fuse);
    }

    /** What a transformer gives, times its fuse; 0 where it has none. */
    public function multiple(Circuit $circuit, string $transformer): float
    {
        foreach ($circuit->installation->transformers() as $t) {
            if ($t->id === $transformer && $t->fuseAmps !== null && $this->point !== null) {
                return $this->point->mostAmps($t->id) / $t->fuseAmps;
            }
        }

        return 0.0;
    }

    /** Whether the circuit goes in and out and never settles. */
    public function cycles(): bool
    {
        return $this->point !== null && $this->point->peaks !== [];
    }

    /** @return list<LoadState> of the loads by which a sign runs */
    public function states(Circuit $circuit, string $observable): array
    {
        $states = [];
        foreach ($circuit->installation->loads() as $load) {
            if ($load->observable?->value === $observable && $this->point !== null) {
                $states[] = $this->point->loads[$load->id];
            }
        }

        return $states;
    }

    /** Whether every part carries the same current as in another state of the house. */
    public function carriesTheSame(self $other): bool
    {
        [$one, $then] = [$this->point, $other->point];
        if ($one === null || $then === null) {
            return false;
        }

        return array_all($this->netlist->elements, static function (Element $e) use ($one, $then, $other): bool {
            $same = $other->netlist->elements[$e->id] ?? null;
            $amps = $same === null ? 0.0 : $then->phasors->amps($same);

            return abs($amps - $one->phasors->amps($e)) <= self::SAME_AMPS;
        });
    }

    public function isLine(string $point): bool
    {
        return ($this->netlist->points[$point] ?? null)?->isLine() ?? false;
    }

    private function joined(string $a, string $b): bool
    {
        $islands = $this->islands ??= $this->islands();

        return $a === $b || ($islands[$a] ?? $a) === ($islands[$b] ?? $b);
    }

    /** @return array<string, string> */
    private function islands(): array
    {
        $up = [];
        foreach ($this->netlist->elements as $element) {
            if ($element->isOpen()) {
                continue;
            }
            [$a, $b] = [$element->a, $element->b];
            while (isset($up[$a])) {
                $a = $up[$a];
            }
            while (isset($up[$b])) {
                $b = $up[$b];
            }
            if ($a !== $b) {
                $up[$a] = $b;
            }
        }
        foreach ($up as $point => $root) {
            while (isset($up[$root])) {
                $root = $up[$root];
            }
            $up[$point] = $root;
        }

        return $up;
    }
}
