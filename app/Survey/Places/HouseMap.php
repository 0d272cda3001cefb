<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\House\Catalog;
use Unionbit\Core\Equipment\Build\Unit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit as Units;

/** The places of a house with what stands there, and what could still be added. */
final class HouseMap
{
    /** Words that mean a place in any house. */
    private const WORDS = [
        'wall' => ['wall', 'hall', 'thermostat'],
        'indoor' => ['indoor unit', 'indoor', 'furnace', 'basement', 'board'],
        'outdoor' => ['outdoor unit', 'outdoor', 'outside', 'yard', 'condenser', 'heat pump'],
        'indoor-2' => ['second indoor unit', 'attic'],
        'outdoor-2' => ['second outdoor unit'],
        'zone-panel' => ['zone panel', 'panel'],
        'boiler' => ['boiler'],
        'humidifier' => ['humidifier'],
        'ventilator' => ['ventilator'],
        'relay' => ['relay'],
        'pump' => ['pump'],
    ];

    /** @return array{places: list<array<string, mixed>>, addable: list<array<string, mixed>>} */
    public static function of(Installation $house): array
    {
        $there = self::places($house);

        return [
            'places' => array_map(static fn (Place $place): array => self::place($house, $place), $there),
            'addable' => array_map(
                static fn (Place $place): array => [
                    'place' => $place->value,
                    'label' => $place->label(),
                    'units' => self::units($house, $place),
                ],
                array_values(array_filter(Place::ADDED, static fn (Place $p): bool => ! in_array($p, $there, true))),
            ),
        ];
    }

    /**
     * What each place of this house may be called in a line, its own name first.
     *
     * @param  bool  $all  those that could be added as well
     * @return array<string, list<string>>
     */
    public static function words(Installation $house, bool $all = false): array
    {
        $words = [];
        $places = [...self::places($house), ...$all ? Place::ADDED : []];
        foreach (array_unique($places, SORT_REGULAR) as $place) {
            $name = $house->places[$place->value] ?? '';
            $own = $name === '' ? [] : [$name];
            $words[$place->value] = [...$own, ...self::WORDS[$place->value] ?? [$place->value]];
        }

        return $words;
    }

    /** @return list<Place> the wall first, then where units stand, then where only cables or names are */
    private static function places(Installation $house): array
    {
        $places = [Place::Wall];
        foreach ($house->equipmentSeen() || $house->places !== [] ? $house->archetype->units : [] as $unit) {
            $places[] = Place::from($unit['place']);
        }
        foreach ($house->cables as $cable) {
            array_push($places, $cable->from, $cable->to);
        }
        foreach (array_keys($house->places) as $place) {
            $places[] = Place::from($place);
        }

        return array_values(array_unique($places, SORT_REGULAR));
    }

    /** @return array<string, mixed> */
    private static function place(Installation $house, Place $place): array
    {
        $shelf = app(Catalog::class)->shelf();
        $units = array_filter($house->archetype->units, static fn (array $u): bool => $u['place'] === $place->value);
        $supplies = array_filter(
            $house->transformers(),
            static fn (Transformer $t): bool => $t->place() === $place &&
                ($house->equipmentSeen() || in_array($place, Place::ADDED, true)),
        );

        return [
            'place' => $place->value,
            'label' => $place->label(),
            'name' => $house->places[$place->value] ?? '',
            'units' => $house->equipmentSeen() || in_array($place, Place::ADDED, true)
                    ? array_values(
                        array_map(
                            static fn (array $u): Message => Message::named(
                                'unit',
                                $shelf->units[$u['unit']]->title ?? $u['unit'],
                            ),
                            $units,
                        ),
                    )
                    : [],
            'supplies' => array_values(
                array_map(
                    static fn (Transformer $t): Message => Message::of(
                        $t->fuseAmps === null ? 'survey.house-map.supply-no-fuse' : 'survey.house-map.supply',
                        id: $t->id,
                        va: Quantity::of($t->ratingVa, Units::VoltAmps),
                        fuse: Quantity::of($t->fuseAmps ?? 0.0, Units::Amps),
                    ),
                    $supplies,
                ),
            ),
            'outdoors' => $place->isOutdoors(),
            'removable' => in_array($place, Place::ADDED, true),
        ];
    }

    /** @return list<array{id: string, title: Message}> what can stand there: a unit of the house, or one to add */
    private static function units(Installation $house, Place $place): array
    {
        $here = array_column($house->archetype->units, 'unit');
        $fits = array_filter(
            app(Catalog::class)->shelf()->units,
            static fn (Unit $unit): bool => $unit->place === $place ||
                (in_array($unit->id, $here, true) &&
                    $unit->place->isOutdoors() === $place->isOutdoors() &&
                    self::holdsUnits($place)),
        );

        return array_values(
            array_map(
                static fn (Unit $unit): array => [
                    'id' => $unit->id,
                    'title' => Message::named('unit', $unit->title),
                ],
                $fits,
            ),
        );
    }

    /** Whether heating and cooling equipment stands at such a place. */
    private static function holdsUnits(Place $place): bool
    {
        return in_array($place, [Place::Indoor2, Place::Indoor3, Place::Boiler], true) || $place->isOutdoors();
    }
}
