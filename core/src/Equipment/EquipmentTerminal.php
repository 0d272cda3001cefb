<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** A screw on a board or on the outdoor unit. */
final readonly class EquipmentTerminal
{
    /**
     * @param  int  $wires  how many conductors the screw is made for (MR13)
     * @param  bool  $onward  the side of a panel from which the equipment behind it is called
     */
    public function __construct(
        public Place $place,
        public string $printed,
        public TerminalName $name,
        public int $wires,
        public bool $onward = false,
    ) {
    }

    /** The point's name in the circuit, "indoor.R". */
    public function point(): string
    {
        return $this->at()->id;
    }

    public function at(): At
    {
        return At::screw($this->place, $this->printed);
    }
}
