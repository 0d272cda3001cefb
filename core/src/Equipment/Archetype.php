<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;

/** A kind of equipment from the catalogue: its screws, transformers, loads and what each call needs of it. */
final readonly class Archetype
{
    use Copies;

    /**
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
     * @param  non-empty-list<Place>  $boards  where the thermostat's conductors land
     * @param  list<array{unit: string, place: string, options?: array<string, string>}>  $units  what it is made of
     * @param  bool  $doorSwitch  a door off the unit cuts the line to its first transformer
     * @param  bool  $boardRunsBlower  its board runs the blower while a limit is open
     * @param  list<UnitOption>  $options  of its units, as they are
     * @param  Dehumidify  $dehumidify  how it is told to dehumidify
     * @param  array<string, list<DrivenContact>>  $modes  contacts that a mode of the equipment moves (defrost)
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $short,
        public HeatSource $heatSource,
        public int $heatStages,
        public int $coolStages,
        public bool $reverses,
        public FanInHeat $fanInHeat,
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
        public bool $boardRunsBlower = false,
        public EquipmentKind $kind = EquipmentKind::Plain,
        public array $boards = [Place::Indoor],
        public array $units = [],
        public array $options = [],
        public Dehumidify $dehumidify = Dehumidify::None,
    ) {
    }

    /** conventional, heat-pump or dual-fuel: which table of calls holds. */
    public function system(): string
    {
        return match (true) {
            $this->heatPump === null => 'conventional',
            $this->heatSource->burns() => 'dual-fuel',
            default => 'heat-pump',
        };
    }

    /**
     * The same equipment whose board prints an E that is joined to its W inside; unchanged where E is already there
     * or nothing heats electrically.
     */
    public function withEmergencyTied(): self
    {
        $aux = $this->boardTerminal(TerminalName::W1) ?? $this->boardTerminal(TerminalName::Aux);
        if (
            $this->heatPump === null ||
            $this->heatPump->auxiliaryStages === 0 ||
            $aux === null ||
            $this->boardTerminal(TerminalName::E) !== null
        ) {
            return $this;
        }

        return $this->copy([
            'terminals' => [...$this->terminals, new EquipmentTerminal($aux->place, 'E', TerminalName::E, 1)],
            'heatPump' => new HeatPump($this->heatPump->valve, $this->heatPump->auxiliaryStages, 'tied'),
            'ties' => [...$this->ties, new Jumper($aux->place, 'E', $aux->printed, "E–{$aux->printed} tie")],
        ]);
    }

    /** Whether some option of its units is decided by a question. */
    public function isAskedFor(string $question): bool
    {
        return in_array($question, array_column($this->options, 'asks'), true);
    }

    /** The screw by which a humidifier is asked for: the board's HUM, or a dry contact on a supply of its own. */
    public function humidifies(): ?TerminalName
    {
        $dry = array_filter(
            $this->terminals,
            static fn (EquipmentTerminal $t): bool => $t->name === TerminalName::Acc2,
        );

        return match (true) {
            ! isset($this->needs['humidify']) => null,
            $dry !== [] => TerminalName::Acc2,
            default => $this->boardTerminal(TerminalName::Hum)?->name,
        };
    }

    /** @return list<Transformer> those that bring the thermostat a hot: with two of them Rc and Rh */
    public function supplies(): array
    {
        return array_values(array_filter($this->transformers, static fn (Transformer $t): bool => ! $t->aside));
    }

    /** The supply that a point is the hot or the common of. */
    public function supplyAt(string $point): ?Transformer
    {
        foreach ($this->transformers as $transformer) {
            if (in_array($point, [$transformer->hot, $transformer->common], true)) {
                return $transformer;
            }
        }

        return null;
    }

    /** The supply whose own hot and common a reading was taken between, in either order. */
    public function supplyBetween(string $a, string $b): ?Transformer
    {
        foreach ($this->transformers as $transformer) {
            $own = [$transformer->hot, $transformer->common];
            if ($own === [$a, $b] || $own === [$b, $a]) {
                return $transformer;
            }
        }

        return null;
    }

    /** The supply whose hot lands on a plate's screw of this name: with one of them that, with two Rc and Rh apart. */
    public function supplyOf(TerminalName $hot): ?Transformer
    {
        $supplies = $this->supplies();
        foreach (count($supplies) > 1 ? $supplies : [] as $supply) {
            $name = null;
            foreach ($this->boardTerminals() as $terminal) {
                $name = $terminal->point() === $supply->hot ? $terminal->name : $name;
            }
            if ($name === $hot || ($name === TerminalName::R && $hot === TerminalName::Rc)) {
                return $supply;
            }
        }

        return $supplies[0] ?? null;
    }

    public function isBoard(?Place $place): bool
    {
        return in_array($place, $this->boards, true);
    }

    /** @return list<EquipmentTerminal> screws on which a conductor from the wall can land */
    public function boardTerminals(): array
    {
        return array_values(
            array_filter(
                $this->terminals,
                fn (EquipmentTerminal $t): bool => ! $t->onward && $this->isBoard($t->place),
            ),
        );
    }

    /** The board's screw of this meaning; the first where several boards have one. */
    public function boardTerminal(TerminalName $name): ?EquipmentTerminal
    {
        foreach ($this->boardTerminals() as $terminal) {
            if ($terminal->name === $name) {
                return $terminal;
            }
        }

        return null;
    }

    /** The outdoor unit's screw of this meaning; null where it stands in the indoor unit's cabinet. */
    public function outdoorTerminal(TerminalName $name): ?EquipmentTerminal
    {
        foreach ($this->terminals as $terminal) {
            if ($terminal->place->isOutdoors() && $terminal->name === $name) {
                return $terminal;
            }
        }

        return null;
    }

    /** @return list<string> letters printed on the boards */
    public function boardLetters(): array
    {
        return array_values(
            array_unique(
                array_map(static fn (EquipmentTerminal $t): string => $t->printed, $this->boardTerminals()),
            ),
        );
    }

    /** @return array<string, list<string>> letters printed, by place */
    public function lettersByPlace(): array
    {
        $letters = [];
        foreach ($this->terminals as $terminal) {
            $letters[$terminal->place->value][] = $terminal->printed;
        }

        return $letters;
    }

    /** @return list<string> letters printed at a place */
    public function printedAt(Place $place): array
    {
        return $this->lettersByPlace()[$place->value] ?? [];
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
