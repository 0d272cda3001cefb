<?php

declare(strict_types=1);

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Prior;
use Unionbit\Core\Point\At;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Tests\Support\Traced;
use Unionbit\Core\Tracing\Belief\Kept;
use Unionbit\Core\Tracing\Next\Handling;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Wiring\End;

/** @return array<string, float> */
function shares(Trace $trace): array
{
    $shares = [];
    foreach ($trace->answer()->suspects as $line) {
        $shares[$line->id] = $line->share;
    }

    return $shares;
}

/** Rows that a house with this fault gives. */
function rowsOf(Traced $traced): array
{
    $rows = [];
    foreach (
        [
            [
                Hands::calling(CallName::Cool1),
                Probe::meter(MeterMode::Volts, At::read('wall.Y1'), At::read('wall.C')),
            ],
            [Hands::dead(), Probe::meter(MeterMode::Ohms, At::read('indoor.Y'), At::read('indoor.C'))],
            [Hands::calling(CallName::Cool1), Probe::see(['blower', 'outdoor-unit'])],
        ] as [$setup, $probe]
    ) {
        $rows[] = [$setup, $probe, $traced->house->answer($setup, $probe)];
    }

    return $rows;
}

it('gives shares that sum to one, and the same in any order', function (): void {
    $rows = rowsOf(Traced::of('furnace-gas-1h-1c', ['conductor-open:A4.h1'], []));
    $shares = [];
    foreach ([$rows, array_reverse($rows), [$rows[1], $rows[0], $rows[2]]] as $order) {
        $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
        foreach ($order as [$setup, $probe, $result]) {
            $trace->test($setup, $probe, $result);
        }
        $shares[] = shares($trace);
        expect(array_sum(shares($trace)))->toEqualWithDelta(1.0, 1.0e-9);
    }
    foreach ($shares[0] as $id => $share) {
        expect($shares[1][$id])
            ->toEqualWithDelta($share, 2.0e-3)
            ->and($shares[2][$id])
            ->toEqualWithDelta($share, 2.0e-3);
    }
});

it('judges everything again when a row is withdrawn, and keeps its number', function (): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    [$first, $wrong] = rowsOf(Traced::of('furnace-gas-1h-1c', ['conductor-open:A4.h1'], []));
    $trace->test(...$first);
    $before = shares($trace);
    $trace->test($wrong[0], $wrong[1], Result::number(0.1));
    expect(shares($trace))->not->toEqual($before);
    $trace->withdraw(2);
    foreach (shares($trace) as $id => $share) {
        expect($share)->toEqualWithDelta($before[$id] ?? 0.0, 1.0e-6);
    }
    expect(count($trace->rows()))
        ->toBe(2)
        ->and($trace->rows()[1]->withdrawn)
        ->toBeTrue();
});

it('takes back what a withdrawn row did to the house, its fuses and its calls', function (
    EventKind $kind,
    string $what,
): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    $trace->test(...rowsOf(Traced::of('furnace-gas-1h-1c', [], []))[0]);
    $of = static fn (Trace $t): array => [
        $t->state()->fuses,
        $t->state()->setup,
        $t->answer()->open,
        array_map(static fn (Proposal $p): string => $p->key(), $t->answer()->next),
    ];
    $before = $of($trace);
    $trace->event(new Event($kind, of: array_key_first($before[0]), what: $what));
    expect($of($trace))->not->toEqual($before);
    $trace->withdraw(2);

    expect($of($trace))->toEqual($before);
})->with([
    'a fuse that opened' => [EventKind::FuseOpened, ''],
    'a repair' => [EventKind::Repaired, 'conductor:A4'],
    'a breaker put in' => [EventKind::BreakerIn, ''],
]);

it('is deterministic', function (): void {
    $keys = [];
    foreach ([1, 2] as $_) {
        $traced = Traced::of('heat-pump-o-1c-1aux', ['valve-coil-open:valve'], ['cool-1', 'heat-1']);
        $traced->follow();
        $keys[] = $traced->keys;
    }

    expect($keys[0])->toBe($keys[1]);
});

it('keeps the true one among the first ten whatever is tested, with honest readings', function (int $seed): void {
    $pick = new Pick("trace {$seed}");
    $equipment = $pick->one(['furnace-gas-1h-1c', 'heat-pump-o-1c-1aux', 'air-handler-electric-1h-1c']);
    $plan = House::example($equipment);
    $fault = $pick->one(
        array_values(
            array_filter(
                House::faults()->of($plan->circuit()),
                static fn ($f): bool => $f->prior !== Prior::Rare && ! $f->intermittent,
            ),
        ),
    );
    $traced = Traced::of($equipment, [$fault->id], ['cool-1', 'heat-1', 'fan'], seed: $seed);
    for ($turn = 0; $turn < 6; $turn++) {
        $next = $traced->trace->answer()->next;
        $tests = array_values(array_filter($next, static fn (Proposal $p): bool => $p->setup !== null));
        if ($tests === []) {
            break;
        }
        $traced->does($pick->one($tests));
    }
    $groups = array_slice($traced->trace->answer()->groups, 0, 10);

    expect(array_map(static fn ($g): string => $g->id, $groups))->toContain($fault->repair);
})->with(range(1, 8));

it('moves no jumper, lead, face or fuse with the power on', function (string $equipment, string $fault): void {
    $traced = Traced::of($equipment, [$fault], ['cool-1', 'heat-1']);
    $walk = static function (Handling $handling, bool $live): void {
        foreach ($handling->steps as $step) {
            [$what, $value] = [array_key_first($step), reset($step)];
            $live = $what === 'power' ? $value === 'on' : $live;
            if (! in_array($what, ['power', 'go', 'call'], true)) {
                expect($live)->toBeFalse();
            }
        }
    };
    for ($turn = 0; $turn < 25; $turn++) {
        $answer = $traced->trace->answer();
        $next = $answer->next[0] ?? null;
        if ($answer->finished || $next === null) {
            break;
        }
        foreach ($answer->next as $other) {
            $walk($other->handling, ! $traced->trace->state()->setup->isolated);
            // Ohms are read with the power off only.
            if ($other->probe?->mode === MeterMode::Ohms) {
                expect($other->setup?->isolated)->toBeTrue();
            }
        }
        $traced->does($next);
    }
    expect($traced->keys)->not->toBe([]);
})->with([
    ['furnace-gas-1h-1c', 'conductors-touch:A4~A5'],
    ['heat-pump-o-1c-1aux', 'conductor-open:A3.h1'],
    ['boiler-zone-valve-1c', 'switch-open:switch.Y1'],
]);

it('goes on without what cannot be reached, and says when nothing parts them further', function (): void {
    $traced = Traced::of('furnace-gas-1h-1c', ['conductor-open:B1.h1'], ['cool-1', 'fan']);
    for ($turn = 0; $turn < 40; $turn++) {
        $answer = $traced->trace->answer();
        $next = $answer->next[0] ?? null;
        if ($answer->done !== null || $next?->setup === null || $next->probe === null) {
            break;
        }
        $outdoors = $next->handling->at->value === 'outdoor';
        $key = $next->key();
        if ($outdoors) {
            $traced->trace->test($next->setup, $next->probe, new Result(cannot: 'no access'));
            // The same is not proposed again, and the refusal is no evidence.
            foreach ($traced->trace->answer()->next as $other) {
                expect($other->key())->not->toBe($key);
            }
        } else {
            $traced->does($next);
        }
    }
    $answer = $traced->trace->answer();

    expect($answer->done)->not->toBeNull()->and($answer->done?->ids)->toContain('conductor-open:B1.h1');
});

it('opens the calls that a repair touches, and no other', function (): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    $trace->event(new Event(EventKind::Repaired, what: 'conductor:A4'));
    expect($trace->answer()->open)->toBe([CallName::Cool1]);
    $sees = $trace->wanted(CallName::Cool1);
    expect($sees)->toMatchArray(['outdoor-unit' => 'yes', 'blower' => 'yes', 'burner' => 'no']);
    $trace->test(
        Hands::calling(CallName::Cool1),
        Probe::see(array_keys($sees)),
        Result::saw(['outdoor-unit' => 'no'] + $sees),
    );
    expect($trace->answer()->open)->toBe([CallName::Cool1]);
    $trace->test(Hands::calling(CallName::Cool1), Probe::see(array_keys($sees)), Result::saw($sees));
    expect($trace->answer()->open)->toBe([]);
});

it('says "none of what I know" where every row contradicts every suspect', function (): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    foreach (['wall.Y1', 'wall.W1', 'wall.G', 'wall.Rc', 'indoor.Y', 'indoor.W', 'indoor.G'] as $n => $point) {
        foreach ([CallName::Idle, CallName::Cool1] as $call) {
            $to = str_starts_with($point, 'wall') ? 'wall.C' : 'indoor.C';
            $trace->test(
                Hands::calling($call),
                Probe::meter(MeterMode::Volts, At::read($point), At::read($to)),
                Result::number(6.0 + $n),
            );
        }
    }
    $answer = $trace->answer();

    expect($answer->suspects[0]->id)->toBe(Suspect::UNKNOWN)->and($answer->unexplained)->not->toBe([]);
});

it('tells a survey\'s own landing fault before any test', function (): void {
    $plan = House::plan(edit: static fn ($landing) => $landing->onWall('A5', End::landed('Rc')));
    $trace = new Trace($plan, House::faults());
    $answer = $trace->answer();
    $ids = array_map(static fn ($f): string => $f->id(), $answer->landing);

    expect($ids)
        ->not->toBe([])
        ->and(array_filter($answer->suspects, static fn ($s): bool => in_array($s->id, $ids, true)))
        ->not->toBe([])
        ->and($answer->landing[0]->opensFuse)
        ->toBeTrue();
});

it('keeps what a row says in each world, and works nothing of it out again', function (): void {
    $store = new class implements Kept
    {
        /** @var array<string, array<string, array<string, float>>> */
        public array $rows = [];

        public int $kept = 0;

        public function of(string $row): array
        {
            return $this->rows[$row] ?? [];
        }

        public function keep(string $row, array $known): void
        {
            $this->rows[$row] = $known;
            $this->kept++;
        }
    };
    $shares = static function (float $volts) use ($store): array {
        $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults(), kept: $store);
        $trace->told(CallName::Cool1, Result::saw(['outdoor-unit' => 'no', 'blower' => 'yes']));
        $probe = Probe::meter(MeterMode::Volts, At::read('wall.Y1'), At::read('wall.C'));
        $trace->test(Hands::calling(CallName::Cool1), $probe, Result::number($volts));
        $groups = $trace->groups();
        $trace->keep();

        return $groups;
    };
    $first = $shares(25.8);
    $kept = $store->kept;
    expect($kept)->toBeGreaterThan(1)->and($shares(25.8))->toBe($first)->and($store->kept)->toBe($kept);
    // Another reading is another row: only that is worked out.
    expect($shares(0.2))
        ->not->toBe($first)
        ->and($store->kept - $kept)
        ->toBeLessThanOrEqual(2);
});

it('offers a cheap repair as a test where no look tells: a delay waited out, and run again', function (): void {
    $traced = Traced::of('heat-pump-o-1c-1aux', ['outdoor-delay:compressor-contact'], ['cool-1', 'fan']);
    $trial = null;
    for ($turn = 0; $turn < 12 && $trial === null && $traced->trace->answer()->done === null; $turn++) {
        $next = $traced->trace->answer()->next;
        // What voids a proof is never the first to be asked for.
        expect($next[0]->event)->toBeNull();
        $trial = array_find($next, static fn (Proposal $p): bool => $p->event?->kind === EventKind::Soaked);
        if ($trial === null && ($next[0]->probe->inspect ?? '') !== '') {
            $traced->trace->test($next[0]->setup, $next[0]->probe, new Result(cannot: 'no access'));
        } elseif ($trial === null) {
            $traced->does($next[0]);
        }
    }
    expect($trial?->bits)->toBeGreaterThan(0.5);
    $traced->does($trial);
    $answer = $traced->follow(toTheEnd: true);
    expect($answer->finished)->toBeTrue()->and($traced->house->isSound())->toBeTrue();
});
