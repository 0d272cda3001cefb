<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Proving\Judge;
use Unionbit\Core\Proving\Outcome;
use Unionbit\Core\Proving\Steps;
use Unionbit\Core\Tests\Support\House;

/** @return array<string, CircuitEdit> */
function causes(): array
{
    return [
        'R open' => new Opened('A1.h1'), 'W open' => new Opened('A2.h1'), 'Y open' => new Opened('A3.h1'), 'G open' => new Opened('A4.h1'), 'C open' => new Opened('A5.h1'),
        'outdoor Y open' => new Opened('B1.h1'), 'outdoor C open' => new Opened('B2.h1'), 'fuse' => new Opened('T1.fuse'),
        'contactor shorted' => new CoilShorted('contactor'), 'Y touches G' => new Touching('A3.mid', 'A4.mid'), 'G touches C' => new Touching('A4.mid', 'A5.mid'),
    ];
}

// Whatever single thing is wrong: every reading of every step that comes out of its band is explained by a list that
// holds the true cause; and one that stays in its band passes, because this reading cannot tell.
it('names the true cause among those that read so', function (string $name): void {
    $plan = House::plan();
    $circuit = $plan->circuit();
    $meter = new Meter($circuit);
    $judge = new Judge($circuit);
    $edit = causes()[$name];
    $says = $edit->describe($circuit->netlist(Unionbit\Core\Circuit\Setup::calling()));
    $failed = 0;

    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $expected = $meter->read($probe->mode, $step->setup, $probe->a, $probe->b);
            $volts = $probe->mode === MeterMode::Volts;
            $actual = $volts ? $meter->nominalVolts($step->setup->with($edit), $probe->a, $probe->b) ?? 0.0 : $meter->ohms($step->setup->with($edit), $probe->a, $probe->b)->nominal;
            $verdict = $judge->reading($expected, $step->setup, $actual);
            if ($verdict->outcome === Outcome::Fail) {
                $failed++;
                expect($verdict->candidates)->toContain($says)->and($verdict->reason)->toContain('It reads so when');
            } else {
                expect($actual === null ? $expected->overLimit : $expected->contains($actual))->toBeTrue("{$step->key()} {$probe->key()}");
            }
        }
    }
    // Two conductors that touch give no wrong reading at the loads of a call that uses both.
    expect($failed)->toBeGreaterThan($name === 'Y touches G' ? -1 : 0);
})->with(array_keys(causes()));

it('passes every healthy reading within its tolerances, on every kind of equipment', function (string $archetype): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $meter = new Meter($circuit);
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $expected = $meter->read($probe->mode, $step->setup, $probe->a, $probe->b);
            expect($expected->floating)->toBeFalse("{$step->key()} {$probe->key()}");
            foreach ($expected->overLimit ? [null] : [$expected->low, $expected->nominal, $expected->high] as $value) {
                expect((new Judge($circuit))->reading($expected, $step->setup, $value)->outcome)->toBe(Outcome::Pass, "{$step->key()} {$probe->key()}");
            }
        }
    }
})->with(House::ids('equipment'));

it('sets every step up so that its needed loads pull in, lifted or with the face off', function (string $archetype, string $profile): void {
    $plan = House::example($archetype, $profile);
    foreach (array_filter((new Steps($plan))->all(), static fn ($s): bool => ! $s->staysDead) as $step) {
        $missing = array_diff($plan->installation->archetype->needs[$step->call->value], $plan->circuit()->operate($step->setup)->pulledIn());
        expect(array_values($missing))->toBe([], $step->key());
    }
})->with([
    ['heat-pump-o-2c-2aux', 'c-powered-3h-2c'], ['heat-pump-b-1c-1aux', 'two-hot-o-and-b'], ['furnace-gas-2h-2c', 'c-or-battery-2h-2c'],
    ['boiler-zone-valve-1c', 'c-powered-3h-2c'], ['dual-fuel-o-2c-2h', 'c-powered-3h-2c'], ['air-handler-electric-1h-1c', 'solid-state-1h-1c'],
]);
