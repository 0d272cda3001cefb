<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

use Unionbit\Core\Terminal\Place;

/**
 * Where a probe, a clamp or a jumper goes, and which end comes off: a screw (or a named point inside a unit), an end of
 * a conductor, or a lead of a part. Its text is what is kept and sent; it is read here and nowhere else.
 */
final readonly class At
{
    /** What the sheet metal of a unit is called there. */
    private const METAL = 'cabinet';

    /** A part's own end while its lead is off. */
    private const OFF = 'off';

    private function __construct(
        public string $id,
        public ?Place $place = null,
        public ?string $screw = null,
        public ?string $conductor = null,
        public ?Side $side = null,
        public ?string $part = null,
        public ?Lead $lead = null,
    ) {
    }

    /** A screw by its print, or a point inside a unit by the name that it has there: "indoor.R". */
    public static function screw(Place $place, string $printed): self
    {
        return new self("{$place->value}.{$printed}", $place, $printed);
    }

    /** The tip of a conductor, "A4.near", or the end of a whole cable, "A.near". */
    public static function end(string $conductor, Side $side): self
    {
        return new self("{$conductor}.{$side->value}", conductor: $conductor, side: $side);
    }

    public static function near(string $conductor): self
    {
        return self::end($conductor, Side::Near);
    }

    public static function far(string $conductor): self
    {
        return self::end($conductor, Side::Far);
    }

    /** Somewhere along its run. */
    public static function middle(string $conductor): self
    {
        return new self("{$conductor}.mid", conductor: $conductor);
    }

    /** Behind a splice within its run. */
    public static function spliced(string $conductor): self
    {
        return new self("{$conductor}.splice", conductor: $conductor);
    }

    /** A lead of a part: "contactor.hot", "T1.fused". */
    public static function lead(string $part, Lead $lead): self
    {
        return new self("{$part}.{$lead->value}", part: $part, lead: $lead);
    }

    /** The own end of a part whose lead is off. */
    public static function off(string $part, Lead $lead): self
    {
        return new self("{$part}.{$lead->value}.".self::OFF, part: $part, lead: $lead);
    }

    /** Between a conductor and its screw, where a switch stands in it. */
    public static function before(self $screw, string $device): self
    {
        return new self("{$screw->id}.{$device}", $screw->place, $screw->screw);
    }

    /** The sheet metal of a unit; that of the indoor unit stands for the house's. */
    public static function metal(Place $place = Place::Indoor): self
    {
        return $place === Place::Indoor ? new self(self::METAL) : self::screw($place, self::METAL);
    }

    /** The own hot of a transformer that somebody plugged in at the wall. */
    public static function plugIn(): self
    {
        return self::lead(Part::PLUG_IN, Lead::Winding);
    }

    /** What was sent, kept or written in a file. What is none of this house is found out where the house is asked. */
    public static function read(string $text): self
    {
        [$first, $rest] = [...explode('.', $text, 2), ''];
        $place = Place::tryFrom($first);
        if ($place !== null) {
            return new self($text, $place, $rest);
        }
        if (preg_match('/^[A-Z]\d*$/', $first) === 1 && in_array($rest, ['near', 'far', 'mid', 'splice'], true)) {
            return new self($text, conductor: $first, side: Side::tryFrom($rest));
        }
        $part = preg_match('/^(.+)\.([a-z-]+)$/', (string) preg_replace('/\.off$/', '', $text), $found) === 1;
        $lead = $part ? Lead::tryFrom($found[2]) : null;

        return $lead === null ? new self($text) : new self($text, part: $found[1], lead: $lead);
    }

    /** @return list<string> as they are kept and sent */
    public static function ids(self ...$points): array
    {
        return array_values(array_map(static fn (self $at): string => $at->id, $points));
    }

    /** What it is called at its place: its print; null where it has no place of its own. */
    public function name(): ?string
    {
        return $this->screw ?? $this->lead?->value;
    }

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }

    /** The other end of the same conductor; null for what is none. */
    public function otherEnd(): ?self
    {
        return $this->conductor === null || $this->side === null
            ? null
            : self::end($this->conductor, $this->side->other());
    }
}
