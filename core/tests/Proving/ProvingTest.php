<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Coverage\Parting;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Judge\Pattern;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Verdict;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Proving\Steps\SupportingSteps;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;

function judged(string $step, string $a, string $b, ?float $value, int $left = 0): Verdict
{
    $plan = House::plan();
    $hands = (new Steps($plan))->find($step)->hands ?? throw new LogicException("no step {$step}");
    $house = AskedHouse::of($plan->circuit());

    return (new Judge($house))->reading($house->expects($hands, MeterMode::Volts, $a, $b), $hands, $value, $left);
}

/**
 * What a person would record in a step of a house with a fault.
 *
 * @param  list<string>  $open  supplies whose fuse has opened before
 */
function seenWith(Plan $plan, Fault $fault, Step $step, array $open = []): StepEvidence
{
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit)->with($fault, OpenFuses::of(...$open));
    $point = $circuit->operate($house->setup($step->hands));
    $runs = Observables::of($circuit, $point, $fault);
    $rest = $circuit->operateFrom($house->setup(Hands::calling()), $point->pulledIn());
    $signs = $readings = [];
    foreach ($step->signs as $sign) {
        $of = $sign->key === Sign::DROP_OFF ? Observables::of($circuit, $rest, $fault) : $runs;
        $any = array_any($sign->watched(), static fn (string $name): bool => $of[$name] ?? false);
        $signs[$sign->key] = $sign->still ? ! $any : $any;
    }
    foreach ($step->probes as $probe) {
        $read = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
        $readings[] = new MeterReading(
            $probe->mode,
            $probe->a,
            $probe->b,
            $read->nominal ?? ($read->floating ? 8.0 : null),
        );
    }

    return new StepEvidence($step, $signs, $readings);
}

it('has each call by jumper and by voltage, fan first', function (): void {
    expect(array_map(static fn (Step $s): string => $s->key(), (new Steps(House::plan()))->all()))->toBe([
        'idle.pre-check',
        'idle.at-rest',
        'idle.chain',
        'idle.looks',
        'idle.cable',
        'fan.jumper',
        'fan.board-jumper',
        'fan.voltage',
        'cool-1.jumper',
        'cool-1.board-jumper',
        'cool-1.voltage',
        'heat-1.jumper',
        'heat-1.board-jumper',
        'heat-1.voltage',
        'heat-1.chain',
    ]);
});

it('sets the call up so that its loads pull in', function (string $profile): void {
    $plan = House::plan($profile);
    $nothingSetUp = [Method::Voltage, Method::Chain, Method::AtRest, Method::Looks];
    foreach (array_filter((new Steps($plan))->all(), static fn (Step $s): bool => ! $s->staysDead) as $step) {
        expect(AskedHouse::of($plan->circuit())->state($step->hands)->pulledIn())->toEqualCanonicalizing(
            $plan->installation->archetype->needs[$step->call->value],
            $step->key(),
        );
        expect($step->setUpIsolated)
            ->toBe(! in_array($step->method, $nothingSetUp, true))
            ->and($step->restore === [])
            ->toBe(in_array($step->method, $nothingSetUp, true));
    }
})->with([House::C_POWERED, House::BATTERY]);

it('expects the reading of every probe within its own band', function (): void {
    $plan = House::plan();
    foreach ((new Steps($plan))->all() as $step) {
        foreach ($step->probes as $probe) {
            $expected = AskedHouse::of($plan->circuit())->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            expect($expected->high - $expected->low)
                ->toBeLessThan(
                    $probe->mode === MeterMode::Ohms
                        ? 0.5 * $expected->nominal + 1.5
                        : max(8.0, 0.11 * $expected->nominal),
                    $probe->key(),
                )
                ->and($expected->contains((float) $expected->nominal))
                ->toBeTrue();
        }
    }
});

it('fails 24 V from R to Y with cooling called: the switch is open, not a call', function (): void {
    $verdict = judged('cool-1.voltage', 'wall.Rc', 'wall.Y1', 24.0);

    expect($verdict->outcome)
        ->toBe(Outcome::Fail)
        ->and($verdict->reason)
        ->toContain(
            '24.0 V where',
            'the thermostat\'s Y1 switch is open',
            'full voltage is across the Y1 switch, which is open: the way around is the idle contactor',
        );
});

it('judges', function (
    string $step,
    string $a,
    string $b,
    float $value,
    int $left,
    Outcome $outcome,
    string $says,
): void {
    $verdict = judged($step, $a, $b, $value, $left);

    expect($verdict->outcome)
        ->toBe($outcome)
        ->and(said($verdict->reason).' '.joined('; ', $verdict->candidates))
        ->toContain($says);
})->with([
    'in band' => ['cool-1.voltage', 'indoor.Y', 'indoor.C', 25.6, 0, Outcome::Pass, 'closed Y1 switch'],
    'in band early is a pass' => [
        'cool-1.voltage',
        'indoor.Y',
        'indoor.C',
        25.6,
        120,
        Outcome::Pass,
        'closed Y1 switch',
    ],
    'too early' => ['cool-1.voltage', 'indoor.Y', 'indoor.C', 0.0, 130, Outcome::TooEarly, '2:10 to go'],
    'nothing at the board' => ['cool-1.voltage', 'indoor.Y', 'indoor.C', 0.0, 0, Outcome::Fail, '3 yellow is open'],
    'nothing at the board, other causes' => [
        'cool-1.voltage',
        'indoor.Y',
        'indoor.C',
        0.0,
        0,
        Outcome::Fail,
        'the 3 A fuse is open',
    ],
    'sagging' => ['cool-1.voltage', 'indoor.Y', 'indoor.C', 14.0, 0, Outcome::Fail, 'No single change'],
    'lost outdoors' => ['cool-1.jumper', 'outdoor.Y', 'outdoor.C', 0.1, 0, Outcome::Fail, 'outdoor 1 red is open'],
    'no heat at the board by jumper' => [
        'heat-1.jumper',
        'indoor.W',
        'indoor.C',
        0.0,
        0,
        Outcome::Fail,
        '2 white is open',
    ],
]);

it('is neutral about a ghost and fails a point that is fed', function (): void {
    $plan = House::plan(edit: static fn ($l) => $l->onWall('A4', End::free()));
    $house = AskedHouse::of($plan->circuit());
    $hands = Hands::calling();
    $floating = $house->expects($hands, MeterMode::Volts, 'wall.G', 'wall.C');
    $judge = new Judge($house);

    expect($judge->reading($floating, $hands, 7.0)->outcome)
        ->toBe(Outcome::Neutral)
        ->and($judge->reading($floating, $hands, 25.0)->outcome)
        ->toBe(Outcome::Fail);
});

it('judges ohms and refuses them live', function (): void {
    $plan = House::plan();
    $house = AskedHouse::of($plan->circuit());
    $judge = new Judge($house);
    $off = Hands::dead();
    $branch = $house->expects($off, MeterMode::Ohms, 'wall.Y1', 'wall.C');

    expect($judge->reading($branch, $off, 14.2)->outcome)
        ->toBe(Outcome::Pass)
        ->and($judge->reading($branch, $off, null)->outcome)
        ->toBe(Outcome::Fail)
        ->and(
            $judge->reading(
                $house->expects(Hands::calling(), MeterMode::Ohms, 'wall.Y1', 'wall.C'),
                Hands::calling(),
                14.2,
            )->outcome,
        )
        ->toBe(Outcome::Neutral);
});

it('knows what a running delay still holds back', function (string $step, array $in): void {
    $plan = House::plan();
    $waiting = (new Steps($plan))->find($step)->waiting ?? throw new LogicException("no step {$step}");

    expect(AskedHouse::of($plan->circuit())->state($waiting)->pulledIn())->toEqualCanonicalizing($in);
})->with([
    'the thermostat holds the compressor back' => ['cool-1.voltage', ['blower-relay']],
    'a jumper does not: the person waits' => ['cool-1.jumper', ['blower-relay', 'contactor']],
    'the ignition control has not opened the valve' => ['heat-1.voltage', ['ignition']],
    'nothing waits for the fan' => ['fan.voltage', ['blower-relay']],
]);

it('waits for what really delays', function (
    string $archetype,
    string $step,
    int $seconds,
    string $reason,
    array $held,
): void {
    $plan = House::example($archetype);
    $found = (new Steps($plan))->find($step) ?? throw new LogicException("no step {$step}");

    expect($found->wait->seconds)
        ->toBe($seconds)
        ->and($found->wait->reason)
        ->toContain($reason)
        ->and(array_intersect($held, AskedHouse::of($plan->circuit())->state($found->waiting)->pulledIn()))
        ->toBe([])
        ->and(array_diff($held, AskedHouse::of($plan->circuit())->state($found->hands)->pulledIn()))
        ->toBe([]);
})->with([
    'heat pump heating: minimum off, then the board' => [
        'heat-pump-o-1c-1aux',
        'heat-1.voltage',
        480,
        'outdoor board',
        ['outdoor-input', 'contactor'],
    ],
    'by jumper only the board' => ['heat-pump-o-1c-1aux', 'heat-1.jumper', 180, 'outdoor board', ['contactor']],
    'a plain unit by jumper: only the person' => [
        'air-handler-cool-1c',
        'cool-1.jumper',
        300,
        'only you protect',
        [],
    ],
    'emergency: the sequencer' => ['heat-pump-o-1c-1aux', 'emergency.voltage', 30, 'sequencer', []],
    'furnace behind a heat pump: ignition' => [
        'dual-fuel-o-1c-1h',
        'furnace-1.voltage',
        60,
        'Ignition',
        ['gas-valve'],
    ],
    'zone valve' => ['boiler-zone-valve-1c', 'heat-1.voltage', 60, 'end switch', ['boiler-relay']],
]);

it('repeats the jumper at the board with the field cable off, each family on its own hot', function (
    string $archetype,
    string $call,
    string $hot,
    array $closes,
    array $runs,
): void {
    $plan = House::example($archetype);
    $step = (new Steps($plan))->find("{$call}.board-jumper") ?? throw new LogicException('no step');
    $point = AskedHouse::of($plan->circuit())->state($step->hands);

    expect($step->hot)
        ->toBe($hot)
        ->and($step->closes)
        ->toBe($closes)
        ->and(array_values(array_intersect($point->pulledIn(), $plan->installation->archetype->needs[$call])))
        ->toEqualCanonicalizing($runs)
        ->and(joined(' ', $step->restore))
        ->toContain('Thermostat cable back on the board')
        ->and($point->point?->notes)
        ->toBe([]);
})->with([
    'cooling' => ['furnace-gas-1h-1c', 'cool-1', 'R', ['Y', 'G'], ['contactor', 'blower-relay']],
    'electric heat always with G' => [
        'air-handler-electric-1h-1c',
        'heat-1',
        'R',
        ['W', 'G'],
        ['sequencer-1', 'blower-relay'],
    ],
    'two transformers, heating' => ['boiler-zone-valve-1c', 'heat-1', 'RH', ['W'], ['zone-valve', 'boiler-relay']],
    'two transformers, cooling' => [
        'boiler-zone-valve-1c',
        'cool-1',
        'R',
        ['Y', 'G'],
        ['contactor', 'blower-relay'],
    ],
    'emergency' => ['heat-pump-o-2c-1aux', 'emergency', 'R', ['W', 'G'], ['sequencer-1', 'blower-relay']],
]);

it('proves a thermostat on batteries by continuity, and says why another cannot', function (): void {
    $plan = House::plan(House::BATTERY);
    $step = (new Steps($plan))->find('cool-1.continuity') ?? throw new LogicException('no step');
    $house = AskedHouse::of($plan->circuit());
    $shows = array_combine(
        array_map(static fn ($p): string => $p->b, $step->probes),
        array_map(static fn ($p) => $house->expects($step->hands, $p->mode, $p->a, $p->b), $step->probes),
    );

    expect($step->staysDead)
        ->toBeTrue()
        ->and($shows['wall.Y']->nominal)
        ->toBeLessThan(2.0)
        ->and($shows['wall.G']->nominal)
        ->toBeLessThan(2.0)
        ->and($shows['wall.W']->overLimit)
        ->toBeTrue()
        ->and((new Steps(House::plan()))->find('cool-1.continuity'))
        ->toBeNull()
        ->and((new SupportingSteps(House::plan()))->whyNoContinuity())
        ->toContain('lives on 24 V');
});

it('reads a winding through a conductor that was left on while proving by continuity', function (): void {
    $plan = House::plan(House::BATTERY);
    $setup = Setup::isolated()->asked()->lifting('A2.near', 'A4.near', 'A5.near');
    $seen = (new Meter($plan->circuit()))->read(MeterMode::Ohms, $setup, 'wall.Rc', 'wall.Y');

    expect($seen->nominal)->toBeGreaterThan(13.0)->toBeLessThan(18.0);
});

it('gives a radio pair its proofs at the equipment', function (): void {
    $steps = new Steps(House::example('furnace-gas-1h-1c', 'radio-pair-receiver'));

    expect($steps->find('heat-1.jumper'))
        ->toBeNull()
        ->and($steps->find('heat-1.board-jumper'))
        ->not->toBeNull()
        ->and($steps->find('heat-1.voltage')?->hot)
        ->toBe('R')
        ->and((new SupportingSteps(House::example('furnace-gas-1h-1c', 'radio-pair-receiver')))->whyNoContinuity())
        ->toBe('Its switches stand at the equipment.');
});

it('names the fault that gives exactly the pattern seen', function (string $fault, string $archetype): void {
    $plan = House::example($archetype);
    $seeded = House::fault($plan, $fault);
    $seen = [];
    foreach ((new Steps($plan))->all() as $step) {
        if ($step->method === Method::Voltage) {
            $seen[] = seenWith($plan, $seeded, $step);
        }
    }
    $found = array_map(
        static fn (Fault $f): string => $f->id,
        (new Pattern(AskedHouse::of($plan->circuit()), House::faults()))->explain($seen),
    );

    expect($found)->toContain($fault)->and(count($found))->toBeLessThan(20);
})->with([
    'open conductor' => ['conductor-open:A3.h1', 'furnace-gas-1h-1c'],
    'thermostat switch' => ['switch-open:switch.Y1', 'furnace-gas-1h-1c'],
    'open contactor' => ['contactor-open:contactor', 'furnace-gas-1h-1c'],
    'open valve coil' => ['valve-coil-open:valve', 'heat-pump-o-1c-1aux'],
    'open strip conductor' => ['conductor-open:A6.h1', 'heat-pump-o-1c-1aux'],
]);

it('reads every kind of proof, and keeps a fuse that the fault has opened open', function (
    string $fault,
    array $steps,
    array $named,
    array $not,
): void {
    $plan = House::plan();
    $circuit = $plan->circuit();
    $seeded = House::fault($plan, $fault);
    $seen = [];
    $open = [];
    foreach ($steps as $key) {
        $step = (new Steps($plan))->find(ltrim($key, '!')) ?? throw new LogicException("no step {$key}");
        // With an exclamation mark somebody has put a new fuse in before it.
        $open = str_starts_with($key, '!') ? [] : $open;
        $seen[] = seenWith($plan, $seeded, $step, $open);
        $blown = AskedHouse::of($circuit)->with($seeded, OpenFuses::of(...$open));
        $open = [...$open, ...$blown->state($step->hands)->point->openFuses ?? []];
    }
    $found = array_map(
        static fn (Fault $f): string => $f->id,
        (new Pattern(AskedHouse::of($circuit), House::faults()))->explain($seen),
    );

    expect($found)->toContain($fault, ...$named);
    foreach ($not as $other) {
        expect($found)->not->toContain($other);
    }
})->with([
    'the fuse opens in cooling and stays open in heat' => [
        'contactor-shorted:contactor',
        ['fan.voltage', 'cool-1.voltage', 'heat-1.voltage'],
        [],
        ['fuse-blown:T1.fuse', 'conductor-open:A3.h1'],
    ],
    'a new fuse, and heat is there again' => [
        'contactor-shorted:contactor',
        ['fan.voltage', 'cool-1.voltage', '!heat-1.voltage'],
        [],
        ['fuse-blown:T1.fuse', 'no-line:T1'],
    ],
    'works by jumper, not by the thermostat: its switch' => [
        'switch-open:switch.Y1',
        ['cool-1.voltage', 'cool-1.jumper'],
        [],
        ['conductor-open:A3.h1', 'contactor-open:contactor'],
    ],
    'fails by jumper, works at the board: the cable' => [
        'conductor-open:A3.h1',
        ['cool-1.jumper', 'cool-1.board-jumper'],
        [],
        ['switch-open:switch.Y1', 'contactor-open:contactor'],
    ],
    'ohms before power: no path' => ['conductor-open:A3.h1', ['idle.pre-check'], [], ['switch-open:switch.Y1']],
    'it does not stop' => ['contactor-welded', ['cool-1.voltage'], [], ['contactor-open:contactor']],
    'at rest it runs' => [
        'motor-stuck-on',
        ['idle.at-rest', 'fan.voltage'],
        ['relay-welded'],
        ['contactor-welded'],
    ],
]);

it('names the step that parts what all fits', function (): void {
    $plan = House::plan();
    $steps = (new Steps($plan))->all();
    $fits = array_map(static fn (string $id): Fault => House::fault($plan, $id), [
        'conductor-open:A3.h1',
        'contactor-open:contactor',
        'switch-open:switch.Y1',
    ]);
    $parting = Parting::of($plan, $fits, $steps) ?? throw new LogicException('nothing parts them');

    expect($parting->groups)
        ->toBeGreaterThan(1)
        ->and(Parting::of($plan, [$fits[0]], $steps))
        ->toBeNull()
        ->and(Parting::of($plan, $fits, []))
        ->toBeNull();
});

it('lifts the float with cooling running, and starts a defrost, where the house has them', function (): void {
    $plan = House::plan();
    $house = $plan->installation->withFacts(
        $plan->installation->facts->withSafety([new SafetyDevice('float', 'float switch', ['Y'], false)]),
    );
    $step =
        (new Steps(new Plan($house, $plan->profile, $plan->landing)))->find('cool-1.float-lift') ??
        throw new LogicException('no step');
    $circuit = (new Plan($house, $plan->profile, $plan->landing))->circuit();
    $point = $circuit->operate(AskedHouse::of($circuit)->setup($step->hands));
    $defrost =
        (new Steps(House::example('heat-pump-o-2c-1aux')))->find('defrost.voltage') ??
        throw new LogicException('no step');

    expect($point->pulledIn())
        ->not->toContain('contactor')
        ->and($point->thermostatUp)
        ->toBeTrue()
        ->and($step->signs[0]->key)
        ->toBe('stops')
        ->and((new Steps($plan))->find('cool-1.float-lift'))
        ->toBeNull()
        ->and($defrost->do)
        ->toContain('Start a defrost at the outdoor board')
        ->and(array_map(static fn ($s): string => $s->key, $defrost->signs))
        ->toContain('display', 'drop-off')
        ->and((new Steps($plan))->find('defrost.voltage'))
        ->toBeNull();
});

// Each probe is there as far as the point before what is open, and nowhere behind it.
it('reads along the chain where it is broken', function (
    string $archetype,
    string $key,
    string $fault,
    array $there,
    array $gone,
): void {
    $plan = House::example($archetype);
    $step = (new Steps($plan))->find($key) ?? throw new LogicException("no {$key}");
    $house = AskedHouse::of($plan->circuit())->with(House::fault($plan, $fault));
    $alive = $dead = [];
    foreach ($step->probes as $probe) {
        $volts = $house->expects($step->hands, MeterMode::Volts, $probe->a, $probe->b)->nominal ?? 0.0;
        $volts > 18.0 ? ($alive[] = $probe->a) : ($dead[] = $probe->a);
    }

    expect($alive)->toBe($there)->and($dead)->toBe($gone);
})->with([
    'low pressure' => [
        'heat-pump-o-2c-2aux',
        'cool-1.chain',
        'low-pressure-open:low-pressure',
        ['outdoor.Y1', 'outdoor.high', 'outdoor.R', 'outdoor.O', 'outdoor.valve'],
        ['outdoor.pressure', 'outdoor.coil'],
    ],
    'the inducer\'s switch' => [
        'furnace-gas-1h-1c',
        'heat-1.chain',
        'draught-open:draught',
        ['indoor.R', 'indoor.after-limit', 'indoor.limit', 'indoor.lit'],
        ['indoor.valve'],
    ],
    'the fuse' => [
        'furnace-gas-1h-1c',
        'idle.chain',
        'fuse-blown:T1.fuse',
        ['T1.supply', 'T1.line', 'T1.winding'],
        ['T1.fused', 'indoor.R', 'indoor.R'],
    ],
    'the door' => [
        'furnace-gas-1h-1c',
        'idle.chain',
        'door-open:T1',
        ['T1.supply'],
        ['T1.line', 'T1.winding', 'T1.fused', 'indoor.R', 'indoor.R'],
    ],
]);
