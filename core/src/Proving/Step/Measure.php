<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;

/** A reading that a step asks for, and what it shows. */
final readonly class Measure
{
    /** Its two points, as they are kept and sent. */
    public string $a;

    public string $b;

    public MeterMode $mode;

    /**
     * @param  bool  $optional  it is not needed for the step to pass
     * @param  ?string  $since  day from which on it is asked for; what was certified before stands without it
     */
    private function __construct(
        public Probe $probe,
        public Message $shows,
        public bool $optional = false,
        public ?string $since = null,
    ) {
        $this->a = $probe->from->id ?? '';
        $this->b = $probe->to->id ?? '';
        $this->mode = $probe->mode ?? MeterMode::Volts;
    }

    public static function volts(string $a, string $b, Message $shows): self
    {
        return new self(Probe::meter(MeterMode::Volts, At::read($a), At::read($b)), $shows);
    }

    public static function ohms(string $a, string $b, Message $shows): self
    {
        return new self(Probe::meter(MeterMode::Ohms, At::read($a), At::read($b)), $shows);
    }

    /** The clamp round what ends at a point. */
    public static function amps(string $round, Message $shows): self
    {
        return new self(Probe::clamp(At::read($round)), $shows);
    }

    public function asOptional(): self
    {
        return new self($this->probe, $this->shows, true, $this->since);
    }

    public function since(?string $day): self
    {
        return new self($this->probe, $this->shows, $this->optional, $day);
    }

    public function key(): string
    {
        return $this->a.'~'.$this->b;
    }
}
