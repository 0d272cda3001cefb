<?php

declare(strict_types=1);

use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\SettingCheck;
use Unionbit\Core\Tests\Support\House;

/** @return array<string, string> derived value by key */
function derived(string $archetype): array
{
    return array_column(
        array_map(
            static fn (DerivedSetting $s): array => [$s->key->value, $s->value],
            Derivation::all(House::example($archetype)),
        ),
        1,
        0,
    );
}

it('derives the settings of every kind of equipment', function (
    string $archetype,
    string $type,
    string $fan,
    ?string $valve,
): void {
    $settings = derived($archetype);

    expect($settings['equipment-type'])
        ->toBe($type)
        ->and($settings['fan-in-heat'])
        ->toBe($fan)
        ->and($settings['reversing-valve'] ?? null)
        ->toBe($valve);
})->with([
    ['furnace-gas-1h', 'heat-only', 'equipment', null],
    ['furnace-oil-1h', 'heat-only', 'equipment', null],
    ['furnace-gas-2h-2c', 'conventional', 'equipment', null],
    ['air-handler-electric-2h-1c', 'conventional', 'thermostat', null],
    ['air-handler-cool-1c', 'cool-only', 'none', null],
    ['boiler-zone-valve-1c', 'conventional', 'none', null],
    ['air-handler-hot-water-1c', 'conventional', 'thermostat', null],
    ['furnace-oil-own-transformer-1c', 'conventional', 'equipment', null],
    ['fan-centre-1h-1c', 'conventional', 'equipment', null],
    ['communicating-converted-2c', 'conventional', 'equipment', null],
    ['heat-pump-o-1c', 'heat-pump', 'thermostat', 'O'],
    ['heat-pump-o-2c-2aux', 'heat-pump', 'thermostat', 'O'],
    ['heat-pump-b-1c-1aux', 'heat-pump', 'thermostat', 'B'],
    ['dual-fuel-o-2c-2h', 'dual-fuel', 'equipment', 'O'],
    ['dual-fuel-b-1c-1h', 'dual-fuel', 'equipment', 'B'],
]);

it('finds no difference with everything as derived, on any kind of equipment', function (string $archetype): void {
    $plan = House::example($archetype);

    expect(
        array_map(static fn ($f): string => said($f->title), SettingCheck::check($plan, derived($archetype))),
    )->toBe([]);
    foreach (SettingCheck::table($plan, derived($archetype))['rows'] as $row) {
        expect(
            array_filter($row['cells'], static fn (array $cell): bool => $cell['closed'] !== $cell['needed']),
        )->toBe([], $row['call']);
    }
})->with(House::ids('equipment'));

it('asks for the compressor\'s minimum off only where there is a compressor', function (
    string $archetype,
    bool $asks,
): void {
    expect(isset(derived($archetype)['compressor-off']))->toBe($asks);
})->with([
    ['furnace-gas-2h', false],
    ['furnace-oil-1h', false],
    ['air-handler-cool-1c', true],
    ['heat-pump-o-1c', true],
]);

it('says from the circuit what each wrong setting does', function (
    string $archetype,
    SettingKey $key,
    string $choice,
    string $says,
): void {
    $setting = array_values(
        array_filter(
            Derivation::all(House::example($archetype)),
            static fn (DerivedSetting $s): bool => $s->key === $key,
        ),
    )[0];

    expect($setting->ifWrong($choice))->toContain($says)->and($setting->ifWrong($setting->value))->toBeNull();
})->with([
    'electric heat without fan' => [
        'air-handler-electric-1h-1c',
        SettingKey::FanInHeat,
        'equipment',
        'Heat 1 runs the strips without the blower',
    ],
    'radiators with a fan' => [
        'boiler-zone-valve-1c',
        SettingKey::FanInHeat,
        'thermostat',
        'the cooling blower runs, and radiators need no air',
    ],
    'O pump set B cools without its valve' => [
        'heat-pump-o-1c-1aux',
        SettingKey::ReversingValve,
        'B',
        'Cool 1 heats: the reversing valve is in the wrong position',
    ],
    'O pump set B heats with it' => [
        'heat-pump-o-1c-1aux',
        SettingKey::ReversingValve,
        'B',
        'Heat 1 cools: the reversing valve is in the wrong position',
    ],
    'B pump set O' => ['heat-pump-b-1c-1aux', SettingKey::ReversingValve, 'O', 'Heat 1 cools: the reversing valve'],
    'heat pump set conventional: no valve in cooling' => [
        'heat-pump-o-1c-1aux',
        SettingKey::EquipmentType,
        'conventional',
        'Cool 1 heats: the reversing valve',
    ],
    'heat pump set conventional: no auxiliary' => [
        'heat-pump-o-1c-1aux',
        SettingKey::EquipmentType,
        'conventional',
        'Heat + aux can never be called',
    ],
    'dual fuel set heat pump: the furnace with the compressor' => [
        'dual-fuel-o-1c-1h',
        SettingKey::EquipmentType,
        'heat-pump',
        'Heat + aux runs the furnace beside the compressor',
    ],
    'and the furnace is called all the same' => [
        'dual-fuel-o-1c-1h',
        SettingKey::EquipmentType,
        'heat-pump',
        'What Furnace 1 runs comes only in Heat + aux, together with more',
    ],
    'strips set dual fuel: no blower' => [
        'heat-pump-o-1c-1aux',
        SettingKey::EquipmentType,
        'dual-fuel',
        'Furnace 1 runs the strips without the blower',
    ],
    'a furnace set heat pump: the air conditioner runs in heat' => [
        'furnace-gas-2h-2c',
        SettingKey::EquipmentType,
        'heat-pump',
        'Heat 1 runs the air conditioner',
    ],
    'strips in emergency heat without the fan' => [
        'heat-pump-o-1c-1aux',
        SettingKey::FanInHeat,
        'equipment',
        'Emergency runs the strips without the blower',
    ],
    'a lockout where nothing is to lock out' => [
        'heat-pump-o-1c-1aux',
        SettingKey::CompressorLockout,
        '-5',
        'below it the strips alone would have to carry the house',
    ],
    'a furnace that never lights blows nothing cold until it does' => [
        'furnace-gas-1h-1c',
        SettingKey::FanInHeat,
        'thermostat',
        'it blows cold until the burner has lit',
    ],
    'airflow switches of a converted board' => [
        'communicating-converted-2c',
        SettingKey::AirflowSwitches,
        'as-found',
        'the coil ices',
    ],
    'dual fuel set conventional' => [
        'dual-fuel-o-1c-1h',
        SettingKey::EquipmentType,
        'conventional',
        'Cool 1 heats: the reversing valve',
    ],
]);
