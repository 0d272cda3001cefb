<?php

declare(strict_types=1);

use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\SettingCheck;
use Unionbit\Core\Tests\Support\House;

it('derives each setting with its reason, in the profile\'s own words', function (
    string $profile,
    string $key,
    string $value,
    string $menu,
): void {
    $settings = array_column(
        array_map(static fn ($s): array => $s->toArray(), Derivation::all(House::plan($profile))),
        null,
        'key',
    );

    expect($settings[$key]['value'])
        ->toBe($value)
        ->and($settings[$key]['menuValue'])
        ->toBe($menu)
        ->and($settings[$key]['reason'])
        ->not->toBe('');
})->with([
    [House::C_POWERED, 'equipment-type', 'conventional', 'Conventional'],
    [House::C_POWERED, 'fan-in-heat', 'equipment', 'Furnace'],
    [House::C_POWERED, 'compressor-off', '300', '5 min'],
    [House::BATTERY, 'equipment-type', 'conventional', '1 heat, 1 cool'],
    [House::BATTERY, 'compressor-off', '300', '5 minutes'],
]);

it('says from the circuit what a wrong choice does', function (string $key, string $choice, string $says): void {
    $settings = Derivation::all(House::plan());
    $setting = array_values(array_filter($settings, static fn ($s): bool => $s->key->value === $key))[0];

    expect($setting->ifWrong($choice))->toContain($says);
})->with([
    ['fan-in-heat', 'thermostat', 'Heat 1 also pulls in the blower relay: it blows cold'],
    ['equipment-type', 'heat-only', 'Cool 1 can never be called'],
    ['equipment-type', 'cool-only', 'Heat 1 can never be called'],
    ['compressor-off', '120', '2 min'],
    'a furnace that runs its own blower' => ['fan-in-heat', 'none', 'no difference'],
]);

it('shows differences between what is made and what is needed', function (): void {
    $plan = House::plan();
    $wrong = SettingCheck::check($plan, ['fan-in-heat' => 'thermostat']);
    $table = SettingCheck::table($plan, ['fan-in-heat' => 'thermostat']);
    $column = array_search('G', array_column($table['columns'], 'printed'), true);
    $row = array_values(array_filter($table['rows'], static fn (array $r): bool => $r['call'] === 'heat-1'))[0];

    expect($wrong[0]->title)
        ->toContain('Fan in heat is set to "The thermostat runs it"')
        ->and($wrong[0]->action)
        ->toContain('Furnace')
        ->and($row['cells'][$column])
        ->toBe(['closed' => true, 'needed' => false])
        ->and(SettingCheck::check($plan, ['fan-in-heat' => 'equipment']))
        ->toBe([]);
});
