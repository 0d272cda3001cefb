<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Figure;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/**
 * A calculation that nobody should do on a glove: its inputs with units and sources, its lines with formulas, a
 * verdict.
 */
interface Figure
{
    public function key(): string;

    public function title(): Message;

    public function about(): Message;

    /** @return list<Input> filled from the house where it is known, else with a default and its source */
    public function inputs(?Plan $plan): array;

    /** @param  array<string, float>  $v  by input key, in US units */
    public function compute(array $v, ?Plan $plan): Result;
}
