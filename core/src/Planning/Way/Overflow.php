<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Circuit\Water\SwitchPlaces;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/** The ways in which a float switch of the house can be wired otherwise: every way of its board. */
final class Overflow
{
    /** Other places that are tried for one switch. */
    private const MOST = 3;

    /**
     * Of the other placements those in which nothing goes on making water, as far as this landing shows it.
     *
     * @return list<array{way: WayOut, safety: list<SafetyDevice>}>
     */
    public static function drier(Draft $base): array
    {
        $dry = [];
        foreach (self::placements($base->house) as $placement) {
            $changes = new HouseChanges(null, $placement['safety']);
            $circuit = $base->taking($placement['way'], $base->landing, $changes)->plan()->circuit();
            $pan = FullPan::ofWater($circuit, $circuit->installation->facts->floats()[0]);
            if ($pan->water() === [] && ($pan->display || $base->profile->power !== PowerKind::Common)) {
                $dry[] = $placement;
            }
        }

        return array_slice($dry, 0, self::MOST);
    }

    /**
     * @return list<array{way: WayOut, safety: list<SafetyDevice>}> other placements of the house's first float switch
     */
    private static function placements(Installation $house): array
    {
        $float = $house->facts->floats()[0] ?? null;
        if ($float === null) {
            return [];
        }
        $placements = [];
        foreach (SwitchPlaces::of($house, $float, $float->place) as $moved) {
            if ($moved->breaks === $float->breaks && $moved->relay === $float->relay) {
                continue;
            }
            $part = $moved->relay ? Message::of('planning.overflow.relay', contacts: count($moved->breaks)) : null;
            $text = Message::of(
                $moved->relay ? 'planning.overflow.moves-by-relay' : 'planning.overflow.moves',
                float: $float->name(),
                from: $float->breaks,
                to: $moved->breaks,
            );
            $placements[] = [
                'way' => new WayOut(
                    'MR16',
                    $text,
                    $part,
                    $part === null ? 0.0 : 1.5,
                    $part === null ? 10 : 25,
                    1,
                    0,
                ),
                'safety' => array_map(
                    static fn (SafetyDevice $d): SafetyDevice => $d->id === $float->id ? $moved : $d,
                    $house->facts->safety,
                ),
            ];
        }

        return $placements;
    }
}
