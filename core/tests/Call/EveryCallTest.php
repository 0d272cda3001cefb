<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tests\Support\House;

// The tables of the trade: what each call closes, by kind of equipment. "R" is left out: every listed terminal is
// closed to its hot, every other one is open.
$tables = [
    'furnace-gas-2h' => ['idle' => '', 'heat-1' => 'W1', 'heat-2' => 'W1 W2'],
    'furnace-gas-2h-2c' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G',
        'cool-2' => 'Y1 Y2 G',
        'heat-1' => 'W1',
        'heat-2' => 'W1 W2',
    ],
    'air-handler-electric-2h-1c' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G',
        'heat-1' => 'W1 G',
        'heat-2' => 'W1 W2 G',
    ],
    'air-handler-cool-1c' => ['idle' => '', 'fan' => 'G', 'cool-1' => 'Y1 G'],
    'boiler-zone-valve-1c' => ['idle' => '', 'fan' => 'G', 'cool-1' => 'Y1 G', 'heat-1' => 'W1'],
    'air-handler-hot-water-1c' => ['idle' => '', 'fan' => 'G', 'cool-1' => 'Y1 G', 'heat-1' => 'W1 G'],
    'heat-pump-o-1c' => ['idle' => '', 'fan' => 'G', 'cool-1' => 'Y1 G O', 'heat-1' => 'Y1 G', 'defrost' => 'Y1 G'],
    'heat-pump-o-2c-2aux' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G O',
        'cool-2' => 'Y1 Y2 G O',
        'heat-1' => 'Y1 G',
        'heat-2' => 'Y1 Y2 G',
        'aux-1' => 'Y1 Y2 G Aux',
        'aux-2' => 'Y1 Y2 G Aux W2',
        'emergency' => 'E G',
        'defrost' => 'Y1 G',
    ],
    'heat-pump-b-1c-1aux' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G',
        'heat-1' => 'Y1 G B',
        'aux-1' => 'Y1 G B Aux',
        'emergency' => 'E G',
        'defrost' => 'Y1 G B',
    ],
    'heat-pump-o-1c-1aux-e-relay' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G O',
        'heat-1' => 'Y1 G',
        'aux-1' => 'Y1 G Aux',
        'emergency' => 'E G',
        'defrost' => 'Y1 G',
    ],
    'dual-fuel-o-2c-2h' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G O',
        'cool-2' => 'Y1 Y2 G O',
        'heat-1' => 'Y1 G',
        'heat-2' => 'Y1 Y2 G',
        'furnace-1' => 'Aux',
        'furnace-2' => 'Aux W2',
        'humidify' => 'HUM G',
        'defrost' => 'Y1 G',
    ],
    'furnace-gas-1h-1c-dehumidify-opens' => [
        'idle' => 'DEH',
        'fan' => 'G DEH',
        'cool-1' => 'Y1 G DEH',
        'heat-1' => 'W1 DEH',
        'humidify' => 'HUM G DEH',
        'dehumidify' => 'Y1 G',
    ],
    'furnace-gas-1h-1c-own-humidifier' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G',
        'heat-1' => 'W1',
        'humidify' => 'ACC- G',
    ],
    'dual-fuel-b-1c-1h' => [
        'idle' => '',
        'fan' => 'G',
        'cool-1' => 'Y1 G',
        'heat-1' => 'Y1 G B',
        'furnace-1' => 'Aux',
        'defrost' => 'Y1 G B',
    ],
];
$rows = [];
foreach ($tables as $archetype => $calls) {
    foreach ($calls as $call => $closes) {
        $rows["{$archetype}, {$call}"] = [$archetype, $call, $closes];
    }
}

it('closes what the trade\'s tables say', function (string $archetype, string $call, string $closes): void {
    $table = CallTable::needed(House::archetype($archetype));
    $names = array_map(static fn (TerminalName $n): string => $n->value, $table->closes(CallName::from($call)));
    sort($names);
    $wanted = $closes === '' ? [] : explode(' ', $closes);
    sort($wanted);

    expect($names)->toBe($wanted);
})->with($rows);

it('has exactly the calls of its table', function (string $archetype, array $calls): void {
    expect(
        array_map(
            static fn (CallName $c): string => $c->value,
            CallTable::needed(House::archetype($archetype))->calls(),
        ),
    )->toBe($calls);
})->with(
    array_map(
        static fn (string $id, array $calls): array => [$id, array_keys($calls)],
        array_keys($tables),
        $tables,
    ),
);

it('pulls in exactly the right loads in every call of every archetype', function (string $archetype): void {
    $failing = array_filter(
        Simulation::prove(House::example($archetype)),
        static fn (CallProof $p): bool => ! $p->isProved(),
    );

    expect(
        array_map(static fn (CallProof $p): string => $p->call->value.': '.joined(' ', $p->problems), $failing),
    )->toBe([]);
})->with(House::ids('equipment'));

it('shows on the circuit what a wrong thermostat or setting does', function (
    string $archetype,
    string $profile,
    CallSettings $settings,
    string $call,
    array $in,
): void {
    $plan = House::example($archetype, $profile);
    $made = CallTable::made($plan->profile, $settings, $plan->installation->archetype);
    $point = $plan->circuit()->operate(Setup::calling(...$made->printed(CallName::from($call), $plan->profile)));

    expect(
        array_values(array_intersect($point->pulledIn(), ['valve', 'contactor', 'sequencer-1', 'blower-relay'])),
    )->toEqualCanonicalizing($in);
})->with([
    'O type set to conventional cools without its valve: it heats' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        new CallSettings('conventional', FanInHeat::Thermostat),
        'cool-1',
        ['contactor', 'blower-relay'],
    ],
    'valve set to B on an O type: heats with the valve in, so it cools' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        new CallSettings('heat-pump', FanInHeat::Thermostat, 'B'),
        'heat-1',
        ['valve', 'contactor', 'blower-relay'],
    ],
    'the same right' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        new CallSettings('heat-pump', FanInHeat::Thermostat, 'O'),
        'heat-1',
        ['contactor', 'blower-relay'],
    ],
]);

it('shows a defrost at the wall: Aux is live with its switch open, and the valve stands in cooling', function (
    string $archetype,
    bool $valve,
): void {
    $plan = House::example($archetype);
    $table = CallTable::needed($plan->installation->archetype);
    $point = $plan
        ->circuit()
        ->operate(Setup::calling(...$table->printed(CallName::Defrost, $plan->profile))->inMode('defrost'));

    expect(in_array('valve', $point->pulledIn(), true))
        ->toBe($valve)
        ->and($point->phasors->magnitude('wall.Aux', 'indoor.C'))
        ->toBeGreaterThan(20.0)
        ->and($point->phasors->magnitude('wall.Rc', 'wall.Aux'))
        ->toBeLessThan(1.0);
})->with([['heat-pump-o-1c-1aux', true], ['heat-pump-b-1c-1aux', false], ['dual-fuel-o-2c-2h', true]]);

it('closes with the right settings what the equipment needs, as far as the plate has the screws', function (
    string $profile,
): void {
    foreach (House::ids('equipment') as $id) {
        $archetype = House::archetype($id);
        $thermostat = House::profile($profile);
        if ($archetype->heatPump !== null && ! $thermostat->heatPump) {
            continue;
        }
        $needed = CallTable::needed($archetype);
        $made = CallTable::made(
            $thermostat,
            new CallSettings($archetype->system(), $archetype->fanInHeat, $archetype->heatPump->valve ?? 'O'),
            $archetype,
        );
        foreach ($made->calls() as $call) {
            expect($made->printed($call, $thermostat))->toEqualCanonicalizing(
                $needed->printed($call, $thermostat),
                "{$id}, {$profile}, {$call->value}",
            );
        }
        expect(
            array_diff(
                array_map(static fn (CallName $c): string => $c->value, $made->calls()),
                array_map(static fn (CallName $c): string => $c->value, $needed->calls()),
            ),
        )->toBe([], $id);
    }
})->with(House::ids('thermostats'));

it('leaves the valve as it was where the profile does so', function (
    string $archetype,
    string $profile,
    string $last,
    array $stays,
): void {
    expect(
        CallTable::needed(House::archetype($archetype))->idleAfter(CallName::from($last), House::profile($profile)),
    )->toBe($stays);
})->with([
    'O after cooling' => ['heat-pump-o-1c-1aux', 'c-powered-3h-2c', 'cool-1', ['O/B']],
    'O after heating' => ['heat-pump-o-1c-1aux', 'c-powered-3h-2c', 'heat-1', []],
    'B after heating' => ['heat-pump-b-1c-1aux', 'c-powered-3h-2c', 'heat-1', ['O/B']],
    'a profile that releases it' => ['heat-pump-o-1c-1aux', 'battery-2h-1c-heat-pump', 'cool-1', []],
]);
