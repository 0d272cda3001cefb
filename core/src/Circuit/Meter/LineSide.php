<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Meter;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Words\Message;

/** Readings on the line side: volts at a transformer's line leads with a caution, none at a contact of a relay. */
final class LineSide
{
    /** The line may be this much off, part of it. */
    private const TOLERANCE = 0.05;

    /** Why no volts are read there; outdoors which legs the contactor opens decides what is dead with it at rest. */
    private static function caution(Circuit $circuit, string $a, string $b): Message
    {
        $outdoors = array_any(
            [$a, $b],
            static fn (string $point): bool => $circuit->point($point)->isLine() &&
                $circuit->point($point)->place?->isOutdoors() === true,
        );

        return match (true) {
            ! $outdoors, $circuit->installation->answers->is('legs', 'all') => Message::of(
                'circuit.meter.line-there-ohms-only',
            ),
            $circuit->installation->answers->is('legs', 'one') => Message::of('circuit.meter.leg-stays-live'),
            default => Message::of('circuit.meter.leg-may-stay-live'),
        };
    }

    /** @return ?Expectation null where neither point is on the line side */
    public static function volts(Circuit $circuit, Setup $setup, string $a, string $b): ?Expectation
    {
        [$one, $two] = [$circuit->point($a)->isLine(), $circuit->point($b)->isLine()];
        if (! $one && ! $two) {
            return null;
        }
        $netlist = $circuit->netlist($setup);
        if (! $one || ! $two || ! $netlist->joins($a, $b)) {
            return Expectation::refused(MeterMode::Volts, $a, $b, self::caution($circuit, $a, $b));
        }
        $volts = Network::lineSide($netlist, false)->solve()->magnitude($a, $b);

        return new Expectation(
            mode: MeterMode::Volts,
            a: $a,
            b: $b,
            low: $volts * (1.0 - self::TOLERANCE),
            nominal: $volts,
            high: $volts * (1.0 + self::TOLERANCE) + 0.5,
            floating: false,
            overLimit: false,
            reason: Message::of($volts > 1.0 ? 'circuit.meter.line-is-there' : 'circuit.meter.line-is-not-there'),
            notes: [Message::of('circuit.meter.line-there-caution')],
        );
    }
}
