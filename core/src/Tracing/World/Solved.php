<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Solve\Network;

/** One house with one suspect in it, in one set-up: every pair of points, every current, every sign of it. */
final class Solved
{
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

    /** Ohms with the power off; null where nothing connects the points. */
    public function ohms(string $a, string $b): ?float
    {
        if ($this->isLine($a) && $this->isLine($b)) {
            $line = Network::lineSide($this->netlist, true);
            $joined = $line->knows($a) && $line->knows($b) && $this->netlist->joins($a, $b);

            return $joined ? $line->probe($a, $b)->magnitude($a, $b) : null;
        }
        $network = $this->dead;
        if ($network === null || ! $network->knows($a) || ! $network->knows($b) || ! $this->joined($a, $b)) {
            return null;
        }

        return $network->between($a, $b);
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

    private function isLine(string $point): bool
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
