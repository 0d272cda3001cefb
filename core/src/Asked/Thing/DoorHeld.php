<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Words\Message;

/** The switch in the blower door held closed, as the door itself would. */
final readonly class DoorHeld implements Thing
{
    public const DOOR = 'door';

    public function kind(): ThingKind
    {
        return ThingKind::Door;
    }

    public function key(): string
    {
        return ThingKind::Door->key();
    }

    public function isOf(Circuit $circuit): bool
    {
        return $circuit->installation->archetype->doorSwitch;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup;
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.door');
    }

    public function names(): array
    {
        return [];
    }
}
