<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Proving\Steps\ChainSteps;
use Unionbit\Core\Tests\Support\House;

/** What a fault makes a point read: the healthy and the faulted nominal of one pair. */
function readsWith(string $house, string $fault, string $call, string $a, string $b, MeterMode $mode): array
{
    $plan = House::example($house);
    $circuit = $plan->circuit();
    $meter = new Meter($circuit);
    $off = $mode === MeterMode::Ohms;
    $read = static function (?string $id) use ($plan, $circuit, $meter, $call, $a, $b, $mode, $off): ?float {
        $fault = $id === null ? null : House::fault($plan, $id);
        $called = House::called($circuit, CallName::from($call), $fault);

        return $meter->read($mode, $off ? Setup::isolated()->with(...$called->edits) : $called, $a, $b)->nominal;
    };

    return [$read(null), $read($fault)];
}

// Each fault with its place: what a healthy house reads there, and what it reads with the fault.
it('reads every fault at its own place', function (
    string $house,
    string $fault,
    string $call,
    string $a,
    string $b,
    MeterMode $mode,
    array $healthy,
    array $faulted,
): void {
    [$was, $is] = readsWith($house, $fault, $call, $a, $b, $mode);
    $within = static fn (?float $v, array $band): bool => $band === []
        ? $v === null
        : $v !== null && $v >= $band[0] && $v <= $band[1];

    expect($within($was, $healthy))
        ->toBeTrue("healthy {$was}")
        ->and($within($is, $faulted))
        ->toBeTrue("with the fault {$is}");
})->with([
    'common cracked: the strip loses it' => [
        'furnace-gas-1h-1c',
        'common-cracked:T1.strip-c',
        'idle',
        'indoor.R',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [0, 2],
    ],
    'common cracked: the transformer\'s own lead does not' => [
        'furnace-gas-1h-1c',
        'common-cracked:T1.strip-c',
        'idle',
        'indoor.R',
        'T1.return',
        MeterMode::Volts,
        [24, 29],
        [24, 29],
    ],
    'R cracked: behind the fuse it is there' => [
        'furnace-gas-1h-1c',
        'r-cracked:T1.strip-r',
        'idle',
        'T1.fused',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [24, 29],
    ],
    'R cracked: on the screw it is not' => [
        'furnace-gas-1h-1c',
        'r-cracked:T1.strip-r',
        'idle',
        'indoor.R',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [0, 2],
    ],
    'fuse open: before it full volts' => [
        'furnace-gas-1h-1c',
        'fuse-blown:T1.fuse',
        'idle',
        'T1.winding',
        'T1.return',
        MeterMode::Volts,
        [24, 29],
        [24, 29],
    ],
    'fuse open: across it' => [
        'furnace-gas-1h-1c',
        'fuse-blown:T1.fuse',
        'idle',
        'T1.winding',
        'T1.fused',
        MeterMode::Volts,
        [0, 1],
        [20, 29],
    ],
    'high-pressure switch open: across it' => [
        'heat-pump-o-2c-2aux',
        'high-pressure-open:high-pressure',
        'cool-1',
        'outdoor.Y1',
        'outdoor.high',
        MeterMode::Volts,
        [0, 1],
        [20, 29],
    ],
    'low-pressure switch open: after the high one still there' => [
        'heat-pump-o-2c-2aux',
        'low-pressure-open:low-pressure',
        'cool-1',
        'outdoor.high',
        'outdoor.C',
        MeterMode::Volts,
        [24, 29],
        [24, 29],
    ],
    'low-pressure switch open: at the input nothing' => [
        'heat-pump-o-2c-2aux',
        'low-pressure-open:low-pressure',
        'cool-1',
        'outdoor.pressure',
        'outdoor.C',
        MeterMode::Volts,
        [24, 29],
        [0, 2],
    ],
    'rollout open: after the limit still hot' => [
        'furnace-gas-1h-1c',
        'rollout-open:rollout',
        'heat-1',
        'indoor.after-limit',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [24, 29],
    ],
    'rollout open: no further' => [
        'furnace-gas-1h-1c',
        'rollout-open:rollout',
        'heat-1',
        'indoor.limit',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [0, 2],
    ],
    'inducer\'s pressure switch: before the valve, not at it' => [
        'furnace-gas-1h-1c',
        'draught-open:draught',
        'heat-1',
        'indoor.valve',
        'indoor.C',
        MeterMode::Volts,
        [23, 29],
        [0, 2],
    ],
    'line gone' => [
        'furnace-gas-1h-1c',
        'no-line:T1',
        'idle',
        'T1.line',
        'T1.neutral',
        MeterMode::Volts,
        [115, 125],
        [0, 1],
    ],
    'door switch open: before it' => [
        'furnace-gas-1h-1c',
        'door-open:T1',
        'idle',
        'T1.supply',
        'T1.neutral',
        MeterMode::Volts,
        [115, 125],
        [115, 125],
    ],
    'door switch open: behind it' => [
        'furnace-gas-1h-1c',
        'door-open:T1',
        'idle',
        'T1.line',
        'T1.neutral',
        MeterMode::Volts,
        [115, 125],
        [0, 1],
    ],
    'primary open: ohms' => [
        'furnace-gas-1h-1c',
        'primary-open:T1',
        'idle',
        'T1.line',
        'T1.neutral',
        MeterMode::Ohms,
        [10, 30],
        [],
    ],
    'contactor welded: ohms of its line contacts' => [
        'furnace-gas-1h-1c',
        'contactor-welded',
        'idle',
        'outdoor.contactor-line',
        'outdoor.contactor-load',
        MeterMode::Ohms,
        [],
        [0, 1],
    ],
    'blower relay welded' => [
        'furnace-gas-1h-1c',
        'relay-welded',
        'idle',
        'indoor.blower-relay-line',
        'indoor.blower-relay-load',
        MeterMode::Ohms,
        [],
        [0, 1],
    ],
    'sequencer welded' => [
        'air-handler-electric-1h-1c',
        'sequencer-welded',
        'idle',
        'indoor.sequencer-1-line',
        'indoor.sequencer-1-load',
        MeterMode::Ohms,
        [],
        [0, 1],
    ],
    'loose screw at the board' => [
        'furnace-gas-1h-1c',
        'loose-screw-board:A4.far.joint',
        'cool-1',
        'A4.far',
        'indoor.Y',
        MeterMode::Volts,
        [0, 0.2],
        [5, 20],
    ],
    'screw on insulation outdoors' => [
        'furnace-gas-1h-1c',
        'screw-on-insulation-outdoor:B1.far.joint',
        'cool-1',
        'outdoor.Y',
        'outdoor.C',
        MeterMode::Volts,
        [24, 29],
        [0, 2],
    ],
    'a burnt contact' => [
        'furnace-gas-1h-1c',
        'contact-resistive:valve-contact',
        'heat-1',
        'indoor.limit',
        'indoor.lit',
        MeterMode::Volts,
        [0, 0.2],
        [4, 12],
    ],
    'spare primaries joined' => [
        'furnace-gas-1h-1c',
        'spare-primaries-joined:T1',
        'idle',
        'indoor.R',
        'indoor.C',
        MeterMode::Volts,
        [24, 29],
        [12, 15],
    ],
]);

it('opens the fuse at the step of the sequence that puts a lead on the metal, and not before', function (): void {
    $plan = House::example('heat-pump-o-2c-2aux', 'battery-2h-1c-heat-pump');
    $circuit = $plan->circuit();
    $blows = static function (string $fault, string $call) use ($plan, $circuit): bool {
        $known = House::fault($plan, $fault);
        $bonded = new Unionbit\Core\Circuit\Circuit(
            $plan->installation->withFacts($plan->installation->facts->wired(true, null, 'unknown')),
            $plan->profile,
            $plan->landing,
        );

        return $bonded->operate(House::called($circuit, CallName::from($call), $known))->openFuses !== [];
    };

    // Y stands there from the call on; the contactor's lead only once the outdoor board has closed its contact.
    expect($blows('lead-on-metal:outdoor.pressure', 'idle'))
        ->toBeFalse()
        ->and($blows('lead-on-metal:outdoor.pressure', 'cool-1'))
        ->toBeTrue()
        ->and($blows('lead-on-metal:outdoor.coil', 'cool-1'))
        ->toBeTrue()
        ->and($blows('lead-on-metal:outdoor.coil', 'fan'))
        ->toBeFalse();
});

it('shows of every fault of the catalogue either a changed circuit or something that is seen', function (): void {
    $nothing = [];
    foreach (['furnace-gas-2h-2c', 'heat-pump-o-2c-2aux', 'boiler-zone-valve-1c', 'fan-centre-1h-1c'] as $house) {
        $plan = House::example($house);
        foreach (House::faults()->of($plan->circuit()) as $fault) {
            if (
                $fault->edits === [] &&
                $fault->forces === [] &&
                $fault->blocks === [] &&
                $fault->settings === [] &&
                ! $fault->noCalls &&
                ! $fault->fanTurned
            ) {
                $nothing[] = "{$house} {$fault->id}";
            }
        }
    }

    expect($nothing)->toBe([]);
});

it('holds a larger fuse longer, and shuts what a closed cock shuts', function (): void {
    $plan = House::example('furnace-gas-1h-1c', 'battery-1h-1c');
    $circuit = $plan->circuit();
    $large = House::fault($plan, 'fuse-oversized:T1');
    $weak = Setup::calling()->with(new Touching(At::read('indoor.R'), At::read('indoor.C'), 3.0));
    expect($circuit->operate($weak)->openFuses)
        ->toBe(['T1'])
        ->and($circuit->operate($weak->with(...$large->edits))->openFuses)
        ->toBe([]);

    $cock = House::fault($plan, 'gas-cock-closed');
    $heat = House::called($circuit, CallName::Heat1, $cock);
    expect(Observables::of($circuit, $circuit->operate($heat), $cock)['burner'])->toBeFalse();
});

it('forces the blower on an open limit only where a board does it', function (string $house, bool $runs): void {
    $plan = House::example($house);
    $fault = House::fault($plan, 'limit-open:limit');
    $point = $plan->circuit()->operate(House::called($plan->circuit(), CallName::Heat1, $fault));

    expect(Observables::of($plan->circuit(), $point, $fault)['blower'] ?? false)->toBe($runs);
})->with([['furnace-gas-1h-1c', true], ['fan-centre-1h-1c', false], ['gas-valve-1h', false]]);

it('does not put volts on line contacts, and says which legs they open', function (
    ?string $legs,
    string $says,
): void {
    $plan = House::example('furnace-gas-1h-1c');
    $house = SurveyFile::read(
        Interview::put(SurveyFile::write($plan->installation), 'legs', $legs),
        $plan->installation->archetype,
    );
    $meter = new Meter(new Circuit($house, $plan->profile, $plan->landing));
    $contact = $meter->volts(Setup::calling('Y1'), 'outdoor.contactor-line', 'outdoor.contactor-load');
    $inside = $meter->volts(Setup::calling('Y1'), 'indoor.blower-relay-line', 'indoor.blower-relay-load');

    expect(said($contact->refused))
        ->toContain($says)
        ->and(said($inside->refused))
        ->toContain('ohms with the power off');
})->with([[null, 'may stay live'], ['one', 'A leg of the line stays live'], ['all', 'ohms with the power off']]);

it('says the caution at line leads', function (): void {
    $meter = new Meter(House::example('furnace-gas-1h-1c')->circuit());
    $line = $meter->volts(Setup::calling(), 'T1.line', 'T1.neutral');
    $across = $meter->volts(Setup::calling(), 'T1.line', 'indoor.C');

    expect(said($across->refused))
        ->toContain('Line voltage')
        ->and(array_map(said(...), $line->notes)[0])
        ->toContain('insulated probes');
});

// Conductors touch in every cable of the house, and are rubbed through outdoors only in one that goes there.
it('pairs the conductors of each cable', function (string $house, string $entry, array $cables): void {
    $plan = House::example($house);
    $parts = [];
    foreach (House::faults()->of($plan->circuit()) as $fault) {
        foreach ($fault->entry === $entry ? $fault->parts : [] as $pair) {
            $parts[$pair[0]] = true;
        }
    }

    expect(array_keys($parts))->toBe($cables);
})->with([
    ['furnace-gas-1h-1c', 'conductors-touch', ['A']],
    ['furnace-gas-1h-1c', 'conductor-rubbed', ['B']],
    ['zone-panel-gas-1h-1c', 'conductors-touch', ['A', 'C']],
    ['furnace-and-attic-air-handler-1c', 'conductors-touch', ['A', 'C']],
]);

it('says a point by what its place is called in this house', function (array $places, string $said): void {
    $plan = House::example('furnace-and-attic-air-handler-1c');
    $house = $plan->installation;
    $named = new Installation($house->archetype, $house->facts, $house->cables, places: $places);
    $circuit = new Circuit($named, $plan->profile, $plan->landing);

    expect(said($circuit->point('indoor-2.Y')->phrase()))->toBe($said);
})->with([
    [[], 'Y at the second indoor unit'],
    [['indoor-2' => 'attic air handler'], 'Y at the attic air handler'],
]);

it('reads each supply along its chain', function (): void {
    $plan = House::example('furnace-and-attic-air-handler-1c');
    $step = (new ChainSteps($plan, new Waits($plan->installation), AskedHouse::of($plan->circuit())))->supply();
    $from = array_map(static fn (Measure $p): string => $p->a, $step->probes);

    expect($from)->toContain('T1.winding', 'T1.fused', 'T2.winding', 'T2.fused');
});

it('knows the faults of every house that a transformer at the wall feeds', function (string $thermostat): void {
    $profile = House::profile($thermostat);
    foreach (House::ids('equipment') as $id) {
        $house = House::example($id)->installation;
        $landing = LetterToLetter::landing($house, $profile)->withPlugIn();
        $circuit = (new Plan($house, $profile, $landing))->circuit();
        $faults = House::faults()->of($circuit);
        $at = array_filter($faults, static fn (Fault $f): bool => str_contains($f->id, ':plug-in'));
        $plugged = isset($circuit->netlist(Setup::calling())->elements['plug-in']);
        expect([$id, $at !== [], count($faults) > 20])->toBe([$id, $plugged, true]);
    }
})->with(array_map(static fn (string $id): array => [$id], House::ids('thermostats')));
