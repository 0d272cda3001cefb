<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Duties;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Point\At;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Next\Candidates;
use Unionbit\Core\Tracing\Next\Cost;
use Unionbit\Core\Tracing\Record\Row;
use Unionbit\Core\Tracing\Record\State;

/** What a routine works on: the house, where the trace stands, what was done so far, who is left. */
final readonly class Ground
{
    /**
     * @param  array<string, Repair>  $repairs
     * @param  list<Row>  $rows
     * @param  list<Standing>  $standings  most first
     */
    public function __construct(
        public Circuit $circuit,
        public AskedHouse $house,
        public Senses $sight,
        public Candidates $candidates,
        public Cost $cost,
        public Duties $wanted,
        public array $repairs,
        public State $state,
        public array $rows,
        public array $standings,
    ) {
    }

    /** The supply of the board: that with a fuse, else the first. */
    public function supply(): ?Transformer
    {
        $all = $this->circuit->installation->transformers();

        return array_find($all, static fn (Transformer $t): bool => $t->fuseAmps !== null) ?? ($all[0] ?? null);
    }

    /**
     * @param  list<array{At, At}>  $pairs
     * @return list<Probe> of those that this house has
     */
    public function probes(MeterMode $mode, array $pairs): array
    {
        return $this->candidates->metered($mode, $pairs);
    }

    /** @return array<string, list<At>> tips on each screw at the place of a supply's strip */
    public function endsOnStrip(Transformer $supply): array
    {
        $points = $this->house->contacts;
        $ends = [];
        foreach ($points->landedAt($points->placeOf(At::read($supply->hot))) as $tip => $screw) {
            $ends[$screw][] = At::read((string) $tip);
        }

        return $ends;
    }
}
