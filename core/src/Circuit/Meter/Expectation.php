<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Meter;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What the circuit says a meter will show between two points: nominal value, band, and the reason by its path. */
final readonly class Expectation
{
    use Copies;

    /** Notes that mean harm now; the others widen what may be read, or say what a clamp holds. */
    private const HARM = [
        'circuit.circuit.fuse-opens',
        'circuit.circuit.fuse-may-open',
        'circuit.circuit.transformer-gives-at-24-v',
        'circuit.supplies.transformer-off-fed-backwards-from',
        'circuit.supplies.two-transformers-joined-one-switched',
    ];

    /**
     * @param  ?float  $low  in the mode's unit; null where there is no number (over-limit, floating, refused)
     * @param  bool  $floating  no path below 1 MΩ to a source: a meter shows a ghost
     * @param  bool  $overLimit  ohms above 10 MΩ
     * @param  Message  $reason  one or two sentences made from the path
     * @param  list<Message>  $path  the way, element by element, in words
     * @param  ?array{string, string}  $decidedBy  the second pair of points that settles what this one leaves open
     * @param  ?Message  $refused  why this reading may not be taken now
     * @param  list<Message>  $notes  fuse, chatter, overload
     * @param  list<self>  $others  what it would be otherwise, where bonding or phase of a supply is not known
     */
    public function __construct(
        public MeterMode $mode,
        public string $a,
        public string $b,
        public ?float $low,
        public ?float $nominal,
        public ?float $high,
        public bool $floating,
        public bool $overLimit,
        public Message $reason,
        public array $path = [],
        public ?array $decidedBy = null,
        public ?Message $refused = null,
        public array $notes = [],
        public array $others = [],
    ) {
    }

    /** Volts up to which a meter with a high input shows a ghost on a point that floats. */
    public const GHOST_VOLTS = 20.0;

    /** Over the limit: nothing connects the points. */
    public static function apart(MeterMode $mode, string $a, string $b): self
    {
        $nothing = Message::of('circuit.meter.nothing-connects-these-points-meter');

        return self::nothing($mode, $a, $b, $nothing)->copy(['overLimit' => true]);
    }

    public static function refused(MeterMode $mode, string $a, string $b, Message $why): self
    {
        return self::nothing($mode, $a, $b, $why)->copy(['refused' => $why]);
    }

    private static function nothing(MeterMode $mode, string $a, string $b, Message $why): self
    {
        return new self(
            mode: $mode,
            a: $a,
            b: $b,
            low: null,
            nominal: null,
            high: null,
            floating: false,
            overLimit: false,
            reason: $why,
        );
    }

    /**
     * The band widened to what other readings of the same points give.
     *
     * @param  list<self>  $others
     */
    public function widened(array $others, Message $note): self
    {
        $lows = array_filter(
            array_map(static fn (self $e): ?float => $e->low, [$this, ...$others]),
            static fn (?float $v): bool => $v !== null,
        );
        $highs = array_filter(
            array_map(static fn (self $e): ?float => $e->high, [$this, ...$others]),
            static fn (?float $v): bool => $v !== null,
        );
        if ($this->floating || $this->overLimit || $lows === [] || $highs === []) {
            return $this->copy(['notes' => [...$this->notes, $note], 'others' => $others]);
        }

        return $this->copy([
            'low' => min($lows),
            'high' => max($highs),
            'floating' => false,
            'notes' => [...$this->notes, $note],
            'others' => $others,
        ]);
    }

    /** Whether a meter can show this; null is over-limit. */
    public function fits(?float $value): bool
    {
        return match (true) {
            $this->overLimit => $value === null,
            $value === null => false,
            $this->floating => $value <= self::GHOST_VOLTS,
            default => $this->contains($value),
        };
    }

    /** "floating", "over-limit", "27 V" */
    public function shortly(): Message
    {
        return match (true) {
            $this->floating => Message::of('circuit.meter.floating'),
            $this->overLimit => Message::of('circuit.meter.over-limit'),
            $this->mode === MeterMode::Volts => Message::of(
                'circuit.meter.volts',
                volts: Quantity::of($this->nominal ?? 0.0, Unit::Volts, 0),
            ),
            default => Message::of('circuit.meter.ohms', ohms: Quantity::of($this->nominal ?? 0.0, Unit::Ohms, 1)),
        };
    }

    /** Whether a figure is inside the band as both are shown: what is printed is what is judged. */
    public function contains(float $value): bool
    {
        $shown = $this->mode->shown($value);

        return $this->low !== null &&
            $this->high !== null &&
            $shown >= $this->mode->shown($this->low) &&
            $shown <= $this->mode->shown($this->high);
    }

    /** @return list<Message> those of the notes that mean harm */
    public function harms(): array
    {
        return array_values(
            array_filter($this->notes, static fn (Message $note): bool => in_array($note->code, self::HARM, true)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'mode' => $this->mode->value,
            'unit' => $this->mode->unit(),
            'a' => $this->a,
            'b' => $this->b,
            'low' => $this->low === null ? null : $this->mode->shown($this->low),
            'nominal' => self::rounded($this->nominal),
            'high' => $this->high === null ? null : $this->mode->shown($this->high),
            'floating' => $this->floating,
            'overLimit' => $this->overLimit,
            'reason' => $this->reason,
            'path' => $this->path,
            'decidedBy' => $this->decidedBy,
            'refused' => $this->refused,
            'notes' => $this->notes,
        ];
    }

    private static function rounded(?float $value): ?float
    {
        return $value === null ? null : round($value, $value < 10.0 ? 3 : 2);
    }
}
