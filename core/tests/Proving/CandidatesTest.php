<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Judge\SingleCauses;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;

/** @return array<string, CircuitEdit> */
function causes(): array
{
    return [
        'R open' => new Opened(Part::named('A1.h1')),
        'W open' => new Opened(Part::named('A2.h1')),
        'Y open' => new Opened(Part::named('A3.h1')),
        'G open' => new Opened(Part::named('A4.h1')),
        'C open' => new Opened(Part::named('A5.h1')),
        'outdoor Y open' => new Opened(Part::named('B1.h1')),
        'outdoor C open' => new Opened(Part::named('B2.h1')),
        'fuse' => new Opened(Part::named('T1.fuse')),
        'contactor shorted' => new CoilShorted(Part::named('contactor')),
        'Y touches G' => new Touching(At::read('A3.mid'), At::read('A4.mid')),
        'G touches C' => new Touching(At::read('A4.mid'), At::read('A5.mid')),
    ];
}

// Whatever single thing is wrong: every reading of every step that comes out of its band is explained by a list that
// holds the true cause; and one that stays in its band passes, because this reading cannot tell.
it('names the true cause among those that read so', function (string $name): void {
    $plan = House::plan();
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    $judge = new Judge($house);
    $edit = causes()[$name];
    $says = $edit->describe($circuit->netlist(Setup::calling()));
    $failed = 0;

    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            if ($probe->mode === MeterMode::Amps) {
                continue;
            }
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            $volts = $probe->mode === MeterMode::Volts;
            $actual = $volts
                ? $house->changed($edit)->state($step->hands)->volts($probe->a, $probe->b) ?? 0.0
                : $house->changed($edit)->expects($step->hands, MeterMode::Ohms, $probe->a, $probe->b)->nominal;
            $verdict = $judge->reading($expected, $step->hands, $actual);
            if ($verdict->outcome === Outcome::Fail) {
                $failed++;
                expect($verdict->candidates)
                    ->toContainEqual($says)
                    ->and($verdict->reason)
                    ->toContain('It reads that way when');
            } else {
                expect($actual === null ? $expected->overLimit : $expected->contains($actual))->toBeTrue(
                    "{$step->key()} {$probe->key()}",
                );
            }
        }
    }
    // Two conductors that touch give no wrong reading at the loads of a call that uses both.
    expect($failed)->toBeGreaterThan($name === 'Y touches G' ? -1 : 0);
})->with(array_keys(causes()));

// A change that leaves the reading as it was explains nothing of it, however near the figures are.
it('names no cause that would not have moved the reading', function (string $archetype): void {
    $plan = House::example($archetype);
    $house = AskedHouse::of($plan->circuit());
    $causes = new SingleCauses($house);
    $asked = 0;
    $idle = [];
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->method === Method::Voltage ? $step->probes : [] as $probe) {
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            foreach (
                $probe->mode === MeterMode::Volts ? [$expected->low - 0.2, $expected->high + 0.2] : [] as $value
            ) {
                $odd = new MeterReading($probe->mode, $probe->a, $probe->b, $value);
                foreach ($causes->forReading($step->hands, $odd) as ['edit' => $edit]) {
                    $asked++;
                    $volts = $house->changed($edit)->state($step->hands)->volts($probe->a, $probe->b);
                    if ($volts !== null && abs($volts - $expected->nominal) < 0.4) {
                        $idle[] = "{$step->key()} {$probe->key()} {$value}: {$edit->describe(
                            $plan->circuit()->atRest(),
                        )->code}";
                    }
                }
            }
        }
    }
    expect($idle)->toBe([])->and($asked)->toBeGreaterThan(0);
})->with(House::ids('equipment'));

it('passes every healthy reading within its tolerances, on every kind of equipment', function (
    string $archetype,
): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            expect($expected->floating)->toBeFalse("{$step->key()} {$probe->key()}");
            foreach (
                $expected->overLimit ? [null] : [$expected->low, $expected->nominal, $expected->high] as $value
            ) {
                expect((new Judge($house))->reading($expected, $step->hands, $value)->outcome)->toBe(
                    Outcome::Pass,
                    "{$step->key()} {$probe->key()}",
                );
            }
        }
    }
})->with(House::ids('equipment'));

it('sets every step up so that its needed loads pull in, lifted or with the face off', function (
    string $archetype,
    string $profile,
): void {
    $plan = House::example($archetype, $profile);
    foreach (array_filter((new Steps($plan))->all(), static fn ($s): bool => ! $s->staysDead) as $step) {
        $missing = array_diff(
            $plan->installation->archetype->needs[$step->call->value],
            AskedHouse::of($plan->circuit())->state($step->hands)->pulledIn(),
        );
        expect(array_values($missing))->toBe([], $step->key());
    }
})->with([
    ['heat-pump-o-2c-2aux', 'c-powered-3h-2c'],
    ['heat-pump-b-1c-1aux', 'two-hot-o-and-b'],
    ['furnace-gas-2h-2c', 'c-or-battery-2h-2c'],
    ['boiler-zone-valve-1c', 'c-powered-3h-2c'],
    ['dual-fuel-o-2c-2h', 'c-powered-3h-2c'],
    ['air-handler-electric-1h-1c', 'solid-state-1h-1c'],
]);

// From a call terminal to C, 0.0 to 0.7 Ω or 0 V: a dead short, whatever hangs there. It is named as one.
it('names a dead short between a call terminal and the common, by ohms and by volts', function (
    string $archetype,
): void {
    $plan = House::example($archetype);
    $house = AskedHouse::of($plan->circuit());
    $judge = new Judge($house);
    $short = static fn (mixed $says): bool => preg_match('/ touches |coil is shorted/', said($says)) === 1;
    $asked = 0;
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $toCommon =
                in_array(
                    $probe->b,
                    array_map(static fn ($t): string => $t->common, $plan->installation->transformers()),
                    true,
                ) || str_ends_with($probe->b, '.C');
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            if (
                ! $toCommon ||
                $expected->overLimit ||
                ! in_array($step->method, [Method::PreCheck, Method::Voltage], true)
            ) {
                continue;
            }
            foreach ($probe->mode === MeterMode::Ohms ? [0.0, 0.7] : [0.0] as $value) {
                $verdict = $judge->reading($expected, $step->hands, $value);
                $asked++;
                expect($verdict->outcome)
                    ->toBe(Outcome::Fail, "{$step->key()} {$probe->key()} {$value}")
                    ->and($verdict->reason)
                    ->not->toContain('No single change')
                    ->and(array_filter($verdict->candidates, $short))
                    ->not->toBe([], "{$step->key()} {$probe->key()} {$value}");
                if ($probe->mode === MeterMode::Ohms) {
                    expect($short($verdict->candidates[0]))->toBeTrue(
                        "{$step->key()} {$probe->key()} {$value}: ".said($verdict->candidates[0]),
                    );
                }
            }
        }
    }
    expect($asked)->toBeGreaterThan(5);
})->with([
    'furnace-gas-2h-2c',
    'air-handler-electric-2h-1c',
    'boiler-zone-valve-1c',
    'heat-pump-b-1c-1aux',
    'dual-fuel-o-1c-1h',
    'fan-centre-1h-1c',
]);

it('names each kind of coil that can be shorted', function (
    string $archetype,
    string $load,
    string $a,
    string $b,
): void {
    $circuit = House::example($archetype)->circuit();
    $house = AskedHouse::of($circuit);
    $off = Hands::dead()->faced(Face::Off);
    $expected = $house->expects($off, MeterMode::Ohms, $a, $b);
    $label = said($circuit->partName($load));

    expect((new Judge($house))->reading($expected, $off, 0.4)->candidates)->toContain(
        "the {$label} coil is shorted",
    );
})->with([
    'contactor' => ['furnace-gas-1h-1c', 'contactor', 'indoor.Y', 'indoor.C'],
    'relay' => ['furnace-gas-1h-1c', 'blower-relay', 'indoor.G', 'indoor.C'],
    'valve' => ['heat-pump-o-1c-1aux', 'valve', 'outdoor.O', 'outdoor.C'],
    'sequencer' => ['air-handler-electric-1h-1c', 'sequencer-1', 'indoor.W', 'indoor.C'],
    'zone valve' => ['boiler-zone-valve-1c', 'zone-valve', 'indoor.W', 'indoor.CH'],
    'gas valve' => ['furnace-gas-1h-1c', 'gas-valve', 'indoor.valve', 'indoor.C'],
    'humidifier' => ['dual-fuel-o-2c-2h', 'humidifier', 'indoor.HUM', 'indoor.C'],
]);

it(
    'takes all readings of the call together: full at the wall and nothing at the board is the conductor',
    function (): void {
        $plan = House::plan();
        $step = (new Steps($plan))->find('fan.voltage') ?? throw new LogicException('no step');
        $house = AskedHouse::of($plan->circuit());
        $judge = new Judge($house);
        $board = $house->expects($step->hands, MeterMode::Volts, 'indoor.G', 'indoor.C');
        $alone = $judge->reading($board, $step->hands, 0.0);
        $wall = new MeterReading(MeterMode::Volts, 'wall.G', 'wall.C', 26.0);
        $together = $judge->reading($board, $step->hands, 0.0, others: [$wall]);
        $contrary = $judge->reading(
            $board,
            $step->hands,
            0.0,
            others: [$wall, new MeterReading(MeterMode::Volts, 'indoor.R', 'indoor.C', 3.0)],
        );

        expect($alone->candidates)
            ->toContain("the thermostat's G switch is open", '4 green is open in the cable')
            ->and($together->candidates)
            ->toBe(['4 green is open in the cable', '5 blue is open in the cable'])
            ->and($together->reason)
            ->toContain('It reads that way when 4 green is open')
            ->and($contrary->reason)
            ->toContain('No single change gives all readings of this call');
    },
);

it('takes a fraction of a volt for dead while isolated, and more for a source', function (
    float $value,
    Outcome $outcome,
    string $says,
): void {
    $plan = House::plan();
    $house = AskedHouse::of($plan->circuit());
    $off = Hands::dead();
    $verdict = (new Judge($house))->reading(
        $house->expects($off, MeterMode::Volts, 'indoor.R', 'indoor.C'),
        $off,
        $value,
    );

    expect($verdict->outcome)
        ->toBe($outcome)
        ->and($verdict->reason)
        ->toContain($says)
        ->not->toContain('fuse is open')
        ->and($verdict->candidates)
        ->toBe([]);
})->with([
    [0.0, Outcome::Pass, 'Dead'],
    [0.3, Outcome::Pass, 'pick-up'],
    [0.9, Outcome::Pass, 'pick-up'],
    [1.4, Outcome::Fail, 'still feeds'],
    [24.0, Outcome::Fail, 'second supply'],
]);

it('says too early only of points that wait: what the thermostat closes is there at once', function (
    string $archetype,
    string $step,
    string $a,
    string $b,
    Outcome $outcome,
): void {
    $plan = House::example($archetype);
    $found = (new Steps($plan))->find($step) ?? throw new LogicException('no step');
    $house = AskedHouse::of($plan->circuit());
    $expected = $house->expects($found->hands, MeterMode::Volts, $a, $b);

    expect((new Judge($house))->reading($expected, $found->hands, 0.0, 120, $found->waiting)->outcome)->toBe(
        $outcome,
    );
})->with([
    'the compressor is held back' => [
        'furnace-gas-1h-1c',
        'cool-1.voltage',
        'indoor.Y',
        'indoor.C',
        Outcome::TooEarly,
    ],
    'the fan of the same call is not' => [
        'furnace-gas-1h-1c',
        'cool-1.voltage',
        'indoor.G',
        'indoor.C',
        Outcome::Fail,
    ],
    'heat is called at once' => ['furnace-gas-1h-1c', 'heat-1.voltage', 'indoor.W', 'indoor.C', Outcome::Fail],
    'the valve shifts at once' => [
        'heat-pump-o-1c-1aux',
        'cool-1.voltage',
        'outdoor.O',
        'outdoor.C',
        Outcome::Fail,
    ],
    'its compressor waits' => [
        'heat-pump-o-1c-1aux',
        'cool-1.voltage',
        'outdoor.Y',
        'outdoor.C',
        Outcome::TooEarly,
    ],
]);
