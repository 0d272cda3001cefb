<?php

declare(strict_types=1);

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Traced;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Test\Result;

// Houses of the village, each found with no more tests than a good installer needs, and run again after the repair.
dataset('stories', [
    'one conductor crushed, one call dead' => [
        'furnace-gas-1h-1c',
        ['conductor-open:A4.h1'],
        ['cool-1', 'fan'],
        [],
        6,
    ],
    'the link is not in' => [
        'furnace-gas-1h-1c',
        ['link-missing:plate.link'],
        ['heat-1', 'cool-1'],
        ['thermostat-changed'],
        3,
    ],
    'a shorted contactor sags the supply, no fuse' => [
        'furnace-gas-1h-1c-electronic',
        ['contactor-shorted:contactor'],
        ['cool-1', 'heat-1'],
        [],
        7,
    ],
    'shorted turns clear by ohms, not by current' => [
        'furnace-gas-1h-1c-electronic',
        ['contactor-turns:contactor'],
        ['cool-1', 'heat-1'],
        [],
        10,
    ],
    'outdoor cable shorted, fuse spent' => [
        'heat-pump-o-1c-1aux',
        ['conductor-rubbed:B2~B3'],
        ['cool-1', 'fan'],
        [],
        9,
    ],
    'fan center whose transformer is dead' => ['fan-centre-1h-1c', ['primary-open:T1'], ['cool-1', 'fan'], [], 6],
    'fan center without a line' => ['fan-centre-1h-1c', ['no-line:T1'], ['cool-1', 'fan'], [], 5],
    'rubbed through on the cabinet, one mode only' => [
        'furnace-gas-1h-1c',
        ['conductor-cabinet:B1'],
        ['cool-1', 'heat-1'],
        [],
        8,
    ],
    'common of the strip cracked' => [
        'furnace-gas-1h-1c',
        ['common-cracked:T1.strip-c'],
        ['cool-1', 'heat-1'],
        [],
        9,
    ],
    'blower never stops: thermostat' => ['furnace-gas-1h-1c', ['switch-closed:switch.G'], ['idle'], [], 7],
    'blower never stops: R touches G' => ['furnace-gas-1h-1c', ['conductors-touch:A1~A3'], ['idle'], [], 7],
    'blower never stops: relay' => ['furnace-gas-1h-1c', ['relay-welded'], ['idle'], [], 7],
    'blower never stops: motor' => ['furnace-gas-1h-1c', ['motor-stuck-on'], ['idle'], [], 8],
    'blower never stops: limit' => ['furnace-gas-1h-1c', ['limit-open:limit'], ['idle', 'heat-1'], [], 3],
    'a short of one call' => ['furnace-gas-1h-1c', ['conductors-touch:A4~A5'], ['cool-1', 'heat-1'], [], 7],
    'a short at once' => ['furnace-gas-1h-1c', ['conductors-touch:A1~A5'], ['cool-1', 'heat-1'], [], 7],
    'the common does not arrive' => ['furnace-gas-1h-1c', ['conductor-open:A5.h1'], ['cool-1', 'heat-1'], [], 9],
    'an open switch at full volts' => ['furnace-gas-1h-1c', ['switch-open:switch.Y1'], ['cool-1', 'fan'], [], 11],
    'blank display: the fuse, its cause gone' => [
        'furnace-gas-1h-1c',
        ['fuse-blown:T1.fuse'],
        ['cool-1', 'heat-1'],
        [],
        12,
    ],
    'C on an R screw' => [
        'furnace-gas-1h-1c',
        ['c-on-r:A5.near>wall.Rc'],
        ['cool-1', 'heat-1'],
        ['thermostat-changed'],
        4,
    ],
    'two hots joined by a link' => [
        'furnace-oil-own-transformer-1c',
        ['link-left-in:Rc~Rh'],
        ['cool-1', 'heat-1'],
        ['thermostat-changed'],
        7,
    ],
    'a missing C between two supplies: ghosts and two hots' => [
        'furnace-and-attic-air-handler-1c',
        ['conductor-open:C4.h1'],
        ['cool-1', 'heat-1'],
        [],
        9,
    ],
    'relays at the edge: the tap' => ['furnace-gas-1h-1c', ['tap-low:T1'], ['cool-1', 'heat-1'], [], 14],
    'a shelf bracket\'s screw through the cable' => [
        'dual-fuel-o-2c-2h',
        ['conductors-touch:A1~A2'],
        ['cool-1', 'heat-1', 'fan'],
        ['nail-or-screw', 'fuse-blew-before'],
        9,
    ],
]);

it('finds it, spends no fuse, and runs the calls again', function (
    string $house,
    array $faults,
    array $calls,
    array $history,
    int $most,
): void {
    $traced = Traced::of($house, $faults, $calls, $history);
    $traced->follow();
    expect($traced->found())
        ->toContain(explode('@', $faults[0])[0])
        ->and($traced->tests)
        ->toBeLessThanOrEqual($most)
        ->and(array_sum($traced->trace->state()->spent))
        ->toBe(0);

    $answer = $traced->follow(toTheEnd: true);
    expect($answer->finished)
        ->toBeTrue()
        ->and($answer->open)
        ->toBe([])
        ->and($answer->suspects[0]->id)
        ->toBe('nothing-wrong');
})->with('stories');

it('finds the float switch of a blank display, water in the pan', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $float = new SafetyDevice('float', '', ['R'], false);
    $traced = Traced::of(
        new Plan(
            $plan->installation->withFacts($plan->installation->facts->withSafety([$float])),
            $plan->profile,
            $plan->landing,
        ),
        ['float-open:float'],
        ['cool-1', 'heat-1'],
    );
    $answer = $traced->follow();

    expect($traced->found())->toContain('float-open:float')->and($traced->tests)->toBeLessThanOrEqual(6);
    // The repair is water, not a switch: nothing is exchanged.
    expect($answer->done?->repair?->parts)->toBe([]);
});

it('clears three innocents of what one shorted contactor does: blank, chattering, warm', function (): void {
    $traced = Traced::of('furnace-gas-1h-1c-electronic', ['contactor-shorted:contactor'], ['fan', 'heat-1']);
    $cool = Hands::calling(CallName::Cool1);
    foreach ([['display' => 'resets'], ['blower' => 'chatters'], ['transformer' => 'hot']] as $sees) {
        $traced->trace->found($cool, Probe::see([array_key_first($sees)]), Result::saw($sees));
    }
    $innocents = ['thermostat', 'load:T1', 'tap:T1'];
    $before = $traced->trace->groups();
    expect(array_intersect_key($before, array_flip($innocents)))->toHaveCount(3);
    $answer = $traced->follow();
    expect($traced->found())->toContain('contactor-shorted:contactor');
    foreach ($innocents as $id) {
        expect($traced->trace->groups()[$id] ?? 0.0)->toBeLessThan(0.02);
    }

    // The certain part first; then each odd sign of before is looked at again, and is gone.
    $traced->trace->event(new Event(EventKind::Repaired, what: (string) $answer->done?->group));
    expect(array_keys($traced->trace->answer()->odd))->toContain(1, 2, 3);
});

it('finds a short by adding one conductor at a time: the one that trips the breaker owns it', function (): void {
    $traced = Traced::of(
        'heat-pump-o-1c-1aux',
        ['conductor-rubbed:B2~B4'],
        ['cool-1', 'fan'],
        ['fuse-blew-before'],
    );
    $traced->trace->event(new Event(EventKind::Routine, key: Routine::ShortHunt->value));
    $alone = $tripped = [];
    for ($turn = 0; $turn < 14 && $traced->trace->answer()->done === null; $turn++) {
        $next = $traced->trace->answer()->next[0];
        $traced->does($next);
        $row = $traced->trace->rows()[count($traced->trace->rows()) - 1];
        if ($next->setup?->breakers() !== [] && $next->setup?->things->any(Jumper::class) === true) {
            $alone[] = array_map(
                static fn (Jumper $j): array => $j->names(),
                $next->setup->things->each(Jumper::class),
            );
        }
        if (($row->result->sees['breaker'] ?? '') === 'trips') {
            $tripped[] = array_map(
                static fn (Jumper $j): array => $j->names(),
                $row->setup?->things->each(Jumper::class) ?? [],
            );
        }
    }

    expect($traced->found())
        ->toContain('conductor-rubbed:B2~B4')
        ->and($tripped)
        ->toBe([[['indoor.R', 'indoor.O']]])
        ->and(count($alone))
        ->toBeGreaterThanOrEqual(2)
        ->and(array_unique(array_map(count(...), $alone)))
        ->toBe([1]);
});

it('leaves out the confirming test of one fault alone, not of the next', function (): void {
    $traced = Traced::of(
        'heat-pump-o-2c-2aux-e-relay',
        ['swapped-wall:A2~A9', 'contactor-shorted:contactor'],
        ['cool-1', 'heat-1'],
        ['thermostat-changed'],
    );
    $confirms = [];
    for ($turn = 0; $turn < 60 && ! $traced->trace->answer()->finished; $turn++) {
        $done = $traced->trace->answer()->done;
        if ($done?->confirm !== null && ! isset($confirms[$done->group])) {
            $confirms[$done->group] = true;
            if (count($confirms) === 1) {
                $traced->trace->event(new Event(EventKind::Waived));
                expect($traced->trace->answer()->done?->confirm)->toBeNull();
            }
        }
        $traced->does($traced->trace->answer()->next[0]);
    }
    expect(array_keys($confirms))->toContain('contactor:contactor')->and(count($confirms))->toBeGreaterThan(1);
});

it('finds the batteries of a blank display at the wall, without a step', function (): void {
    $traced = Traced::of('furnace-gas-1h-1c', ['display-dead'], ['cool-1', 'heat-1'], [], 'battery-1h-1c');
    $answer = $traced->follow();

    expect($traced->found())->toContain('display-dead')->and($answer->state->minutes)->toBeLessThan(4.0);
});

it('finds the second fault that waited behind the first, by running the calls again', function (): void {
    $traced = Traced::of(
        'heat-pump-o-2c-2aux-e-relay',
        ['swapped-wall:A2~A9', 'contactor-shorted:contactor'],
        ['cool-1', 'heat-1'],
        ['thermostat-changed'],
    );
    $answer = $traced->follow(60, toTheEnd: true);

    expect(implode(' ', $traced->repairs))
        ->toContain('ends-wall:A2~A9')
        ->toContain('contactor:contactor')
        ->and($answer->finished)
        ->toBeTrue();
});

it('never loses the cause after the fuse has opened', function (string $fault): void {
    $traced = Traced::of('heat-pump-o-1c-1aux', [$fault], ['cool-1', 'fan'], ['fuse-blew-before']);
    for ($turn = 0; $turn < 12 && $traced->trace->answer()->done === null; $turn++) {
        expect($traced->rank($fault))->toBeLessThan(60);
        $traced->does($traced->trace->answer()->next[0]);
    }
    expect($traced->found())->toContain($fault);
})->with(['conductors-touch:A1~A2', 'conductor-rubbed:B2~B4', 'contactor-shorted-dead:contactor']);

it('looks first at what is cheap, where one stands, as one would say it', function (): void {
    $dead = Traced::of('furnace-gas-1h-1c', ['fuse-blown:T1.fuse'], ['cool-1', 'heat-1']);
    $first = $dead->trace->answer()->next[0];
    // Everything dead: R to C at the wall, before a step is taken.
    expect($first->probe?->from?->id)
        ->toStartWith('wall.R')
        ->and($first->probe?->to?->id)
        ->toBe('wall.C')
        ->and($first->handling->steps)
        ->toBe([]);
    $dead->does($first);
    // Nothing there: at the transformer, across the fuse or its two leads.
    $second = $dead->trace->answer()->next[0];
    expect($second->probe?->from?->id)->toStartWith('T1.')->and($second->handling->at->value)->toBe('indoor');
});

it('says which rows nobody explains, and finds it in spite of them', function (): void {
    $right = 0;
    foreach (range(1, 6) as $seed) {
        $traced = Traced::of(
            'furnace-gas-1h-1c',
            ['conductor-open:A4.h1'],
            ['cool-1', 'fan'],
            wrong: 0.1,
            seed: $seed,
        );
        $traced->follow();
        $right += in_array('conductor-open:A4.h1', $traced->found(), true) ? 1 : 0;
    }

    expect($right)->toBeGreaterThanOrEqual(5);
});
