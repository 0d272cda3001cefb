<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A jacketed run of conductors between two places. */
final readonly class Cable
{
    public const LEAST_FEET = 1.0;

    public const MOST_FEET = 1000.0;

    /** Usual length of a cable to an outdoor unit, until somebody measures it: our working figure. */
    public const OUTDOOR_FEET = 30.0;

    /** Ohms that a loop may be over what its length gives (MR22). */
    private const OHMS_OVER = 0.5;

    /** Copper at 20 °C, ohms per foot one way, by gauge (standard wire tables). */
    public const OHMS_PER_FOOT = [18 => 0.00639, 20 => 0.01015, 22 => 0.01614, 24 => 0.02567];

    /** @var list<Conductor> */
    public array $conductors;

    /**
     * @param  string  $id  one letter; "A" the first thermostat cable, "B" the first outdoor cable
     * @param  int  $gauge  AWG, one of the keys of OHMS_PER_FOOT
     * @param  float  $feet  length one way
     * @param  list<Conductor>  $conductors  in the order of their numbers
     * @param  ?Run  $run  how it lies; null is not looked at
     * @param  ?string  $kind  solid, stranded, telephone or thick (line-voltage wire); null is not looked at
     */
    public function __construct(
        public string $id,
        public Place $from,
        public Place $to,
        public int $gauge,
        public float $feet,
        array $conductors,
        public ?string $kind = null,
        public ?Run $run = null,
    ) {
        $this->conductors = array_map(static fn (Conductor $c): Conductor => $c->in($id), $conductors);
    }

    /** The usual cable from the board to an outdoor unit, of which nobody has seen a conductor yet. */
    public static function toOutdoors(string $id = 'B'): self
    {
        return new self($id, Place::Indoor, Place::Outdoor, 18, self::OUTDOOR_FEET, []);
    }

    /** Resistance of one conductor end to end, without its landed ends. */
    public function conductorOhms(): float
    {
        return self::OHMS_PER_FOOT[$this->gauge] * $this->feet;
    }

    /** Ohms of a loop over this cable above which its conductor is not what its length allows (MR22). */
    public function loopLimit(): float
    {
        return 2.0 * $this->conductorOhms() + self::OHMS_OVER;
    }

    /**
     * What makes a conductor of this cable unfit to carry anything (MR21, MR22, MR24); empty where nothing is known.
     *
     * @return list<Damage>
     */
    public function damageOf(Conductor $conductor): array
    {
        $damage = [];
        foreach ($conductor->condition as $condition) {
            if ($condition->isDamage()) {
                $damage[] = new Damage(
                    $condition === Condition::Cabinet ? 'MR24' : 'MR21',
                    Message::of('wiring.damage.condition', condition: $condition),
                );
            }
        }
        foreach ($conductor->touches as $number) {
            $other = $this->conductor($number);
            $damage[] = new Damage(
                'MR21',
                Message::of('wiring.damage.touches', other: $other?->name() ?? Message::raw((string) $number)),
            );
        }
        foreach ([$conductor->near, $conductor->far] as $end) {
            if (in_array($end->state, [EndState::CutShort, EndState::BrokenOff], true)) {
                $damage[] = new Damage('MR21', Message::of('wiring.damage.end', end: $end->label()));
            }
        }
        if ($conductor->loopOhms !== null && $conductor->loopOhms > $this->loopLimit()) {
            $damage[] = new Damage(
                'MR22',
                Message::of(
                    'wiring.damage.ohms',
                    loop: Quantity::of($conductor->loopOhms, Unit::Ohms, 2),
                    limit: Quantity::of($this->loopLimit(), Unit::Ohms, 2),
                ),
            );
        }

        return $damage;
    }

    /** @return list<string> its conductors as the circuit calls them, "A4" */
    public function conductorIds(): array
    {
        return array_map(static fn (Conductor $c): string => $c->id(), $this->conductors);
    }

    public function conductor(int $number): ?Conductor
    {
        foreach ($this->conductors as $conductor) {
            if ($conductor->number === $number) {
                return $conductor;
            }
        }

        return null;
    }

    /** @param  list<Conductor>  $conductors */
    public function withConductors(array $conductors): self
    {
        usort($conductors, static fn (Conductor $a, Conductor $b): int => $a->number <=> $b->number);

        return $this->with($this->gauge, $this->feet, $this->run, $conductors);
    }

    /** As it was measured and looked at. */
    public function measured(int $gauge, float $feet, ?Run $run): self
    {
        return $this->with($gauge, $feet, $run, $this->conductors);
    }

    /** @param  list<Conductor>  $conductors */
    private function with(int $gauge, float $feet, ?Run $run, array $conductors): self
    {
        return new self($this->id, $this->from, $this->to, $gauge, $feet, $conductors, $this->kind, $run);
    }

    /** @return list<Conductor> all but this one */
    public function without(int $number): array
    {
        return array_values(
            array_filter($this->conductors, static fn (Conductor $c): bool => $c->number !== $number),
        );
    }

    /** The number that the next conductor of this cable gets. */
    public function nextNumber(): int
    {
        return 1 + max([0, ...array_map(static fn (Conductor $c): int => $c->number, $this->conductors)]);
    }

    /** The end that a conductor of this cable has at a place; null for none. */
    public function endAt(Place $place): ?Side
    {
        return $this->from === $place ? Side::Near : ($this->to === $place ? Side::Far : null);
    }

    public function placeAt(Side $side): Place
    {
        return $side === Side::Near ? $this->from : $this->to;
    }

    /** @return list<Tip> that end of every conductor */
    public function tips(Side $side): array
    {
        return array_map(fn (Conductor $c): Tip => new Tip($this, $c, $side), $this->conductors);
    }

    /** "18/5 · 42 ft" */
    public function label(): Message
    {
        $length = Quantity::of($this->feet, Unit::Feet);

        return $this->conductors === []
            ? Message::of('wiring.cable.empty', gauge: $this->gauge, length: $length)
            : Message::of(
                'wiring.cable.size',
                gauge: $this->gauge,
                count: count($this->conductors),
                length: $length,
            );
    }
}
