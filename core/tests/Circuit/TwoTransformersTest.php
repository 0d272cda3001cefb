<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Resistive;
use Unionbit\Core\Circuit\Edit\SourceScaled;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tests\Support\House;

function twoSupplies(bool $bonded, string $phase, bool $link = false): Circuit
{
    $example = ExampleHouse::of(House::archetype('boiler-zone-valve-1c'));
    $house = new Installation(
        $example->archetype,
        new Facts(
            lineVolts: 120.0,
            tapVolts: 120.0,
            commonBonded: $bonded,
            secondBonded: $bonded,
            secondPhase: $phase,
        ),
        $example->cables,
    );
    $profile = House::profile('c-powered-3h-2c');

    return new Circuit($house, $profile, LetterToLetter::landing($house, $profile)->withLink($link));
}

it('reads between two hots what phase and bonding make of it', function (
    bool $bonded,
    string $phase,
    ?float $volts,
): void {
    $reading = (new Meter(twoSupplies($bonded, $phase)))->volts(Setup::calling(), 'wall.Rc', 'wall.Rh');

    expect($reading->floating)
        ->toBe($volts === null)
        ->and($volts === null || abs((float) $reading->nominal - $volts) < 1.5)
        ->toBeTrue();
})->with([
    'two floating secondaries: no defined voltage' => [false, 'in', null],
    'bonded in phase' => [true, 'in', 0.0],
    'bonded out of phase: about 53 V' => [true, 'out', 53.0],
]);

it('lets some eleven amperes flow when out-of-phase supplies are linked', function (): void {
    $point = twoSupplies(true, 'out', link: true)->operate(Setup::calling()->withSlowFuse());

    expect($point->sourceAmps('T1'))->toBeGreaterThan(10.0)->toBeLessThan(16.5);
});

it('shows nothing measurable when two floating supplies are tied', function (): void {
    $tied = twoSupplies(false, 'in', link: true);
    $apart = twoSupplies(false, 'in');
    foreach ([['wall.Rc', 'wall.C'], ['wall.Rh', 'indoor.CH']] as [$a, $b]) {
        expect((new Meter($tied))->volts(Setup::calling(), $a, $b)->nominal)->toEqualWithDelta(
            (float) (new Meter($apart))->volts(Setup::calling(), $a, $b)->nominal,
            0.001,
        );
    }
    expect($tied->operate(Setup::calling('Y1', 'G'))->pulledIn())
        ->toEqualCanonicalizing(['contactor', 'blower-relay'])
        ->and(joined(' ', $tied->operate(Setup::calling())->notes))
        ->toContain('Two transformers are joined')
        ->and($apart->operate(Setup::calling())->notes)
        ->toBe([]);
});

it('starves a power-sharing thermostat at a board input and gives the input a phantom call', function (
    string $archetype,
    bool $phantom,
): void {
    $plan = House::example($archetype, 'power-sharing-1h-1c');
    $point = $plan->circuit()->operate(Setup::calling());

    expect($point->pulledIn() !== [])->toBe($phantom);
})->with([
    'through an idle contactor coil: fine' => ['furnace-gas-1h-1c', false],
    'through an electronic input: a phantom call' => ['communicating-converted-2c', true],
]);

it(
    'leaks through an open solid-state output: nothing into an input, nearly everything onto a lifted conductor',
    function (): void {
        $circuit = House::example('furnace-gas-1h-1c', 'solid-state-1h-1c')->circuit();

        expect((new Meter($circuit))->volts(Setup::calling(), 'wall.W', 'wall.C')->nominal)
            ->toEqualWithDelta(1.1, 0.2)
            ->and((new Meter($circuit))->volts(Setup::calling()->lifting('A2.near'), 'wall.W', 'wall.C')->nominal)
            ->toBeGreaterThan(25.0);
    },
);

it('does nothing at the first touch of the cabinet where no common is bonded, and blows at the second', function (
    bool $bonded,
    int $touches,
    bool $blows,
): void {
    $example = ExampleHouse::of(House::archetype('furnace-gas-1h-1c'));
    $house = new Installation($example->archetype, new Facts(commonBonded: $bonded), $example->cables);
    $profile = House::profile('c-powered-1h-1c');
    $circuit = new Circuit($house, $profile, LetterToLetter::landing($house, $profile));
    // The cabinet of an unbonded unit is a point of its own: two conductors that touch it touch each other.
    $edits = $bonded
        ? [new Touching(At::read('A1.mid'), At::read('cabinet'))]
        : ($touches === 2
            ? [new Touching(At::read('A1.mid'), At::read('A5.mid'))]
            : []);

    expect($circuit->operate(Setup::calling()->with(...$edits))->openFuses !== [])->toBe($blows);
})->with([
    'bonded, one' => [true, 1, true],
    'unbonded, one' => [false, 1, false],
    'unbonded, two' => [false, 2, true],
]);

it('mentions the second stable state: out from cold, in if it was in', function (): void {
    $circuit = House::plan()->circuit();
    $setup = Setup::calling('Y1', 'G')->with(new Resistive(Part::named('A3.near.joint'), 15.0));
    $reading = (new Meter($circuit))->volts($setup, 'outdoor.Y', 'outdoor.C');

    expect($reading->nominal)
        ->toEqualWithDelta(15.3, 1.0)
        ->and(joined(' ', $reading->notes))
        ->toContain('if the contactor was in already it stays in')
        ->and($circuit->otherState($setup)?->loadVolts['contactor'])
        ->toEqualWithDelta(24.4, 1.0)
        ->and($circuit->otherState(Setup::calling('Y1', 'G')))
        ->toBeNull();
});

it('lets a non-contact tester say nothing about 24 V', function (): void {
    expect(
        (new Meter(House::plan()->circuit()))->read(MeterMode::NonContact, Setup::calling(), 'wall.Rc', 'wall.C')
            ->refused,
    )->toContain('line voltage only');
});

it('reports a transformer that is off and fed backwards', function (): void {
    // The dead secondary loads the other one; while the fuse still holds, this is what stands.
    $tied = twoSupplies(true, 'in', link: true)->operate(
        Setup::calling()->with(new SourceScaled(Part::named('T2'), 0.0))->withSlowFuse(),
    );
    $apart = twoSupplies(true, 'in')->operate(Setup::calling()->with(new SourceScaled(Part::named('T2'), 0.0)));

    expect(joined(' ', $tied->notes))
        ->toContain('T2 is off and fed backwards', 'PRIMARY')
        ->and(joined(' ', $apart->notes))
        ->not->toContain('PRIMARY');
});

it('widens a reading to what an unknown phase may make of it', function (): void {
    $reading = (new Meter(twoSupplies(true, 'unknown')))->volts(Setup::calling(), 'wall.Rc', 'wall.Rh');

    expect($reading->low)
        ->toBeLessThan(1.0)
        ->and($reading->high)
        ->toBeGreaterThan(52.0)
        ->and(joined(' ', $reading->notes))
        ->toContain('Phase or bonding of the second transformer is not known');
});

it('carries both outcomes where a corner of the tolerances crosses a pull-in limit', function (): void {
    $reading = (new Meter(House::plan()->circuit()))->volts(
        Setup::calling('Y1', 'G')->with(new Resistive(Part::named('A3.near.joint'), 9.0)),
        'outdoor.Y',
        'outdoor.C',
    );

    expect(joined(' ', $reading->notes))
        ->toContain('Within tolerance the contactor may be')
        ->and($reading->high - $reading->low)
        ->toBeGreaterThan(9.0);
});
