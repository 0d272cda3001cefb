<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Landing;

/** A plan on its way: what is landed so far, the ways out taken, and what it has given up. */
final readonly class Draft
{
    /**
     * In the order in which a missing conductor is looked for: power first, then what heats and cools, comfort last.
     */
    private const ORDER = ['R', 'Rc', 'Rh', 'C', 'W1', 'Aux', 'Y1', 'O', 'B', 'G', 'Y2', 'W2', 'E'];

    /**
     * @param  list<WayOut>  $ways
     * @param  list<string>  $without  terminal names given up
     */
    public function __construct(
        public Installation $house,
        public Profile $profile,
        public Landing $landing,
        public array $ways = [],
        public array $without = [],
        public HouseChanges $changes = new HouseChanges(),
    ) {
    }

    public function plan(): Plan
    {
        return new Plan($this->changes->applied($this->house), $this->profile, $this->landing, $this->changes);
    }

    public function taking(WayOut $way, Landing $landing, ?HouseChanges $changes = null): self
    {
        return new self(
            $this->house,
            $this->profile,
            $landing,
            [...$this->ways, $way],
            $this->without,
            $changes ?? $this->changes,
        );
    }

    public function without(TerminalName $name): self
    {
        return new self(
            $this->house,
            $this->profile,
            $this->landing,
            $this->ways,
            [...$this->without, $name->value],
            $this->changes,
        );
    }

    /** @param  Conductor  $conductor both of whose ends come to carry this meaning */
    public function carrying(Conductor $conductor, TerminalName $name): ?Landing
    {
        $plate =
            $name->isHot() && $name !== TerminalName::Rh
                ? $this->profile->mainHot()
                : $this->profile->serving($name);
        $screw = $this->boardScrew($name);
        if ($plate === null || $screw?->place !== $this->house->boardOf($conductor)) {
            return null;
        }

        return $this->landing
            ->onWall($conductor->id(), End::landed($plate->printed))
            ->onBoard($conductor->id(), End::landed($screw->printed));
    }

    /** The conductor that lands on the plate's screw for this meaning. */
    public function carrier(TerminalName $name): ?Conductor
    {
        $screw = $this->profile->serving($name)?->printed;
        foreach ($screw === null ? [] : $this->cable() as $conductor) {
            if (($this->landing->wall[$conductor->id()] ?? $conductor->near)->terminal === $screw) {
                return $conductor;
            }
        }

        return null;
    }

    /** @return list<Conductor> of every cable out of the wall, a pulled one included */
    public function cable(): array
    {
        return $this->changes->applied($this->house)->wallConductors();
    }

    /** @return list<Conductor> whole ones that carry nothing now */
    public function spares(): array
    {
        return array_values(
            array_filter(
                $this->cable(),
                fn (Conductor $c): bool => LetterToLetter::isWhole($c, $this->house) &&
                    ($this->landing->wall[$c->id()] ?? $c->near)->terminal === null &&
                    $this->carriesNothing($c),
            ),
        );
    }

    /**
     * Free at the board, or on a screw that this plate has nothing for; one not understood is never a spare, nor one
     * that is live from a supply of its own.
     */
    private function carriesNothing(Conductor $conductor): bool
    {
        $meaning = $this->meaning($conductor);
        if ($meaning?->isDry() === true) {
            return false;
        }

        return ($this->landing->board[$conductor->id()] ?? $conductor->far)->isFree() ||
            ($meaning !== null && $this->profile->serving($meaning) === null);
    }

    public function meaning(Conductor $conductor): ?TerminalName
    {
        return $this->house->meaning($conductor);
    }

    /** What equipment and plate both have, a call or the thermostat's power needs, and no conductor brings. */
    public function missing(): ?TerminalName
    {
        if ($this->profile->outputs !== Place::Wall) {
            return null;
        }
        foreach (self::ORDER as $value) {
            $name = TerminalName::from($value);
            if (
                in_array($name, $this->wanted(), true) &&
                ! in_array($value, $this->without, true) &&
                $this->carrierOf($name) === null
            ) {
                return $name;
            }
        }

        return null;
    }

    /** @return list<TerminalName> */
    public function wanted(): array
    {
        $archetype = $this->house->archetype;
        $table = CallTable::needed($archetype);
        $names = count($archetype->supplies()) > 1 ? [TerminalName::Rc, TerminalName::Rh] : [TerminalName::R];
        if ($this->wantsCommon() && ! $this->landing->plugIn) {
            $names[] = TerminalName::C;
        }
        foreach ($table->calls() as $call) {
            array_push($names, ...$table->closes($call));
        }

        return array_values(
            array_filter(
                $names,
                fn (TerminalName $n): bool => $this->boardScrew($n) !== null && $this->profile->serving($n) !== null,
            ),
        );
    }

    /** It cannot do without, or it can and nobody is to change batteries. */
    private function wantsCommon(): bool
    {
        return $this->profile->needsCommon() ||
            ($this->profile->power === PowerKind::CommonOrBattery && $this->house->answers->is('batteries', 'no'));
    }

    /**
     * The screw with this meaning, at one place or at any: printed so, else meaning so, else the plain R that an Rc
     * stands for.
     */
    public function boardScrew(TerminalName $name, ?Place $at = null): ?EquipmentTerminal
    {
        $terminals = array_filter(
            $this->house->archetype->boardTerminals(),
            static fn (EquipmentTerminal $t): bool => $at === null || $t->place === $at,
        );
        $is = [
            static fn (EquipmentTerminal $t): bool => $t->name === $name,
            fn (EquipmentTerminal $t): bool => Meaning::of($t->name, $this->house->archetype) === $name,
            static fn (EquipmentTerminal $t): bool => $name === TerminalName::Rc && $t->name === TerminalName::R,
        ];
        foreach ($is as $fits) {
            foreach ($terminals as $terminal) {
                if ($fits($terminal)) {
                    return $terminal;
                }
            }
        }

        return null;
    }

    private function carrierOf(TerminalName $name): ?Conductor
    {
        if ($this->changes->sharedKit && in_array($name, [TerminalName::Y1, TerminalName::G], true)) {
            $name = TerminalName::K;
        }
        $screws = match (true) {
            $name === TerminalName::R => array_map(
                static fn (PlateTerminal $t): string => $t->printed,
                $this->profile->hots(),
            ),
            $name === TerminalName::Rc => [$this->profile->mainHot()?->printed],
            default => [$this->profile->serving($name)?->printed],
        };
        foreach ($this->cable() as $conductor) {
            $lands = ($this->landing->wall[$conductor->id()] ?? $conductor->near)->terminal;
            if ($lands !== null && in_array($lands, $screws, true)) {
                return $conductor;
            }
        }

        return null;
    }

    /** @param  array<string, End>  $ends  by conductor */
    private static function ends(array $ends): string
    {
        return implode(
            ' ',
            array_map(static fn (string $n, End $e): string => "{$n}:{$e->key()}", array_keys($ends), $ends),
        );
    }

    /** The same landing twice is one draft. */
    public function key(): string
    {
        $wall = $this->landing->wall;
        $board = $this->landing->board;
        ksort($wall);
        ksort($board);

        return self::ends($wall).
            '|'.
            self::ends($board).
            '|'.
            json_encode([
                $this->landing->linkIn,
                $this->landing->plugIn,
                $this->landing->jumpers,
                $this->changes->pulled?->feet,
                $this->changes->safety,
                $this->changes->sharedKit,
                $this->changes->elsewhere,
                $this->changes->mended,
            ]);
    }
}
