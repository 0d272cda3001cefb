<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The whole thermostat off its wires: a screw of the wall is then the copper that was on it. */
final readonly class Bare implements Thing
{
    public function kind(): null
    {
        return null;
    }

    public function key(): string
    {
        return 'bare:';
    }

    public function isOf(Circuit $circuit): bool
    {
        return true;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->faceOff()->lifting(...At::ids(...$circuit->endsAt(Place::Wall)));
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('tracing.setup.bare');
    }

    public function names(): array
    {
        return [];
    }
}
