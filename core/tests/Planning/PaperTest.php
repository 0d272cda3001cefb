<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Paper\CallPath;
use Unionbit\Core\Planning\Paper\CallPaths;
use Unionbit\Core\Planning\Paper\ConversionTable;
use Unionbit\Core\Planning\Paper\PathStep;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Tests\Support\House;

// What goes on paper: the way of the current in each call, out and back, and the letters of a conversion.

/**
 * @param  list<PathStep>  $steps
 * @return list<string>
 */
function drawn(array $steps): array
{
    return array_map(static fn (PathStep $s): string => "{$s->kind} {$s->subject}", $steps);
}

it('draws every load that pulls in with a whole way out and back, in every house and call', function (
    string $equipment,
): void {
    $plan = House::example($equipment);
    foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
        $point = $plan->circuit()->operate(Simulation::setups($plan)[$call->value]);
        $in = array_keys(
            array_filter(
                $point->loads,
                static fn (LoadState $state, string $id): bool => $state === LoadState::PulledIn &&
                    $plan->installation->archetype->load($id)?->kind->hasState() === true &&
                    $plan->circuit()->supplyBehind($plan->installation->archetype->load($id)->to) !== null,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $paths = CallPaths::of($plan, $call);
        expect(array_map(static fn (CallPath $p): string => $p->load->id, $paths))->toBe($in, $call->value);
    }
})->with(House::ids('equipment'));

it('shows the way through link, switch, conductors, float and back over the common', function (): void {
    $plan = House::example('heat-pump-o-1c-1aux');
    $float = new SafetyDevice('float', '', ['Y'], false);
    $plan = new Plan(
        $plan->installation->withFacts($plan->installation->facts->withSafety([$float])),
        $plan->profile,
        $plan->landing,
    );
    $paths = [];
    foreach (CallPaths::of($plan, CallName::Aux1) as $path) {
        $paths[$path->load->id] = $path;
    }

    expect(drawn($paths['sequencer-1']->out))
        ->toContain('tie link', 'switch Aux')
        ->and(drawn($paths['outdoor-input']->out))
        ->toContain('float float', 'conductor A3', 'conductor B3')
        ->and(drawn($paths['outdoor-input']->back))
        ->toBe(['screw outdoor.C', 'conductor B2', 'screw indoor.C']);
});

it('draws the coil of a relay that the wiring adds', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $float = new SafetyDevice('float', '', ['Y', 'W'], true);
    $house = $plan->installation->withFacts($plan->installation->facts->withSafety([$float]));
    $added = array_diff(
        array_column($house->loads(), 'id'),
        array_column($plan->installation->archetype->loads, 'id'),
    );
    $paths = CallPaths::of(new Plan($house, $plan->profile, $plan->landing), CallName::Cool1);

    expect($added)
        ->toHaveCount(1)
        ->and(array_map(static fn (CallPath $p): string => $p->load->id, $paths))
        ->toContain(...$added);
});

it('lists a conversion letter by letter, and says what happens to the common', function (): void {
    $rows = array_column(ConversionTable::rows(House::example('communicating-converted-2c')), null, 'letter');
    $without = array_column(
        ConversionTable::rows(House::example('communicating-converted-strips-1c', House::BATTERY)),
        null,
        'letter',
    );

    expect([$rows['Y1']['wall'], $rows['Y1']['indoor'], $rows['Y1']['outdoor']])
        ->toBe(['Y1', 'Y', 'Y1'])
        ->and(said($rows['R']['note']))
        ->toContain('link stays in')
        ->and([$without['C']['wall'], said($without['C']['note'])])
        ->toBe(['', 'the thermostat takes none: cap it, never on Rc'])
        ->and(ConversionTable::rows(House::example('furnace-gas-1h-1c')))
        ->toBe([]);
});
