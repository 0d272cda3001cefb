<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;

// What a meter should show between points picked by a seed that never changes, in every call and with the power off,
// with a fuse open and a cable open: the band, and the reason with its path. On record.

it('expects of the meter what is on record', function (string $archetype, string $profile): void {
    $plan = House::example($archetype, $profile);
    $circuit = $plan->circuit();
    $meter = new Meter($circuit);
    $pick = new Pick($archetype);
    $setups = ['rest' => Setup::calling(), ...Simulation::setups($plan)];
    $setups['fuse open'] = Setup::calling()->with(new Opened(Part::named('T1.fuse')));
    $setups['off'] = Setup::isolated();
    $told = [];
    foreach ($setups as $name => $setup) {
        $points = array_values(
            array_filter(
                array_keys($circuit->netlist($setup)->points),
                static fn (string $id): bool => $circuit->netlist($setup)->points[$id]->probeable,
            ),
        );
        for ($i = 0; $i < ($archetype === 'dual-fuel-o-2c-2h' ? 8 : 48); $i++) {
            [$a, $b] = [$pick->one($points), $pick->one($points)];
            $mode =
                $name === 'off'
                    ? MeterMode::Ohms
                    : $pick->one([
                        MeterMode::Volts,
                        MeterMode::Volts,
                        MeterMode::Ohms,
                        MeterMode::Beep,
                        MeterMode::Amps,
                    ]);
            $told["{$name} {$mode->value} {$a} {$b}"] = $meter->read($mode, $setup, $a, $b)->toArray();
        }
    }

    expect(lines($told))->toBe(onRecord("meter-{$archetype}", lines($told)));
})->with([
    ['furnace-gas-1h-1c', 'c-powered-1h-1c'],
    ['dual-fuel-o-2c-2h', 'c-powered-3h-2c'],
    ['furnace-oil-own-transformer-1c', 'battery-1h-1c'],
]);
