<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\LeadOff;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A lead of a load off its screw: the load by itself on that side. */
final readonly class LeadLifted implements Thing
{
    public function __construct(public string $load, public Lead $lead = Lead::Hot)
    {
    }

    /** On a record the hot one is meant. */
    public function kind(): ThingKind
    {
        return ThingKind::Coil;
    }

    public function key(): string
    {
        return ThingKind::Coil->key($this->lead === Lead::Hot ? $this->load : $this->at()->id);
    }

    public function isOf(Circuit $circuit): bool
    {
        return ($circuit->atRest()->elements[$this->load] ?? null)?->kind === ElementKind::Load;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->with(new LeadOff(Part::named($this->load), $this->lead));
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.coil', load: $circuit->partName($this->load));
    }

    public function names(): array
    {
        return [$this->load];
    }

    /** The lead as a point. */
    public function at(): At
    {
        return At::lead($this->load, $this->lead);
    }
}
