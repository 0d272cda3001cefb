<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;

/** A new wall cable for a draft: as many conductors as are needed and at least one spare, landed letter to letter. */
final class NewCable
{
    /** Conductors in the jackets that are made. */
    public const SIZES = [2, 3, 4, 5, 6, 7, 8, 10];

    /** Feet of slack, both ends together. */
    public const SLACK = 6.0;

    private const COLOURS = [
        'R' => Colour::Red,
        'Rc' => Colour::Red,
        'Rh' => Colour::Pink,
        'C' => Colour::Blue,
        'W1' => Colour::White,
        'Aux' => Colour::White,
        'Y1' => Colour::Yellow,
        'G' => Colour::Green,
        'O' => Colour::Orange,
        'B' => Colour::Orange,
        'Y2' => Colour::Black,
        'W2' => Colour::Brown,
        'E' => Colour::Tan,
    ];

    /**
     * The cable that a new one goes along or stands for: the one to where the missing conductor would land. Supplies at
     * two places keep a cable each.
     */
    public static function old(Draft $draft, TerminalName $missing): ?Cable
    {
        $place = $draft->boardScrew($missing)?->place;
        $cables = $draft->house->wallCables();

        return array_values(array_filter($cables, static fn (Cable $c): bool => $c->to === $place))[0] ??
            ($cables[0] ?? null);
    }

    /** @param  float  $feet  of the run, without slack */
    public static function of(Draft $draft, Cable $old, float $feet): Cable
    {
        $board = $old->to;
        $wanted = [];
        foreach ([...$draft->wanted(), TerminalName::C] as $name) {
            if ($draft->boardScrew($name, $board) !== null) {
                $wanted[$name->value] = $name;
            }
        }
        $size = array_values(array_filter(self::SIZES, static fn (int $n): bool => $n > count($wanted)))[0] ?? 10;
        $conductors = [];
        $left = array_values(
            array_filter(
                Colour::cases(),
                static fn (Colour $c): bool => ! in_array(
                    $c,
                    array_map(
                        static fn (TerminalName $n): Colour => self::COLOURS[$n->value] ?? Colour::Purple,
                        $wanted,
                    ),
                    true,
                ),
            ),
        );
        foreach (array_slice(array_values($wanted), 0, $size) as $index => $name) {
            $screw = $draft->boardScrew($name, $board);
            $conductors[] = new Conductor(
                $index + 1,
                self::COLOURS[$name->value] ?? Colour::Purple,
                End::free(EndState::Capped),
                $screw === null ? End::free(EndState::Capped) : End::landed($screw->printed),
                Evidence::Seen,
            );
        }
        for ($number = count($conductors) + 1; $number <= $size; $number++) {
            $conductors[] = new Conductor(
                $number,
                $left[$number - count($wanted) - 1] ?? Colour::Purple,
                End::free(EndState::Capped),
                End::free(EndState::Capped),
                Evidence::Seen,
            );
        }

        return new Cable($old->id, Place::Wall, $board, 18, $feet, $conductors, 'solid');
    }

    /** The draft begun again on a new cable. */
    public static function pulled(Draft $draft, Cable $cable, WayOut $way, bool $elsewhere = false): Draft
    {
        $changes = new HouseChanges($cable, $draft->changes->safety, false, $elsewhere);
        $landing = LetterToLetter::landing($changes->applied($draft->house), $draft->profile);

        return (new Draft($draft->house, $draft->profile, $landing, [], [], $changes))->taking(
            $way,
            $landing,
            $changes,
        );
    }
}
