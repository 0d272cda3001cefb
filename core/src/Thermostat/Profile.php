<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** A kind of thermostat, described by a profile file: its screws, link, switches, power and settings. */
final readonly class Profile
{
    private const STAND_INS = [
        'O' => [TerminalName::OB],
        'B' => [TerminalName::OB],
        'Aux' => [TerminalName::W2, TerminalName::W1],
        'W1' => [TerminalName::Aux],
        'R' => [TerminalName::Rc, TerminalName::Rh],
        'Rc' => [TerminalName::R],
        'Rh' => [TerminalName::R],
    ];

    /**
     * @param  list<PlateTerminal>  $terminals
     * @param  ?array{string, string}  $link  the two hot screws that the Rc–Rh link joins
     * @param  bool  $switchesInFace  pulling the face opens every circuit; otherwise they are in the base
     * @param  ?string  $powerFrom  hot screw that its electronics take power from
     * @param  float  $powerVa  load it puts on R–C, VA at 24 V
     * @param  bool  $heatPump  can drive a reversing valve
     * @param  string  $idleValve  whether O or B stays on after a call: off or last
     * @param  ?string  $charges  call terminal that a power-sharing thermostat charges through
     * @param  ?float  $leakOhms  leakage of an open solid-state output
     * @param  Place  $outputs  where the switches stand: the wall, or a module at the equipment
     * @param  int  $linkConductors  conductors between wall unit and module: 3 two-part, 0 radio
     * @param  string  $menuEntry  how its installer menu is opened, in the profile's own words; empty where not known
     * @param  string  $testEntry  how a call is forced in its test menu, in the profile's own words; empty where it
     *     has none
     * @param  int  $testWait  seconds that its test menu waits before it closes a call
     * @param  bool  $isVaTaken  nobody has measured what it draws: no current at rest is expected of it
     * @param  array<string, array{label: string, choices: array<string, string>}>  $menu  the profile's own words for
     *                                                                                     settings and choices, by key
     */
    public function __construct(
        public string $id,
        public Message $title,
        public array $terminals,
        public ?array $link,
        public LinkKind $linkKind,
        public int $heatStages,
        public int $coolStages,
        public bool $switchesInFace,
        public PowerKind $power,
        public ?string $powerFrom,
        public float $powerVa,
        public RemoteControl $remoteControl,
        public array $menu,
        public bool $heatPump = false,
        public string $idleValve = 'off',
        public ?string $charges = null,
        public ?float $leakOhms = null,
        public Place $outputs = Place::Wall,
        public int $linkConductors = 0,
        public string $menuEntry = '',
        public bool $isVaTaken = false,
        public string $testEntry = '',
        public int $testWait = 0,
    ) {
    }

    /** @return ?array{string, string} the two points that the Rc–Rh link joins, where the outputs are */
    public function linkPoints(): ?array
    {
        return $this->link === null
            ? null
            : [At::screw($this->outputs, $this->link[0])->id, At::screw($this->outputs, $this->link[1])->id];
    }

    public function terminal(string $printed): ?PlateTerminal
    {
        foreach ($this->terminals as $terminal) {
            if ($terminal->printed === $printed) {
                return $terminal;
            }
        }

        return null;
    }

    public function named(TerminalName $name): ?PlateTerminal
    {
        foreach ($this->terminals as $terminal) {
            if ($terminal->name === $name) {
                return $terminal;
            }
        }

        return null;
    }

    /**
     * The screw that serves a terminal's meaning on this plate: the one of that name, or the one that the trade uses
     * in its place (O/B for O or B, W2 or W1 for Aux, Aux for the first heat behind a heat pump).
     */
    public function serving(TerminalName $name): ?PlateTerminal
    {
        foreach ([$name, ...self::STAND_INS[$name->value] ?? []] as $candidate) {
            $terminal = $this->named($candidate);
            if ($terminal !== null) {
                return $terminal;
            }
        }

        return null;
    }

    /** @return list<PlateTerminal> the hot screws of the plate */
    public function hots(): array
    {
        return array_values(array_filter($this->terminals, static fn (PlateTerminal $t): bool => $t->name->isHot()));
    }

    /** The hot screw on which a single R conductor lands: the one the electronics take from, else the first. */
    public function mainHot(): ?PlateTerminal
    {
        return ($this->powerFrom === null ? null : $this->terminal($this->powerFrom)) ?? ($this->hots()[0] ?? null);
    }

    public function needsCommon(): bool
    {
        return $this->power === PowerKind::Common;
    }
}
