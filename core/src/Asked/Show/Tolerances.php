<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\MeterMode;

/**
 * How far a reading may lie from what the circuit gives: the house's own spread, a hand meter, the person who reads it.
 * The one table of Prove, Trace and coverage. All are our working figures where no other source is named.
 */
final class Tolerances
{
    /**
     * Line ±5 % with transformer ±5 % and a hand meter's error; volts of pick-up; part of what is dropped on the way,
     * which the tolerance of coils moves most in the middle.
     */
    private const VOLTS = ['share' => 0.115, 'floor' => 0.6, 'divided' => 0.15];

    /** Volts of a supply, for what part of it is dropped. */
    private const FULL = 26.0;

    /** Cold and warm copper, a coil of another make; ohms of leads and landed ends. */
    private const OHMS = ['down' => 0.25, 'up' => 0.3, 'less' => 0.2, 'leads' => 1.5];

    private const AMPS = ['share' => 0.3, 'floor' => 0.04];

    /** Two good parts of one kind differ by this share, and the leads by so many ohms. */
    private const GOOD = ['share' => 0.1, 'leads' => 0.3];

    /** Ohms under which a beeper surely sounds, and over which it surely does not. */
    private const BEEPS = [20.0, 60.0];

    /** A reading is that of a named fault where it is within so much of what the circuit gives with it. */
    private const FAULT = [
        'V' => ['share' => 0.0, 'floor' => 4.0],
        'O' => ['share' => 0.2, 'floor' => 2.0],
        'A' => ['share' => 0.25, 'floor' => 0.05],
    ];

    /** Two readings nearer than this are one to the person who reads them. */
    private const ALIKE = [
        'V' => ['share' => 0.0, 'floor' => 4.0],
        'O' => ['share' => 0.25, 'floor' => 1.0],
        'A' => ['share' => 0.0, 'floor' => 0.05],
    ];

    /** A single change of the circuit gives a reading within the source's tolerance both ways, and pick-up. */
    private const CHANGE = ['share' => 0.11, 'floor' => 1.0];

    /** Two set-ups differ at a pair of points if their readings are further apart: volts or ohms, and amperes. */
    private const WAITS = ['V' => 1.0, 'O' => 1.0, 'A' => 0.05];

    /**
     * The band of a solved house without solving its corners: a formula in their place, wide enough to hold what the
     * meter's own band holds.
     */
    public static function quick(MeterMode $mode, ?float $nominal, bool $cycles): Showing
    {
        return match ($mode) {
            MeterMode::Volts => match (true) {
                $nominal === null => Showing::ghost(Expectation::GHOST_VOLTS),
                $cycles => Showing::wavering(self::FULL * 1.15),
                default => self::volts($nominal),
            },
            MeterMode::Amps => self::amps($nominal ?? 0.0, $cycles),
            MeterMode::Ohms => $nominal === null ? Showing::overLimit() : self::ohms($nominal),
            MeterMode::Beep => Showing::beeping(self::beeps($nominal ?? INF)),
            MeterMode::NonContact => Showing::seeing([]),
        };
    }

    private static function volts(float $volts): Showing
    {
        $wide =
            self::VOLTS['share'] * $volts +
            self::VOLTS['floor'] +
            self::VOLTS['divided'] * max(0.0, min($volts, self::FULL - $volts));

        return Showing::band(max(0.0, $volts - $wide), $volts, $volts + $wide);
    }

    private static function amps(float $amps, bool $cycles): Showing
    {
        $wide = self::AMPS['share'] * $amps + self::AMPS['floor'];

        return $cycles
            ? Showing::wavering($amps + $wide)
            : Showing::band(max(0.0, $amps - $wide), $amps, $amps + $wide);
    }

    private static function ohms(float $ohms): Showing
    {
        return Showing::band(
            max(0.0, $ohms * (1.0 - self::OHMS['down']) - self::OHMS['less']),
            $ohms,
            $ohms * (1.0 + self::OHMS['up']) + self::OHMS['leads'],
        );
    }

    /** Ohms where a good part of the same kind was read beside: what it should have is known then, not worked out. */
    public static function beside(float $ohms): Showing
    {
        $wide = self::GOOD['share'] * $ohms + self::GOOD['leads'];

        return Showing::band(max(0.0, $ohms - $wide), $ohms, $ohms + $wide);
    }

    /** Share of the times that a beeper sounds. */
    private static function beeps(float $ohms): float
    {
        [$sounds, $quiet] = self::BEEPS;

        return match (true) {
            $ohms < $sounds => 1.0,
            $ohms > $quiet => 0.0,
            default => ($quiet - $ohms) / ($quiet - $sounds),
        };
    }

    /** Whether a reading is what a house with a named fault gives; null is a ghost, or over the limit. */
    public static function isOfFault(MeterMode $mode, ?float $given, ?float $read): bool
    {
        if ($mode === MeterMode::Volts && $given === null) {
            return ($read ?? 0.0) <= Expectation::GHOST_VOLTS;
        }
        if ($mode === MeterMode::Ohms && ($given === null || $read === null)) {
            return $given === $read;
        }
        $within = self::FAULT[$mode->value] ?? null;

        return $within === null || self::within($within, (float) $given, $read ?? 0.0);
    }

    /** Whether a single change of the circuit gives a reading in volts; null is a ghost. */
    public static function isOfChange(?float $given, float $read): bool
    {
        return $given === null ? $read <= Expectation::GHOST_VOLTS : self::within(self::CHANGE, $given, $read);
    }

    /** Whether two houses show the same to the person who reads them. */
    public static function alike(MeterMode $mode, ?float $one, ?float $other): bool
    {
        $within = self::ALIKE[$mode === MeterMode::Beep ? 'O' : $mode->value] ?? self::ALIKE['V'];
        if ($one === null || $other === null) {
            // A floating point shows some volts or none: on the meter that is much the same as nothing.
            return $one === $other || ($mode === MeterMode::Volts && ($one ?? $other) < $within['floor']);
        }

        return abs($one - $other) <= max($within['floor'], $within['share'] * max($one, $other));
    }

    /** Whether a reading is another one while a delay still runs. */
    public static function waits(Expectation $now, Expectation $then): bool
    {
        return $now->floating !== $then->floating ||
            $now->overLimit !== $then->overLimit ||
            abs(($now->nominal ?? 0.0) - ($then->nominal ?? 0.0)) > (self::WAITS[$then->mode->value] ?? 1.0);
    }

    /** @param  array{share: float, floor: float}  $within */
    private static function within(array $within, float $given, float $read): bool
    {
        return abs($read - $given) <= $within['share'] * $given + $within['floor'];
    }
}
