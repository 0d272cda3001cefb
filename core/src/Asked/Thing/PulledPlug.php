<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Wiring\Tip;
use Unionbit\Core\Words\Message;

/** A whole cable off its screws at one of its ends. */
final readonly class PulledPlug implements Thing
{
    public function __construct(public string $cable, public Side $side)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Plug;
    }

    public function key(): string
    {
        return ThingKind::Plug->key(...$this->names());
    }

    public function isOf(Circuit $circuit): bool
    {
        return $this->ends($circuit) !== [];
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->lifting(...At::ids(...$this->ends($circuit)));
    }

    public function label(Circuit $circuit): Message
    {
        $place = $circuit->installation->cable($this->cable)?->placeAt($this->side);

        return Message::of(
            'circuit.standing.plug',
            cable: $this->cable,
            place: $place === null ? Message::raw($this->side->value) : $circuit->installation->placeName($place),
        );
    }

    public function names(): array
    {
        return [At::end($this->cable, $this->side)->id];
    }

    /** @return list<At> of every conductor that is landed there */
    public function ends(Circuit $circuit): array
    {
        $tips = $circuit->installation->cable($this->cable)?->tips($this->side) ?? [];

        return array_values(
            array_filter(array_map(static fn (Tip $t): At => $t->at(), $tips), $circuit->isLanded(...)),
        );
    }
}
