<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Terminal\TerminalName;

/** A kind of thermostat, described by a profile file: its screws, link, switches, power and settings. */
final readonly class Profile
{
    /**
     * @param  list<PlateTerminal>  $terminals
     * @param  ?array{string, string}  $link  the two hot screws that the Rc–Rh link joins
     * @param  string  $linkKind  removable, slide, automatic or none
     * @param  bool  $switchesInFace  pulling the face opens every circuit; otherwise they are in the base
     * @param  ?string  $powerFrom  hot screw that its electronics take power from
     * @param  float  $powerVa  load it puts on R–C, VA at 24 V
     * @param  string  $remoteControl  none, own radio or bridge
     * @param  array<string, array{label: string, choices: array<string, string>}>  $menu  the profile's own words for
     *                                                                                     settings and choices, by key
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $terminals,
        public ?array $link,
        public string $linkKind,
        public int $heatStages,
        public int $coolStages,
        public bool $switchesInFace,
        public PowerKind $power,
        public ?string $powerFrom,
        public float $powerVa,
        public string $remoteControl,
        public array $menu,
    ) {
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

    /** @return list<PlateTerminal> the hot screws of the plate */
    public function hots(): array
    {
        return array_values(array_filter($this->terminals, static fn (PlateTerminal $t): bool => $t->name->isHot()));
    }

    /** The hot screw on which a single R conductor lands: the one the electronics take from, else the first. */
    public function mainHot(): ?PlateTerminal
    {
        return ($this->powerFrom === null ? null : $this->terminal($this->powerFrom)) ?? $this->hots()[0] ?? null;
    }

    public function needsCommon(): bool
    {
        return $this->power === PowerKind::Common;
    }
}
