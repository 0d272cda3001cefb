<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

/** One corner of the tolerances: source and coils off their nominal figures by a factor. */
final readonly class Tolerance
{
    private function __construct(public float $source, public float $coil, public bool $isNominal)
    {
    }

    public static function nominal(): self
    {
        return new self(1.0, 1.0, true);
    }

    /**
     * The corners that matter: line ±5 % with transformer ±5 %, against coil impedances ±20 %.
     *
     * @return list<self>
     */
    public static function corners(): array
    {
        return [
            new self(0.95 * 0.95, 0.8, false),
            new self(0.95 * 0.95, 1.2, false),
            new self(1.05 * 1.05, 0.8, false),
            new self(1.05 * 1.05, 1.2, false),
        ];
    }
}
