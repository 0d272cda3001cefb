<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tests\Support\House;

it('shows what the trade sees', function (string $archetype, string $id, string $call, array $seen): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $fault = House::fault($plan, $id);
    $point = $circuit->operate(House::called($circuit, CallName::from($call), $fault));

    expect(array_intersect_key(Observables::of($circuit, $point, $fault), $seen))->toEqual($seen);
})->with([
    'no line' => [
        'furnace-gas-1h-1c',
        'no-line:T1',
        'fan',
        ['blower' => false, 'display' => false, 'board-lamp' => false],
    ],
    'fuse blown' => [
        'furnace-gas-1h-1c',
        'fuse-blown:T1.fuse',
        'cool-1',
        ['outdoor-unit' => false, 'display' => false],
    ],
    'Y open: fan runs, no cooling' => [
        'furnace-gas-1h-1c',
        'conductor-open:A4.h1',
        'cool-1',
        ['blower' => true, 'outdoor-unit' => false],
    ],
    'R touches G: blower without a call' => [
        'furnace-gas-1h-1c',
        'conductors-touch:A1~A3',
        'idle',
        ['blower' => true],
    ],
    'pressure switch open' => [
        'furnace-gas-1h-2c',
        'high-pressure-open:high-pressure',
        'cool-1',
        ['blower' => true, 'outdoor-unit' => false],
    ],
    'limit open: no heat, the board blows' => [
        'furnace-gas-1h-1c',
        'limit-open:limit',
        'heat-1',
        ['burner' => false, 'blower' => true],
    ],
    'ignition lockout' => ['furnace-gas-1h-1c', 'ignition-lockout:valve-contact', 'heat-1', ['burner' => false]],
    'welded contactor runs at rest' => ['furnace-gas-1h-1c', 'contactor-welded', 'idle', ['outdoor-unit' => true]],
    'outdoor power off' => [
        'furnace-gas-1h-1c',
        'outdoor-power-off',
        'cool-1',
        ['outdoor-unit' => false, 'blower' => true],
    ],
    'valve reversed in the menu' => [
        'heat-pump-o-1c-1aux',
        'valve-reversed',
        'cool-1',
        ['valve' => false, 'outdoor-unit' => true],
    ],
    'heat pump set conventional' => [
        'heat-pump-o-1c-1aux',
        'wrong-type',
        'cool-1',
        ['valve' => false, 'outdoor-unit' => true],
    ],
    'electric heat without fan' => [
        'air-handler-electric-1h-1c',
        'fan-setting',
        'heat-1',
        ['strip' => true, 'blower' => false],
    ],
    'defrost without its W' => [
        'heat-pump-o-1c-1aux',
        'defrost-w-open:defrost-w',
        'defrost',
        ['strip' => false, 'valve' => true],
    ],
    'end switch' => [
        'boiler-zone-valve-1c',
        'end-switch-open:end-switch',
        'heat-1',
        ['zone-valve' => true, 'boiler' => false],
    ],
    'stuck valve: coil good' => [
        'heat-pump-o-1c-1aux',
        'valve-stuck:valve',
        'cool-1',
        ['valve' => false, 'outdoor-unit' => true],
    ],
    'door off: dead' => ['furnace-gas-1h-1c', 'door-open:T1', 'heat-1', ['burner' => false, 'display' => false]],
    'second stage not set' => [
        'furnace-gas-2h-2c',
        'stage-count',
        'cool-2',
        ['outdoor-unit' => true, 'second-stage' => false],
    ],
    'outdoor delay running' => [
        'heat-pump-o-1c-1aux',
        'outdoor-delay:compressor-contact',
        'heat-1',
        ['outdoor-unit' => false, 'blower' => true],
    ],
    'unit fan jumper turned on a furnace: heat without a blower' => [
        'furnace-gas-1h-1c',
        'fan-jumper',
        'heat-1',
        ['burner' => true, 'blower' => false],
    ],
    'and the fan call is not touched' => ['furnace-gas-1h-1c', 'fan-jumper', 'fan', ['blower' => true]],
    'bridged fuse alone shows nothing' => [
        'furnace-gas-1h-1c',
        'fuse-bridged:T1.fuse',
        'cool-1',
        ['outdoor-unit' => true, 'blower' => true, 'display' => true],
    ],
    'Y and G swapped at the board: fan starts the compressor' => [
        'furnace-gas-1h-1c',
        'swapped-board:A3~A4',
        'fan',
        ['outdoor-unit' => true, 'blower' => false],
    ],
]);

it('opens the fuse where a short comes with its call, and not before', function (
    string $id,
    string $quiet,
    string $blows,
): void {
    $plan = House::example('furnace-gas-1h-1c');
    $circuit = $plan->circuit();
    $fault = House::fault($plan, $id);

    expect($circuit->operate(House::called($circuit, CallName::from($quiet), $fault))->openFuses)
        ->toBe([])
        ->and($circuit->operate(House::called($circuit, CallName::from($blows), $fault))->openFuses)
        ->toBe(['T1']);
})->with([
    'contactor coil shorted' => ['contactor-shorted:contactor', 'fan', 'cool-1'],
    'W touches C' => ['conductors-touch:A2~A5', 'cool-1', 'heat-1'],
    'Y touches C' => ['conductors-touch:A4~A5', 'fan', 'cool-1'],
    'gas valve shorted, only once ignition calls it' => ['gas-valve-shorted:gas-valve', 'cool-1', 'heat-1'],
    'Y on the cabinet, common bonded' => ['conductor-cabinet:A4', 'heat-1', 'cool-1'],
]);

it('shows a bridged fuse only behind a short, which then loads the transformer', function (): void {
    $plan = House::example('furnace-gas-1h-1c', House::BATTERY);
    $circuit = $plan->circuit();
    $short = House::fault($plan, 'conductors-touch:A4~A5');
    $both = Fault::together($short, House::fault($plan, 'fuse-bridged:T1.fuse'));
    $held = $circuit->operate(House::called($circuit, CallName::Cool1, $both));

    expect($circuit->operate(House::called($circuit, CallName::Cool1, $short))->openFuses)
        ->toBe(['T1'])
        ->and($held->openFuses)
        ->toBe([])
        ->and($held->sourceAmps('T1'))
        ->toBeGreaterThan((3 * 40) / 24)
        ->and(joined(' ', $held->notes))
        ->toContain('over its 40 VA')
        ->and($both->intermittent)
        ->toBeFalse()
        ->and($both->parts)
        ->toBe(['A4', 'A5', 'T1.fuse']);
});

it(
    'starts the blower of an electric air handler with its strip once the unit\'s fan jumper is turned',
    function (): void {
        $plan = House::example('air-handler-electric-1h-1c');
        $circuit = $plan->circuit();
        $noFan = House::fault($plan, 'fan-setting');
        $both = Fault::together($noFan, House::fault($plan, 'fan-jumper'));
        $seen = static fn (Fault $fault): array => Observables::of(
            $circuit,
            $circuit->operate(House::called($circuit, CallName::Heat1, $fault)),
            $fault,
        );

        expect($seen($noFan))
            ->toMatchArray(['strip' => true, 'blower' => false])
            ->and($seen($both))
            ->toMatchArray(['strip' => true, 'blower' => true]);
    },
);

it('refuses an effect that it does not know instead of doing nothing', function (): void {
    $entry = [
        'id' => 'x',
        'title' => 'X',
        'where' => 'wall',
        'effect' => ['do' => 'none'],
        'prior' => 'rare',
        'symptoms' => 'x',
        'fix' => 'x',
        'minutes' => 1,
    ];

    expect(
        fn () => FaultCatalogue::read(['faults' => [$entry]])->of(House::example('furnace-gas-1h')->circuit()),
    )->toThrow(refusing('/faults/0/effect/do: is "none"'));
});

it('has shorted turns that read nearly good ohms and never pull', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $circuit = $plan->circuit();
    $point = $circuit->operate(
        House::called($circuit, CallName::Cool1, House::fault($plan, 'contactor-turns:contactor')),
    );

    expect($point->loads['contactor'])
        ->not->toBe(LoadState::PulledIn)
        ->and($point->netlist->element('contactor')->dcOhms)
        ->toEqualWithDelta(0.85 * 13.0, 0.01)
        ->and($point->phasors->amps($point->netlist->element('contactor')))
        ->toBeGreaterThan(2.0);
});

it(
    'applies every entry of the catalogue to some house, and solves every fault of every archetype',
    function (): void {
        $met = [];
        foreach (House::ids('equipment') as $archetype) {
            $plan = House::example($archetype);
            $circuit = $plan->circuit();
            $calls = CallTable::needed($plan->installation->archetype)->calls();
            foreach (House::faults()->of($circuit) as $index => $fault) {
                $met[$fault->entry] = true;
                $circuit->operate(House::called($circuit, $calls[$index % count($calls)], $fault));
                expect($fault->title)->not->toBe('');
            }
        }
        // Float switches and load-shedding relays are no part of an archetype, the survey adds them; a kit's adapter
        // comes with a plan.
        expect(array_values(array_diff(House::faults()->ids(), array_keys($met))))->toBe([
            'kit-contact-open',
            'float-open',
            'float-stuck',
            'load-shed',
            'load-shed-welded',
            'float-connector',
        ]);
    },
);

it('gives with updates of one factorisation what a new factorisation gives', function (string $archetype): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $calls = CallTable::needed($plan->installation->archetype)->calls();
    foreach (House::faults()->of($circuit) as $index => $fault) {
        if ($index % 5 !== 0) {
            continue;
        }
        $point = $circuit->operate(House::called($circuit, $calls[$index % count($calls)], $fault));
        $anew = Network::ac($point->netlist)->solve();
        foreach ($point->netlist->elements as $element) {
            if (! $element->isOpen()) {
                expect(
                    abs(
                        $point->phasors->magnitude($element->a, $element->b) -
                            $anew->magnitude($element->a, $element->b),
                    ),
                )->toBeLessThan(1e-4, "{$fault->id}: {$element->id}");
            }
        }
    }
})->with(['dual-fuel-o-2c-2h', 'boiler-zone-valve-1c', 'heat-pump-b-2c-2aux']);

it('blows at once with C on an R screw', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $circuit = $plan->circuit();

    expect(
        $circuit->operate(House::called($circuit, CallName::Idle, House::fault($plan, 'c-on-r:A5.near>wall.Rc')))
            ->openFuses,
    )->toBe(['T1']);
});

it('finds spare ends and float switches where the survey has them', function (): void {
    $plan = House::plan(House::BATTERY);
    $house = SurveyFile::read(
        [
            'facts' => ['safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => ['Y']]]],
            'cables' => SurveyFile::write($plan->installation)['cables'],
        ],
        $plan->installation->archetype,
    );
    $with = new Plan($house, $plan->profile, $plan->landing);
    $circuit = $with->circuit();
    $point = $circuit->operate(House::called($circuit, CallName::Cool1, House::fault($with, 'float-open:float')));

    expect($point->pulledIn())
        ->toBe(['blower-relay'])
        ->and(House::fault($with, 'spare-ends:A4.near~A5.near')->edits)
        ->toHaveCount(1)
        ->and(House::fault($with, 'float-connector:float')->intermittent)
        ->toBeTrue();
});
