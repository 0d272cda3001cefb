<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Words\Message;

/**
 * One insulated conductor of a cable, with both ends. `near` is the end at the cable's `from` place (the wall,
 * for the thermostat cable), `far` the end at its `to` place.
 */
final readonly class Conductor
{
    use Copies;

    /**
     * @param  int  $number  its fixed place in the cable, from 1
     * @param  ?Colour  $colourAfterSplice  colour at the far end, where a splice changes it
     * @param  list<Condition>  $condition  what is wrong with it
     * @param  string  $cable  id of the cable that it is in, which stamps it
     * @param  list<int>  $touches  numbers of conductors of the same cable that it was found to touch
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
        public string $cable = 'A',
        public array $touches = [],
    ) {
    }

    /** Its name in the circuit and in every file, "A4". */
    public function id(): string
    {
        return $this->cable.$this->number;
    }

    public function end(Side $side): End
    {
        return $side === Side::Near ? $this->near : $this->far;
    }

    public function in(string $cable): self
    {
        return $this->cable === $cable ? $this : $this->copy(['cable' => $cable]);
    }

    public function withNear(End $near): self
    {
        return $this->copy(['near' => $near]);
    }

    public function withFar(End $far): self
    {
        return $this->copy(['far' => $far]);
    }

    /** Known otherwise than it was; what was measured over it is not carried along. */
    public function withEvidence(Evidence $evidence): self
    {
        return $this->copy(['evidence' => $evidence, 'loopOhms' => null]);
    }

    /** Its far end is that of another record: it was written down with the wrong one. */
    public function onto(self $other): self
    {
        $colour = $other->colourAfterSplice ?? $other->colour;

        return $this->id() === $other->id()
            ? $this
            : $this->copy([
                'far' => $other->far,
                'colourAfterSplice' => $colour === $this->colour ? null : $colour,
            ]);
    }

    public function marked(Condition $condition): self
    {
        return in_array($condition, $this->condition, true)
            ? $this
            : $this->copy(['condition' => [...$this->condition, $condition]]);
    }

    public function touching(int $number): self
    {
        return $this->copy(['touches' => array_values(array_unique([...$this->touches, $number]))]);
    }

    /** Spliced where it was damaged: as good as a spare, and nobody has measured it since. */
    public function mended(): self
    {
        $whole = static fn (End $end): End => in_array($end->state, [EndState::CutShort, EndState::BrokenOff], true)
            ? End::free(EndState::Capped)
            : $end;

        return $this->copy([
            'near' => $whole($this->near),
            'far' => $whole($this->far),
            'condition' => array_values(
                array_filter($this->condition, static fn (Condition $c): bool => ! $c->isDamage()),
            ),
            'touches' => [],
            'loopOhms' => null,
        ]);
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
