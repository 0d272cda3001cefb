<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Words\Message;

/**
 * One two-terminal element between points `a` and `b`: series resistance and reactance at the job's frequency,
 * resistance at DC, and for a winding its electromotive force (volts RMS, positive at `a`).
 */
final readonly class Element
{
    /** An open contact, in ohms. */
    public const OPEN = 1.0e10;

    /** Ohms above which a path does not count as a connection. */
    public const CONNECTS_BELOW = 1.0e6;

    /**
     * @param  string  $subject  what it belongs to: a conductor ("A4"), a load id, a terminal
     */
    public function __construct(
        public string $id,
        public ElementKind $kind,
        public string $a,
        public string $b,
        public Message $label,
        public string $subject,
        public float $ohms,
        public float $reactance,
        public float $dcOhms,
        public float $emf = 0.0,
    ) {
    }

    /** Whether it begins at this end of the conductor that it belongs to: its joint, a half of it. */
    public function isAt(Side $side): bool
    {
        return $this->a === At::end($this->subject, $side)->id;
    }

    public function part(): Part
    {
        return Part::named($this->id);
    }

    public static function copper(
        string $id,
        ElementKind $kind,
        string $a,
        string $b,
        float $ohms,
        Message $label,
        string $subject,
    ): self {
        return new self(
            id: $id,
            kind: $kind,
            a: $a,
            b: $b,
            label: $label,
            subject: $subject,
            ohms: $ohms,
            reactance: 0.0,
            dcOhms: $ohms,
        );
    }

    /** The same copper with another source in it, V; none is a winding whose supply is off. */
    public function withEmf(float $emf): self
    {
        return $this->changed($this->ohms, $this->reactance, $this->dcOhms, $emf);
    }

    public function withImpedance(float $ohms, float $reactance, float $dcOhms): self
    {
        return $this->changed($ohms, $reactance, $dcOhms, $this->emf);
    }

    private function changed(float $ohms, float $reactance, float $dcOhms, float $emf): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->a,
            $this->b,
            $this->label,
            $this->subject,
            $ohms,
            $reactance,
            $dcOhms,
            $emf,
        );
    }

    public function opened(): self
    {
        return $this->withImpedance(self::OPEN, 0.0, self::OPEN);
    }

    public function magnitude(): float
    {
        return hypot($this->ohms, $this->reactance);
    }

    public function isOpen(): bool
    {
        return $this->magnitude() > self::CONNECTS_BELOW;
    }

    /** The point at the other end. */
    public function other(string $point): string
    {
        return $point === $this->a ? $this->b : $this->a;
    }
}
