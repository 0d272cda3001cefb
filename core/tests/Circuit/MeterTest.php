<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;

it('explains volts by their path', function (
    Setup $setup,
    string $a,
    string $b,
    float $nominal,
    string $reason,
): void {
    $reading = (new Meter(House::plan()->circuit()))->volts($setup, $a, $b);

    expect($reading->nominal)
        ->toEqualWithDelta($nominal, 0.6)
        ->and($reading->contains((float) $reading->nominal))
        ->toBeTrue()
        ->and($reading->reason)
        ->toContain($reading->nominal > 1 ? 'transformer' : '', $reason);
})->with([
    'supply' => [
        Setup::calling(),
        'wall.Rc',
        'wall.C',
        26.3,
        'Full transformer voltage, minus the drop in 1 red and 5 blue',
    ],
    'same wire' => [
        Setup::calling('Y1', 'G'),
        'wall.Rc',
        'wall.Y1',
        0.0,
        'Same wire right now, through the closed Y1 switch',
    ],
    'open switch' => [
        Setup::calling(),
        'wall.Rc',
        'wall.Y1',
        26.3,
        'full voltage is across the Y1 switch, which is open: the way around is the idle contactor',
    ],
    'idle load' => [
        Setup::calling(),
        'wall.Y1',
        'wall.C',
        0.0,
        'No source between these points: they are joined only through the idle contactor',
    ],
    'through the link' => [Setup::calling('W1'), 'wall.Rc', 'wall.W1', 0.0, 'Rc–Rh link and the closed W1 switch'],
    'at the load' => [Setup::calling('Y1', 'G'), 'outdoor.Y', 'outdoor.C', 25.8, 'outdoor 1 red'],
    'open fuse' => [
        Setup::calling()->with(new Opened(Part::named('T1.fuse'))),
        'wall.Rc',
        'wall.C',
        0.0,
        'The 3 A fuse is open',
    ],
]);

it('says that a C screw without a conductor floats, and what to read instead of the ghost', function (): void {
    $plan = House::plan(edit: static fn ($landing) => $landing->onWall('A5', End::free()));
    $reading = (new Meter($plan->circuit()))->volts(Setup::calling()->faceOff(), 'wall.Rc', 'wall.C');

    expect($reading->floating)
        ->toBeTrue()
        ->and($reading->nominal)
        ->toBeNull()
        ->and($reading->reason)
        ->toContain('C at the wall plate has no conductor', 'ghost');
});

it('names the second reading that decides a 0 V across a closed switch', function (): void {
    $reading = (new Meter(House::plan()->circuit()))->volts(Setup::calling('Y1', 'G'), 'wall.Rc', 'wall.Y1');
    expect($reading->decidedBy)->toBe(['wall.Y1', 'wall.C']);

    // The claim behind it: switch open AND contactor's conductor broken reads near nothing to R as well.
    $broken = (new Meter(House::plan()->circuit()))->volts(
        Setup::calling('G')->with(new Opened(Part::named('A3.h1'))),
        'wall.Rc',
        'wall.Y1',
    );
    expect($broken->floating)->toBeTrue();
});

it('reads ohms through what is really in the way, power off only', function (
    string $a,
    string $b,
    float $ohms,
    string $reason,
): void {
    $reading = (new Meter(House::plan()->circuit()))->ohms(Setup::isolated(), $a, $b);

    expect($reading->nominal)
        ->toEqualWithDelta($ohms, 0.02 * $ohms + 0.05)
        ->and($reading->reason)
        ->toContain($reason);
})->with([
    'one conductor' => ['wall.G', 'indoor.G', 42 * 0.00639 + 0.04, 'Wire all the way over 4 green'],
    'contactor' => ['wall.Y1', 'wall.C', 13.0 + 2 * 42 * 0.00639 + 2 * 30 * 0.00639 + 0.16, 'the contactor'],
    'winding' => ['wall.Rc', 'wall.C', 0.95 + 2 * 42 * 0.00639 + 0.1, 'the transformer\'s winding'],
    'ignition control' => ['wall.W1', 'indoor.C', 2200.3, 'depends on the meter'],
]);

it('refuses ohms on a live circuit and a clamp round a screw', function (): void {
    $meter = new Meter(House::plan()->circuit());

    expect($meter->read(MeterMode::Ohms, Setup::calling(), 'wall.Rc', 'wall.C')->refused)
        ->toContain('power off')
        ->and($meter->read(MeterMode::Amps, Setup::calling(), 'wall.Rc', 'wall.Rc')->refused)
        ->toContain('conductor')
        ->and($meter->read(MeterMode::Amps, Setup::calling('Y1', 'G'), 'A3.near', 'A3.near')->nominal)
        ->toEqualWithDelta(25.8 / 72.0, 0.02)
        ->and($meter->read(MeterMode::Beep, Setup::isolated(), 'wall.Y1', 'wall.C')->reason)
        ->toContain('beeper sounds');
});

it('judges by the edges that it prints, to the last digit shown', function (string $id): void {
    $plan = House::example($id);
    $house = AskedHouse::of($plan->circuit());
    $judge = new Judge($house);
    $judged = 0;
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            if ($expected->low === null || $expected->high === null || $expected->others !== []) {
                continue;
            }
            $printed = $expected->toArray();
            $digit = 10.0 ** -$probe->mode->decimals($expected->high);
            foreach ([$printed['low'], $printed['high'], $printed['low'] + $digit] as $inside) {
                expect($judge->reading($expected, $step->hands, $inside)->outcome)->toBe(Outcome::Pass);
            }
            // What is shown as the edge is the edge, whatever was typed behind its last digit.
            expect($expected->fits($printed['high'] + 0.4 * $digit))->toBeTrue();
            expect($expected->fits($printed['high'] + $digit))->toBeFalse();
            expect($printed['low'] < $digit || ! $expected->fits($printed['low'] - $digit))->toBeTrue();
            $judged++;
        }
    }
    expect($judged)->toBeGreaterThan(3);
})->with(['furnace-gas-1h-1c', 'heat-pump-o-2c-2aux', 'boiler-zone-valve-1c', 'dual-fuel-o-2c-2h']);
