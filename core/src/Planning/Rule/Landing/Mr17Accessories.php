<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR17 An accessory's conductor lands on an accessory screw, where the plate has one, and never on a call. */
final class Mr17Accessories implements MappingRule
{
    private const NAMES = [TerminalName::Hum, TerminalName::Deh, TerminalName::S1, TerminalName::S2];

    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if (! in_array($planned->boardName, self::NAMES, true)) {
                continue;
            }
            if ($planned->wallName !== null && ! in_array($planned->wallName, self::NAMES, true)) {
                $findings[] = Finding::of(
                    'MR17',
                    Severity::Error,
                    "{$planned->conductor->name()} belongs to an accessory and lands on {$planned->wall->label()}",
                    'An accessory would run with a call, or feed it.',
                    'Land it on an accessory screw of the right contact, powered or dry, or cap it.',
                    [$planned->id()],
                );
            } elseif ($planned->wall->terminal === null) {
                $findings[] = Finding::of(
                    'MR17',
                    Severity::Note,
                    "{$planned->conductor->name()} belongs to an accessory; this plate does not drive it",
                    'The accessory has no control from here.',
                    'Cap it, and say so.',
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
