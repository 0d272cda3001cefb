<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\PlanList;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\ThermostatChoice;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Planning\Proof\ShortPath;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Planning\Work\WiringTable;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\NetWalk;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Wiring\Jumper;

/** A house of the demo data, as its file has it. */
function demoHouse(string $name): Installation
{
    $json = json_decode(
        (string) file_get_contents(__DIR__."/../../../database/demo/{$name}.json"),
        true,
        flags: JSON_THROW_ON_ERROR,
    );

    return JobFile::read($json, House::archetype(...), House::profile(...), [
        'archetypes' => [],
        'profiles' => [],
    ])->installation;
}

/** @param  array<string, string|list<string>>  $wishes */
function wishing(Installation $house, array $wishes): Installation
{
    return new Installation(
        $house->archetype,
        $house->facts,
        $house->cables,
        $house->jumpers,
        answers: new Answers([...$house->answers->given, ...$wishes]),
    );
}

/** @return list<string> "WO03: Fan lost" in rank order */
function offers(PlanList $list): array
{
    return array_map(
        static fn (PlanOffer $c): string => trim(
            joined(',', $c->codes()).
                ': '.
                joined(
                    '; ',
                    array_map(static fn (array $l): string => $l['call']->value, [
                        ...$c->proof->lost,
                        ...$c->proof->raised,
                    ]),
                ),
        ),
        $list->offered,
    );
}

it('offers for the houses of the demo what a good planner would', function (
    string $house,
    string $profile,
    array $offered,
): void {
    expect(offers(Planner::of(demoHouse($house), House::profile($profile))))->toBe($offered);
})->with([
    'heat pump with everything' => ['tollhouse', 'c-powered-3h-2c', [':']],
    'two stages on a thermostat of one' => ['tollhouse', 'battery-2h-1c-heat-pump', [': cool-2; heat-2; aux-1']],
    'no valve screw' => ['tollhouse', 'c-powered-1h-1c', []],
    'too few conductors, C needed' => [
        'ropewalk-11',
        'c-powered-3h-2c',
        ['WO02:', 'WO03,WO10: fan; heat-2', 'WO03,WO10: fan; heat-1'],
    ],
    'too few conductors, C optional' => [
        'ropewalk-11',
        'c-or-battery-2h-2c',
        ['WO05,WO03: fan', 'WO05,WO10: heat-2', 'WO05,WO10: heat-1', 'WO02:'],
    ],
    'too few conductors, two-part' => ['ropewalk-11', 'two-part-three-conductor', ['WO08:']],
    'too few conductors, a kit on K' => [
        'ropewalk-11',
        'c-powered-shared-kit-2h-2c',
        ['WO04,WO10: heat-2', 'WO02:', 'WO03,WO10: fan; heat-2', 'WO04,WO10: heat-1', 'WO03,WO10: fan; heat-1'],
    ],
    'two transformers, two hots' => ['the-old-chandlery', 'c-powered-3h-2c', [':']],
    'two transformers, one hot' => ['the-old-chandlery', 'solid-state-1h-1c', []],
    'two conductors, plug-in or cable' => ['heron-boathouse', 'c-powered-1h-1c', ['WO07:', 'WO02:']],
    'two conductors, radio' => ['heron-boathouse', 'radio-pair-receiver', ['WO09:']],
    'two conductors, two-part' => ['heron-boathouse', 'two-part-three-conductor', ['WO08,WO02:']],
    'nothing to charge through' => ['heron-boathouse', 'power-sharing-1h-1c', []],
    'back from the bus' => ['sailmakers-loft', 'c-powered-3h-2c', [':']],
    'float in R, powered from C' => ['weir-pump-room', 'c-powered-1h-1c', ['MR16:']],
    'float in R, batteries' => ['weir-pump-room', 'battery-1h-1c', [':', 'MR16:']],
]);

// What a kit's adapter does: full volts on K for both, half for the fan alone, and never the compressor without air.
it('shares one conductor between compressor and fan (WO04)', function (): void {
    $kit = array_values(
        array_filter(
            Planner::of(demoHouse('ropewalk-11'), House::profile('c-powered-shared-kit-2h-2c'))->offered,
            static fn (PlanOffer $c): bool => in_array('WO04', $c->codes(), true),
        ),
    )[0];
    $circuit = $kit->plan->circuit();
    $in = static fn (Setup $setup): array => array_values(
        array_intersect($circuit->operate($setup)->pulledIn(), [
            'blower-relay',
            'contactor',
            'kit-cooling',
            'kit-fan',
        ]),
    );
    $volts = static fn (Setup $setup, string $a, string $b): float => (float) (new Meter($circuit))->read(
        MeterMode::Volts,
        $setup,
        $a,
        $b,
    )->nominal;
    [$fan, $cool] = [Setup::calling('G', 'K'), Setup::calling('Y1', 'G', 'K')];

    expect($in($fan))
        ->toBe(['blower-relay', 'kit-fan'])
        ->and($in($cool))
        ->toBe(['blower-relay', 'contactor', 'kit-cooling', 'kit-fan'])
        ->and($in(Setup::calling()))
        ->toBe([])
        ->and($volts($cool, 'wall.K', 'wall.C'))
        ->toBeGreaterThan(24.0)
        ->and($volts($fan, 'wall.K', 'wall.C'))
        ->toBeGreaterThan(11.0)
        ->toBeLessThan(15.0)
        // From cooling back to the fan alone the compressor lets go; with K open nothing runs; with the kit's own
        // lead to G open the proof by circuit says so.
        ->and(
            array_intersect(
                $circuit->operateFrom($fan, ['kit-cooling', 'kit-fan', 'contactor', 'blower-relay'])->pulledIn(),
                ['contactor'],
            ),
        )
        ->toBe([])
        ->and($in($cool->with(new Opened(Part::named("{$kit->plan->landing->on('K')[0]}.h1")))))
        ->toBe([])
        ->and($in($cool->with(new Opened(Part::named('kit-g')))))
        ->toBe(['contactor', 'kit-cooling', 'kit-fan']);
    // Every single fault of the catalogue can befall it, the adapter's own parts with it, and none of them is lost on
    // the circuit.
    $named = [];
    foreach (House::faults()->of($circuit) as $fault) {
        $circuit->operate(House::called($circuit, CallName::Cool1, $fault));
        $named[] = $fault->id;
    }
    expect(joined(' ', $named))->toContain('kit-contact-open:kit-y kit-contact-open:kit-g')->toContain('switch.K');
    $steps = new Steps($kit->plan);
    $points = static fn (string $key): array => array_map(
        static fn ($p): string => $p->key(),
        $steps->find($key)->probes ?? [],
    );
    expect($steps->find('fan.jumper'))
        ->toBeNull()
        ->and($steps->find('cool-1.jumper')?->closes)
        ->toBe(['K'])
        ->and($in(AskedHouse::of($circuit)->setup($steps->find('cool-1.jumper')->hands)))
        ->toBe(['blower-relay', 'contactor', 'kit-cooling', 'kit-fan'])
        ->and($points('cool-1.voltage'))
        ->toContain('wall.K~wall.C')
        ->toContain('indoor.Y~indoor.C')
        ->and($points('fan.voltage'))
        ->toContain('wall.K~wall.C')
        ->toContain('indoor.G~indoor.C')
        ->and($in(AskedHouse::of($circuit)->setup($steps->find('cool-1.board-jumper')->hands ?? Hands::calling())))
        ->toBe(['blower-relay', 'contactor']);
});

it('moves the thermostat to where a cable can be had, once the survey has found a place (WO12)', function (): void {
    $house = demoHouse('ropewalk-11');
    $profile = House::profile('c-powered-3h-2c');
    $moved = static fn (Installation $h): array => array_values(
        array_filter(Planner::of($h, $profile)->offered, static fn (PlanOffer $c): bool => $c->codes() === ['WO12']),
    );
    $found = $moved(
        new Installation(
            $house->archetype,
            $house->facts,
            $house->cables,
            $house->jumpers,
            $house->answers->with('elsewhere', 18.0),
        ),
    );

    expect($moved($house))
        ->toBe([])
        ->and($found)
        ->toHaveCount(1)
        ->and($found[0]->plan->installation->wallCable()?->feet)
        ->toBe(18.0)
        ->and($found[0]->lost())
        ->toBe([])
        ->and(joined("\n", array_map(static fn ($m): string => said($m->text), MoveList::of($found[0]->plan))))
        ->toContain('to the other wall position')
        ->toContain('cover plate over the old position')
        ->and(PlainWords::of($found[0]))
        ->toContain('hang the thermostat in another place');
});

it('refuses with the circuit\'s own reason', function (
    string $house,
    string $profile,
    string $title,
    string $why,
): void {
    $refused = Planner::of(demoHouse($house), House::profile($profile))->refused;
    $found = array_values(
        array_filter($refused, static fn (PlanOffer $c): bool => str_contains(said($c->title()), $title)),
    );

    expect($found)->not->toBe([])->and(joined(' ', $found[0]->refusals()))->toContain($why);
})->with([
    'WO03 without a tie: no air' => [
        'ropewalk-11',
        'c-powered-1h-1c',
        'runs its fan with Y by itself',
        'Cool 1: The blower relay is at rest',
    ],
    'WO06 through a board input' => [
        'tollhouse',
        'power-sharing-1h-1c',
        'Letter to letter',
        'The outdoor Y input pulls in and should not',
    ],
    'WO06 with nothing behind it' => ['heron-boathouse', 'power-sharing-1h-1c', 'Letter to letter', 'gets 0.0 V'],
    'WO07 on a cooling system' => [
        'ropewalk-11',
        'c-powered-1h-1c',
        'A plug-in transformer',
        'from the wrong source',
    ],
    'MR16 C-powered behind the float' => [
        'weir-pump-room',
        'c-powered-1h-1c',
        'Letter to letter',
        'its display is blank',
    ],
    'two-part on two conductors' => [
        'heron-boathouse',
        'two-part-three-conductor',
        'Outputs at the equipment',
        'The thermostat has no power',
    ],
]);

it(
    'ties E to Aux where the plate has both and the unit has one input, and leaves them apart where E has a relay',
    function (string $archetype, array $ties): void {
        $best = Planner::of(ExampleHouse::of(House::archetype($archetype)), House::profile('c-powered-3h-2c'))
            ->offered[0];

        expect(
            array_map(
                static fn (Jumper $j): string => "{$j->place->value} {$j->label}",
                $best->plan->landing->jumpers,
            ),
        )->toBe($ties);
    },
)->with([
    'no E at the board' => ['heat-pump-o-2c-1aux', ['wall E–Aux tie']],
    'E tied at the board, its conductor lands' => ['heat-pump-o-1c-1aux', []],
    'own relay' => ['heat-pump-o-1c-1aux-e-relay', []],
]);

it('ranks by the weights that it is given', function (): void {
    $house = demoHouse('ropewalk-11');
    $profile = House::profile('c-or-battery-2h-2c');
    $first = static fn (array $weights): string => Planner::of($house, $profile, Weights::from($weights))->offered[0]
        ->ways[0]->code;

    expect($first([]))
        ->toBe('WO03')
        ->and($first(['capability' => 10, 'parts' => 0, 'time' => 0, 'risk' => 0]))
        ->toBe('WO02')
        ->and($first(['capability' => 0, 'parts' => 10, 'time' => 10, 'risk' => 10]))
        ->toBe('WO10')
        ->and(Weights::from(['capability' => 99, 'parts' => 'x'])->toArray())
        ->toBe(['capability' => 10, 'parts' => 4, 'time' => 2, 'risk' => 3]);
});

it('says in reasons and in plain words what a plan does, without letters for the customer', function (): void {
    $best = Planner::of(demoHouse('ropewalk-11'), House::profile('c-or-battery-2h-2c'))->offered[0];

    expect(joined(' | ', $best->reasons()))
        ->toContain('keeps 3 of 4 calls: the fan alone cannot be called')
        ->toContain('to buy: Jumper with pigtail')
        ->toContain('one trip to the equipment')
        ->and(PlainWords::of($best))
        ->toContain('but the fan cannot be run by itself')
        ->toContain('can be set from a phone')
        ->not->toMatch('/\b(G|Y|W2|C|MR\d|WO\d)\b/');
});

it('keeps a chosen plan whole in its file: new cable, float moved, plug-in, ties, choice', function (
    string $house,
    string $profile,
    int $rank,
    string $move,
): void {
    $survey = demoHouse($house);
    $plan = Planner::of($survey, House::profile($profile))->offered[$rank]->plan;
    $again = PlanFile::read(
        json_decode((string) json_encode(PlanFile::write($plan)), true),
        $survey,
        $plan->profile,
    );

    expect($again)
        ->toEqual($plan)
        ->and(joined("\n", array_map(static fn ($m): string => said($m->text), MoveList::of($again))))
        ->toContain($move)
        ->and(array_column(WiringTable::rows($again), 'label'))
        ->not->toBe([]);
})->with([
    ['ropewalk-11', 'c-powered-3h-2c', 0, 'Pull the new cable 18/7'],
    ['ropewalk-11', 'c-or-battery-2h-2c', 0, '4 green at the board: from G, now on W2'],
    ['weir-pump-room', 'c-powered-1h-1c', 0, 'float switch into Y'],
    ['heron-boathouse', 'c-powered-1h-1c', 0, 'plugged in last'],
    ['ropewalk-11', 'c-powered-shared-kit-2h-2c', 0, 'The kit\'s adapter at the board'],
    ['heron-boathouse', 'radio-pair-receiver', 0, 'Receiver at the equipment'],
    ['tollhouse', 'c-powered-3h-2c', 0, 'Tie E to Aux at the plate'],
]);

it('follows a short from the fuse round to the common and says how soon which fuse opens', function (): void {
    $short = ShortPath::of(House::plan(House::C_POWERED, [], static fn ($l) => $l->onWall('A5', End::landed('Rh'))));

    expect($short?->call)
        ->toBe('idle')
        ->and($short->conductors)
        ->toBe(['A1', 'A5'])
        ->and($short->through[0])
        ->toBe('3 A fuse')
        ->and($short->through)
        ->toContain('Rc–Rh link')
        ->and($short->amps)
        ->toBeGreaterThan(9.0)
        ->and($short->opens)
        ->toMatch('/^The 3 A fuse opens after (0\.\d{1,2}|\d\.\d|\d\d) to (0\.\d{1,2}|\d\.\d|\d\d) s\.$/')
        ->and(ShortPath::of(House::plan()))
        ->toBeNull();
});

it('knows the ohms of each landed call before power, and where it is blind', function (): void {
    $rows = array_column(said(PreCheck::of(House::plan())), null, 'label');
    $pump = array_column(said(PreCheck::of(House::example('heat-pump-o-1c-1aux'))), null, 'label');

    expect(array_keys($rows))
        ->toBe(['Y1 to C', 'G to C', 'W1 to C'])
        ->and($rows['Y1 to C']['nominal'])
        ->toBeGreaterThan(10.0)
        ->toBeLessThan(20.0)
        ->and($rows['Y1 to C']['least'])
        ->toEqualWithDelta(0.8 * $rows['Y1 to C']['nominal'], 0.1)
        ->and($rows['Y1 to C']['blind'])
        ->toBeNull()
        ->and($pump['Y1 to C']['blind'])
        ->toContain('cannot be seen');
});

it('ranks the kinds of thermostat for a house by what is wished', function (
    array $wishes,
    string $first,
    array $last,
): void {
    $rows = ThermostatChoice::rank(
        wishing(demoHouse('ropewalk-11'), $wishes),
        array_map(House::profile(...), House::ids('thermostats')),
    );

    expect($rows[0]['profile'])
        ->toBe($first)
        ->and(array_column($rows, 'profile'))
        ->toHaveCount(count(House::ids('thermostats')))
        ->and(array_slice(array_column($rows, 'profile'), -count($last)))
        ->toBe($last);
})->with([
    'remote control wanted' => [['remote' => 'yes'], 'c-or-battery-2h-2c', ['two-hot-o-and-b']],
    'remote, no batteries, the attic is open' => [
        ['remote' => 'yes', 'batteries' => 'no'],
        'two-part-three-conductor',
        ['two-hot-o-and-b'],
    ],
    'only at the wall' => [
        ['remote' => 'yes', 'workAt' => 'wall'],
        'c-or-battery-2h-2c',
        ['two-part-three-conductor'],
    ],
]);

it('never offers a plan that a walk of its nets objects to', function (int $seed): void {
    mt_srand($seed);
    $pick = static fn (array $from): mixed => $from[mt_rand(0, count($from) - 1)];
    $house = ExampleHouse::of(House::archetype($pick(House::ids('equipment'))), (float) mt_rand(15, 120), 30.0);
    $profile = House::profile($pick(House::ids('thermostats')));
    $wall = $house->wallCable() ?? throw new LogicException('no wall cable');
    $conductors = [];
    foreach ($wall->conductors as $c) {
        $fate = mt_rand(0, 9);
        if ($fate === 0) {
            continue;
        }
        $near = match ($fate) {
            1 => End::free(EndState::Spare),
            2 => End::free(EndState::CutShort),
            3 => End::free(EndState::BrokenOff),
            4 => End::landed($pick($wall->conductors)->near->terminal ?? 'R'),
            default => $c->near,
        };
        $far =
            $fate === 5
                ? End::free(EndState::Spare)
                : ($fate === 1 && mt_rand(0, 1) === 0
                    ? End::free(EndState::Spare)
                    : $c->far);
        $conductors[] = new Conductor(
            $c->number,
            $c->colour,
            $near,
            $far,
            mt_rand(0, 3) === 0 ? Evidence::ColourOnly : $c->evidence,
            condition: mt_rand(0, 5) === 0 ? [$pick(Condition::cases())] : [],
            loopOhms: mt_rand(0, 5) === 0 ? (float) $pick([0.4, 1.0, 6.0]) : null,
            touches: mt_rand(0, 9) === 0 ? [$c->number === 1 ? 2 : 1] : [],
        );
    }
    // A tie that somebody left, between two of the board's screws.
    $screws = array_values(
        array_filter(
            $house->archetype->boardTerminals(),
            static fn (EquipmentTerminal $t): bool => $t->place === $house->archetype->boards[0] &&
                ! $t->name->isDry(),
        ),
    );
    [$one, $two] = [$pick($screws), $pick($screws)];
    $found =
        mt_rand(0, 3) === 0 && $one !== $two ? [new Jumper($one->place, $one->printed, $two->printed, 'J1')] : [];
    $survey = (new Installation($house->archetype, $house->facts, $house->cables, $found))->withCable(
        $wall->withConductors($conductors),
    );

    $list = Planner::of($survey, $profile);
    expect(count($list->offered))->toBeLessThanOrEqual(Planner::MOST_SHOWN);
    foreach ($list->offered as $candidate) {
        $proved = array_map(
            static fn (CallProof $p): string => $p->call->value,
            array_filter($candidate->proof->calls, static fn (CallProof $p): bool => $p->isProved()),
        );
        expect((new NetWalk($candidate->plan))->objections(array_values($proved)))->toBe(
            [],
            "{$survey->archetype->id} on {$profile->id}, ".said($candidate->title()),
        );
        // A conductor that an accessory gives up is named, in the offer and to the customer (MR17).
        foreach ((new NetWalk($candidate->plan))->takenFromAccessories($survey) as $id) {
            $name = said($survey->wallConductor($id)?->name());
            expect(joined(' ', array_map(said(...), $candidate->lost())))
                ->toContain("{$name} of the")
                ->and(said(PlainWords::of($candidate)))
                ->toContain('is used for something else');
        }
        // Nothing that is known to be damaged carries anything, at either end (MR21).
        $house = $candidate->plan->installation;
        foreach ($house->wallConductors() as $c) {
            $ends = [$candidate->plan->landing->wall[$c->id()] ?? $c->near];
            $ends[] = $candidate->plan->landing->board[$c->id()] ?? $c->far;
            if ($house->damageOf($c) !== []) {
                expect(array_filter($ends, static fn (End $e): bool => $e->isLanded()))->toBe([]);
            }
        }
        // Written to a file and read again it is the same plan, with the same proof.
        $again = PlanFile::read(
            json_decode((string) json_encode(PlanFile::write($candidate->plan)), true),
            $survey,
            $profile,
        );
        expect($again)->toEqual($candidate->plan)->and(PlanProof::of($again))->toEqual($candidate->proof);
    }
})->with(range(1, 120));

it('objects to a bad plan, so that the walk of nets can fail', function (callable $edit, string $says): void {
    expect(
        joined(' ', (new NetWalk(House::plan(edit: $edit)))->objections(['cool-1', 'heat-1', 'fan', 'idle'])),
    )->toContain($says);
})->with([
    [static fn ($l) => $l->onWall('A5', End::landed('Rh')), 'hot meets common'],
    [static fn ($l) => $l->onWall('A4', End::free(EndState::Capped)), 'the compressor runs without air'],
    [static fn ($l) => $l->onWall('A5', End::free(EndState::Capped)), 'no power between'],
    [static fn ($l) => $l->onWall('A2', End::landed('G'))->onWall('A4', End::landed('W1')), 'instead of'],
    [static fn ($l) => $l->withJumper(new Jumper(Place::Indoor, 'Y', 'W', 'bad')), 'instead of'],
]);

it('asks no proof of a call that the plan has given up', function (): void {
    $plan = Planner::of(demoHouse('ropewalk-11'), House::profile('c-or-battery-2h-2c'))->offered[0]->plan;

    expect(array_column((new Steps($plan))->calls(), 'value'))
        ->toBe(['cool-1', 'heat-1', 'heat-2'])
        ->and(array_column((new Steps(House::plan()))->calls(), 'value'))
        ->toBe(['fan', 'cool-1', 'heat-1']);
});
