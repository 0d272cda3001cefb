<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\ElementKind;
use Unionbit\Core\Circuit\Meter;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\LoadKind;

/**
 * Single changes of the circuit that would give an unexpected reading, each solved on the circuit of the job:
 * what a failed verdict names as its reason.
 */
final readonly class Candidates
{
    /** Source tolerance, both ways, that a candidate's nominal reading is allowed; and volts of pick-up. */
    private const SPREAD = 0.11;

    private const FLOOR = 1.0;

    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  MeterMode  $mode  volts or ohms
     * @param  ?float  $value  actually read, in the mode's unit; null is over limit
     * @return list<array{edit: CircuitEdit, says: string}> likeliest first
     */
    public function forReading(MeterMode $mode, Setup $setup, string $a, string $b, ?float $value): array
    {
        $netlist = $this->circuit->netlist($setup);
        $found = [];
        foreach ($this->edits($setup) as $edit) {
            $fits = $mode === MeterMode::Volts ? $this->fitsVolts($setup->with($edit), $a, $b, (float) $value) : $this->fitsOhms($setup->with($edit), $a, $b, $value);
            if ($fits) {
                $found[] = ['edit' => $edit, 'says' => $edit->describe($netlist)];
            }
        }

        return $found;
    }

    private function fitsVolts(Setup $setup, string $a, string $b, float $value): bool
    {
        $nominal = (new Meter($this->circuit))->nominalVolts($setup, $a, $b);

        return $nominal === null ? $value <= 20.0 : abs($value - $nominal) <= self::SPREAD * $nominal + self::FLOOR;
    }

    private function fitsOhms(Setup $setup, string $a, string $b, ?float $value): bool
    {
        $expected = (new Meter($this->circuit))->ohms($setup, $a, $b);

        return $value === null ? $expected->overLimit : $expected->contains($value);
    }

    /** @return list<CircuitEdit> in the order of how often they are met */
    private function edits(Setup $setup): array
    {
        $elements = $this->circuit->netlist($setup)->elements;
        $switches = $fuses = $wires = $loads = $other = [];
        foreach ($elements as $element) {
            match (true) {
                $element->isOpen() => null,
                $element->kind === ElementKind::ThermostatSwitch => $switches[] = new Opened($element->id),
                $element->kind === ElementKind::Fuse => $fuses[] = new Opened($element->id),
                $element->kind === ElementKind::Wire && str_ends_with($element->id, '.h1') => $wires[] = new Opened($element->id),
                $element->kind === ElementKind::Load => $loads[] = new Opened($element->id),
                $element->kind === ElementKind::Winding, $element->kind === ElementKind::SafetySwitch, $element->kind === ElementKind::Jumper => $other[] = new Opened($element->id),
                default => null,
            };
        }
        $shorts = [];
        foreach ($this->circuit->installation->loads() as $load) {
            if ($load->kind->isCoil() && $load->kind !== LoadKind::GasValve) {
                $shorts[] = new CoilShorted($load->id);
            }
        }

        return [...$switches, ...$fuses, ...$wires, ...$other, ...$loads, ...$shorts, ...$this->touches()];
    }

    /** @return list<CircuitEdit> neighbouring conductors of each cable */
    private function touches(): array
    {
        $touches = [];
        foreach ($this->circuit->installation->cables as $cable) {
            for ($n = 1, $count = count($cable->conductors); $n < $count; $n++) {
                $touches[] = new Touching("{$cable->id}{$cable->conductors[$n - 1]->number}.mid", "{$cable->id}{$cable->conductors[$n]->number}.mid");
            }
        }

        return $touches;
    }
}
