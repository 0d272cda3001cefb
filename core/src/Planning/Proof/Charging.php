<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * WO06 A thermostat without C sits in series with an idle load. What that load sees at rest decides: through a
 * contactor or a valve nothing to speak of, through a zone valve or a sequencer it is doubtful, through a small relay
 * near its drop-out it may hold in, and an electronic input takes it for a call.
 */
final class Charging
{
    /** Volts across an idle load from which it is doubtful whether it stays out: a zone valve or a sequencer sees 7. */
    private const DOUBTFUL = 5.5;

    /** Volts from which it is refused: a relay of 4 VA sees 9.8, at the upper limits 12, above its drop-out. */
    private const HOLDS = 8.5;

    /** @return list<Message> */
    public static function failures(Plan $plan, Circuit $circuit): array
    {
        if ($plan->profile->power !== PowerKind::Shared) {
            return [];
        }
        $point = $circuit->operate(Setup::calling());
        $own = $point->netlist->elements['thermostat.electronics'] ?? null;
        $volts = $own === null ? 0.0 : $point->phasors->magnitude($own->a, $own->b);
        $failures =
            $volts >= Circuit::BLANK_VOLTS
                ? []
                : [
                    Message::of(
                        'planning.plan-proof.charges-through-gets-there-what',
                        charges: $plan->profile->charges ?? Message::of('planning.plan-proof.load'),
                        volts: Quantity::of($volts, Unit::Volts, 1),
                    ),
                ];
        foreach (self::fed($plan, $circuit, self::HOLDS, INF) as $load) {
            $failures[] = Message::of(
                'planning.charging.holds-in',
                load: $load->label,
                volts: self::volts($load, $point),
            );
        }

        return $failures;
    }

    /**
     * @param  list<FullPan>  $pans
     * @return list<Message>
     */
    public static function doubts(Plan $plan, Circuit $circuit, array $pans): array
    {
        if ($plan->profile->power !== PowerKind::Shared) {
            return [];
        }
        $point = $circuit->operate(Setup::calling());
        $doubts = array_map(
            static fn (Load $load): Message => Message::of(
                'planning.charging.doubtful',
                load: $load->label,
                volts: self::volts($load, $point),
            ),
            self::fed($plan, $circuit, self::DOUBTFUL, self::HOLDS),
        );
        foreach ($pans as $pan) {
            if (! $pan->charges) {
                $doubts[] = Message::of('planning.charging.not-with-water', device: $pan->device->name());
            }
        }

        return $doubts;
    }

    /**
     * What the electronics feed by themselves: more volts across it than with them taken out, and not by the contact of
     * another load that has come in.
     *
     * @return list<Load>
     */
    private static function fed(Plan $plan, Circuit $circuit, float $from, float $below): array
    {
        $with = $circuit->operate(Setup::calling());
        $without = $circuit->operate(Setup::calling()->with(new Opened(Part::electronics())));
        $fed = array_filter(
            $plan->installation->archetype->loads,
            static fn (Load $load): bool => $load->kind->hasState() &&
                ($with->loadVolts[$load->id] ?? 0.0) >= $from &&
                $with->loadVolts[$load->id] < $below &&
                self::DOUBTFUL / 2.0 < $with->loadVolts[$load->id] - ($without->loadVolts[$load->id] ?? 0.0),
        );
        $driven = [];
        foreach ($plan->installation->archetype->loads as $load) {
            foreach ($load->drives as $contact) {
                $driven[$contact->to] = true;
            }
        }

        return array_values(array_filter($fed, static fn (Load $load): bool => ! isset($driven[$load->from])));
    }

    private static function volts(Load $load, OperatingPoint $point): Quantity
    {
        return Quantity::of($point->loadVolts[$load->id], Unit::Volts, 1);
    }
}
