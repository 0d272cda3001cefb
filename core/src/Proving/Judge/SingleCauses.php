<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/**
 * Single changes of the circuit that would give an unexpected reading, each solved on the circuit of the job: what a
 * failed verdict names as its reason. What else was read in the same set-up is held against each of them.
 */
final readonly class SingleCauses
{
    /** Source tolerance, both ways, that a candidate's nominal reading is allowed; and volts of pick-up. */
    private const SPREAD = 0.11;

    private const FLOOR = 1.0;

    /** Up to here, in ohms, a reading is that of a dead short, however near to the probes it lies. */
    private const DEAD_SHORT_OHMS = 0.7;

    /** What a shorted coil may be down to, parts of its own impedance: solid, burnt, partly burnt. */
    private const COIL_SHORTS = [0.005, 0.075, 0.15];

    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  list<TakenReading>  $others  read in the same set-up
     * @return list<array{edit: CircuitEdit, says: Message, fitsAll: bool}> those that give all readings, likeliest
     *     first; where
     *                                                                     no single change does, those of the odd one
     * alone
     */
    public function forReading(Setup $setup, TakenReading $odd, array $others = []): array
    {
        $netlist = $this->circuit->netlist($setup);
        $fits = fn (CircuitEdit $edit): bool => $this->gives($setup, $edit, $odd);
        $found = [];
        foreach (
            self::inTurn(
                array_map(
                    static fn (array $kind): array => array_values(array_filter($kind, $fits)),
                    $this->kinds($setup),
                ),
            ) as $edit
        ) {
            $all = true;
            foreach ($others as $other) {
                $all = $all && $this->gives($setup, $edit, $other);
            }
            $found[] = ['edit' => $edit, 'says' => $edit->describe($netlist), 'fitsAll' => $all];
        }
        $joint = array_values(array_filter($found, static fn (array $f): bool => $f['fitsAll']));

        return $joint === [] ? $found : $joint;
    }

    private function gives(Setup $setup, CircuitEdit $edit, TakenReading $read): bool
    {
        return match ($read->mode) {
            MeterMode::Volts => $this->fitsVolts($setup->with($edit), $read),
            MeterMode::Ohms, MeterMode::Beep => $this->fitsOhms($setup->with($edit), $read, self::isShort($edit)),
            default => true,
        };
    }

    private function fitsVolts(Setup $setup, TakenReading $read): bool
    {
        $nominal = (new Meter($this->circuit))->nominalVolts($setup, $read->a, $read->b);
        $value = (float) $read->value;

        return $nominal === null
            ? $value <= Expectation::GHOST_VOLTS
            : abs($value - $nominal) <= self::SPREAD * $nominal + self::FLOOR;
    }

    private function fitsOhms(Setup $setup, TakenReading $read, bool $short): bool
    {
        $expected = (new Meter($this->circuit))->settledOhms($setup, $read->a, $read->b);
        if ($read->value === null) {
            return $expected->overLimit;
        }

        return $expected->contains($read->value) ||
            ($short &&
                $read->value <= self::DEAD_SHORT_OHMS &&
                $expected->low !== null &&
                $expected->low <= self::DEAD_SHORT_OHMS);
    }

    private static function isShort(CircuitEdit $edit): bool
    {
        return $edit instanceof Touching || $edit instanceof CoilShorted;
    }

    /** @return list<list<CircuitEdit>> by kind, in the order of how often they are met */
    private function kinds(Setup $setup): array
    {
        [$switches, $wires, $fuses, $other, $loads] = $this->opened($setup);

        return [$switches, $wires, $fuses, $this->touches(), $this->coilShorts(), $other, $loads];
    }

    /**
     * One of each kind in turn, so that the first few named are of different kinds.
     *
     * @param  list<list<CircuitEdit>>  $kinds
     * @return list<CircuitEdit>
     */
    private static function inTurn(array $kinds): array
    {
        $edits = [];
        for ($n = 0, $most = max(0, ...array_map(count(...), $kinds)); $n < $most; $n++) {
            foreach ($kinds as $kind) {
                if (isset($kind[$n])) {
                    $edits[] = $kind[$n];
                }
            }
        }

        return $edits;
    }

    /** @return list<list<CircuitEdit>> what no longer conducts: switches, fuses, conductors, the rest, loads */
    private function opened(Setup $setup): array
    {
        $switches = $fuses = $wires = $loads = $other = [];
        foreach ($this->circuit->netlist($setup)->elements as $element) {
            match (true) {
                $element->isOpen() => null,
                $element->kind === ElementKind::ThermostatSwitch => ($switches[] = new Opened($element->part())),
                $element->kind === ElementKind::Fuse => ($fuses[] = new Opened($element->part())),
                $element->kind === ElementKind::Wire && $element->isAt(Side::Near) => ($wires[] = new Opened(
                    $element->part(),
                )),
                $element->kind === ElementKind::Load => ($loads[] = new Opened($element->part())),
                $element->kind === ElementKind::Winding,
                $element->kind === ElementKind::SafetySwitch,
                $element->kind === ElementKind::Jumper => ($other[] = new Opened($element->part())),
                default => null,
            };
        }

        return [$switches, $wires, $fuses, $other, $loads];
    }

    /** @return list<CircuitEdit> coils and valves burnt together, solid ones first */
    private function coilShorts(): array
    {
        $shorts = [];
        foreach (self::COIL_SHORTS as $k) {
            foreach ($this->circuit->installation->loads() as $load) {
                if ($load->kind->isCoil()) {
                    $shorts[] = new CoilShorted(Part::named($load->id), $k);
                }
            }
        }

        return $shorts;
    }

    /** @return list<CircuitEdit> neighbours of each cable first, then every other pair of its conductors */
    private function touches(): array
    {
        $near = $far = [];
        foreach ($this->circuit->installation->cables as $cable) {
            [$beside, $apart] = self::pairs($cable);
            array_push($near, ...$beside);
            array_push($far, ...$apart);
        }

        return [...$near, ...$far];
    }

    /** @return array{list<CircuitEdit>, list<CircuitEdit>} */
    private static function pairs(Cable $cable): array
    {
        $beside = $apart = [];
        foreach ($cable->conductors as $n => $one) {
            foreach (array_slice($cable->conductors, $n + 1) as $m => $other) {
                $touch = new Touching(At::middle($one->id()), At::middle($other->id()));
                $m === 0 ? ($beside[] = $touch) : ($apart[] = $touch);
            }
        }

        return [$beside, $apart];
    }
}
