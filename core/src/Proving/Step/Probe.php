<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Words\Message;

/** A pair of points that a step asks for. */
final readonly class Probe
{
    /** @param  Message  $shows what this reading tells, in a few words */
    public function __construct(
        public string $a,
        public string $b,
        public Message $shows,
        public MeterMode $mode = MeterMode::Volts,
    ) {
    }

    public function key(): string
    {
        return $this->a.'~'.$this->b;
    }
}
