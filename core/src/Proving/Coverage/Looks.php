<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Fault\Look;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SupplyFacts;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Steps\LookSteps;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\EndState;

/** What has been looked at or compared without a meter, by what the survey and the record know. */
final class Looks
{
    /**
     * @param  bool  $compared  every setting is entered as derived
     * @param  bool  $landed  every move of the plan is ticked, each end tugged
     * @return list<string> item keys
     */
    public static function done(Plan $plan, bool $compared, bool $landed): array
    {
        $house = $plan->installation;
        $supplies = $house->transformers();
        $facts = array_map(
            static fn (int $n): SupplyFacts => $house->facts->ofSupply($supplies[$n]->id, $n === 0),
            array_keys($supplies),
        );
        $looked = [
            Look::Fuse->value => ! array_any($facts, static fn (SupplyFacts $f): bool => $f->fuseAmps === null),
            Look::Tap->value => ! array_any(
                $facts,
                static fn (SupplyFacts $f): bool => $f->tapVolts === null || $f->lineVolts === null,
            ),
            // The old plate's link says nothing of the new one's: setting it is a move.
            Look::Link->value => $landed,
            Look::Spares->value => $landed || self::capped($house),
            Look::Settings->value => $compared,
            Look::Tug->value => $landed,
            Look::Loop->value => ! array_any(
                $house->wallConductors(),
                static fn (Conductor $c): bool => $c->loopOhms === null && ! $c->isSpare(),
            ),
        ];

        return array_map(
            static fn (string $look): string => LookSteps::item(Look::from($look)),
            array_keys(array_filter($looked)),
        );
    }

    /** Every spare's ends stand capped apart. */
    private static function capped(Installation $house): bool
    {
        $spares = array_filter($house->wallConductors(), static fn (Conductor $c): bool => $c->isSpare());

        return ! array_any(
            $spares,
            static fn (Conductor $c): bool => $c->near->state !== EndState::Capped ||
                $c->far->state !== EndState::Capped,
        );
    }
}
