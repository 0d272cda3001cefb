<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\File;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;

/**
 * A plain house for an archetype, all traced: every screw of each board wired to the same letter at the wall by a cable
 * of its own, a panel's screws to the equipment behind it, the outdoor unit to the unit that it works with.
 */
final class ExampleHouse
{
    /** Feet of a run between two places indoors. */
    private const BETWEEN = 20.0;

    public static function of(Archetype $archetype, float $wallFeet = 45.0, float $outdoorFeet = 30.0): Installation
    {
        $cables = [];
        foreach ($archetype->boards as $board) {
            $cables[] = [Place::Wall, $board, $wallFeet, self::wall($archetype, $board), Evidence::Traced];
        }
        $served = self::served($archetype);
        $out = array_values(
            array_filter($archetype->terminals, static fn (EquipmentTerminal $t): bool => $t->place->isOutdoors()),
        );
        if ($out !== []) {
            $cables[] = [
                $served,
                $out[0]->place,
                $outdoorFeet,
                self::between($archetype, $served, $out),
                Evidence::Seen,
            ];
        }
        $onward = array_values(
            array_filter($archetype->terminals, static fn (EquipmentTerminal $t): bool => $t->onward),
        );
        if ($onward !== []) {
            $ends = [];
            foreach ($onward as $screw) {
                $behind = $archetype->terminalNamed($served, $screw->name);
                $ends = $behind === null ? $ends : [...$ends, [$screw->name, $screw->printed, $behind->printed]];
            }
            $cables[] = [$onward[0]->place, $served, self::BETWEEN, $ends, Evidence::Traced];
        }
        $link = count($archetype->supplies()) > 1 ? LinkState::Out : LinkState::In;

        return new Installation(
            $archetype,
            new Facts(lineVolts: 120.0, tapVolts: 120.0, plateLink: $link),
            self::lettered($cables),
        );
    }

    /**
     * A named house of the catalogue: the plain one of its equipment with what is added in its line, fewer conductors
     * at the wall, and answers.
     *
     * @throws InvalidData
     */
    public static function named(Field $house, Archetype $archetype): Installation
    {
        $plain = self::of($archetype);
        $wall = $house->strings('wall');
        $cable = $plain->wallCable();
        if ($wall !== [] && $cable !== null) {
            $kept = array_values(
                array_filter(
                    $cable->conductors,
                    static fn (Conductor $c): bool => in_array($c->far->terminal, $wall, true),
                ),
            );
            $plain = $plain->withCable($cable->withConductors($kept));
        }
        $answers = new Answers();
        foreach ($house->keys('answers') as $key) {
            $answers = $answers->with($key, $house->at('answers')->string($key));
        }
        $safety = array_map(SurveyFile::device(...), $house->each('safety'));

        return new Installation(
            $plain->archetype,
            $plain->facts->withSafety($safety),
            $plain->cables,
            answers: $answers,
        );
    }

    /** Where the unit stands that the outdoor unit works with. */
    private static function served(Archetype $archetype): Place
    {
        foreach ([TerminalName::Y1, TerminalName::W1] as $name) {
            foreach ($archetype->terminals as $terminal) {
                if (
                    $terminal->name === $name &&
                    ! $terminal->place->isOutdoors() &&
                    ! self::isPanel($archetype, $terminal)
                ) {
                    return $terminal->place;
                }
            }
        }

        return $archetype->boards[0];
    }

    private static function isPanel(Archetype $archetype, EquipmentTerminal $terminal): bool
    {
        return array_filter(
            $archetype->terminals,
            static fn (EquipmentTerminal $t): bool => $t->onward && $t->place === $terminal->place,
        ) !== [];
    }

    /** @return list<array{TerminalName, string, string}> meaning and the letters at both ends */
    private static function wall(Archetype $archetype, Place $board): array
    {
        $ends = [];
        foreach ($archetype->boardTerminals() as $terminal) {
            if ($terminal->place === $board && $terminal->printed !== 'CH') {
                $plate = $terminal->name->isDry() ? $terminal->name->value : $terminal->printed;
                $ends[] = [$terminal->name, $plate, $terminal->printed];
            }
        }

        return $ends;
    }

    /**
     * @param  list<EquipmentTerminal>  $outdoor
     * @return list<array{TerminalName, string, string}>
     */
    private static function between(Archetype $archetype, Place $served, array $outdoor): array
    {
        $ends = [];
        foreach ($outdoor as $terminal) {
            // With two supplies the outdoor board takes its R from the one of the cooling.
            $board =
                $archetype->terminalNamed($served, $terminal->name) ??
                ($terminal->name === TerminalName::R ? $archetype->terminalNamed($served, TerminalName::Rc) : null);
            $ends = $board === null ? $ends : [...$ends, [$terminal->name, $board->printed, $terminal->printed]];
        }

        return $ends;
    }

    /**
     * A the first cable out of the wall, B the outdoor cable, then C, D …
     *
     * @param  list<array{Place, Place, float, list<array{TerminalName, string, string}>, Evidence}>  $runs
     * @return list<Cable>
     */
    private static function lettered(array $runs): array
    {
        $cables = [];
        $next = 'C';
        foreach ($runs as $n => [$from, $to, $feet, $ends, $evidence]) {
            $id = $n === 0 ? 'A' : ($to->isOutdoors() ? 'B' : $next++);
            $taken = [];
            $conductors = [];
            foreach ($ends as $number => [$name, $near, $far]) {
                $conductors[] = new Conductor(
                    $number + 1,
                    self::colour($name, $taken),
                    End::landed($near),
                    End::landed($far),
                    $evidence,
                );
            }
            $cables[] = new Cable($id, $from, $to, 18, $feet, $conductors);
        }

        return $cables;
    }

    /** @param  array<string, true>  $taken */
    private static function colour(TerminalName $name, array &$taken): Colour
    {
        foreach ([...$name->customaryColours(), ...Colour::cases()] as $colour) {
            if (! isset($taken[$colour->value])) {
                $taken[$colour->value] = true;

                return $colour;
            }
        }

        return Colour::Purple;
    }
}
