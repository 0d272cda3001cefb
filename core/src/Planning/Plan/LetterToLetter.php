<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Circuit\Netlist\Assembly;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Wiring\Splices;

/**
 * The plainest landing: each conductor on the screw that its equipment end calls for (MR01), R on the main hot
 * with the link in on one transformer (MR02), what has no screw capped (MR04, MR08, MR14).
 */
final class LetterToLetter
{
    public static function landing(Installation $installation, Profile $profile): Landing
    {
        $landing =
            $profile->outputs === Place::Module
                ? self::moduleLanding($installation, $profile)
                : self::plateLanding($installation, $profile);

        return (new FoundTies($installation, $profile))->standing($landing);
    }

    private static function plateLanding(Installation $installation, Profile $profile): Landing
    {
        $wall = $board = [];
        $taken = [];
        foreach ($installation->wallConductors() as $conductor) {
            $damaged = $installation->damageOf($conductor) !== [];
            $screw = $damaged ? null : self::screwFor($conductor, $installation, $profile);
            // MR21: with the far end left on, the damage still works.
            if ($damaged && $conductor->far->isLanded()) {
                $board[$conductor->id()] = End::free(EndState::Capped);
            }
            if ($screw !== null && ! isset($taken[$screw])) {
                $wall[$conductor->id()] = End::landed($screw);
                $taken[$screw] = true;
            } else {
                $wall[$conductor->id()] = End::free(
                    in_array($conductor->near->state, [EndState::CutShort, EndState::BrokenOff], true)
                        ? $conductor->near->state
                        : EndState::Capped,
                );
            }
        }

        return self::emergencyTied(
            new Landing($wall, $board, count($installation->archetype->supplies()) === 1),
            $installation,
            $profile,
        );
    }

    /**
     * MR07: a plate that calls emergency heat on a screw of its own has it tied to Aux where the unit has one heat
     * input and no conductor brings E there.
     */
    private static function emergencyTied(Landing $landing, Installation $house, Profile $profile): Landing
    {
        $pump = $house->archetype->heatPump;
        $e = $profile->named(TerminalName::E);
        $aux = $profile->named(TerminalName::Aux);
        $reaches = $e !== null && $landing->on($e->printed) !== [];
        $module = $profile->outputs === Place::Module;
        $onBoard = $module && $house->archetype->boardTerminal(TerminalName::E) !== null;
        if (
            $pump === null ||
            $pump->auxiliaryStages === 0 ||
            $pump->emergency === 'own' ||
            $e === null ||
            $aux === null ||
            $reaches ||
            $onBoard
        ) {
            return $landing;
        }

        return $landing->withJumper(Jumper::tie($profile->outputs, $e->printed, $aux->printed));
    }

    /**
     * Outputs at the equipment (MR20): the old wall conductors carry no call and are capped at both ends; three whole
     * ones carry the link to the wall unit of a two-part thermostat, those that were R and C before its power.
     */
    private static function moduleLanding(Installation $installation, Profile $profile): Landing
    {
        $wall = $board = [];
        $whole = [];
        foreach ($installation->wallConductors() as $conductor) {
            $wall[$conductor->id()] = $board[$conductor->id()] = End::free(EndState::Capped);
            if (
                self::isWhole($conductor, $installation) &&
                $installation->boardOf($conductor) === $installation->archetype->boards[0]
            ) {
                $whole[] = $conductor;
            }
        }
        $rank = static fn (Conductor $c): int => match ($installation->meaning($c)) {
            TerminalName::R, TerminalName::Rc => 0,
            TerminalName::C => 1,
            null => 3,
            default => 2,
        };
        usort(
            $whole,
            static fn (Conductor $a, Conductor $b): int => [$rank($a), $a->number] <=> [$rank($b), $b->number],
        );
        $whole = array_slice($whole, 0, $profile->linkConductors);
        if (count($whole) === $profile->linkConductors) {
            foreach ($whole as $index => $conductor) {
                $wall[$conductor->id()] = End::landed((string) ($index + 1));
                $board[$conductor->id()] = End::landed(Assembly::LINK_SCREWS[$index + 1]);
            }
        }

        return self::emergencyTied(new Landing($wall, $board, true), $installation, $profile);
    }

    /** Whether a conductor can carry something again: no splice holds an end of it, and nothing is wrong with it. */
    public static function isWhole(Conductor $conductor, Installation $installation): bool
    {
        return $conductor->near->state !== EndState::Spliced &&
            $conductor->far->state !== EndState::Spliced &&
            $installation->damageOf($conductor) === [];
    }

    /**
     * Whether a common is that of the supply that the thermostat takes its power from; the one of the other supply
     * gives it none (MR04).
     */
    public static function isOwnCommon(Conductor $conductor, Installation $installation, Profile $profile): bool
    {
        $hot = $profile->powerFrom === null ? null : $profile->terminal($profile->powerFrom)?->name;
        $cable = $installation->cable($conductor->cable);
        $reached = $cable === null ? null : (new Splices($installation->cables))->reaches($cable, $conductor);
        $archetype = $installation->archetype;
        if ($hot === null || $reached === null || count($archetype->supplies()) < 2) {
            return true;
        }
        $behind = $archetype->supplyAt(
            $installation->pointOf($reached->place(), (string) $reached->end()->terminal),
        );

        return $behind === null || $behind->id === $archetype->supplyOf($hot)?->id;
    }

    private static function screwFor(Conductor $conductor, Installation $installation, Profile $profile): ?string
    {
        $name = $installation->meaning($conductor);
        if ($name === null) {
            return null;
        }
        if ($name === TerminalName::R) {
            return $profile->mainHot()?->printed;
        }
        if ($name === TerminalName::C && ! self::isOwnCommon($conductor, $installation, $profile)) {
            return null;
        }

        return $profile->serving(Meaning::of($name, $installation->archetype))?->printed;
    }
}
