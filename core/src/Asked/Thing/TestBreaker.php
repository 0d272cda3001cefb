<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Closed;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A resettable breaker in the place of a transformer's fuse, whole or open: it holds. */
final readonly class TestBreaker implements Thing
{
    public function __construct(public string $supply)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Breaker;
    }

    public function key(): string
    {
        return ThingKind::Breaker->key($this->supply);
    }

    public function isOf(Circuit $circuit): bool
    {
        return ($circuit->atRest()->elements[Part::fuse($this->supply)->id] ?? null)?->kind === ElementKind::Fuse;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        $fuse = Part::fuse($this->supply);

        return $setup->with(new Closed($fuse), new FuseBridged($fuse));
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.breaker', supply: $circuit->partName($this->supply));
    }

    public function names(): array
    {
        return [$this->supply];
    }
}
