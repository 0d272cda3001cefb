<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Resistive;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;

it('pulls in exactly the loads of each call', function (array $closed, array $loads): void {
    expect(House::plan()->circuit()->operate(Setup::calling(...$closed))->pulledIn())->toEqualCanonicalizing(
        $loads,
    );
})->with([
    'idle' => [[], []],
    'fan' => [['G'], ['blower-relay']],
    'cooling' => [['Y1', 'G'], ['contactor', 'blower-relay']],
    'cooling without the fan' => [['Y1'], ['contactor']],
    'heating, valve behind the ignition control' => [['W1'], ['ignition', 'gas-valve']],
]);

it('sets the source so that it gives 24 V at its rating', function (): void {
    $transformer = House::archetype()->transformers[0];
    $load = (24.0 * 24.0) / $transformer->ratingVa;

    expect((Transformer::idleVolts(120, 120) * $load) / ($load + $transformer->sourceOhms()))
        ->toEqualWithDelta(24.0, 0.001)
        ->and($transformer->windingOhms())
        ->toEqualWithDelta(0.55 * 1.728, 0.001);
});

it('gives loads the impedances of the electrical model', function (LoadKind $kind, bool $in, float $ohms): void {
    expect(hypot(...$kind->impedance($in)))->toEqualWithDelta($ohms, 0.01);
})->with([
    'contactor at rest, 30 VA' => [LoadKind::Contactor, false, 19.2],
    'contactor in, 8 VA' => [LoadKind::Contactor, true, 72.0],
    'relay, 4 VA' => [LoadKind::Relay, false, 144.0],
    'gas valve, 0.45 A' => [LoadKind::GasValve, true, 53.33],
    'board input' => [LoadKind::BoardInput, true, 2200.0],
]);

it('opens the fuse on a dead short and leaves nothing energised', function (): void {
    $point = House::plan()
        ->circuit()
        ->operate(Setup::calling()->with(new Touching(At::read('A1.mid'), At::read('A5.mid'))));

    expect($point->openFuses)
        ->toBe(['T1'])
        ->and($point->phasors->magnitude('indoor.R', 'indoor.C'))
        ->toBeLessThan(0.01)
        ->and($point->energised())
        ->not->toHaveKey('wall.Rc');
});

it('does not judge the fuse on a contactor\'s inrush', function (): void {
    $point = House::plan()->circuit()->operate(Setup::calling('Y1', 'G'));

    expect($point->openFuses)->toBe([])->and($point->sourceAmps('T1'))->toBeLessThan(1.0);
});

it('keeps a shorted coil out, whatever voltage it gets', function (): void {
    $point = House::plan()
        ->circuit()
        ->operate(Setup::calling('Y1', 'G')->with(new CoilShorted(Part::named('contactor'), 0.5)));

    expect($point->loads['contactor'])->not->toBe(LoadState::PulledIn);
});

it('reports a coil between its two limits as buzzing', function (): void {
    // The figure of the electrical model: a contactor behind 15 Ω stays out from cold, at about 15 V.
    $point = House::plan()
        ->circuit()
        ->operate(Setup::calling('Y1', 'G')->with(new Resistive(Part::named('A3.near.joint'), 15.0)));

    expect($point->loadVolts['contactor'])
        ->toEqualWithDelta(15.0, 1.0)
        ->and($point->loads['contactor'])
        ->toBe(LoadState::Buzzing);
});

it('blanks a C-powered thermostat without its common, and no call closes', function (): void {
    $plan = House::plan(edit: static fn ($landing) => $landing->onWall('A5', End::free()));
    $point = $plan->circuit()->operate(Setup::calling('Y1', 'G'));

    expect($point->thermostatUp)->toBeFalse()->and($point->pulledIn())->toBe([]);
});

it('finds the cycle of a thermostat whose supply sags when it calls', function (): void {
    $house = House::survey(facts: ['fuseAmps' => 5]);
    $profile = House::profile(House::C_POWERED);
    $circuit = new Circuit($house, $profile, LetterToLetter::landing($house, $profile));
    $shorted = Setup::calling('Y1', 'G')->with(new CoilShorted(Part::named('contactor'), 0.1));

    expect($circuit->operate($shorted)->notes[0] ?? '')
        ->toContain('sags under 16 V')
        ->and($circuit->operate($shorted)->openFuses)
        ->toBe([])
        ->and(House::plan()->circuit()->operate($shorted)->openFuses)
        ->toBe(['T1'], 'a 3 A fuse opens before the thermostat blanks');
});

it('kills one family of calls with the link out', function (array $closed, array $loads): void {
    $plan = House::plan(edit: static fn ($landing) => $landing->withLink(false));

    expect($plan->circuit()->operate(Setup::calling(...$closed))->pulledIn())->toBe($loads);
})->with([
    'cooling still works from Rc' => [['Y1'], ['contactor']],
    'heating is dead' => [['W1'], []],
]);

it('lifts, jumpers and takes the face off', function (): void {
    $circuit = House::plan()->circuit();
    $jumpered = Setup::calling('W1')->faceOff()->withJumper('wall.Rc', 'wall.G');

    expect($circuit->operate($jumpered)->pulledIn())
        ->toBe(['blower-relay'])
        ->and($circuit->operate($jumpered->lifting('A4.near'))->pulledIn())
        ->toBe([])
        ->and($circuit->operate(Setup::calling('Y1')->with(new Opened(Part::named('B1.h1'))))->pulledIn())
        ->toBe([]);
});
