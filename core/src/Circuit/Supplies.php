<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Words\Message;

/** What two transformers do to each other, and what the survey left unknown of the second. */
final class Supplies
{
    /** Volts across a dead secondary above which it is fed from elsewhere. */
    private const FED_ABOVE = 5.0;

    /** @return list<Message> joined supplies and such as are fed backwards */
    public static function notes(Installation $installation, OperatingPoint $point): array
    {
        $notes = [];
        foreach ($point->netlist->elements as $winding) {
            if (
                $winding->kind === ElementKind::Winding &&
                $winding->emf === 0.0 &&
                $point->phasors->magnitude($winding->a, $winding->b) > self::FED_ABOVE
            ) {
                $notes[] = Message::of('circuit.supplies.transformer-off-fed-backwards-from', id: $winding->id);
            }
        }
        if (self::areJoined($installation, $point->netlist)) {
            $notes[] = Message::of('circuit.supplies.two-transformers-joined-one-switched');
        }

        return $notes;
    }

    /**
     * The same house with each combination of what is not known: bonding of each supply, phase of the second.
     *
     * @return list<Circuit> empty where everything is known
     */
    public static function possibilities(Circuit $circuit): array
    {
        $house = $circuit->installation;
        $facts = $house->facts;
        $two = count($house->archetype->supplies()) > 1;
        $phases = $two && $facts->secondPhase === 'unknown' ? ['in', 'out'] : [$facts->secondPhase];
        $seconds = $two && $facts->secondBonded === null ? [false, true] : [$facts->secondBonded];
        $circuits = [];
        foreach ($phases as $phase) {
            foreach ($seconds as $second) {
                foreach ($facts->commonBonded === null ? [false, true] : [$facts->commonBonded] as $first) {
                    $circuits[] = new Circuit(
                        $house->withFacts($facts->wired($first, $second, $phase)),
                        $circuit->profile,
                        $circuit->landing,
                    );
                }
            }
        }

        return count($circuits) > 1 ? $circuits : [];
    }

    /**
     * Hot to hot through copper alone. Where both secondaries float nothing measurable tells it: only this does
     * (MR03).
     */
    private static function areJoined(Installation $installation, Netlist $netlist): bool
    {
        $transformers = $installation->archetype->transformers;

        return count($transformers) > 1 &&
            isset(
                $netlist->region(
                    $transformers[0]->hot,
                    static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen(),
                )[$transformers[1]->hot],
            );
    }
}
