<?php

declare(strict_types=1);

use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\SettingCheck;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;

/** @return array<string, DerivedSetting> by key */
function settingsOf(Plan $plan): array
{
    return array_column(
        array_map(static fn (DerivedSetting $s): array => [$s->key->value, $s], Derivation::all($plan)),
        1,
        0,
    );
}

it('derives every key of every kind of equipment', function (string $archetype, array $values): void {
    $settings = array_map(
        static fn (DerivedSetting $s): string => $s->value,
        settingsOf(House::example($archetype)),
    );

    expect(array_intersect_key($settings, $values))
        ->toEqual($values)
        ->and(
            array_filter(
                settingsOf(House::example($archetype)),
                static fn (DerivedSetting $s): bool => $s->reason === '',
            ),
        )
        ->toBe([]);
})->with([
    [
        'furnace-gas-1h',
        ['equipment-type' => 'heat-only', 'heat-fuel' => 'gas', 'heat-stages' => '1', 'cycles' => '5'],
    ],
    [
        'furnace-gas-2h-2c',
        ['heat-fuel' => 'gas', 'outdoor-stages' => '2', 'compressors' => 'one', 'heat-stages' => '2'],
    ],
    ['furnace-oil-1h', ['heat-fuel' => 'oil', 'cycles' => '3']],
    [
        'air-handler-electric-2h-1c',
        [
            'heat-fuel' => 'electric',
            'fan-in-heat' => 'thermostat',
            'heat-stages' => '2',
            'outdoor-stages' => '1',
            'cycles' => '9',
        ],
    ],
    [
        'boiler-zone-valve-1c',
        ['heat-fuel' => 'hydronic', 'fan-in-heat' => 'none', 'r-source' => 'two', 'cycles' => '3'],
    ],
    ['heat-pump-o-1c', ['emergency' => 'none', 'aux-stages' => '0', 'compressor-lockout' => 'off']],
    [
        'heat-pump-o-2c-2aux',
        [
            'outdoor-stages' => '2',
            'aux-stages' => '2',
            'aux-with-compressor' => 'yes',
            'emergency' => 'electric',
            'compressor-lockout' => 'off',
            'aux-lockout' => '35',
            'cycles' => '3',
            'r-source' => 'one',
            'power-source' => 'common',
            'accessories' => 'no',
            'remote' => 'join',
        ],
    ],
    [
        'dual-fuel-o-2c-2h',
        [
            'equipment-type' => 'dual-fuel',
            'heat-fuel' => 'gas',
            'heat-stages' => '2',
            'aux-with-compressor' => 'no',
            'emergency' => 'furnace',
            'compressor-lockout' => '40',
            'cycles' => '5',
        ],
    ],
]);

it('asks only for what the house has', function (string $archetype, array $absent): void {
    expect(array_intersect($absent, array_keys(settingsOf(House::example($archetype)))))->toBe([]);
})->with([
    [
        'furnace-gas-1h',
        [
            'outdoor-stages',
            'compressors',
            'reversing-valve',
            'aux-stages',
            'emergency',
            'compressor-off',
            'compressor-lockout',
            'aux-lockout',
        ],
    ],
    ['air-handler-cool-1c', ['heat-fuel', 'heat-stages', 'cycles', 'reversing-valve']],
    ['dual-fuel-o-1c-1h', ['aux-stages', 'aux-lockout', 'compressors']],
]);

it(
    'follows the landing: a stage that reaches nothing is set to one, with the rule that says so',
    function (): void {
        $plan = House::example('furnace-gas-2h-2c');
        $y2 = array_values(
            array_filter(
                $plan->installation->wallCable()->conductors ?? [],
                static fn ($c): bool => $c->far->terminal === 'Y2',
            ),
        )[0];
        $lost = settingsOf($plan->landed($plan->landing->onWall($y2->id(), End::free(EndState::Capped))))[
            'outdoor-stages'
        ];

        expect($lost->value)->toBe('1')->and($lost->reason)->toContain('Y2 reaches nothing')->toContain('MR09');
    },
);

it('keeps the order of the thermostat\'s own menu, and what it lacks after it', function (): void {
    $keys = array_keys(settingsOf(House::example('heat-pump-o-2c-1aux')));

    expect(array_slice($keys, 0, 4))
        ->toBe(['equipment-type', 'heat-fuel', 'reversing-valve', 'outdoor-stages'])
        ->and(settingsOf(House::example('heat-pump-o-2c-1aux'))['power-source']->lacking)
        ->toContain('no such setting');
});

it('says from the circuit or the figures what each wrong setting does', function (
    string $archetype,
    string $key,
    string $choice,
    string $says,
): void {
    expect(settingsOf(House::example($archetype))[$key]->ifWrong($choice))->toContain($says);
})->with([
    'dual fuel with both running' => [
        'dual-fuel-o-1c-1h',
        'aux-with-compressor',
        'yes',
        'Furnace 1 runs the furnace beside the compressor',
    ],
    'strips without the compressor' => [
        'heat-pump-o-1c-1aux',
        'aux-with-compressor',
        'no',
        'Heat + aux leaves the',
    ],
    'one stage of two outdoors' => ['furnace-gas-2h-2c', 'outdoor-stages', '1', 'Cool 2 can never be called'],
    'one stage of two indoors' => ['furnace-gas-2h-2c', 'heat-stages', '1', 'Heat 2 can never be called'],
    'no backup' => ['heat-pump-o-1c-1aux', 'aux-stages', '0', 'can never be called'],
    'electric taken for gas: no fan' => [
        'air-handler-electric-1h-1c',
        'heat-fuel',
        'gas',
        'Heat 1 runs the strips without the blower',
    ],
    'link in on two transformers' => ['boiler-zone-valve-1c', 'r-source', 'one', 'transformers are joined'],
    'changeover too low' => [
        'dual-fuel-o-1c-1h',
        'compressor-lockout',
        '10',
        'it would run alone where it cannot carry the house',
    ],
    'changeover too high' => [
        'dual-fuel-o-1c-1h',
        'compressor-lockout',
        '55',
        'it is kept off where it could still do the work',
    ],
    'strips always allowed' => ['heat-pump-o-1c-1aux', 'aux-lockout', 'off', 'it costs'],
]);

it('keeps a question open where two sources of the house disagree', function (
    array $answers,
    string $archetype,
    string $key,
    array $open,
): void {
    $house = ExampleHouse::of(House::archetype($archetype));
    $house = new Installation(
        $house->archetype,
        $house->facts,
        $house->cables,
        $house->jumpers,
        new Answers($answers),
    );
    $profile = House::profile('c-powered-3h-2c');
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));

    expect(array_column(settingsOf($plan)[$key]->open, 'value'))->toBe($open);
    foreach ($open as $value) {
        expect(
            array_filter(
                SettingCheck::check($plan, [$key => $value]),
                static fn ($f): bool => str_contains(said($f->title), 'should be'),
            ),
        )->toBe([]);
    }
})->with([
    [['fanJumper' => 'electric'], 'furnace-gas-1h-1c', 'fan-in-heat', ['equipment', 'thermostat']],
    [['fanJumper' => 'gas'], 'furnace-gas-1h-1c', 'fan-in-heat', []],
    [['indoorPlate' => 'cools'], 'heat-pump-o-1c-1aux', 'equipment-type', ['heat-pump', 'conventional']],
]);

it('says which calls a choice changes, and which landed conductor no call uses', function (): void {
    $plan = House::example('furnace-gas-2h-2c');

    expect(SettingCheck::effects($plan, [], SettingKey::FanInHeat, 'thermostat'))
        ->toBe(['Heat 1 closes G too', 'Heat 2 closes G too'])
        ->and(SettingCheck::effects($plan, [], SettingKey::OutdoorStages, '1'))
        ->toBe(['Cool 2 is never called'])
        ->and(SettingCheck::effects($plan, [], SettingKey::Cycles, '9'))
        ->toBe([])
        ->and(
            joined(
                ' ',
                array_map(
                    static fn ($f): string => said($f->title),
                    SettingCheck::check($plan, ['outdoor-stages' => '1']),
                ),
            ),
        )
        ->toContain('Y2 has conductor');
});

it(
    'keeps airflow switches as an open question, says how to provoke auxiliary heat, and dates batteries',
    function (): void {
        $converted = settingsOf(House::example('communicating-converted-2c'))['airflow-switches'];
        $pump = settingsOf(House::example('heat-pump-o-1c-1aux'));
        $battery = settingsOf(House::example('furnace-gas-1h-1c', House::BATTERY));
        $radio = settingsOf(House::example('furnace-gas-1h-1c', 'radio-pair-receiver'));

        expect(array_column($converted->open, 'value'))
            ->toBe(['by-sheet', 'as-found'])
            ->and($converted->lacking)
            ->toBeNull()
            ->and($pump['aux-gap']->value)
            ->toBe('2F')
            ->and(joined(' ', array_map(said(...), $pump['aux-gap']->steps)))
            ->toContain('set the target 4 °F above the room')
            ->and(isset($pump['batteries']))
            ->toBeFalse()
            ->and(isset(settingsOf(House::example('dual-fuel-o-1c-1h'))['aux-gap']))
            ->toBeFalse()
            ->and([$battery['batteries']->value, array_keys($battery['batteries']->choices)])
            ->toBe(['new', ['new', 'left']])
            ->and(said($radio['batteries']->reason))
            ->toContain('The part on the wall runs on batteries')
            ->and(joined(' ', array_map(said(...), $pump['remote']->steps)))
            ->toContain('The account belongs to the customer')
            ->toContain('If it shows “offline” later');
    },
);

it('takes a leak check as it was done, and a leak as a fault', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $errors = static fn (string $value): int => count(SettingCheck::check($plan, ['leak-check' => $value]));

    expect([$errors('not-opened'), $errors('none'), $errors('found')])
        ->toBe([0, 0, 1])
        ->and(settingsOf($plan)['leak-check']->isRequired())
        ->toBeFalse()
        ->and(isset(settingsOf(House::example('air-handler-electric-1h-1c'))['leak-check']))
        ->toBeFalse();
});
