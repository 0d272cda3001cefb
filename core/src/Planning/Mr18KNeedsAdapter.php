<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Finding;
use Unionbit\Core\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR18 K only together with its adapter at the equipment. */
final class Mr18KNeedsAdapter implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->wallName === TerminalName::K || $planned->boardName === TerminalName::K) {
                $findings[] = Finding::of('MR18', Severity::Warning, "{$planned->conductor->name()} on K", 'K carries two calls in one conductor and needs the adapter of its own kit at the equipment; our circuit does not simulate it.', 'Fit the adapter, or use another screw.', [$planned->id()]);
            }
        }

        return $findings;
    }
}
