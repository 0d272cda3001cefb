<?php

declare(strict_types=1);

use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\NetWalk;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Wiring\Conductor;

// Every wish binds: what does not meet it says so and ranks lower, or is not offered.

/**
 * @param  array<string, string|list<string>>  $answers
 * @param  list<string>  $without  screws that no conductor comes from
 */
function wishedHouse(string $equipment, array $answers, array $without = []): Installation
{
    $house = ExampleHouse::of(House::archetype($equipment));
    $cable = $house->wallCable() ?? throw new LogicException('no cable');
    $left = array_filter(
        $cable->conductors,
        static fn (Conductor $c): bool => ! in_array($c->far->terminal, $without, true),
    );
    $house = $house->withCable($cable->withConductors(array_values($left)));

    return new Installation($house->archetype, $house->facts, $house->cables, [], new Answers($answers));
}

it('names a wish that is not met, and what does not meet it ranks lower', function (
    string $equipment,
    array $without,
    string $profile,
    array $wish,
    string $says,
): void {
    $indifferent = Planner::of(wishedHouse($equipment, [], $without), House::profile($profile));
    $wished = Planner::of(wishedHouse($equipment, $wish, $without), House::profile($profile));
    $unmet = static fn (PlanOffer $o): array => array_map(said(...), $o->unmet());
    $score = static fn (PlanOffer $o): float => $o->score(new Weights());
    $all = [...$wished->offered, ...$wished->refused];

    expect($says)
        ->toBeIn(array_merge(...array_map($unmet, $all)))
        ->and(array_merge(...array_map($unmet, $indifferent->offered)))
        ->toBe([]);
    foreach ($wished->offered as $offer) {
        $same =
            array_values(
                array_filter(
                    $indifferent->offered,
                    static fn (PlanOffer $o): bool => $o->signature() === $offer->signature() &&
                        said($o->title()) === said($offer->title()),
                ),
            )[0] ?? null;
        expect(
            $same === null ||
                ($unmet($offer) === [] ? $score($offer) === $score($same) : $score($offer) > $score($same)),
        )->toBeTrue();
    }
})->with([
    'remote' => ['furnace-gas-1h-1c', [], House::BATTERY, ['remote' => 'yes'], 'it cannot be set from a phone'],
    'no batteries' => ['furnace-gas-1h-1c', [], House::BATTERY, ['batteries' => 'no'], 'it runs on batteries'],
    'no batteries, a wall unit by radio' => [
        'furnace-gas-1h-1c',
        [],
        'radio-pair-receiver',
        ['batteries' => 'no'],
        'it runs on batteries',
    ],
    'no batteries, C or batteries, no C' => [
        'furnace-gas-1h-1c',
        ['C'],
        'c-or-battery-2h-2c',
        ['batteries' => 'no'],
        'it runs on batteries',
    ],
    'humidity that nothing gives' => [
        'furnace-gas-1h-1c',
        [],
        'c-powered-humidity',
        ['humidity' => 'both'],
        'nothing here adds humidity',
    ],
    'another wall position' => [
        'furnace-gas-1h-1c',
        [],
        'c-powered-1h-1c',
        ['wallPlace' => 'should'],
        'it stays in the same place',
    ],
    'nothing to be bought' => [
        'furnace-gas-1h-1c',
        ['C'],
        'c-powered-1h-1c',
        ['budget' => 'nothing'],
        'something has to be bought',
    ],
    'small parts' => [
        'furnace-gas-1h-1c',
        ['C'],
        'c-powered-1h-1c',
        ['budget' => 'small'],
        'more than small parts has to be bought',
    ],
]);

it('offers nothing at the equipment where only the wall is open, and says why', function (): void {
    $list = Planner::of(
        wishedHouse('furnace-gas-1h-1c', ['workAt' => 'wall'], ['C']),
        House::profile('c-powered-1h-1c'),
    );

    expect($list->offered)
        ->toBe([])
        ->and(
            array_unique(
                array_merge(
                    ...array_map(
                        static fn (PlanOffer $o): array => array_map(said(...), $o->refusals()),
                        $list->refused,
                    ),
                ),
            ),
        )
        ->toContain('It needs work at the equipment.');
});

it('brings C to a thermostat that could run on batteries where nobody is to change them', function (): void {
    $offers = static fn (array $wish): array => Planner::of(
        wishedHouse('furnace-gas-1h-1c', $wish, ['C']),
        House::profile('c-or-battery-2h-2c'),
    )->offered;

    expect($offers([])[0]->codes())
        ->toBe(['WO05'])
        ->and($offers(['batteries' => 'no'])[0]->unmet())
        ->toBe([])
        ->and(
            array_filter(
                $offers(['batteries' => 'no']),
                static fn (PlanOffer $o): bool => in_array('WO05', $o->codes(), true),
            ),
        )
        ->not->toBe([]);
});

it('charges through what can take it (WO06)', function (
    string $equipment,
    string $through,
    bool $offered,
    string $says,
): void {
    $file = dirname(__DIR__, 3).'/catalog/thermostats/power-sharing-1h-1c.json';
    $json = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
    $json['power']['charges'] = $through;
    $list = Planner::of(wishedHouse($equipment, []), ProfileReader::read($json));
    $words = array_map(
        static fn (PlanOffer $o): array => array_map(said(...), [...$o->refusals(), ...$o->reasons()]),
        [...$list->offered, ...$list->refused],
    );

    expect($list->offered !== [])
        ->toBe($offered)
        ->and(joined(' ', array_merge(...$words)))
        ->toContain($says);
})->with([
    'a contactor' => ['furnace-gas-1h-1c', 'Y', true, 'keeps all 3 calls'],
    'a gas valve' => ['gas-valve-1h', 'W', true, 'keeps its one call'],
    'a zone valve: doubtful' => [
        'boiler-zone-valve',
        'W',
        true,
        'WO06: the thermostat charges through the zone valve',
    ],
    'a sequencer: doubtful' => ['air-handler-electric-1h-1c', 'W', true, 'WO06: the thermostat charges through'],
    'a fan relay may hold in' => [
        'air-handler-cool-1c',
        'G',
        false,
        'WO06: the thermostat charges through the blower relay',
    ],
    'an electronic input takes it for a call' => [
        'furnace-gas-1h-1c-electronic',
        'G',
        false,
        'WO06: the thermostat charges through the blower input',
    ],
    'a dehumidify input on R is none of its' => [
        'furnace-gas-1h-1c-dehumidify-opens',
        'Y',
        true,
        'risk 2: It charges through a load',
    ],
]);

it('names the accessory whose conductor it takes, in the offer and to the customer (MR17)', function (): void {
    $house = wishedHouse('dual-fuel-o-2c-2h', [], ['C']);
    $offers = Planner::of($house, House::profile('c-powered-3h-2c'))->offered;
    $taking = array_values(
        array_filter(
            $offers,
            static fn (PlanOffer $o): bool => (new NetWalk($o->plan))->takenFromAccessories($house) !== [],
        ),
    );

    expect($taking)
        ->not->toBe([])
        ->and(joined(' ', array_map(said(...), $taking[0]->lost())))
        ->toContain('of the humidifier goes on C: the humidifier stays without a conductor')
        ->and(said(PlainWords::of($taking[0])))
        ->toContain('The wire of the humidifier is used for something else');
});
