<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** The link between the two hots of the plate in or out by hand. */
final readonly class LinkTurned implements Thing
{
    /** @param  ?bool  $in  null for the other way than it is landed */
    public function __construct(public ?bool $in = null)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Link;
    }

    public function key(): string
    {
        return ThingKind::Link->key();
    }

    public function isOf(Circuit $circuit): bool
    {
        return $circuit->profile->link !== null;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        $ends = $circuit->profile->linkPoints();
        $in = $this->isIn($circuit);

        return match (true) {
            $ends === null || $in === $circuit->landing->linkIn => $setup,
            $in => $setup->withJumper(...$ends),
            default => $setup->with(new Opened(Part::link())),
        };
    }

    public function isIn(Circuit $circuit): bool
    {
        return $this->in ?? ! $circuit->landing->linkIn;
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of($this->isIn($circuit) ? 'circuit.standing.link-in' : 'circuit.standing.link-out');
    }

    public function names(): array
    {
        return [];
    }
}
