<?php

declare(strict_types=1);

namespace Unionbit\Core\Words;

/** A number with its unit, and how many decimals it is good for. */
final readonly class Quantity
{
    /** @param  ?int  $decimals  null: as many as it has, six figures at most */
    private function __construct(public float $value, public Unit $unit, public ?int $decimals)
    {
    }

    public static function of(float $value, Unit $unit, ?int $decimals = null): self
    {
        return new self($value, $unit, $decimals);
    }

    /** Volts as a hand meter shows them: one decimal. */
    public static function volts(float $value): self
    {
        return new self($value, Unit::Volts, 1);
    }

    /** Ohms as a hand meter shows them: one decimal. */
    public static function ohms(float $value): self
    {
        return new self($value, Unit::Ohms, 1);
    }

    /** Amperes as a clamp shows them: two decimals. */
    public static function amps(float $value): self
    {
        return new self($value, Unit::Amps, 2);
    }

    public static function number(float $value, ?int $decimals = null): self
    {
        return new self($value, Unit::Number, $decimals);
    }

    /** What is known to about two figures: 0.12, 3.5, 41. */
    public static function roughly(float $value, Unit $unit): self
    {
        return new self($value, $unit, max(0, 1 - (int) floor(log10(max(abs($value), 0.1)))));
    }
}
