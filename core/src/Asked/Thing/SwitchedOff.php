<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LineSwitch;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** A switch of the line off by hand: what it does the power flag says. */
final readonly class SwitchedOff implements Thing
{
    public function __construct(public LineSwitch $switch)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Switch;
    }

    public function key(): string
    {
        return ThingKind::Switch->key($this->switch->value);
    }

    public function isOf(Circuit $circuit): bool
    {
        return $this->switch->isIndoors() ||
            array_any($circuit->atRest()->points, static fn ($p): bool => $p->place === Place::Outdoor);
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup;
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.switch', which: $this->switch->label());
    }

    public function names(): array
    {
        return [$this->switch->value];
    }
}
