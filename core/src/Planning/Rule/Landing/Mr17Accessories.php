<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

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
                    Message::of(
                        'planning.mr17.belongs-accessory-lands-on',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr17.accessory-would-run-with-call'),
                    Message::of('planning.mr17.land-on-accessory-screw-right'),
                    [$planned->id()],
                );
            } elseif ($planned->wall->terminal === null) {
                $findings[] = Finding::of(
                    'MR17',
                    Severity::Note,
                    Message::of(
                        'planning.mr17.belongs-accessory-plate-does-not',
                        conductor: $planned->conductor->name(),
                    ),
                    Message::of('planning.mr17.accessory-has-no-control-from'),
                    Message::of('planning.mr17.cap-say-so'),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
