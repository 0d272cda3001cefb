<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Words\Message;

/**
 * One insulated conductor of a cable, with both ends. `near` is the end at the cable's `from` place (the wall,
 * for the thermostat cable), `far` the end at its `to` place.
 */
final readonly class Conductor
{
    /**
     * @param  int  $number  its fixed place in the cable, from 1
     * @param  ?Colour  $colourAfterSplice  colour at the far end, where a splice changes it
     * @param  list<Condition>  $condition  what is wrong with it
     * @param  ?float  $loopOhms  measured out and back, with its far end joined to the conductor measured with
     */
    public function __construct(
        public int $number,
        public Colour $colour,
        public End $near,
        public End $far,
        public Evidence $evidence,
        public ?Colour $stripe = null,
        public ?Colour $colourAfterSplice = null,
        public string $note = '',
        public array $condition = [],
        public ?float $loopOhms = null,
    ) {
    }

    public function withNear(End $near): self
    {
        return new self(
            number: $this->number,
            colour: $this->colour,
            near: $near,
            far: $this->far,
            evidence: $this->evidence,
            stripe: $this->stripe,
            colourAfterSplice: $this->colourAfterSplice,
            note: $this->note,
            condition: $this->condition,
            loopOhms: $this->loopOhms,
        );
    }

    public function withFar(End $far): self
    {
        return new self(
            number: $this->number,
            colour: $this->colour,
            near: $this->near,
            far: $far,
            evidence: $this->evidence,
            stripe: $this->stripe,
            colourAfterSplice: $this->colourAfterSplice,
            note: $this->note,
            condition: $this->condition,
            loopOhms: $this->loopOhms,
        );
    }

    public function withEvidence(Evidence $evidence): self
    {
        return new self(
            number: $this->number,
            colour: $this->colour,
            near: $this->near,
            far: $this->far,
            evidence: $evidence,
            stripe: $this->stripe,
            colourAfterSplice: $this->colourAfterSplice,
            note: $this->note,
            condition: $this->condition,
        );
    }

    /** "yellow", or "white/red" with a tracer stripe. */
    public function color(): Message
    {
        return $this->stripe === null
            ? Message::term($this->colour)
            : Message::of('wiring.conductor.striped', color: $this->colour, stripe: $this->stripe);
    }

    /** "4 yellow", or "4 white/red" with a tracer stripe. */
    public function name(): Message
    {
        return Message::of('wiring.conductor.name', number: $this->number, color: $this->color());
    }

    /** Nothing lands at either end, and nothing goes on from it. */
    public function isSpare(): bool
    {
        return $this->near->isFree() && $this->far->isFree();
    }
}
