<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/**
 * MR17 An accessory's conductor lands on an accessory screw of the right contact, where the plate has one, and never on
 * a call: a dry contact is closed with its own two conductors and never with R, which would tie two supplies.
 */
final class Mr17Accessories implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $name = $planned->boardName;
            if ($name?->isAccessory() !== true) {
                continue;
            }
            if ($planned->wallName !== null && $name->isDry() && ! $planned->wallName->isDry()) {
                $findings[] = Finding::of(
                    'MR17',
                    Severity::Error,
                    Message::of(
                        'planning.mr17.dry-contact-lands-on',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr17.two-supplies-tied'),
                    Message::of('planning.mr17.land-on-its-dry-contact'),
                    [$planned->id()],
                );
            } elseif ($planned->wallName !== null && ! $planned->wallName->isAccessory()) {
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
                    Message::of($name->isDry() ? 'planning.mr17.cap-each-alone' : 'planning.mr17.cap-say-so'),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
