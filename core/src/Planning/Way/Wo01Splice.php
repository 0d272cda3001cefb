<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/**
 * WO01, its sister: a damaged conductor is spliced where the damage can be reached, in a box that stays so, and brings
 * what it brought before or what is missing.
 */
final class Wo01Splice implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $drafts = [];
        foreach ($draft->house->wallConductors() as $conductor) {
            if (
                ! self::canBeMended($conductor, $draft) ||
                ! in_array($draft->meaning($conductor), [$missing, null], true)
            ) {
                continue;
            }
            $changes = $draft->changes->mending($conductor->id());
            $whole = $changes->applied($draft->house)->wallConductor($conductor->id());
            // A conductor whose ends go on from another is not landed anew at either.
            $lands = $whole !== null && LetterToLetter::isWhole($whole, $draft->house);
            $landing = $lands ? $draft->carrying($whole, $missing) : null;
            if ($landing === null) {
                continue;
            }
            $drafts[] = $draft->taking(
                new WayOut(
                    code: 'WO01',
                    text: $conductor->note === ''
                        ? Message::of(
                            'planning.wo01.spliced-brings',
                            conductor: $conductor->name(),
                            missing: $missing->value,
                        )
                        : Message::of(
                            'planning.wo01.spliced-there-brings',
                            conductor: $conductor->name(),
                            missing: $missing->value,
                            where: $conductor->note,
                        ),
                    part: Message::of('planning.wo01.box-and-connectors'),
                    cost: 1.0,
                    minutes: 25,
                    trips: 1,
                    risk: 2,
                    warns: Message::of('planning.wo01.splice-stays-reachable'),
                ),
                $landing,
                $changes,
            );
        }

        return $drafts;
    }

    private static function canBeMended(Conductor $conductor, Draft $draft): bool
    {
        return in_array(Condition::Reachable, $conductor->condition, true) &&
            $draft->house->damageOf($conductor) !== [] &&
            $draft->changes->pulled === null &&
            ! in_array($conductor->id(), $draft->changes->mended, true);
    }
}
