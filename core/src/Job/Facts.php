<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Equipment\Transformer;

/** What the survey found of the supply and of the old plate. Null means: not looked at yet, the default is used. */
final readonly class Facts
{
    use Copies;

    /**
     * @param  ?float  $lineVolts  measured at the transformer's line leads; default 120 V
     * @param  ?float  $tapVolts  primary tap in use; default 120 V
     * @param  ?float  $transformerVa  from the transformer's plate
     * @param  ?float  $fuseAmps  rating of the fuse in place; 0 where there is none
     * @param  ?bool  $commonBonded  common bonded to the cabinet
     * @param  LinkState  $plateLink  R–Rc link found on the old plate
     * @param  ?bool  $secondBonded  the second transformer's common is bonded to the cabinet
     * @param  string  $secondPhase  of the second transformer against the first: in, out or unknown
     * @param  list<SafetyDevice>  $safety  float, pump and load-shedding switches added in the wiring
     * @param  bool  $sharedKit  the adapter of a thermostat's kit stands at the board (WO04): put there by a plan,
     *     or found there
     * @param  array<string, SupplyFacts>  $further  of the supplies after the first, by their ids
     * @param  ?string  $oldPower  what the old thermostat ran on: battery, common, both, mechanical or unknown
     * @param  ?string  $oldSwitches  where the old thermostat's switches are: base, face, receiver or unknown
     */
    public function __construct(
        public ?float $lineVolts = null,
        public ?float $tapVolts = null,
        public ?float $transformerVa = null,
        public ?float $fuseAmps = null,
        public ?bool $commonBonded = null,
        public LinkState $plateLink = LinkState::Unknown,
        public ?string $oldPower = null,
        public ?bool $secondBonded = null,
        public string $secondPhase = 'unknown',
        public array $safety = [],
        public bool $sharedKit = false,
        public array $further = [],
        public ?string $oldSwitches = null,
    ) {
    }

    /** What is known of one supply; the first of a house is T1 or the only one. */
    public function ofSupply(string $id, bool $first): SupplyFacts
    {
        return $first
            ? new SupplyFacts($this->lineVolts, $this->tapVolts, $this->transformerVa, $this->fuseAmps)
            : $this->further[$id] ?? new SupplyFacts();
    }

    /** @return list<SafetyDevice> those that water opens */
    public function floats(): array
    {
        return array_values(
            array_filter($this->safety, static fn (SafetyDevice $d): bool => $d->kind !== SafetyKind::Shedding),
        );
    }

    public function shedsLoad(): bool
    {
        return count($this->floats()) < count($this->safety);
    }

    /**
     * The same figures on other equipment: each stays with the supply that stands where its own stood, and where only
     * one stood and one stands, with that; of a supply that nobody has seen nothing is known.
     *
     * @param  list<Transformer>  $before
     * @param  list<Transformer>  $after
     */
    public function carried(array $before, array $after): self
    {
        $known = [];
        foreach ($before as $index => $supply) {
            $known[$supply->place()->value][] = $this->ofSupply($supply->id, $index === 0);
        }
        $only = count($before) === 1 && count($after) === 1 ? $this->ofSupply($before[0]->id, true) : null;
        $figures = $seen = [];
        foreach ($after as $supply) {
            $place = $supply->place()->value;
            $nth = $seen[$place] ?? 0;
            $seen[$place] = $nth + 1;
            $figures[] = $only ?? ($known[$place][$nth] ?? new SupplyFacts());
        }
        $first = $figures[0] ?? new SupplyFacts();
        $further = array_combine(
            array_map(static fn (Transformer $supply): string => $supply->id, array_slice($after, 1)),
            array_slice($figures, 1),
        );

        return $this->copy([
            'lineVolts' => $first->lineVolts,
            'tapVolts' => $first->tapVolts,
            'transformerVa' => $first->transformerVa,
            'fuseAmps' => $first->fuseAmps,
            'further' => array_filter($further, static fn (SupplyFacts $f): bool => ! $f->isEmpty()),
        ]);
    }

    /** @param  list<SafetyDevice>  $safety */
    public function withSafety(array $safety): self
    {
        return $this->copy(['safety' => $safety]);
    }

    public function withSharedKit(): self
    {
        return $this->copy(['sharedKit' => true]);
    }

    /** With what is known or taken of bonding and phase. */
    public function wired(?bool $common, ?bool $second, string $phase): self
    {
        return $this->copy(['commonBonded' => $common, 'secondBonded' => $second, 'secondPhase' => $phase]);
    }

    public function line(): float
    {
        return $this->lineVolts ?? SupplyFacts::USUAL_VOLTS;
    }

    public function tap(): float
    {
        return $this->tapVolts ?? SupplyFacts::USUAL_VOLTS;
    }
}
