<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Point\At;

/** A reading that a person took. */
final readonly class MeterReading
{
    /** @param  ?float  $value  in the mode's unit; null is over limit */
    public function __construct(public MeterMode $mode, public string $a, public string $b, public ?float $value)
    {
    }

    public function isOf(string $a, string $b): bool
    {
        return [$this->a, $this->b] === [$a, $b] || [$this->b, $this->a] === [$a, $b];
    }

    public function probe(): Probe
    {
        return Probe::meter($this->mode, At::read($this->a), At::read($this->b));
    }
}
