<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Words\Message;

/** The thermostat's face off its base: every circuit opens where the switches are in it. */
final readonly class FaceOff implements Thing
{
    public function kind(): ThingKind
    {
        return ThingKind::FaceOff;
    }

    public function key(): string
    {
        return ThingKind::FaceOff->key();
    }

    public function isOf(Circuit $circuit): bool
    {
        return true;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->faceOff();
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.face-off');
    }

    public function names(): array
    {
        return [];
    }
}
