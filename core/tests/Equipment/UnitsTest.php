<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Equipment\Build\Unheld;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\NetWalk;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Tests\Support\Spice;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Words\Message;

// Equipment from its parts: units with their options make the houses that no list names, and what they cannot make is
// said.

it('finds the calls in the parts', function (string $units, array $needs, array $readings, string $profile): void {
    $plan = House::example($units, $profile);
    $archetype = $plan->installation->archetype;
    $calls = array_map(static fn (array $loads): string => implode(' ', $loads), $archetype->needs);
    unset($calls['idle']);
    $proof = PlanProof::of($plan);

    expect($calls)
        ->toBe($needs)
        ->and($proof->failures)
        ->toEqual([])
        ->and($proof->proved())
        ->toBe(count($proof->calls))
        ->and((new NetWalk($plan))->objections(array_keys($archetype->needs)))
        ->toBe([]);
    foreach ($readings as [$call, $a, $b, $least, $most]) {
        $closes = CallTable::needed($archetype)->printed(CallName::from($call), $plan->profile);
        $volts = $plan->circuit()->operate(Setup::calling(...$closes))->phasors->magnitude($a, $b);
        expect($volts)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
    }
})->with([
    'two-stage heat pump, two strips, E with its own relay' => [
        'air-handler:strips=2,e=own+heat-pump:stages=2',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay valve',
            'cool-2' => 'outdoor-input contactor blower-relay valve second-stage',
            'heat-1' => 'outdoor-input contactor blower-relay',
            'heat-2' => 'outdoor-input contactor blower-relay second-stage',
            'aux-1' => 'outdoor-input contactor blower-relay second-stage sequencer-1',
            'aux-2' => 'outdoor-input contactor blower-relay second-stage sequencer-1 sequencer-2',
            'emergency' => 'sequencer-1 blower-relay',
            'defrost' => 'outdoor-input contactor blower-relay valve sequencer-1',
        ],
        [['emergency', 'indoor.W1', 'indoor.C', 22, 28], ['heat-2', 'indoor.W1', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'strips and two-stage cooling' => [
        'air-handler:strips=2+condenser:stages=2',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'contactor blower-relay',
            'cool-2' => 'contactor blower-relay second-stage',
            'heat-1' => 'sequencer-1 blower-relay',
            'heat-2' => 'sequencer-1 blower-relay sequencer-2',
        ],
        [['cool-2', 'outdoor.Y2', 'outdoor.C', 22, 28], ['cool-1', 'outdoor.Y2', 'outdoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'a packaged gas unit, two compressors' => [
        'furnace+condenser@indoor:stages=2',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'contactor blower-relay',
            'cool-2' => 'contactor blower-relay second-stage',
            'heat-1' => 'ignition gas-valve',
        ],
        [['cool-2', 'indoor.Y2', 'indoor.C', 22, 28], ['heat-1', 'indoor.condenser-high', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'a packaged heat pump' => [
        'air-handler:strips=1+heat-pump@indoor',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay valve',
            'heat-1' => 'outdoor-input contactor blower-relay',
            'aux-1' => 'outdoor-input contactor blower-relay sequencer-1',
            'emergency' => 'sequencer-1 blower-relay',
            'defrost' => 'outdoor-input contactor blower-relay valve sequencer-1',
        ],
        [
            ['cool-1', 'indoor.heat-pump-coil', 'indoor.C', 22, 28],
            ['heat-1', 'indoor.heat-pump-valve', 'indoor.C', 0, 1],
        ],
        'c-powered-3h-2c',
    ],
    'a furnace in the basement, an air handler in the attic' => [
        'furnace+air-handler@indoor-2+condenser',
        [
            'fan' => 'blower-relay-indoor-2',
            'cool-1' => 'contactor blower-relay-indoor-2',
            'heat-1' => 'ignition gas-valve',
        ],
        [['cool-1', 'indoor-2.Y', 'indoor-2.C', 22, 28], ['heat-1', 'indoor.W', 'indoor.C', 22, 28]],
        'c-powered-3h-2c',
    ],
    'a humidifier on its own supply, asked for by a dry contact' => [
        'furnace+condenser+humidifier',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'contactor blower-relay',
            'heat-1' => 'ignition gas-valve',
            'humidify' => 'humidifier blower-relay',
        ],
        [
            ['humidify', 'humidifier.water', 'humidifier.return', 22, 28],
            ['humidify', 'humidifier.H1', 'humidifier.H2', 0.1, 0.5],
            ['fan', 'humidifier.H1', 'humidifier.H2', 22, 28],
        ],
        'separate-power-1h-1c',
    ],
    'a humidifier driven by the board, a dehumidify signal that opens' => [
        'furnace:humidifier=driven,dehumidify=opens+condenser',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'contactor blower-relay dehumidify',
            'heat-1' => 'ignition gas-valve',
            'humidify' => 'humidifier blower-relay',
            'dehumidify' => 'contactor blower-relay',
        ],
        [
            ['cool-1', 'indoor.DEH', 'indoor.C', 22, 28],
            ['dehumidify', 'indoor.DEH', 'indoor.C', 0, 1],
            ['idle', 'indoor.DEH', 'indoor.C', 22, 28],
            ['humidify', 'indoor.HUM', 'indoor.C', 22, 28],
        ],
        'c-powered-humidity',
    ],
    'strips that dehumidify by a signal that closes' => [
        'air-handler:strips=1,dehumidify=closes+heat-pump',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay valve',
            'heat-1' => 'outdoor-input contactor blower-relay',
            'aux-1' => 'outdoor-input contactor blower-relay sequencer-1',
            'emergency' => 'sequencer-1 blower-relay',
            'dehumidify' => 'outdoor-input contactor blower-relay valve dehumidify',
            'defrost' => 'outdoor-input contactor blower-relay valve sequencer-1',
        ],
        [['cool-1', 'indoor.DEH', 'indoor.C', 0, 1], ['dehumidify', 'indoor.DEH', 'indoor.C', 22, 28]],
        'c-powered-humidity',
    ],
    'a zone panel between' => [
        'zone-panel+furnace+condenser',
        [
            'fan' => 'blower-relay zone-g',
            'cool-1' => 'contactor blower-relay zone-y zone-g',
            'heat-1' => 'ignition gas-valve zone-w',
        ],
        [['cool-1', 'zone-panel.Y', 'zone-panel.C', 22, 28], ['cool-1', 'indoor.Y', 'indoor.C', 22, 28]],
        'c-powered-3h-2c',
    ],
    'a zone valve on two conductors, nothing else' => [
        'zone-valve',
        ['heat-1' => 'zone-valve boiler-relay'],
        [['heat-1', 'indoor.W', 'indoor.C', 22, 28], ['idle', 'indoor.R', 'indoor.C', 22, 28]],
        House::BATTERY,
    ],
    'W is a bare gas valve' => [
        'bare-gas-valve',
        ['heat-1' => 'gas-valve'],
        [['heat-1', 'indoor.limit', 'indoor.valve-common', 22, 28], ['idle', 'indoor.R', 'indoor.W', 22, 28]],
        House::BATTERY,
    ],
    'a heat pump over hot water' => [
        'air-handler:coil=water+heat-pump',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay valve',
            'heat-1' => 'outdoor-input contactor blower-relay',
            'aux-1' => 'outdoor-input contactor blower-relay water-valve',
            'emergency' => 'water-valve blower-relay',
            'defrost' => 'outdoor-input contactor blower-relay valve water-valve',
        ],
        [['aux-1', 'indoor.W', 'indoor.C', 22, 28], ['heat-1', 'indoor.W', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'a heat pump over oil' => [
        'furnace:fuel=oil+heat-pump:valve=B',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay',
            'heat-1' => 'outdoor-input contactor blower-relay valve',
            'furnace-1' => 'ignition gas-valve',
            'defrost' => 'outdoor-input contactor blower-relay ignition gas-valve',
        ],
        [['furnace-1', 'indoor.valve', 'indoor.C', 22, 28], ['heat-1', 'indoor.W', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'electronic inputs, no fuse' => [
        'furnace:inputs=electronic,fuse=none+condenser',
        ['fan' => 'blower-relay', 'cool-1' => 'contactor blower-relay', 'heat-1' => 'ignition gas-valve'],
        [['fan', 'indoor.G', 'indoor.C', 22, 28], ['fan', 'indoor.Y', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'taken back from a bus, over strips' => [
        'air-handler:strips=1,bus=convert+condenser:bus=convert',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay',
            'heat-1' => 'sequencer-1 blower-relay',
        ],
        [['heat-1', 'indoor.W', 'indoor.C', 22, 28], ['heat-1', 'indoor.Y', 'indoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
    'taken back from a bus, a heat pump' => [
        'air-handler:strips=1,bus=convert+heat-pump:valve=B',
        [
            'fan' => 'blower-relay',
            'cool-1' => 'outdoor-input contactor blower-relay',
            'heat-1' => 'outdoor-input contactor blower-relay valve',
            'aux-1' => 'outdoor-input contactor blower-relay valve sequencer-1',
            'emergency' => 'sequencer-1 blower-relay',
            'defrost' => 'outdoor-input contactor blower-relay sequencer-1',
        ],
        [['heat-1', 'outdoor.B', 'outdoor.C', 22, 28], ['cool-1', 'outdoor.B', 'outdoor.C', 0, 1]],
        'c-powered-3h-2c',
    ],
]);

it('proves any units together, or says why not', function (): void {
    $made = $refused = [];
    for ($seed = 1; count($made) < 200; $seed++) {
        $pick = new Pick("units {$seed}");
        $key = House::anyUnits($pick);
        try {
            $archetype = House::archetype($key);
        } catch (Unheld $unheld) {
            $refused[said($unheld->why)] = $key;

            continue;
        }
        $plan = House::example($key);
        $proof = PlanProof::of($plan);
        // A HUM that takes from the hot of the other supply brings its humidifier nothing, and the proof says so.
        $other = count($archetype->supplies()) > 1 ? [CallName::Humidify] : [];
        $unproved = array_filter(
            $proof->calls,
            static fn (CallProof $call): bool => ! $call->isProved() && ! in_array($call->call, $other, true),
        );
        expect([$unproved, $proof->failures])->toEqual([[], []], $key);
        $claimed = array_diff(array_keys($archetype->needs), array_column($other, 'value'));
        expect((new NetWalk($plan))->objections($claimed))->toBe([], $key);

        // One reading of each against the outside program: the hot screw and every load's two ends.
        $call = $pick->one(CallTable::needed($archetype)->calls());
        $closes = CallTable::needed($archetype)->printed($call, $plan->profile);
        $point = $plan->circuit()->operate(Setup::calling(...$closes)->inMode($call->mode()));
        $deck = SpiceDeck::write($point->netlist, $key);
        $theirs = Spice::run($deck['deck']);
        foreach ($archetype->loads as $load) {
            [$a, $b] = [$theirs[$deck['nodes'][$load->from]], $theirs[$deck['nodes'][$load->to]]];
            $ours = $point->phasors->across($load->from, $load->to);
            expect(hypot($ours[0] - ($a[0] - $b[0]), $ours[1] - ($a[1] - $b[1])))->toBeLessThan(
                max(0.001, 0.001 * hypot(...$ours)),
                "{$key}: {$load->id}",
            );
        }
        $made[$key] = true;
    }

    expect(count($refused))->toBeGreaterThan(3);
});

it('makes nothing of units that are no equipment', function (string $key, string $says): void {
    expect(fn () => House::archetype($key))->toThrow(Unheld::class);
    try {
        House::archetype($key);
    } catch (Unheld $unheld) {
        expect(said($unheld->why))->toContain($says);
    }
})->with([
    ['condenser', 'an outdoor unit alone'],
    ['furnace+zone-valve', 'two heat sources'],
    ['air-handler+zone-valve+heat-pump', 'each needs its own thermostat'],
    ['bare-gas-valve+condenser', 'needs a blower'],
    ['air-handler', 'nothing here that a thermostat calls'],
    ['furnace+condenser+heat-pump', 'two outdoor units'],
    ['furnace+air-handler:strips=1+condenser', 'two heat sources'],
    ['air-handler:strips=1,coil=water+condenser', 'two heat sources'],
]);

it('refuses what no file has, with its place and what is allowed', function (string $key, string $says): void {
    expect(fn () => House::archetype($key))->toThrow(refusing($says));
})->with([
    ['furnce', 'There is no unit "furnce". Allowed: '],
    ['furnace:stage=2', 'fuel, stages'],
    ['furnace:stages=3', '1, 2'],
]);

it('follows the answers to units and options, and keeps what nobody was asked', function (): void {
    $shelf = House::shelf();
    $meant = $shelf->meant([
        'outdoor' => 'reverses',
        'heatSource' => 'coil',
        'coolStages' => '2',
        'valve' => 'B',
        'heatStages' => '2',
        'bus' => 'no',
    ]);

    expect($shelf->name($meant))
        ->toBe('air-handler:coil=water+heat-pump:stages=2,valve=B')
        ->and($shelf->isMeant('air-handler:coil=water,va=75+heat-pump:stages=2,valve=B', $meant))
        ->toBeTrue()
        ->and($shelf->isMeant('air-handler:coil=water+heat-pump:stages=2', $meant))
        ->toBeFalse()
        ->and($shelf->name($shelf->meant(['outdoor' => 'cools', 'heatSource' => 'gas', 'heatStages' => '2'])))
        ->toBe('furnace-gas-2h-1c')
        ->and($shelf->name($shelf->meant(['outdoor' => 'reverses', 'heatSource' => 'gas', 'fanCentre' => 'yes'])))
        ->toBe('dual-fuel-o-1c-1h');
});

it('reads a unit only with choices that it has', function (): void {
    $unit = [
        'id' => 'x',
        'title' => 'X',
        'place' => 'indoor',
        'options' => ['stages' => ['choices' => ['1', '2'], 'default' => '3']],
    ];
    expect(fn () => Shelf::read([$unit], []))->toThrow(InvalidData::class);
});

it('refuses answers that a unit cannot be', function (array $answers): void {
    expect(fn () => House::shelf()->meant($answers))->toThrow(Unheld::class);
})->with([
    [['outdoor' => 'none', 'heatSource' => 'gas', 'heatStages' => '3']],
    [['outdoor' => 'none', 'heatSource' => 'gas', 'heatBoard' => 'valve', 'heatStages' => '2']],
    [['outdoor' => 'cools', 'heatSource' => 'gas', 'fanCentre' => 'yes', 'heatStages' => '2']],
    [['outdoor' => 'cools', 'heatSource' => 'oil', 'supplies' => '2', 'heatStages' => '2']],
]);

it('keeps the two conductors of a dry contact to themselves (MR17)', function (string $screw, ?string $says): void {
    $plan = House::example('furnace+condenser+humidifier', 'c-powered-humidity');
    $to = array_values(
        array_filter(
            $plan->installation->wallConductors(),
            static fn (Conductor $c): bool => $c->far->terminal === 'H1',
        ),
    )[0];
    $findings = array_filter(
        MappingRules::check($plan->landed($plan->landing->onWall($to->id(), End::landed($screw)))),
        static fn (Finding $f): bool => $f->code === 'MR17' && $f->severity->blocks(),
    );

    expect(joined(' ', array_map(static fn (Finding $f): Message => $f->meaning, $findings)))->toContain(
        $says ?? '',
    );
    expect($findings === [])->toBe($says === null);
})->with([
    'its own' => ['ACC+', null],
    'a powered HUM' => ['HUM', 'two supplies are tied'],
    'R' => ['Rc', 'two supplies are tied'],
    'a call' => ['G', 'two supplies are tied'],
]);

it('never takes a conductor of another supply for a spare', function (): void {
    $plain = ExampleHouse::of(House::archetype('furnace+condenser+humidifier'));
    $wall = $plain->wallCable() ?? throw new LogicException('no cable');
    $house = $plain->withCable(
        $wall->withConductors(
            array_values(
                array_filter($wall->conductors, static fn (Conductor $c): bool => $c->far->terminal !== 'C'),
            ),
        ),
    );
    $live = array_filter($house->wallConductors(), static fn (Conductor $c): bool => $c->cable !== $wall->id);
    $offers = Planner::of($house, House::profile('c-powered-3h-2c'))->offered;

    expect($offers)->not->toBe([]);
    foreach ($offers as $offer) {
        foreach ($live as $conductor) {
            expect($offer->plan->landing->wall[$conductor->id()]->terminal)->toBeNull();
        }
        expect(joined(' ', $offer->lost()))->toContain('Humidify');
    }
});

it('ties a signal that opens to R where the plate has none for it, and says what that costs', function (): void {
    $house = ExampleHouse::of(House::archetype('furnace:dehumidify=opens+condenser'));
    $best = Planner::of($house, House::profile('c-powered-3h-2c'))->offered[0];
    $bare = House::example('furnace:dehumidify=opens+condenser', 'c-powered-3h-2c');

    expect($best->codes())
        ->toContain('MR17')
        ->and(joined(' ', $best->lost()))
        ->toBe('Dehumidify runs as Cool 1')
        ->and(joined(' ', PlanProof::of($bare)->failures))
        ->toContain('dehumidify input');
});
