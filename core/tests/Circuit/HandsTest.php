<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Offered;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Coverage\Witness;
use Unionbit\Core\Proving\Route\Separation;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;

// What hands do to a house, and what was found on its conductors, over every example: meter, proofs and Trace ask one
// house.

dataset(
    'every house',
    array_combine(
        House::ids('equipment'),
        array_map(static fn (string $id): array => [$id], House::ids('equipment')),
    ),
);

/** @return list<Thing> everything that can be put on: by one tap, each landed end, the hot to each call */
function everyThing(Plan $plan): array
{
    $circuit = $plan->circuit();
    $elements = $circuit->netlist(Setup::calling())->elements;
    $ends = array_filter(
        array_keys($elements),
        static fn (string $id): bool => preg_match('/\.(near|far)\.joint$/', $id) === 1,
    );
    $screws = array_map(static fn ($t): string => $t->point(), $plan->profile->terminals);

    return [
        ...Offered::on($circuit),
        ...array_map(
            static fn (string $id): Thing => new LiftedEnd(At::read(substr($id, 0, -6))),
            array_values($ends),
        ),
        ...array_map(
            static fn (string $b): Thing => new Jumper(At::read($screws[0]), At::read($b)),
            array_slice($screws, 1),
        ),
    ];
}

/** @return list<array{string, string}> each screw and each conductor's end against each supply's common */
function pairsOf(Circuit $circuit): array
{
    $points = array_filter(
        $circuit->netlist(Setup::calling())->points,
        static fn (Point $p): bool => $p->probeable &&
            in_array($p->kind, [PointKind::Screw, PointKind::Conductor], true),
    );
    $pairs = [];
    foreach ($circuit->installation->transformers() as $transformer) {
        foreach (array_keys($points) as $point) {
            $pairs[] = [(string) $point, $transformer->common];
        }
    }

    return $pairs;
}

it('puts everything on that can be put on, and is asked alike by meter and Trace', function (
    string $id,
    ?bool $link,
): void {
    $plan = House::example($id);
    if ($link !== null) {
        $plan = $plan->landed($plan->landing->withLink($link));
    }
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    $pairs = pairsOf($circuit);
    $call = CallTable::needed($plan->installation->archetype)->calls()[0];
    $apart = [];
    foreach (everyThing($plan) as $t => $thing) {
        expect($thing->isOf($circuit))
            ->toBeTrue($thing->key())
            ->and((string) json_encode($thing->label($circuit)))
            ->not->toBe('')
            ->and($thing->kind()?->read(...[...$thing->names(), '', '']))
            ->toEqual($thing);
        // With the link the other way at rest alone: by the call it was asked as landed.
        $asking = [[CallName::Idle, false], ...$link === null ? [[CallName::Idle, true], [$call, false]] : []];
        foreach ($asking as [$asked, $dead]) {
            $hands = Hands::calling($asked)->provedDead($dead)->with($thing);
            $setup = $thing->on($dead ? Setup::isolated() : House::called($circuit, $asked), $circuit);
            $state = $house->state($hands);
            $point = $dead ? null : $circuit->operate($setup);
            // A part of the pairs with each thing, another part with the next.
            foreach ($pairs as $n => [$a, $b]) {
                if (($n + $t) % ($link === null ? 8 : 24) !== 0) {
                    continue;
                }
                $meter = $dead
                    ? (new Meter($circuit))->settledOhms($setup, $a, $b)->nominal
                    : $point?->between($a, $b);
                $asks = $state->read($dead ? MeterMode::Ohms : MeterMode::Volts, $a, $b);
                $alike =
                    $meter === null || $asks === null
                        ? $meter === $asks
                        : abs($meter - $asks) <= max(0.001, 0.001 * $meter);
                if (! $alike) {
                    $apart[] =
                        "{$thing->key()} {$asked->value} {$a}–{$b}: meter ".
                        json_encode($meter).
                        ', asked '.
                        json_encode($asks);
                }
            }
            // What stands is said by Trace as the same thing, so that putting it back is asked for.
            $said = array_keys($house->contacts->standing($house->contacts->plain($hands))->all);
            expect($said)->toBe([$thing->key()]);
        }
        expect(Things::of($thing)->without($thing))->toEqual(Things::none());
    }
    expect(array_slice($apart, 0, 3))->toBe([]);
})
    ->with('every house')
    ->with(['as landed' => [null], 'link the other way' => [false]]);

it('is asked with a fault in it as its meter reads it, live and dead', function (string $id): void {
    $plan = House::example($id);
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    $faults = House::faults()->of($circuit);
    // The metal of a unit is there only where a fault joins it, and is asked for in every house.
    $metal = array_values(array_filter($faults, static fn (Fault $f): bool => $f->entry === 'conductor-cabinet'));
    usort($faults, static fn (Fault $a, Fault $b): int => crc32($id.$a->id) <=> crc32($id.$b->id));
    $things = everyThing($plan);
    $points = array_keys(
        array_filter($circuit->atRest()->points, static fn (Point $p): bool => $p->probeable && ! $p->isLine()),
    );
    $calls = CallTable::needed($plan->installation->archetype)->calls();
    $apart = [];
    foreach ([...array_slice($metal, 0, 2), ...array_slice($faults, 0, 12)] as $n => $fault) {
        foreach ([true, false] as $dead) {
            $thing = $things[crc32($fault->id) % count($things)];
            $hands = Hands::calling($calls[$n % count($calls)])->provedDead($dead)->with($thing);
            $setup = $house->with($fault)->setup($hands);
            $state = $house->with($fault)->state($hands);
            $point = $dead ? null : $circuit->operate($setup);
            foreach ($points as $m => $a) {
                $b = (string) $points[($m * 7 + $n + 3) % count($points)];
                $meter = $dead
                    ? (new Meter($circuit))->settledOhms($setup, (string) $a, $b)->nominal
                    : $point?->between((string) $a, $b);
                $asks = $state->read($dead ? MeterMode::Ohms : MeterMode::Volts, (string) $a, $b);
                // What carries less than 0.02 mA is taken for nothing: some millivolts across a few ohms.
                $within = $dead ? max(0.001, 0.001 * $meter) : max(0.02, 0.001 * $meter);
                $alike = $meter === null || $asks === null ? $meter === $asks : abs($meter - $asks) <= $within;
                $apart = $alike ? $apart : [...$apart, "{$fault->id} {$hands->key()} {$a}–{$b}: {$meter}, {$asks}"];
            }
        }
    }
    expect(array_slice($apart, 0, 3))->toBe([]);
})->with('every house');

it('names a second pair for 0 V across a closed switch that reads otherwise with the switch open', function (
    string $id,
): void {
    $plan = House::example($id);
    $circuit = $plan->circuit();
    $meter = new Meter($circuit);
    $named = 0;
    foreach (CallTable::needed($circuit->installation->archetype)->calls() as $call) {
        $setup = House::called($circuit, $call);
        $netlist = $circuit->netlist(Setup::calling());
        foreach ($setup->closed as $printed) {
            $switch = $netlist->elements["switch.{$printed}"] ?? null;
            $pairs = $switch === null ? [] : [[$switch->a, $switch->b]];
            array_push($pairs, ...$switch === null ? [] : boardPair($plan, $switch->a, $switch->b));
            foreach ($pairs as [$a, $b]) {
                foreach ([[$a, $b], [$b, $a]] as [$from, $to]) {
                    $zero = $meter->volts($setup, $from, $to);
                    if ($zero->nominal === null || $zero->nominal > 0.5) {
                        continue;
                    }
                    expect($zero->decidedBy)->not->toBeNull("{$call->value} {$from}–{$to}");
                    $named++;
                    $closed = $meter->volts($setup, ...$zero->decidedBy);
                    $open = $meter->volts($setup->with(new Opened(Part::named($switch->id))), ...$zero->decidedBy);
                    expect($closed->low)->toBeGreaterThan(
                        $open->high ?? Expectation::GHOST_VOLTS,
                        "{$call->value} {$from}–{$to}: ".implode('–', $zero->decidedBy),
                    );
                }
            }
        }
    }
    expect($named)->toBeGreaterThan(0);
})->with('every house');

/** @return list<array{string, string}> the same two screws where their conductors land at a board */
function boardPair(Plan $plan, string $a, string $b): array
{
    $joints = array_filter(
        $plan->circuit()->netlist(Setup::calling())->elements,
        static fn ($e): bool => $e->kind === ElementKind::Joint,
    );
    $far = static function (string $screw) use ($joints): ?string {
        $near = array_find($joints, static fn ($j): bool => $j->b === $screw && str_ends_with($j->a, '.near'));

        return $near === null ? null : ($joints["{$near->subject}.far.joint"] ?? null)?->b;
    };
    [$hot, $call] = [$far($a), $far($b)];

    return $hot === null || $call === null ? [] : [[$hot, $call]];
}

it('says that no volts decide where nothing is fed', function (): void {
    $circuit = House::plan(House::BATTERY)->circuit();
    $dead = Setup::calling('Y', 'G')->with(new Opened(Part::named('T1.fuse')));
    $zero = (new Meter($circuit))->volts($dead, 'wall.Rc', 'wall.Y');

    expect($zero->decidedBy)->toBeNull()->and(json_encode($zero->notes))->toContain('no-volts-decide');
});

/** The house of an example with one conductor marked, its thermostat landed anew. */
function markedPlan(Plan $plan, string $cable, int $number, Condition $condition): Plan
{
    $of = $plan->installation->cable($cable);
    $conductors = array_map(
        static fn (Conductor $c): Conductor => $c->number === $number ? $c->marked($condition) : $c,
        $of->conductors ?? [],
    );
    $house = $plan->installation->withCable($of->withConductors($conductors));

    return new Plan($house, $plan->profile, LetterToLetter::landing($house, $plan->profile));
}

it('holds every mark of damage on every conductor: circuit, faults, proofs, what they tell, Trace', function (
    string $id,
): void {
    $plain = House::example($id);
    $n = crc32($id);
    foreach ($plain->installation->cables as $cable) {
        foreach ($cable->conductors as $conductor) {
            foreach (Condition::cases() as $condition) {
                $plan = markedPlan($plain, $cable->id, $conductor->number, $condition);
                $circuit = $plan->circuit();
                $point = $circuit->operate(Setup::calling());
                if ($condition === Condition::Cabinet) {
                    $metal = $circuit->netlist(Setup::calling())->element("{$conductor->id()}.metal")->b;
                    expect($circuit->point($metal)->kind)
                        ->toBe(PointKind::Metal)
                        ->and($circuit->point($metal)->place)
                        ->not->toBeNull();
                }
                // What costs seconds: a mark in eight hundred, and metal once in every twelfth house.
                $metal = $condition === Condition::Cabinet && $conductor->number === 1 && crc32($id) % 12 === 0;
                if ($n++ % 801 !== 0 && ! ($metal && $cable->id === 'A')) {
                    continue;
                }
                $faults = House::faults()->of($circuit);
                $steps = (new Steps($plan))->all();
                $step = array_find($steps, static fn ($s): bool => $s->probes !== []);
                expect($faults)
                    ->not->toBe([])
                    ->and((new Separation(AskedHouse::of($circuit), House::faults()))->ofStep($step, []))
                    ->toBeArray()
                    ->and((new Witness($plan))->of($step, $faults))
                    ->toBeArray()
                    ->and((new Trace($plan, House::faults()))->answer()->next)
                    ->not->toBe([]);
            }
        }
    }
})->with('every house');
