<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** How long, or how far below the target, the compressor is alone: "30m" is minutes, "2F" degrees Fahrenheit. */
final readonly class AuxiliaryGap
{
    /** @param  float  $amount  minutes, or degrees Fahrenheit */
    private function __construct(public float $amount, public bool $isTime)
    {
    }

    public static function read(string $choice): self
    {
        return new self((float) $choice, str_ends_with($choice, 'm'));
    }

    public function kind(): string
    {
        return $this->isTime ? 'time' : 'gap';
    }

    public function quantity(): Quantity
    {
        return Quantity::of($this->amount, $this->isTime ? Unit::Minutes : Unit::FahrenheitSteps);
    }
}
