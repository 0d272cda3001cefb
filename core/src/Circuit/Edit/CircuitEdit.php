<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Words\Message;

/** A change of the healthy circuit: a fault, or a fault removed. */
interface CircuitEdit
{
    public function apply(Netlist $netlist): Netlist;

    /** What it is, in the trade's words: "conductor 4 yellow open in the cable". */
    public function describe(Netlist $netlist): Message;

    /** @return list<string> loads whose armature this edit keeps from pulling in */
    public function holdsOut(): array;
}
