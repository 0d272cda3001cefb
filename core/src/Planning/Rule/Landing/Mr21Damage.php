<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Damage;
use Unionbit\Core\Words\Message;

/**
 * MR21, MR22, MR24 A conductor with known damage, out of ohms or on the cabinet lands nowhere and is capped at both
 * ends: with the far end left on the damage still works, and on sheet metal it can pass every proof. MR23 Its
 * neighbours in the same cable are suspects until they are read.
 */
final class Mr21Damage implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $damage = $plan->installation->damageOf($planned->conductor);
            if ($damage !== []) {
                $lands = $planned->wall->terminal !== null || $planned->board->terminal !== null;
                $findings[] = $lands ? self::lands($planned, $damage) : self::capped($planned, $damage);
            }
        }
        foreach ($plan->installation->cables as $cable) {
            array_push(
                $findings,
                ...self::elsewhere($cable, $plan->installation),
                ...self::neighbours($cable, $plan),
            );
        }

        return $findings;
    }

    /** @param  non-empty-list<Damage>  $damage */
    private static function lands(PlannedConductor $planned, array $damage): Finding
    {
        return Finding::of(
            $damage[0]->code,
            Severity::Error,
            Message::of(
                'planning.mr21.lands',
                conductor: $planned->conductor->name(),
                damage: self::says($damage),
                wall: $planned->wall->label(),
                board: $planned->board->label(),
            ),
            Message::of('planning.mr21.why', rule: $damage[0]->code),
            Message::of('planning.mr21.cap-both-ends'),
            [$planned->id()],
        );
    }

    /** @param  non-empty-list<Damage>  $damage */
    private static function capped(PlannedConductor $planned, array $damage): Finding
    {
        return Finding::of(
            $damage[0]->code,
            Severity::Note,
            Message::of(
                'planning.mr21.lands-nowhere',
                conductor: $planned->conductor->name(),
                damage: self::says($damage),
            ),
            Message::of('planning.mr21.why', rule: $damage[0]->code),
            Message::of('planning.mr21.capped-at-both-ends'),
            [$planned->id()],
        );
    }

    /**
     * Damage in a cable that no plan lands, as the outdoor one: said, for whoever can move its call.
     *
     * @return list<Finding>
     */
    private static function elsewhere(Cable $cable, Installation $house): array
    {
        $findings = [];
        foreach (in_array($cable, $house->wallCables(), true) ? [] : $cable->conductors as $conductor) {
            $damage = $cable->damageOf($conductor);
            if ($damage !== [] && ($conductor->near->terminal !== null || $conductor->far->terminal !== null)) {
                $findings[] = Finding::of(
                    $damage[0]->code,
                    Severity::Warning,
                    Message::of(
                        'planning.mr21.carries',
                        cable: $cable->id,
                        conductor: $conductor->name(),
                        damage: self::says($damage),
                    ),
                    Message::of('planning.mr21.why', rule: $damage[0]->code),
                    Message::of('planning.mr21.move-its-call'),
                    [$conductor->id()],
                );
            }
        }

        return $findings;
    }

    /**
     * MR23 Conductors of the same cable as a damaged one that nobody has read yet.
     *
     * @return list<Finding>
     */
    private static function neighbours(Cable $cable, Plan $plan): array
    {
        $damaged = array_filter(
            $cable->conductors,
            static fn (Conductor $c): bool => $c->touches !== [] ||
                array_any($c->condition, static fn ($condition): bool => $condition->isDamage()),
        );
        $unread = array_filter(
            $cable->conductors,
            static fn (Conductor $c): bool => $c->loopOhms === null &&
                $cable->damageOf($c) === [] &&
                ($plan->landing->wall[$c->id()] ?? $c->near)->terminal !== null,
        );

        return $damaged === [] || $unread === []
            ? []
            : [
                Finding::of(
                    'MR23',
                    Severity::Warning,
                    Message::of(
                        'planning.mr21.neighbours',
                        cable: $cable->id,
                        conductors: array_values(
                            array_map(static fn (Conductor $c): Message => $c->name(), $unread),
                        ),
                    ),
                    Message::of('planning.mr21.same-cut'),
                    Message::of('planning.mr21.read-them-to-each-other'),
                    array_values(array_map(static fn (Conductor $c): string => $c->id(), $unread)),
                ),
            ];
    }

    /**
     * @param  list<Damage>  $damage
     * @return list<Message>
     */
    private static function says(array $damage): array
    {
        return array_map(static fn (Damage $d): Message => $d->says, $damage);
    }
}
