<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;

/** A kind of equipment from the catalogue: its screws, transformers, loads and what each call needs of it. */
final readonly class Archetype
{
    use Copies;

    /**
     * @param  string  $heatSource  gas, oil, electric, hydronic or none
     * @param  string  $fanInHeat  who runs the fan in heat: equipment, thermostat or none
     * @param  bool  $commonBonded  the common is bonded to the cabinet
     * @param  bool  $blowerOnCoolCall  the board runs the blower on Y alone
     * @param  list<EquipmentTerminal>  $terminals
     * @param  list<Transformer>  $transformers
     * @param  list<Load>  $loads
     * @param  list<LineSwitch>  $switches
     * @param  array<string, list<string>>  $needs  load ids that must pull in, by call
     * @param  array<string, int>  $delays  seconds, by name
     * @param  ?HeatPump  $heatPump  valve, auxiliary stages, emergency heat; null on a conventional system
     * @param  list<Jumper>  $ties  joints inside the equipment, as an E–W tie
     * @param  array<string, list<string>>  $allows  loads that may pull in besides those needed, by call
     * @param  bool  $doorSwitch  a door off the unit cuts the line to its first transformer
     * @param  array<string, list<DrivenContact>>  $modes  contacts that a mode of the equipment moves (defrost)
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $short,
        public string $heatSource,
        public int $heatStages,
        public int $coolStages,
        public bool $reverses,
        public string $fanInHeat,
        public bool $commonBonded,
        public bool $blowerOnCoolCall,
        public array $terminals,
        public array $transformers,
        public array $loads,
        public array $switches,
        public array $needs,
        public array $delays,
        public ?HeatPump $heatPump = null,
        public array $ties = [],
        public array $allows = [],
        public array $modes = [],
        public bool $doorSwitch = false,
        public EquipmentKind $kind = EquipmentKind::Plain,
    ) {
    }

    /** conventional, heat-pump or dual-fuel: which table of calls holds. */
    public function system(): string
    {
        return match (true) {
            $this->heatPump === null => 'conventional',
            in_array($this->heatSource, ['gas', 'oil'], true) => 'dual-fuel',
            default => 'heat-pump',
        };
    }

    /**
     * The same equipment whose board prints an E that is joined to its W inside; unchanged where E is already there
     * or nothing heats electrically.
     */
    public function withEmergencyTied(): self
    {
        $aux =
            $this->terminalNamed(Place::Indoor, TerminalName::W1) ??
            $this->terminalNamed(Place::Indoor, TerminalName::Aux);
        if (
            $this->heatPump === null ||
            $this->heatPump->auxiliaryStages === 0 ||
            $aux === null ||
            $this->terminalNamed(Place::Indoor, TerminalName::E) !== null
        ) {
            return $this;
        }

        return $this->copy([
            'terminals' => [...$this->terminals, new EquipmentTerminal(Place::Indoor, 'E', TerminalName::E, 1)],
            'heatPump' => new HeatPump($this->heatPump->valve, $this->heatPump->auxiliaryStages, 'tied'),
            'ties' => [...$this->ties, new Jumper(Place::Indoor, 'E', $aux->printed, "E–{$aux->printed} tie")],
        ]);
    }

    /** @return list<string> letters printed at a place */
    public function printedAt(Place $place): array
    {
        $printed = [];
        foreach ($this->terminals as $terminal) {
            if ($terminal->place === $place) {
                $printed[] = $terminal->printed;
            }
        }

        return $printed;
    }

    public function terminal(Place $place, string $printed): ?EquipmentTerminal
    {
        foreach ($this->terminals as $terminal) {
            if ($terminal->place === $place && $terminal->printed === $printed) {
                return $terminal;
            }
        }

        return null;
    }

    public function terminalNamed(Place $place, TerminalName $name): ?EquipmentTerminal
    {
        foreach ($this->terminals as $terminal) {
            if ($terminal->place === $place && $terminal->name === $name) {
                return $terminal;
            }
        }

        return null;
    }

    public function load(string $id): ?Load
    {
        foreach ($this->loads as $load) {
            if ($load->id === $id) {
                return $load;
            }
        }

        return null;
    }
}
