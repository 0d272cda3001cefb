<?php

declare(strict_types=1);

use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Coverage\Coverage;
use Unionbit\Core\Proving\Coverage\Gap;
use Unionbit\Core\Proving\Coverage\Item;
use Unionbit\Core\Proving\Coverage\Ledger;
use Unionbit\Core\Proving\Coverage\Witness;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;

// What a proof is worth: a green tick is a claim, and every fault that would have left it green is counted against it.

const STUCK = [
    'relay-welded',
    'motor-stuck-on',
    'sequencer-welded',
    'contactor-welded',
    'switch-closed',
    'float-stuck',
    'load-shed-welded',
    'valve-stuck',
    'relay-contacts-open',
];

/** An example house with an overflow switch in its first call, and a load-shedding relay where it cools. */
function switched(string $equipment): Plan
{
    $plan = House::example($equipment);
    $archetype = $plan->installation->archetype;
    $board = array_values(array_filter($archetype->terminals, static fn ($t): bool => $t->name->isCall()))[0];
    $devices = array_filter([
        new SafetyDevice('float', '', [$board->printed], false, $board->place),
        SafetyDevice::shedding($archetype),
    ]);

    return new Plan(
        $plan->installation->withFacts($plan->installation->facts->withSafety(array_values($devices))),
        $plan->profile,
        $plan->landing,
    );
}

/**
 * @param  list<string>  $ran
 * @return array{Ledger, array<string, list<string>>}
 */
function ledger(Plan $plan, array $ran = []): array
{
    $ledger = new Ledger($plan, House::faults(), (new Steps($plan))->all());
    $shown = [];
    foreach ($ledger->pieces($ran) as $piece) {
        $shown += $ledger->work($piece, $shown);
    }

    return [$ledger, $shown];
}

/** @return list<string> items of the steps with one of these methods */
function itemsOf(Plan $plan, Ledger $ledger, Method ...$methods): array
{
    $keys = array_map(
        static fn (Step $s): string => $s->key(),
        array_filter((new Steps($plan))->all(), static fn (Step $s): bool => in_array($s->method, $methods, true)),
    );

    $clamped = in_array(Method::Voltage, $methods, true);

    return array_column(
        array_filter(
            $ledger->items(),
            static fn (Item $i): bool => in_array($i->step, $keys, true) || ($clamped && $i->call !== null),
        ),
        'key',
    );
}

it('lets no welded or stuck part pass every required proof, in any house', function (string $equipment): void {
    $plan = switched($equipment);
    $faults = array_values(
        array_filter(
            House::faults()->of($plan->circuit()),
            static fn (Fault $f): bool => in_array($f->entry, STUCK, true),
        ),
    );
    $witness = new Witness($plan);
    $shown = [];
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->method->isRequired() ? $witness->of($step, $faults) : [] as $ids) {
            array_push($shown, ...$ids);
        }
    }
    $missed = array_filter(
        $faults,
        static fn (Fault $f): bool => ! in_array($f->id, $shown, true) && ! $witness->changesNothing($f),
    );

    expect($faults)->not->toBe([])->and(array_map(static fn (Fault $f): string => $f->id, $missed))->toBe([]);
})->with(House::ids('equipment'));

it('shows at rest and in the drop-off what no call by itself shows', function (): void {
    $plan = House::example('heat-pump-o-1c-1aux');
    [, $shown] = ledger($plan);
    $calls = array_filter(
        $shown,
        static fn (string $item): bool => str_contains($item, '.voltage/') &&
            ! str_ends_with($item, '/drop-off') &&
            ! str_starts_with($item, 'fan.'),
        ARRAY_FILTER_USE_KEY,
    );
    $rest = $shown['idle.at-rest/still-indoor'];
    $leak = 'leakage-holds:O/B';

    expect(array_filter($rest, static fn (string $id): bool => str_starts_with($id, 'relay-welded')))
        ->not->toBe([])
        ->and(array_merge([], ...array_values($calls)))
        ->not->toContain('motor-stuck-on')
        ->and($rest)
        ->toContain('motor-stuck-on')
        ->and($shown['cool-1.voltage/drop-off'])
        ->toContain('motor-stuck-on', 'leakage-holds:Y1')
        ->and(array_merge([], ...array_values($calls)))
        ->not->toContain($leak)
        ->and($shown['idle.at-rest/indoor.O~indoor.C'])
        ->toContain($leak);
});

it('reaches 95 % by calls, rest, ohms before power and looks, and says what is left', function (
    string $equipment,
): void {
    $plan = House::example($equipment);
    [$ledger, $shown] = ledger($plan);
    $of = static fn (array $items): Coverage => $ledger->coverage($shown, $items);
    $voltage = $of(itemsOf($plan, $ledger, Method::Voltage));
    $rest = $of(itemsOf($plan, $ledger, Method::Voltage, Method::AtRest));
    $before = $of(itemsOf($plan, $ledger, Method::Voltage, Method::AtRest, Method::PreCheck));
    $looked = $of(itemsOf($plan, $ledger, Method::Voltage, Method::AtRest, Method::PreCheck, Method::Looks));
    $all = $of(array_map(static fn (Item $i): string => $i->key, $ledger->items()));

    expect([$voltage->share < $rest->share, $rest->share < $before->share, $before->share < $looked->share])
        ->toBe([true, true, true])
        ->and($looked->share)
        ->toBeGreaterThan(0.95)
        ->and($all->share)
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($all->gaps)
        ->toBe([])
        ->and(array_sum(array_map(static fn (Gap $g): float => $g->share, $looked->gaps)))
        ->toEqualWithDelta(1.0 - $looked->share, 1e-9);
    foreach ($before->gaps as $gap) {
        expect($gap->cheapest)->not->toBeNull($gap->faults[0]->id);
    }
})->with(['furnace-gas-1h-1c', 'heat-pump-o-1c-1aux', 'air-handler-electric-2h-1c', 'boiler-zone-valve-1c']);

it(
    'weighs a kind of fault as one, however many places it can befall, and counts what changes nothing for none',
    function (): void {
        $plan = House::example('furnace-gas-1h-1c');
        [$ledger, $shown] = ledger($plan);
        $touching = array_filter($ledger->faults, static fn (Fault $f): bool => $f->entry === 'wet-splice');
        $one = array_values($touching)[0]->id;
        $fewer = array_values(
            array_filter(
                $ledger->faults,
                static fn (Fault $f): bool => $f->entry !== 'wet-splice' || $f->id === $one,
            ),
        );
        $worth = static fn (array $faults): Coverage => Coverage::of(
            $faults,
            $shown,
            $ledger->items(),
            [],
            [],
            static fn (): bool => false,
        );
        $share = static fn (Coverage $c): float => array_column(
            array_map(static fn (Gap $g): array => [$g->faults[0]->entry, $g->share], $c->gaps),
            1,
            0,
        )['wet-splice'];
        $listed = array_map(static fn (Fault $f): string => $f->id, $ledger->coverage($shown, [])->never);

        expect(count($touching))
            ->toBeGreaterThan(5)
            ->and($share($worth($ledger->faults)))
            ->toEqualWithDelta($share($worth($fewer)), 1e-9)
            // Nothing lands on Y2 of this plate: its switch is no fault of this house.
            ->and(array_filter($ledger->faults, static fn (Fault $f): bool => $f->id === 'switch-closed:switch.Y2'))
            ->toHaveCount(1)
            ->and($listed)
            ->not->toContain('switch-closed:switch.Y2');
    },
);

$edge = function (string $equipment): void {
    $plan = House::example($equipment);
    $witness = new Witness($plan);
    $faults = House::faults()->of($plan->circuit());
    $needed = $all = [];
    $optional = 0;
    foreach ((new Steps($plan))->all() as $step) {
        if (! $step->method->isRequired()) {
            continue;
        }
        $nearer = array_map(
            static fn (Measure $p): string => Item::ofStep($step->key(), $p->key()),
            array_values(array_filter($step->probes, static fn (Measure $p): bool => $p->optional)),
        );
        $optional += count($nearer);
        foreach ($witness->of($step, $faults) as $item => $ids) {
            array_push($all, ...$ids);
            in_array($item, $nearer, true) ?: array_push($needed, ...$ids);
        }
    }

    // In two houses one faint fault, at the edge of the meter's error, shows in a nearer reading alone.
    expect($optional)->toBeGreaterThan(0)->and(count(array_diff(array_unique($all), $needed)))->toBeLessThan(2);
};

$third = static fn (int $n): bool => $n % 3 === 0;

it('needs no reading that only says where a fault is, but one at the edge', $edge)->with(
    array_values(array_filter(House::ids('equipment'), $third, ARRAY_FILTER_USE_KEY)),
);

it('needs none in the other houses', $edge)->with(House::ids('equipment'))->group('nightly');
