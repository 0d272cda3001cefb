<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\Meter\MeterMode;

/** A reading that a person took: what else was read in the same set-up says which causes of an odd one are left. */
final readonly class TakenReading
{
    /** @param  ?float  $value  in the mode's unit; null is over limit */
    public function __construct(public MeterMode $mode, public string $a, public string $b, public ?float $value)
    {
    }

    public function isOf(string $a, string $b): bool
    {
        return [$this->a, $this->b] === [$a, $b] || [$this->b, $this->a] === [$a, $b];
    }
}
