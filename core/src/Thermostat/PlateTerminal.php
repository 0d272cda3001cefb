<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** A screw on the thermostat's plate; for a call terminal, the hot screw that its switch takes from. */
final readonly class PlateTerminal
{
    public function __construct(
        public string $printed,
        public TerminalName $name,
        public ?string $hot,
        public int $wires,
        public Place $place = Place::Wall,
    ) {
    }

    /** The point's name in the circuit, "wall.Y", or "module.Y" where the outputs stand at the equipment. */
    public function point(): string
    {
        return $this->at()->id;
    }

    public function at(): At
    {
        return At::screw($this->place, $this->printed);
    }
}
