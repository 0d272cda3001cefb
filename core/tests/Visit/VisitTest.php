<?php

declare(strict_types=1);

use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Terminal\TradeWords;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Visit\AsLeft;
use Unionbit\Core\Visit\Carry;
use Unionbit\Core\Visit\DayPlan;
use Unionbit\Core\Visit\DayVisit;
use Unionbit\Core\Visit\Workload;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;

it('counts what is left to do, with the delays of this equipment', function (): void {
    $plan = House::plan();
    $keys = array_map(
        static fn ($s): string => $s->key(),
        array_filter(
            (new Steps($plan))->all(),
            static fn ($s): bool => $s->method->isMain() ||
                $s->method->isRequired() ||
                $s->method->isAtAnyPower() ||
                $s->method === Method::PreCheck,
        ),
    );
    $all = Workload::of($plan->installation, $plan, 0, 5, 3, [], true);
    $half = Workload::of($plan->installation, $plan, 0, 0, 0, array_slice($keys, 0, 3), true);
    $done = Workload::of($plan->installation, $plan, 0, 0, 0, $keys, true);

    // Without its proofs a visit is moves, settings and the handover; the proofs' own minutes are walked by hand in
    // the route's test.
    expect(
        $all->minutes() -
            array_sum(
                array_map(
                    static fn ($t): int => str_ends_with(said($t->label), 'proofs') ? $t->minutes + $t->wait : 0,
                    $all->tasks,
                ),
            ),
    )
        ->toBe(5 * 2 + 3 + 10)
        ->and($half->minutes())
        ->toBeLessThan($all->minutes())
        ->and($done->tasks)
        ->toHaveCount(1)
        ->and($done->waits())
        ->toBe(0)
        ->and($done->minutes())
        ->toBe(10);
});

it('needs two people only while a pairing is to be traced', function (string $evidence, bool $two): void {
    expect(
        Workload::of(House::survey([1 => ['evidence' => $evidence]]), null, 0, 0, 0, [], true)->firstForTwo() !==
            null,
    )->toBe($two);
})->with([['traced', false], ['seen', false], ['colour', true], ['unknown', true]]);

it('takes longer on a house that nobody has seen, and for a heat pump', function (): void {
    $seen = Workload::of(House::survey(), null, 0, 0, 0, [], false)->minutes();
    $unseen = Workload::of(
        SurveyFile::read(
            ['cables' => [['id' => 'A', 'from' => 'wall', 'to' => 'indoor', 'feet' => 40]]],
            House::archetype(),
        ),
        null,
        9,
        0,
        0,
        [],
        false,
    )->minutes();

    expect($unseen)
        ->toBeGreaterThan($seen)
        ->and(
            Workload::of(House::example('heat-pump-o-2c-2aux')->installation, null, 0, 0, 0, [], false)->minutes(),
        )
        ->toBeGreaterThan($seen);
});

it('warns of what will not fit into the day, and why', function (array $visits, array $says): void {
    $visits = array_map(static fn (array $v): DayVisit => new DayVisit(...$v), $visits);

    expect(array_column(DayPlan::warnings($visits, ['Wren', 'Sedge']), 'text'))->toBe($says);
})->with([
    'fits' => [[['1', 'Tollhouse', 'Wren', 480, 90, 20, null], ['2', 'Quay House', 'Wren', 600, 90, 0, null]], []],
    'overlap' => [
        [['1', 'Tollhouse', 'Wren', 480, 150, 0, null], ['2', 'Quay House', 'Wren', 600, 60, 0, null]],
        ['Tollhouse takes 150 min, until 10:30, and Quay House begins at 10:00: 30 min too long.'],
    ],
    'another person\'s visit is no overlap' => [
        [['1', 'Tollhouse', 'Wren', 480, 150, 0, null], ['2', 'Quay House', 'Sedge', 600, 60, 0, null]],
        [],
    ],
    'only the delays do not fit' => [
        [['1', 'Tollhouse', 'Wren', 480, 140, 25, null], ['2', 'Quay House', 'Wren', 600, 60, 0, null]],
        [
            'Tollhouse takes 140 min, until 10:20, and Quay House begins at 10:00: 20 min too long. '.
            "Without its delays of 25 min it would fit: only the compressor's minutes do not.",
        ],
    ],
    'past the end of the day' => [
        [['1', 'Tollhouse', 'Wren', 960, 75, 0, null]],
        ['Tollhouse takes 75 min, until 17:15, and the day ends at 17:00: 15 min too long.'],
    ],
    'two people, one busy elsewhere' => [
        [
            ['1', 'Tollhouse', 'Wren', 480, 60, 0, 'Trace 3 conductors'],
            ['2', 'Quay House', 'Sedge', 500, 60, 0, null],
        ],
        [
            'Tollhouse: Trace 3 conductors takes a person at each end, and Sedge is at Quay House from 08:20 to 09:20.',
        ],
    ],
    'two people, the other one free' => [
        [
            ['1', 'Tollhouse', 'Wren', 480, 60, 0, 'Trace 3 conductors'],
            ['2', 'Quay House', 'Sedge', 540, 60, 0, null],
        ],
        [],
    ],
    'given out of order' => [
        [['2', 'Quay House', 'Wren', 600, 60, 0, null], ['1', 'Tollhouse', 'Wren', 480, 150, 0, null]],
        ['Tollhouse takes 150 min, until 10:30, and Quay House begins at 10:00: 30 min too long.'],
    ],
]);

it('carries what the house and the plan ask for', function (Plan $plan, array $items): void {
    expect(array_column(Carry::of($plan->installation, $plan), 'item'))->toContain(...$items);
})->with([
    'the fuse the board calls for' => fn (): array => [
        House::plan(),
        ['Blade fuse, 3 A', 'Test breaker, 3 A', 'Low-current clamp'],
    ],
    'batteries' => fn (): array => [House::plan(House::BATTERY), ['Set of batteries', 'Wire caps, small']],
    'a receiver' => fn (): array => [
        House::example('furnace-gas-1h-1c', 'radio-pair-receiver'),
        ['Receiver for the equipment, short leads'],
    ],
]);

it('leaves the next visit what this one landed, and a sister only what is to be confirmed', function (): void {
    $plan = House::plan(House::BATTERY, edit: static fn ($landing) => $landing->onBoard('A5', End::landed('C')));
    $left = AsLeft::landed($plan);
    $sister = AsLeft::sister($left);

    expect($left->wallCable()?->conductor(5)?->near->label())
        ->toBe('capped')
        ->and($left->wallCable()?->conductor(1)?->near->terminal)
        ->toBe($plan->landing->wall['A1']->terminal)
        ->and($left->facts->oldPower)
        ->toBe('battery')
        ->and(array_map(static fn ($c): Evidence => $c->evidence, $sister->wallCable()->conductors ?? []))
        ->each->not->toBe(Evidence::Traced)
        ->and($sister->facts->lineVolts)
        ->toBeNull()
        ->and(array_map(static fn ($c): string => said($c->name()), $sister->wallCable()->conductors ?? []))
        ->toBe(array_map(static fn ($c): string => said($c->name()), $left->wallCable()->conductors ?? []));
});

it('finds a thing by any of its names', function (string $asked, string $text, bool $found): void {
    expect(TradeWords::matches($asked, $text))->toBe($found);
})->with([
    ['', 'anything', true],
    ['tollhouse', 'Tollhouse heat pump', true],
    ['toll strips', 'Tollhouse, auxiliary heat', true],
    ['hp', 'Tollhouse heat pump', true],
    ['hp', 'Shop on the quay', false],
    ['gray', '4 grey, traced', true],
    ['com', 'terminal C, common', true],
    ['com', 'communicating system', false],
    ['condenser', 'cooling 1 stage', true],
    ['no cool', 'fault call', true],
    ['hybrid two stage', 'Dual fuel 2 stage', true],
    ['heat pump boiler', 'Tollhouse heat pump', false],
    ['a/c', 'furnace and cooling', true],
    ['TOLL  house', 'the toll house', true],
]);

it('loads a tool once for the whole day and a part for each house', function (): void {
    $shared = [];
    foreach (Carry::of(House::survey(), null) as ['item' => $item, 'shared' => $is]) {
        $shared[said($item)] = $is;
    }

    expect(array_keys(array_filter($shared)))
        ->toBe(['Meter with lead clips', 'Jumpers, bare wire', 'Test breaker, 3 A', 'Low-current clamp'])
        ->and($shared['Blade fuse, 3 A'])
        ->toBeFalse();
});
