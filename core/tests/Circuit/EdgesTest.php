<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Bench\TimeMachine;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Figures\Supply\TransformerLoad;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;

/** A house whose facts are others, with a thermostat landed letter to letter. */
function withFacts(string $archetype, array $facts, string $profile): Plan
{
    $house = House::example($archetype)->installation;
    $changed = new Installation(
        $house->archetype,
        new Unionbit\Core\Job\Facts(...$facts),
        $house->cables,
        answers: $house->answers,
    );
    $thermostat = House::profile($profile);

    return new Plan($changed, $thermostat, LetterToLetter::landing($changed, $thermostat));
}

// The outdoor board's contact feeds a short: its own input loses its voltage, drops out, and the cycle begins again.
it('opens a fuse inside a cycle of loads over twice its rating, may open it below, in time as at rest', function (
    float $fuse,
    bool $opens,
    bool $may,
): void {
    $plan = withFacts(
        'heat-pump-o-1c-1aux',
        ['lineVolts' => 120.0, 'tapVolts' => 120.0, 'fuseAmps' => $fuse],
        'battery-2h-1c-heat-pump',
    );
    $short = new Touching(At::read('outdoor.coil'), At::read('outdoor.C'), 0.05);
    $closes = Unionbit\Core\Call\CallTable::needed($plan->installation->archetype)->printed(
        CallName::Cool1,
        $plan->profile,
    );
    $point = $plan->circuit()->operate(Setup::calling(...$closes)->with($short));
    $says = array_map(said(...), $point->notes);

    expect($point->openFuses)
        ->toBe($opens ? ['T1'] : [])
        ->and(str_contains(implode(' ', $says), 'may open'))
        ->toBe($may)
        ->and($opens || $point->mostAmps('T1') > $point->sourceAmps('T1') - 0.01)
        ->toBeTrue();
    $fault = House::fault($plan, 'contactor-shorted:contactor');
    $events = (new TimeMachine($plan->circuit(), House::fault($plan, 'contactor-shorted:contactor')))->run(
        CallName::Cool1,
        600,
    );
    $told = implode(' ', array_map(static fn (array $e): string => said($e['what']), $events));
    expect(str_contains($told, 'opens at'))->toBe($opens);
})->with([
    'three times a 3 A fuse' => [3.0, true, false],
    'under twice an 8 A fuse' => [8.0, false, true],
    'within a 12 A fuse' => [12.0, false, false],
]);

it('calls emergency heat on E alone where the plate has it: without the tie the strips stay dead', function (
    string $archetype,
    string $profile,
    array $closes,
    bool $tied,
): void {
    $plan = House::example($archetype, $profile);
    $table = Unionbit\Core\Call\CallTable::needed($plan->installation->archetype);
    $lost = static fn (Plan $p): array => array_map(
        static fn ($l): string => $l['call']->value,
        PlanProof::of($p)->lost,
    );
    expect($table->printed(CallName::Emergency, $plan->profile))
        ->toEqualCanonicalizing($closes)
        ->and($plan->landing->jumper('E–Aux tie') !== null)
        ->toBe($tied)
        ->and($lost($plan))
        ->toBe([]);
    if ($tied) {
        $bare = $plan->landed($plan->landing->withoutJumper('E–Aux tie'));
        $point = $bare->circuit()->operate(Setup::calling(...$closes));
        expect($point->pulledIn())
            ->toBe(['blower-relay'])
            ->and($lost($bare))
            ->toBe(['emergency'])
            ->and(House::fault($plan, 'e-not-tied:tie.0')->edits)
            ->not->toBe([]);
        $apart = $plan
            ->circuit()
            ->operate(Setup::calling(...$closes)->with(...House::fault($plan, 'e-not-tied:tie.0')->edits));
        expect($apart->pulledIn())->toBe(['blower-relay']);
    }
})->with([
    'one heat input' => ['heat-pump-o-2c-1aux', 'c-powered-3h-2c', ['E', 'G'], true],
    'its own relay' => ['heat-pump-o-1c-1aux-e-relay', 'c-powered-3h-2c', ['E', 'G'], false],
    'a plate without E' => ['heat-pump-o-1c-1aux', 'battery-2h-1c-heat-pump', ['W1/Aux', 'G'], false],
]);

it('keeps the calls of a thermostat whose switches are in the base when its cover is off', function (): void {
    $base = House::example('furnace-gas-1h-1c', 'c-powered-3h-2c');
    $face = House::example('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $call = Setup::calling('Y1', 'G')->faceOff();

    expect($base->circuit()->operate($call)->pulledIn())
        ->toContain('contactor')
        ->and($face->circuit()->operate($call)->pulledIn())
        ->toBe([]);
});

it('reads both ways where bonding is not known, with one supply as well', function (
    ?bool $bonded,
    bool $open,
    string $metal,
): void {
    $plan = withFacts(
        'furnace-gas-1h-1c',
        ['lineVolts' => 120.0, 'tapVolts' => 120.0, 'commonBonded' => $bonded],
        'c-powered-1h-1c',
    );
    $reading = (new Meter($plan->circuit()))->volts(Setup::calling(), 'indoor.R', $metal);

    expect(str_contains(implode(' ', array_map(said(...), [$reading->reason, ...$reading->notes])), 'not known'))
        ->toBe($open)
        ->and($reading->low)
        ->toEqualWithDelta(23.2, 0.5);
})
    ->with([[null, true], [true, false]])
    ->with(['cabinet', 'outdoor.cabinet']);

it('judges neither of the two readings a fault where bonding is not known', function (
    ?bool $bonded,
    MeterMode $mode,
    ?float $value,
    Outcome $outcome,
): void {
    $plan = withFacts(
        'furnace-gas-1h-1c',
        ['lineVolts' => 120.0, 'tapVolts' => 120.0, 'commonBonded' => $bonded],
        'c-powered-1h-1c',
    );
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    $hands = $mode === MeterMode::Ohms ? Hands::dead() : Hands::calling();
    $expected = $house->expects($hands, $mode, 'indoor.C', 'cabinet');

    expect((new Judge($house))->reading($expected, $hands, $value)->outcome)->toBe($outcome);
})->with([
    'common open to the metal, bonded' => [true, MeterMode::Ohms, null, Outcome::Fail],
    'common open to the metal, not known' => [null, MeterMode::Ohms, null, Outcome::Neutral],
    'common on the metal, not bonded' => [false, MeterMode::Ohms, 0.1, Outcome::Fail],
    'common on the metal, not known' => [null, MeterMode::Ohms, 0.1, Outcome::Pass],
    'neither, not known' => [null, MeterMode::Ohms, 400.0, Outcome::Fail],
    'a ghost, not known' => [null, MeterMode::Volts, 9.0, Outcome::Neutral],
    'a source, not known' => [null, MeterMode::Volts, 26.0, Outcome::Fail],
]);

it('has no fuse where none was found', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $house = new Installation(
        $plan->installation->archetype,
        $plan->installation->facts,
        $plan->installation->cables,
        answers: $plan->installation->answers->with('fuseState', 'none'),
    );
    $circuit = new Circuit($house, $plan->profile, $plan->landing);
    $short = Setup::calling()->with(new Touching(At::read('indoor.R'), At::read('indoor.C')));

    expect($plan->circuit()->operate($short)->openFuses)
        ->toBe(['T1'])
        ->and($circuit->operate($short)->openFuses)
        ->toBe([])
        ->and(array_filter(House::faults()->of($circuit), static fn ($f): bool => $f->entry === 'fuse-blown'))
        ->toBe([]);
});

it('adds the thermostat to the load of its supply, and judges each supply by its own loads', function (): void {
    $load = static fn (Plan $p): array => array_values(
        array_filter(
            (new TransformerLoad())->compute(['rating' => 40.0], $p)->lines,
            static fn (array $l): bool => str_contains(said($l['label']), 'as plates'),
        ),
    );
    $battery = $load(House::example('furnace-gas-1h-1c', 'battery-1h-1c'));
    $powered = $load(House::example('furnace-gas-1h-1c', 'c-powered-3h-2c'));
    expect($powered[0]['value'] - $battery[0]['value'])->toEqualWithDelta(4.0, 0.01);

    $two = House::example('furnace-and-attic-air-handler-1c');
    $lines = $load($two);
    $calls = array_keys(Unionbit\Core\Planning\Proof\Simulation::setups($two));
    $cool = (int) array_search('cool-1', $calls, true);
    $heat = (int) array_search('heat-1', $calls, true);
    // T1 heats, T2 cools: neither carries the other's loads.
    expect($lines[$heat]['value'])
        ->toBeGreaterThan($lines[$cool]['value'])
        ->and($lines[count($calls) + $cool]['value'])
        ->toBeGreaterThan($lines[count($calls) + $heat]['value'])
        ->and($lines[count($calls) + $heat]['value'])
        ->toEqualWithDelta(3.0 + 4.0, 0.01);
});

it('never takes a conductor on a screw that is not understood for a spare, and reads COM as C', function (): void {
    $house = House::survey([
        2 => ['far' => ['state' => 'landed', 'terminal' => 'BK']],
        4 => [
            'far' => ['state' => 'landed', 'terminal' => 'COM'],
        ],
    ]);
    $thermostat = House::profile('c-powered-1h-1c');
    $landing = LetterToLetter::landing($house, $thermostat);
    $plan = new Plan($house, $thermostat, $landing);

    expect($landing->wall['A5']->terminal)
        ->toBe('C')
        ->and($house->pointOf(Unionbit\Core\Terminal\Place::Indoor, 'COM'))
        ->toBe('indoor.C')
        ->and($plan->circuit()->operate(Setup::calling('G'))->pulledIn())
        ->toBe(['blower-relay'])
        ->and($landing->wall['A3']->terminal)
        ->toBeNull();
    foreach (Planner::of($house, $thermostat)->offered as $offer) {
        if ($offer->plan->changes->pulled === null) {
            expect($offer->plan->landing->wall['A3']->terminal)->toBeNull();
        }
    }
});

it('gives a thermostat nothing over the common of the other supply, and says so', function (): void {
    $plan = House::example('furnace-and-attic-air-handler-1c');
    $furnace = $plan->installation->wallCables()[0];
    $common = array_values(array_filter($furnace->conductors, static fn ($c): bool => $c->far->terminal === 'C'))[0];
    $own = $plan->landing->on('C')[0];
    $wrong = $plan->landed($plan->landing->onWall($own, End::free())->onWall($common->id(), End::landed('C')));
    $found = array_filter(
        MappingRules::check($wrong),
        static fn (Finding $f): bool => $f->code === 'MR04' && $f->severity->value === 'error',
    );

    expect($plan->landing->on('C'))
        ->toBe([$own])
        ->and($own[0])
        ->toBe('C')
        ->and(array_map(static fn (Finding $f): string => said($f->title), array_values($found))[0])
        ->toContain('common of the other supply')
        ->and($wrong->circuit()->operate(Setup::calling())->thermostatUp)
        ->toBeFalse()
        ->and((new Steps($plan))->find('cool-1.voltage')?->probes)
        ->not->toBe([]);
});
