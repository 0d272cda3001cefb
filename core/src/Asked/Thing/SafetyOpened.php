<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A float lifted by hand, or a load-shedding relay given its command: the contacts of that device open. */
final readonly class SafetyOpened implements Thing
{
    public function __construct(public string $device)
    {
    }

    public function kind(): null
    {
        return null;
    }

    public function key(): string
    {
        return "opened:{$this->device}";
    }

    public function isOf(Circuit $circuit): bool
    {
        return $circuit->atRest()->contactsOf($this->device) !== [];
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->with(
            ...array_map(
                static fn (string $id): Opened => new Opened(Part::named($id)),
                $circuit->atRest()->contactsOf($this->device),
            ),
        );
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.safety-opened', device: $circuit->partName($this->device));
    }

    public function names(): array
    {
        return [$this->device];
    }
}
