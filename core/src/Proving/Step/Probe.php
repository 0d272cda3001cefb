<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Words\Message;

/** A pair of points that a step asks for. */
final readonly class Probe
{
    /**
     * @param  Message  $shows  what this reading tells, in a few words
     * @param  bool  $optional  no single fault shows here that does not show in what is needed: it says where one is,
     *     once a needed reading or a sign has failed
     * @param  ?string  $since  day from which on it is asked for; what was certified before stands without it
     */
    public function __construct(
        public string $a,
        public string $b,
        public Message $shows,
        public MeterMode $mode = MeterMode::Volts,
        public bool $optional = false,
        public ?string $since = null,
    ) {
    }

    public function asOptional(): self
    {
        return new self($this->a, $this->b, $this->shows, $this->mode, true, $this->since);
    }

    public function since(?string $day): self
    {
        return new self($this->a, $this->b, $this->shows, $this->mode, $this->optional, $day);
    }

    public function key(): string
    {
        return $this->a.'~'.$this->b;
    }
}
