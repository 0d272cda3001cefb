<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tests\Support\House;

// Readings that the trade knows, worked out by hand: copper 0.00639 Ω a foot at 18 AWG over 45 ft to the wall and
// 30 ft outdoors, 0.02 Ω a landed end, 0.05 Ω a closed switch, winding 0.55 × 69.12 ÷ VA.
const WALL_RUN = 45 * 0.00639 + 0.04;
const OUTDOOR_RUN = 30 * 0.00639 + 0.04;
const WINDING = (0.55 * 69.12) / 40;

function inCall(Plan $plan, string $call): Setup
{
    $name = CallName::from($call);

    return Setup::calling(
        ...CallTable::needed($plan->installation->archetype)->printed($name, $plan->profile),
    )->inMode($name->mode());
}

it('reads ohms with the power off as the trade knows them', function (
    string $archetype,
    array $lift,
    string $a,
    string $b,
    float $ohms,
    string $through,
): void {
    $plan = House::example($archetype);
    $reading = (new Meter($plan->circuit()))->ohms(Setup::isolated()->lifting(...$lift), $a, $b);

    expect($reading->nominal)
        ->toEqualWithDelta($ohms, 0.02 * $ohms + 0.02)
        ->and($reading->reason)
        ->toContain($through)
        ->and($reading->contains($ohms))
        ->toBeTrue();
})->with([
    // SC13: an ambiguous letter proved with its conductor lifted at the wall, to C.
    'a common to C: two runs' => [
        'furnace-gas-1h-1c',
        ['A5.near'],
        'A5.near',
        'indoor.C',
        WALL_RUN - 0.02,
        'Wire all the way',
    ],
    'a valve coil to C' => [
        'heat-pump-o-1c-1aux',
        ['A5.near'],
        'A5.near',
        'wall.C',
        17.0 + 2 * WALL_RUN + 2 * OUTDOOR_RUN + 0.03,
        'the reversing valve',
    ],
    'a board input to C: kilohms' => [
        'heat-pump-o-1c-1aux',
        ['A3.near'],
        'A3.near',
        'wall.C',
        2200.0 + 2 * (WALL_RUN + OUTDOOR_RUN),
        'the outdoor Y input',
    ],
    'a contactor with winding and wire, R to Y' => [
        'air-handler-cool-1c',
        [],
        'wall.Rc',
        'wall.Y1',
        WINDING + 13.0 + 2 * WALL_RUN + 2 * OUTDOOR_RUN + 0.07,
        "the transformer's winding and the contactor",
    ],
    'the winding alone, R to C' => [
        'furnace-gas-1h-1c',
        ['A5.near', 'A1.near'],
        'A1.near',
        'A5.near',
        WINDING + 2 * WALL_RUN - 0.02,
        "the transformer's winding",
    ],
    'a sequencer heater' => ['air-handler-electric-1h-1c', [], 'indoor.W', 'indoor.C', 115.0, 'the strip heat'],
    'a fan relay' => ['furnace-gas-1h-1c', [], 'indoor.G', 'indoor.C', 60.0, 'the blower relay'],
    'a zone valve motor' => ['boiler-zone-valve-1c', [], 'indoor.W', 'indoor.CH', 60.0, 'the zone valve motor'],
    'a gas valve behind its limit, no contact' => [
        'fan-centre-1h-1c',
        [],
        'indoor.W',
        'indoor.C',
        45.05,
        'the gas valve',
    ],
    'the outdoor valve itself' => [
        'heat-pump-b-1c-1aux',
        [],
        'outdoor.B',
        'outdoor.C',
        17.05,
        'the reversing valve',
    ],
]);

it('shows over-limit where nothing connects', function (array $lift, string $a, string $b): void {
    $reading = (new Meter(House::example('furnace-gas-1h-1c')->circuit()))->ohms(
        Setup::isolated()->lifting(...$lift),
        $a,
        $b,
    );

    expect($reading->overLimit)->toBeTrue()->and($reading->nominal)->toBeNull();
})->with([
    'a closed thermostat has none with the power off' => [['A1.near', 'A3.near'], 'wall.Rc', 'wall.G'],
    'two lifted conductors, one free at the board' => [['A3.near', 'A3.far'], 'A3.near', 'A1.near'],
]);

it('reads volts in each call as the trade knows them', function (
    string $archetype,
    string $call,
    string $a,
    string $b,
    float $low,
    float $high,
    string $reason,
): void {
    $plan = House::example($archetype);
    $reading = (new Meter($plan->circuit()))->volts(inCall($plan, $call), $a, $b);

    expect($reading->nominal)
        ->toBeGreaterThanOrEqual($low)
        ->toBeLessThanOrEqual($high)
        ->and($reading->reason)
        ->toContain($reason);
})->with([
    'closed call: same wire now' => [
        'heat-pump-o-2c-2aux',
        'cool-2',
        'wall.Rc',
        'wall.Y2',
        0.0,
        0.1,
        'closed Y2 switch',
    ],
    'and full to C' => [
        'heat-pump-o-2c-2aux',
        'cool-2',
        'wall.Y2',
        'wall.C',
        24.0,
        26.5,
        'through the closed Y2 switch',
    ],
    'open call: nearly full through the idle load' => [
        'heat-pump-o-2c-2aux',
        'cool-2',
        'wall.Rc',
        'wall.Aux',
        23.5,
        26.5,
        'Aux switch, the E switch and the defrost relay\'s W contact, which are open',
    ],
    'open call to C: nothing' => [
        'heat-pump-o-2c-2aux',
        'cool-2',
        'wall.Aux',
        'wall.C',
        0.0,
        0.3,
        'No source between',
    ],
    'O open in heating' => [
        'heat-pump-o-1c-1aux',
        'heat-1',
        'wall.Rc',
        'wall.O/B',
        23.5,
        26.5,
        "O/B switch and the defrost relay's valve feed, which are open",
    ],
    'B closed in heating' => [
        'heat-pump-b-1c-1aux',
        'heat-1',
        'wall.Rc',
        'wall.O/B',
        0.0,
        0.1,
        'closed O/B switch',
    ],
    'defrost: Aux fed backwards' => [
        'heat-pump-o-1c-1aux',
        'defrost',
        'wall.Aux',
        'wall.C',
        23.0,
        26.5,
        "the defrost relay's W contact",
    ],
    'defrost: R to Aux nothing, switch open' => [
        'heat-pump-o-1c-1aux',
        'defrost',
        'wall.Rc',
        'wall.Aux',
        0.0,
        0.5,
        "Same wire right now, through the defrost relay's W contact",
    ],
    'defrost: E too through its tie at the board' => [
        'heat-pump-o-1c-1aux',
        'defrost',
        'wall.E',
        'wall.C',
        23.0,
        26.5,
        'E–W tie',
    ],
    'emergency by its own relay: board W live' => [
        'heat-pump-o-1c-1aux-e-relay',
        'emergency',
        'indoor.W',
        'indoor.C',
        23.0,
        26.5,
        'transformer',
    ],
    'gas valve only behind its contact' => [
        'furnace-gas-1h-1c',
        'heat-1',
        'indoor.W',
        'indoor.C',
        24.0,
        26.6,
        'closed W1 switch',
    ],
    'second heat input' => ['furnace-gas-2h-1c', 'heat-2', 'indoor.W2', 'indoor.C', 24.0, 26.6, 'closed W2 switch'],
    'dual fuel: furnace from Aux' => [
        'dual-fuel-o-1c-1h',
        'furnace-1',
        'indoor.W',
        'indoor.C',
        24.0,
        26.6,
        'closed Aux switch',
    ],
    'dual fuel: no compressor then' => [
        'dual-fuel-o-1c-1h',
        'furnace-1',
        'outdoor.Y',
        'outdoor.C',
        0.0,
        0.3,
        'No source between',
    ],
    'boiler: its own transformer' => [
        'boiler-zone-valve-1c',
        'heat-1',
        'indoor.W',
        'indoor.CH',
        24.0,
        26.9,
        'closed W1 switch',
    ],
    'boiler: cooling at rest' => [
        'boiler-zone-valve-1c',
        'heat-1',
        'outdoor.Y',
        'outdoor.C',
        0.0,
        0.3,
        'No source between',
    ],
    'oil: burner from the second transformer' => [
        'furnace-oil-own-transformer-1c',
        'heat-1',
        'wall.Rh',
        'wall.W1',
        0.0,
        0.1,
        'closed W1 switch',
    ],
    'converted: Y2 at the outdoor unit' => [
        'communicating-converted-2c',
        'cool-2',
        'outdoor.Y2',
        'outdoor.C',
        23.5,
        26.6,
        'transformer',
    ],
]);

it(
    'floats where a common of one transformer is read against the hot of another that nothing joins',
    function (): void {
        $reading = (new Meter(House::example('furnace-oil-own-transformer-1c')->circuit()))->volts(
            Setup::calling(),
            'wall.Rh',
            'wall.C',
        );

        expect($reading->floating)->toBeTrue()->and($reading->reason)->toContain('floats');
    },
);

it('clamps what each load adds', function (string $archetype, string $call, string $tip, float $amps): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $clamp = (new Meter($circuit))->amps(inCall($plan, $call), $tip);

    expect($clamp->nominal)->toEqualWithDelta($amps, 0.06 * $amps + 0.005);
})->with([
    'blower relay 4 VA' => ['furnace-gas-1h-1c', 'fan', 'A3.near', 26.2 / 144.0],
    'contactor in, 8 VA' => ['furnace-gas-1h-1c', 'cool-1', 'A4.near', 25.8 / 72.0],
    'valve in, 7 VA' => ['heat-pump-o-1c-1aux', 'cool-1', 'A5.near', 25.2 / (576.0 / 7.0)],
    'sequencer 5 W' => ['air-handler-electric-1h-1c', 'heat-1', 'A2.near', 26.0 / 115.2],
    'ignition control' => ['furnace-gas-1h-1c', 'heat-1', 'A2.near', 25.6 / 2200.0],
    'nothing on an open call' => ['furnace-gas-1h-1c', 'fan', 'A4.near', 0.0],
]);

it('sags by its source impedance and the run, as worked out by hand', function (): void {
    $plan = House::example('air-handler-electric-1h-1c');
    $point = $plan->circuit()->operate(inCall($plan, 'heat-1'));
    $idle = 24 * 1.12;
    // Purely resistive: board logic 192 Ω, sequencer 115.2 Ω and thermostat 144 Ω beside the relay's 144 Ω at 0.6.
    $relay = [(4 / 576) * 0.6, (-4 / 576) * 0.8];
    $conductance = [1 / 192.0 + 1 / 115.2 + 1 / 144.0 + $relay[0], $relay[1]];
    $load = hypot(1 + 1.748 * $conductance[0], 1.748 * $conductance[1]);

    expect($point->phasors->magnitude('indoor.R', 'indoor.C'))->toEqualWithDelta($idle / $load, 0.1);
});
