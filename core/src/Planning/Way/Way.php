<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Terminal\TerminalName;

/**
 * One way out of a missing conductor. It only proposes: whether what it proposes works in this house is for the
 * simulation to say.
 */
interface Way
{
    /** @return list<Draft> in which the missing terminal is brought, or no longer needed */
    public function out(Draft $draft, TerminalName $missing): array;
}
