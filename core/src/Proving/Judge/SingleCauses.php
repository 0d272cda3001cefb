<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\Show\Tolerances;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\SourceScaled;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
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
    /** Up to here, in ohms, a reading is that of a dead short, however near to the probes it lies. */
    private const DEAD_SHORT_OHMS = 0.7;

    /** What a shorted coil may be down to, parts of its own impedance: solid, burnt, partly burnt. */
    private const COIL_SHORTS = [0.005, 0.075, 0.15];

    public function __construct(private AskedHouse $house)
    {
    }

    /**
     * @param  list<MeterReading>  $others  read in the same set-up
     * @return list<array{edit: CircuitEdit, says: Message, fitsAll: bool}> those that give all readings, likeliest
     *     first; where
     *                                                                     no single change does, those of the odd one
     * alone
     */
    public function forReading(Hands $hands, MeterReading $odd, array $others = []): array
    {
        $netlist = $this->house->circuit->netlist($this->house->setup($hands));
        $sound = $this->house->state($hands)->volts($odd->a, $odd->b);
        $fits = fn (CircuitEdit $edit): bool => $odd->mode === MeterMode::Volts
            ? $this->explains($sound, $this->volts($hands, $edit, $odd), $odd)
            : $this->gives($hands, $edit, $odd);
        $found = [];
        foreach (
            self::inTurn(
                array_map(
                    static fn (array $kind): array => array_values(array_filter($kind, $fits)),
                    $this->kinds($netlist),
                ),
            ) as $edit
        ) {
            $all = true;
            foreach ($others as $other) {
                $all = $all && $this->gives($hands, $edit, $other);
            }
            $found[] = ['edit' => $edit, 'says' => $edit->describe($netlist), 'fitsAll' => $all];
        }
        $joint = array_values(array_filter($found, static fn (array $f): bool => $f['fitsAll']));

        return $joint === [] ? $found : $joint;
    }

    private function gives(Hands $hands, CircuitEdit $edit, MeterReading $read): bool
    {
        $house = $this->house->changed($edit);

        return match ($read->mode) {
            MeterMode::Volts => Tolerances::isOfChange($this->volts($hands, $edit, $read), (float) $read->value),
            MeterMode::Ohms, MeterMode::Beep => self::fitsOhms(
                (new Meter($house->circuit))->settledOhms($house->setup($hands), $read->a, $read->b),
                $read,
                self::isShort($edit),
            ),
            default => true,
        };
    }

    private function volts(Hands $hands, CircuitEdit $edit, MeterReading $read): ?float
    {
        return $this->house->changed($edit)->state($hands)->volts($read->a, $read->b);
    }

    /**
     * A change that leaves the odd reading as it is in the sound house explains nothing of it.
     *
     * @param  ?float  $sound  volts; null for a ghost
     * @param  ?float  $changed  volts; null for a ghost
     */
    private function explains(?float $sound, ?float $changed, MeterReading $odd): bool
    {
        $moves =
            $sound === null || $changed === null ? $sound !== $changed : abs($changed - $sound) > Meter::VOLT_FLOOR;

        return $moves && Tolerances::isOfChange($changed, (float) $odd->value);
    }

    private static function fitsOhms(Expectation $expected, MeterReading $read, bool $short): bool
    {
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
    private function kinds(Netlist $netlist): array
    {
        [$switches, $wires, $fuses, $other, $loads] = self::opened($netlist);

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
    private static function opened(Netlist $netlist): array
    {
        $switches = $fuses = $wires = $loads = $other = [];
        foreach ([...$netlist->elements, ...$netlist->lineSide] as $element) {
            match (true) {
                $element->isOpen() => null,
                $element->kind === ElementKind::LineSwitch => ($other[] = new Opened($element->part())),
                $element->kind === ElementKind::Line => ($other[] = new SourceScaled($element->part(), 0.0)),
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
            foreach ($this->house->circuit->installation->loads() as $load) {
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
        foreach ($this->house->circuit->installation->cables as $cable) {
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
