<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Edit\Swapped;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Load\LoadCheck;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Route\Separation;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;

/** @return array{Step, list<Step>} the step and the others of its call */
function stepAndOthers(Unionbit\Core\Planning\Plan\Plan $plan, string $key): array
{
    $steps = new Steps($plan);
    $step = $steps->find($key) ?? throw new LogicException($key);

    return [
        $step,
        array_values(
            array_filter($steps->all(), static fn (Step $s): bool => $s->call === $step->call && $s->key() !== $key),
        ),
    ];
}

it('says before a test what it cannot tell apart, and which test can', function (
    string $archetype,
    string $key,
    array $together,
    ?string $told,
): void {
    $plan = House::example($archetype);
    [$step, $others] = stepAndOthers($plan, $key);
    $groups = (new Separation(AskedHouse::of($plan->circuit()), House::faults()))->ofStep($step, $others, 99);
    $found = array_values(
        array_filter($groups, static function (array $group) use ($together): bool {
            $titles = joined('; ', array_merge(...array_values($group['places'])));

            return array_filter($together, static fn (string $title): bool => ! str_contains($titles, $title)) === [];
        }),
    );

    expect($found)
        ->toHaveCount(1)
        ->and($found[0]['told'])
        ->toBe($told)
        ->and(count($found[0]['places']))
        ->toBeGreaterThan(1);
})->with([
    'by voltage: conductor or screw' => [
        'furnace-gas-1h-1c',
        'cool-1.voltage',
        ['4 yellow is open in the cable', '4 yellow makes no contact at its screw'],
        'cool-1.jumper',
    ],
    'by jumper: outdoor cable, or contactor' => [
        'furnace-gas-1h-1c',
        'cool-1.board-jumper',
        ['outdoor 1 yellow is open', 'contactor is open'],
        'cool-1.jumper',
    ],
    'by jumper: G\'s conductor, or the relay' => [
        'furnace-gas-1h-1c',
        'cool-1.jumper',
        ['3 green is open in the cable', 'blower relay is open'],
        'cool-1.board-jumper',
    ],
    'ohms: contactor, or its way' => [
        'furnace-gas-1h-1c',
        'idle.pre-check',
        ['4 yellow is open in the cable', 'contactor is open'],
        null,
    ],
]);

// An independent look: any two faults of one group, put into the circuit one after the other, show the same signs, and
// each pair of probes within what a person calls the same reading.
it('puts together only what really looks the same', function (string $key): void {
    $plan = House::example('heat-pump-o-1c-1aux');
    $circuit = $plan->circuit();
    [$step] = stepAndOthers($plan, $key);
    $byTitle = [];
    foreach (House::faults()->of($circuit) as $fault) {
        $byTitle[said($fault->title)] = $fault;
    }
    foreach ((new Separation(AskedHouse::of($circuit), House::faults()))->ofStep($step, [], 4) as $group) {
        $looks = [];
        foreach (array_merge(...array_values($group['places'])) as $title) {
            $fault = $byTitle[said($title)];
            $point = $circuit->operate(AskedHouse::of($circuit)->with($fault)->setup($step->hands));
            $runs = Observables::of($circuit, $point, $fault);
            $looks[] = [
                array_map(
                    static fn ($s): bool => $runs[$s->key] ?? false,
                    array_values(array_filter($step->signs, static fn ($s): bool => isset($runs[$s->key]))),
                ),
                array_map(
                    static fn ($p): float => $point->network->knows($p->a) && $point->network->knows($p->b)
                        ? $point->phasors->magnitude($p->a, $p->b)
                        : 0.0,
                    $step->probes,
                ),
            ];
        }
        foreach ($looks as [$signs, $volts]) {
            expect($signs)->toBe($looks[0][0]);
            foreach ($volts as $index => $value) {
                expect(abs($value - $looks[0][1][$index]))->toBeLessThanOrEqual(8.0);
            }
        }
    }
})->with(['cool-1.voltage', 'heat-1.jumper', 'cool-1.board-jumper']);

it('says what one pair of points would tell', function (): void {
    $circuit = House::example('furnace-gas-1h-1c')->circuit();
    $groups = (new Separation(AskedHouse::of($circuit), House::faults()))->ofReading(
        Hands::calling(CallName::Cool1),
        MeterMode::Volts,
        'indoor.Y',
        'indoor.C',
        ['conductor-open:A4.h1', 'contactor-open:contactor', 'fuse-blown:T1.fuse'],
    );
    $expected = array_values(array_filter($groups, static fn (array $g): bool => $g['expected']));
    $other = array_values(array_filter($groups, static fn (array $g): bool => ! $g['expected']));

    expect($expected)
        ->toHaveCount(1)
        ->and($expected[0]['value'])
        ->toBeGreaterThan(24.0)
        ->and(array_keys($expected[0]['places']))
        ->toBe(['outdoor'])
        ->and($other)
        ->toHaveCount(1)
        ->and($other[0]['value'] ?? 0.0)
        ->toBeLessThan(1.0)
        ->and(array_keys($other[0]['places']))
        ->toEqualCanonicalizing(['cable', 'supply']);
});

it('leaves a fault alone that the set-up has taken out of the circuit', function (): void {
    $plan = House::plan();
    $faults = array_column(
        array_map(static fn ($f): array => ['id' => $f->id, 'fault' => $f], House::faults()->of($plan->circuit())),
        'fault',
        'id',
    );
    $jumper = (new Steps($plan))->find('cool-1.jumper') ?? throw new LogicException('no step');
    // Conductor 3 hangs free; of the two that were swapped only 2 lands, on 3's screw.
    $swapped = Setup::isolated()->lifting('A3.near')->with(new Swapped(At::read('A2.near'), At::read('A3.near')));
    $meter = new Meter($plan->circuit());

    expect(
        AskedHouse::of($plan->circuit())->with($faults['switch-open:switch.Y1'])->state($jumper->hands)->pulledIn(),
    )
        ->toContain('contactor')
        ->and($meter->ohms($swapped, 'wall.Y1', 'indoor.W')->nominal)
        ->toBeLessThan(2.0)
        ->and($meter->ohms($swapped, 'A3.near', 'wall.Y1')->nominal)
        ->toBeGreaterThan(10.0);
});

it('compares loaded with unloaded, the line\'s own tolerance aside', function (string $archetype): void {
    $plan = House::example($archetype);
    foreach ((new LoadChecks($plan))->all() as $check) {
        $rest = $plan->circuit()->operate(Setup::calling())->phasors->magnitude($check->a, $check->b);
        $loaded = $rest - $check->fall['nominal'];
        // The same house on a line 8 % high: both readings move, the verdict does not.
        expect($check->judge($rest, $loaded)->outcome)
            ->toBe(Outcome::Pass, $check->call->value)
            ->and($check->judge(1.08 * $rest, 1.08 * $loaded)->outcome)
            ->toBe(Outcome::Pass)
            ->and($check->judge($rest, $rest - $check->fall['high'] - 2.0)->outcome)
            ->toBe(Outcome::Fail)
            ->and($check->va)
            ->toBeLessThan($check->rating)
            ->and($check->fall['high'] - $check->fall['low'])
            ->toBeLessThan(2.5);
    }
})->with(['furnace-gas-1h-1c', 'heat-pump-o-1c-1aux', 'dual-fuel-o-2c-2h', 'boiler-zone-valve-1c']);

it('lists what each load adds, and where a clamp shows it', function (
    string $archetype,
    string $call,
    array $adds,
    ?string $clamp,
    ?float $amps,
): void {
    $checks = array_values(
        array_filter(
            (new LoadChecks(House::example($archetype)))->all(),
            static fn (LoadCheck $c): bool => $c->call === CallName::from($call),
        ),
    );

    expect(array_column($checks[0]->adds, 'load'))
        ->toBe($adds)
        ->and($checks[0]->clamp)
        ->toBe($clamp)
        ->and($checks[0]->amps['nominal'] ?? null)
        ->toBe($amps);
})->with([
    'cooling' => ['furnace-gas-1h-1c', 'cool-1', ['contactor', 'blower relay'], 'A1.near', 0.63],
    'the heating supply has its own conductor' => [
        'boiler-zone-valve-1c',
        'heat-1',
        ['zone valve motor', 'boiler relay'],
        'A5.near',
        0.27,
    ],
    'at rest nothing' => ['furnace-gas-1h-1c', 'idle', [], 'A1.near', 0.18],
]);
