<?php

declare(strict_types=1);

use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Conductor;

// What the customer reads promises nothing that the house cannot give, and names what the person has to do.

it('says what it does, what it runs on and what is lost', function (
    string $equipment,
    string $profile,
    string $without,
    array $says,
    array $never,
): void {
    $house = ExampleHouse::of(House::archetype($equipment));
    $cable = $house->wallCable() ?? throw new LogicException();
    $house = $house->withCable(
        $cable->withConductors(
            array_values(
                array_filter($cable->conductors, static fn (Conductor $c): bool => $c->far->terminal !== $without),
            ),
        ),
    );
    $words = said(PlainWords::of(Planner::of($house, House::profile($profile))->offered[0]));

    foreach ($says as $sentence) {
        expect($words)->toContain($sentence);
    }
    foreach ($never as $word) {
        expect($words)->not->toContain($word);
    }
})->with([
    'C there' => [
        'furnace-gas-1h',
        'c-or-battery-2h-2c',
        '',
        ['your heating,', 'needs no battery changes'],
        ['cooling'],
    ],
    'C missing: batteries, and why' => [
        'furnace-gas-1h',
        'c-or-battery-2h-2c',
        'C',
        ['runs on batteries, because no wire brings it power'],
        ['needs no battery'],
    ],
    'a radio pair names the batteries of its wall unit' => [
        'furnace-gas-1h',
        'radio-pair-receiver',
        '',
        ['the part on the wall runs on batteries'],
        ['no battery changes'],
    ],
    'cooling only never reads of heat' => [
        'air-handler-cool-1c',
        'c-powered-1h-1c',
        '',
        ['your cooling,'],
        ['heat'],
    ],
    'a humidifier that the plate has no screw for' => [
        'dual-fuel-o-2c-2h',
        'c-powered-3h-2c',
        'C',
        ['the humidifier cannot be asked for'],
        [],
    ],
]);
