<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Tests\Support\House;

// A full pan: which calls make water in it, what a switch stops, what survives. Figures, plan and screening agree.

/** @param  array<string, mixed>  $answers */
function wetHouse(string $equipment, array $answers, ?SafetyDevice $float = null): Installation
{
    $house = ExampleHouse::of(House::archetype($equipment));

    return new Installation(
        $house->archetype,
        $house->facts->withSafety($float === null ? [] : [$float]),
        $house->cables,
        $house->jumpers,
        answers: new Answers([...$house->answers->given, 'outdoor' => 'cools', ...$answers]),
    );
}

it('places the switch where all water stops and most of what was wished survives', function (
    string $equipment,
    array $answers,
    string $profile,
    string $best,
): void {
    $house = wetHouse($equipment, $answers);
    $thermostat = House::profile($profile);
    $pans = OverflowPlacement::pans(new Plan($house, $thermostat, LetterToLetter::landing($house, $thermostat)));

    expect(array_column(array_filter($pans[0]['ways'], static fn (array $w): bool => $w['best']), 'key'))->toBe([
        $best,
    ]);
})->with([
    'cooling, C: Y' => ['furnace-gas-1h-1c', [], 'c-powered-1h-1c', 'Y'],
    'condensing: both calls' => ['furnace-gas-1h-1c', ['condensing' => 'yes'], 'c-powered-1h-1c', 'Y+W relay'],
    'condensing alone, C: W' => ['furnace-gas-1h', ['condensing' => 'yes'], 'c-powered-1h-1c', 'W'],
    'condensing alone, batteries: R' => ['furnace-gas-1h', ['condensing' => 'yes'], 'battery-1h-1c', 'R'],
    'batteries, cooling only: R, the fan stops too' => ['air-handler-cool-1c', [], 'battery-1h-1c', 'R'],
    'the same, and the fan is to survive' => ['air-handler-cool-1c', ['panFull' => ['fan']], 'battery-1h-1c', 'Y'],
    'two compressors: Y1 and Y2' => [
        'furnace-gas-2h-2c',
        ['compressors' => 'two'],
        'c-powered-3h-2c',
        'Y1+Y2 relay',
    ],
    'one with two stages: Y1 is enough' => ['furnace-gas-2h-2c', ['compressors' => 'one'], 'c-powered-3h-2c', 'Y1'],
    'two compressors over condensing heat' => [
        'furnace-gas-2h-2c',
        ['compressors' => 'two', 'condensing' => 'yes'],
        'c-powered-3h-2c',
        'Y1+Y2+W1+W2 relay',
    ],
    'heat pump: emergency heat is kept' => [
        'heat-pump-o-1c-1aux',
        ['panFull' => ['emergency']],
        'battery-2h-1c-heat-pump',
        'Y',
    ],
]);

it('never moves a switch to where water goes on, and says so of one that stays there', function (
    array $breaks,
    array $answers,
    array $warned,
): void {
    $float = new SafetyDevice('float', '', $breaks, false);
    $house = wetHouse('furnace-gas-2h-2c', ['floats' => 'some', ...$answers], $float);
    $list = Planner::of($house, House::profile('c-powered-3h-2c'));

    expect($list->offered)->not->toBe([]);
    foreach ($list->offered as $offer) {
        $circuit = $offer->plan->circuit();
        foreach ($offer->plan->installation->facts->floats() as $device) {
            $water = array_keys(FullPan::of($circuit, $device)->water());
            $told = joined(' ', array_map(said(...), $offer->lost()));
            $offer->plan->changes->safety !== null
                ? expect($water)->toBe([])
                : expect($water === [])->toBe(! str_contains($told, 'on making water'));
            expect($water !== [])->toBe(
                array_filter(
                    MappingRules::check($offer->plan),
                    static fn (Finding $f): bool => $f->code === 'MR16' &&
                        str_contains(said($f->title), 'on making water'),
                ) !== [],
            );
        }
    }
    $screened = array_filter(
        Screening::check($house, []),
        static fn (Finding $f): bool => $f->code === 'MR16' && str_contains(said($f->title), 'making water'),
    );
    $circuit = (new Plan(
        $house,
        House::profile('c-powered-3h-2c'),
        LetterToLetter::landing($house, House::profile('c-powered-3h-2c')),
    ))->circuit();
    $found = FullPan::of($circuit, $float)->water();
    expect(array_keys($found))
        ->toBe($warned)
        ->and(FullPan::ofWater($circuit, $float)->water())
        ->toBe($found)
        ->and($screened !== [])
        ->toBe($warned !== []);
})->with([
    'in Y1 before two compressors' => [['Y1'], ['compressors' => 'two'], ['cool-2']],
    'in Y1 before one of two stages' => [['Y1'], ['compressors' => 'one'], []],
    'in W1 over cooling' => [['W1'], ['compressors' => 'one'], ['cool-1', 'cool-2']],
    'in Y1 over condensing heat' => [
        ['Y1'],
        ['compressors' => 'one', 'condensing' => 'yes'],
        [CallName::Heat1->value, CallName::Heat2->value],
    ],
]);

it('draws the installer\'s own relay by the numbers on it', function (
    string $written,
    string $coil,
    array $pins,
): void {
    $house = wetHouse('furnace-gas-1h-1c', ['condensing' => 'yes', 'relayPins' => $written]);
    $thermostat = House::profile('c-powered-1h-1c');
    $pans = OverflowPlacement::pans(new Plan($house, $thermostat, LetterToLetter::landing($house, $thermostat)));
    $relay = array_column($pans[0]['ways'], null, 'key')['Y+W relay'];

    expect([$relay['coil'], array_column($relay['contacts'], 'pins', 'screw')])->toBe([$coil, $pins]);
})->with([
    'coil and two contacts' => ['7-8 1–3, 4/6', '7–8', ['Y' => '1–3', 'W' => '4–6']],
    'one contact too few' => ['A1-A2 11-14', 'A1–A2', ['Y' => '11–14', 'W' => '']],
    'none' => ['', '', ['Y' => '', 'W' => '']],
    'no pairs' => ['socket of eight', '', ['Y' => '', 'W' => '']],
]);
