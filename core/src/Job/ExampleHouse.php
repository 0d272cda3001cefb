<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;

/** A plain house for an archetype: every screw of the board wired to the same letter at the wall, all traced. */
final class ExampleHouse
{
    public static function of(Archetype $archetype, float $wallFeet = 45.0, float $outdoorFeet = 30.0): Installation
    {
        $wall = [];
        $taken = [];
        foreach ($archetype->terminals as $terminal) {
            if ($terminal->place === Place::Indoor && $terminal->printed !== 'CH') {
                $wall[] = new Conductor(
                    count($wall) + 1,
                    self::colour($terminal->name, $taken),
                    End::landed($terminal->printed),
                    End::landed($terminal->printed),
                    Evidence::Traced,
                );
            }
        }
        $outdoor = [];
        $taken = [];
        foreach ($archetype->terminals as $terminal) {
            $board = $terminal->place === Place::Outdoor ? self::boardScrew($archetype, $terminal) : null;
            if ($board !== null) {
                $outdoor[] = new Conductor(
                    count($outdoor) + 1,
                    self::colour($terminal->name, $taken),
                    End::landed($board->printed),
                    End::landed($terminal->printed),
                    Evidence::Seen,
                );
            }
        }
        $cables = [new Cable('A', Place::Wall, Place::Indoor, 18, $wallFeet, $wall)];
        if ($outdoor !== []) {
            $cables[] = new Cable('B', Place::Indoor, Place::Outdoor, 18, $outdoorFeet, $outdoor);
        }
        $link = count($archetype->transformers) > 1 ? LinkState::Out : LinkState::In;

        return new Installation(
            $archetype,
            new Facts(lineVolts: 120.0, tapVolts: 120.0, plateLink: $link),
            $cables,
        );
    }

    private static function boardScrew(Archetype $archetype, EquipmentTerminal $outdoor): ?EquipmentTerminal
    {
        // With two supplies the outdoor board takes its R from the one of the cooling.
        return $archetype->terminalNamed(Place::Indoor, $outdoor->name) ??
            ($outdoor->name === TerminalName::R
                ? $archetype->terminalNamed(Place::Indoor, TerminalName::Rc)
                : null);
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
