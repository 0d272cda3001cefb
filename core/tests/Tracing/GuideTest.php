<?php

declare(strict_types=1);

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\OnScrew;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Traced;
use Unionbit\Core\Tracing\Protocol\HandsText;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Tracing\Test\Moment;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Words\Message;

function guided(Traced $traced, Routine $routine): Traced
{
    $traced->trace->event(new Event(EventKind::Routine, key: $routine->value));

    return $traced;
}

function share(Trace $trace, string $group): float
{
    return $trace->groups()[$group] ?? 0.0;
}

dataset('routines', [
    'ohms, only C, add one, owner, split' => [
        'furnace-gas-1h-1c',
        'conductors-touch:A4~A5',
        ['cool-1', 'heat-1'],
        Routine::ShortHunt,
        8,
    ],
    'the outdoor half of a heat pump' => [
        'heat-pump-o-1c-1aux',
        'conductor-rubbed:B2~B4',
        ['cool-1', 'fan'],
        Routine::ShortHunt,
        10,
    ],
    'blower: the thermostat' => ['furnace-gas-1h-1c', 'switch-closed:switch.G', ['idle'], Routine::BlowerRuns, 9],
    'blower: R on G' => ['furnace-gas-1h-1c', 'conductors-touch:A1~A3', ['idle'], Routine::BlowerRuns, 10],
    'blower: its relay' => ['furnace-gas-1h-1c', 'relay-welded', ['idle'], Routine::BlowerRuns, 10],
    'blower: its motor' => ['furnace-gas-1h-1c', 'motor-stuck-on', ['idle'], Routine::BlowerRuns, 12],
    'blower: the limit' => ['furnace-gas-1h-1c', 'limit-open:limit', ['idle'], Routine::BlowerRuns, 3],
    'common: a crack between strip and lead' => [
        'furnace-gas-1h-1c',
        'common-cracked:T1.strip-c',
        ['cool-1', 'heat-1'],
        Routine::LostCommon,
        6,
    ],
    'common: its copper' => [
        'furnace-gas-1h-1c',
        'conductor-open:A5.h1',
        ['cool-1', 'heat-1'],
        Routine::LostCommon,
        9,
    ],
    'outdoor chain: the cable' => [
        'furnace-gas-1h-1c',
        'conductor-open:B1.h1',
        ['cool-1', 'fan'],
        Routine::OutdoorChain,
        10,
    ],
    'outdoor chain: a pressure switch' => [
        'heat-pump-o-1c-1aux',
        'high-pressure-open:high-pressure',
        ['cool-1', 'fan'],
        Routine::OutdoorChain,
        6,
    ],
    'R at three places: the strip' => [
        'furnace-gas-1h-1c',
        'r-cracked:T1.strip-r',
        ['cool-1', 'heat-1'],
        Routine::HotAtPlaces,
        9,
    ],
    'a look at the batteries' => [
        'furnace-gas-1h-1c',
        'display-dead',
        ['cool-1', 'heat-1'],
        Routine::CheapLooks,
        4,
    ],
]);

it('finds by a routine, in its order, no step twice, no fuse spent', function (
    string $house,
    string $fault,
    array $calls,
    Routine $routine,
    int $most,
): void {
    $traced = guided(Traced::of($house, [$fault], $calls), $routine);
    $traced->follow(30);

    expect($traced->found())
        ->toContain($fault)
        ->and(count($traced->keys))
        ->toBeLessThanOrEqual($most)
        ->and($traced->keys)
        ->toBe(array_values(array_unique($traced->keys)))
        ->and(array_sum($traced->trace->state()->spent))
        ->toBe(0);
})->with('routines');

it(
    'hunts a short as a master does: ohms with the power off, then the breaker with only C on the strip',
    function (): void {
        $traced = guided(
            Traced::of('furnace-gas-1h-1c', ['conductors-touch:A4~A5'], ['cool-1']),
            Routine::ShortHunt,
        );
        $first = $traced->trace->answer()->next[0];
        expect($first->probe?->mode)->toBe(MeterMode::Ohms)->and($first->setup?->isolated)->toBeTrue();
        while (($traced->trace->answer()->next[0]->setup?->breakers() ?? []) === []) {
            $traced->does($traced->trace->answer()->next[0]);
        }
        // Everything that is not C is off the strip, on both cables; the zero of what follows.
        $zero = $traced->trace->answer()->next[0];
        expect(HandsText::whole($zero->setup ?? Hands::calling(), $traced->trace->circuit)['lifted'])
            ->toContain('A1.far', 'A2.far', 'A3.far', 'A4.far', 'B1.near')
            ->not->toContain('A5.far', 'B2.near')
            ->and($zero->probe?->see)
            ->toBe(['breaker']);
    },
);

it(
    'measures before it touches, soaks, then wiggles spot by spot; the spot that answers is the one',
    function (): void {
        $traced = guided(
            Traced::of(
                'furnace-gas-1h-1c',
                ['common-cracked:T1.strip-c'],
                ['cool-1', 'heat-1'],
                comesAndGoes: true,
            ),
            Routine::Intermittent,
        );
        $kinds = [];
        for ($turn = 0; $turn < 16 && $traced->trace->answer()->done === null; $turn++) {
            $next = $traced->trace->answer()->next[0];
            $kinds[] = $next->event?->kind->value ?? 'test';
            $traced->does($next);
        }
        $touched = array_filter($kinds, static fn (string $k): bool => $k === 'touched');

        expect($traced->found())
            ->toContain('common-cracked:T1.strip-c')
            ->and($kinds[0])
            ->toBe('test')
            ->and($touched === [] || array_search('soaked', $kinds, true) < array_key_first($touched))
            ->toBeTrue();
    },
);

it('takes a spot that answered for what comes and goes there, and one that did not against it', function (): void {
    $told = static function (?bool $answered): float {
        $traced = Traced::of('furnace-gas-1h-1c', ['conductor-intermittent:A4.h1'], ['cool-1', 'fan']);
        if ($answered !== null) {
            $traced->trace->event(new Event(EventKind::Touched, of: 'A4.far', answered: $answered));
        }

        return array_sum(
            array_map(
                static fn ($s): float => str_starts_with($s->id, 'conductor-intermittent:A4') ? $s->share : 0.0,
                $traced->trace->answer()->suspects,
            ),
        );
    };

    expect($told(true))
        ->toBeGreaterThan(3.0 * $told(null))
        ->and($told(false))
        ->toBeLessThan(0.5 * $told(null));
});

it('reads a coil against a good one beside it: the same ohms clear it or condemn it', function (): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    $trace->told(CallName::Cool1, Result::saw(['outdoor-unit' => 'no', 'blower' => 'yes']));
    $setup = Hands::dead()->with(new LeadLifted('contactor'));
    $trace->test(
        $setup,
        Probe::meter(MeterMode::Ohms, At::read('contactor.hot'), At::read('contactor.common')),
        Result::number(9.6),
    );
    $trace->answer();
    $alone = share($trace, 'contactor:contactor');
    // A good one of the same kind reads the same: it is sound.
    $trace->event(new Event(EventKind::Compared, row: 1, ohms: 9.6));
    expect(share($trace, 'contactor:contactor'))->toBeLessThanOrEqual($alone);
    $trace->withdraw(2);
    // It reads half as much again: turns of the suspect one are shorted.
    $trace->event(new Event(EventKind::Compared, row: 1, ohms: 14.5));
    expect(share($trace, 'contactor:contactor'))->toBeGreaterThan(20.0 * $alone);
    $trace->withdraw(3);
    expect(share($trace, 'contactor:contactor'))->toBeLessThan(3.0 * $alone);
});

it('reads when in the sequence the fuse opened', function (?Moment $when, string $wins, string $loses): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    $result = new Result(sees: ['burner' => 'no'], fuses: ['T1' => 'opened'], when: $when);
    $trace->found(Hands::calling(CallName::Heat1), Probe::see(['burner']), $result);

    expect(share($trace, $wins))->toBeGreaterThan(share($trace, $loses));
})->with([
    'at the valve step: the valve' => [Moment::AtValve, 'gas-valve:gas-valve', 'insulation:A2~A5'],
    'as the call is made: its conductor' => [Moment::OnCall, 'insulation:A2~A5', 'gas-valve:gas-valve'],
    'before any call: R' => [Moment::AtOnce, 'insulation:A1~A5', 'insulation:A2~A5'],
]);

it('reads when the complaint comes', function (): void {
    $told = static function (ToldWhen $when, string $group): float {
        $trace = new Trace(House::example('heat-pump-o-1c-1aux'), House::faults());
        $trace->told(CallName::Cool1, Result::saw(['outdoor-unit' => 'no', 'blower' => 'yes']), $when);

        return share($trace, $group);
    };
    $delay = 'outdoor-wait:compressor-contact';

    expect($told(ToldWhen::AfterMinutes, 'pressure:high-pressure'))
        ->toBeGreaterThan(1.5 * $told(ToldWhen::Now, 'pressure:high-pressure'))
        ->and($told(ToldWhen::AtStart, $delay))
        ->toBeGreaterThan(1.5 * $told(ToldWhen::AfterMinutes, $delay))
        ->and($told(ToldWhen::AtTimes, 'disconnect'))
        ->toBeLessThan($told(ToldWhen::Now, 'disconnect'));
});

it('reads what was found along a cable, spot by spot', function (): void {
    $walked = static function (?bool $hurt): float {
        $traced = Traced::of('furnace-gas-1h-1c', ['conductor-open:B1.h1'], ['cool-1', 'fan']);
        $traced->trace->event(new Event(EventKind::Walked, of: 'B', key: Spot::LineSet->value, answered: $hurt));

        return share($traced->trace, 'conductor:B1');
    };

    expect($walked(true))
        ->toBeGreaterThan(2.0 * $walked(null))
        ->and($walked(false))
        ->toBeLessThan($walked(null));
});

it('exchanges a board wire by wire from a list that was made before, and refuses it half done', function (): void {
    $traced = Traced::of('furnace-gas-1h-1c', ['common-cracked:T1.strip-c'], ['cool-1', 'heat-1']);
    $traced->follow();
    $trace = $traced->trace;
    $repair = $trace->answer()->done?->repair?->id ?? '';
    $trace->event(new Event(EventKind::Listed, what: $repair));
    $list = $trace->exchange();
    expect($list?->wires)->toContainEqual(new OnScrew('A4.far', 'indoor.Y'))->and(count($list->wires))->toBe(7);

    foreach (array_slice($list->wires, 1) as $wire) {
        $trace->event(new Event(EventKind::WireOff, of: $wire->end));
        $trace->event(new Event(EventKind::WireOn, of: $wire->end));
    }
    $left = $list->wires[0]->end;
    expect(fn () => $trace->event(new Event(EventKind::Repaired, what: $repair)))->toThrow(
        fn (Refusal $refused) => expect($refused->allowed)->toBe(["wire-on {$left}"]),
    );
    $trace->event(new Event(EventKind::WireOn, of: $left));
    $trace->event(new Event(EventKind::Repaired, what: $repair));
    expect($trace->state()->repaired)
        ->toBe([$repair])
        ->and($trace->exchange())
        ->toBeNull();
});

it('holds every odd sign of before a repair until it is read again and struck off by hand', function (): void {
    $traced = Traced::of('furnace-gas-1h-1c-electronic', ['contactor-shorted:contactor'], ['cool-1', 'heat-1']);
    $plain = Hands::calling(CallName::Cool1);
    $traced->trace->found($plain, Probe::see(['display']), $traced->house->answer($plain, Probe::see(['display'])));
    $traced->trace->found($plain, Probe::see(['blower']), Result::saw(['blower' => 'chatters']));
    $traced->trace->found(Hands::calling(), Probe::see(['blower']), Result::saw(['blower' => 'no']));
    expect($traced->trace->answer()->odd)->toBe([]);
    $traced->trace->event(new Event(EventKind::Repaired, what: 'contactor:contactor'));

    $odd = $traced->trace->answer()->odd;
    expect($odd)
        ->toHaveKey(2)
        ->not->toHaveKey(3)
        ->and(array_values(array_unique($odd)))
        ->toBe([false]);
    $traced->trace->event(new Event(EventKind::Struck, row: 2));
    expect($traced->trace->answer()->odd[2])->toBeTrue();
    // A row that is withdrawn was no sign at all.
    $traced->trace->withdraw(2);
    expect($traced->trace->answer()->odd)->not->toHaveKey(2);
});

it('refuses what is of no row, and a wire that is on no list', function (Event $event, string $pointer): void {
    $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
    $trace->test(Hands::calling(), Probe::see(['blower']), Result::saw(['blower' => 'no']));
    expect(fn () => $trace->event($event))->toThrow(
        fn (Refusal $refused) => expect($refused->pointer)->toBe($pointer)->and($refused->allowed)->not->toBe([]),
    );
    expect(count($trace->rows()))->toBe(1);
})->with([
    [new Event(EventKind::Compared, row: 7, ohms: 13.0), '/event/row'],
    [new Event(EventKind::Struck, row: 2), '/event/row'],
    [new Event(EventKind::WireOn, of: 'A4.far'), '/event/of'],
]);

it('takes what comes only after minutes for what comes and goes, whichever shares its circuit', function (): void {
    $ratio = static function (?Moment $when): float {
        $trace = new Trace(House::example('furnace-gas-1h-1c'), House::faults());
        $setup = Hands::calling(CallName::Cool1);
        $trace->found(
            $setup,
            Probe::see(['outdoor-unit']),
            new Result(sees: ['outdoor-unit' => 'no'], when: $when),
        );
        $shares = array_column($trace->answer()->suspects, 'share', 'id');

        return $shares['conductor-intermittent:A4.h1'] / $shares['conductor-open:A4.h1'];
    };

    expect($ratio(Moment::AfterMinutes))->toBeGreaterThan(5.0 * $ratio(null));
});

it('names no inner part of the program where it says what a repair is at', function (): void {
    foreach (House::shelf()->ids() as $name) {
        $trace = new Trace(House::example($name), House::faults(), []);
        $words = new ProposalWords($trace);
        foreach ($trace->list->repairs as $repair) {
            $told = $words->at($repair);
            // A printed letter is its own name: an id begins small, or has a point in it.
            $raw = array_filter(
                (array) ($told->params['all'] ?? []),
                static fn (mixed $m): bool => $m instanceof Message &&
                    $m->code === 'words.raw' &&
                    preg_match('/^[a-z]|[.]/', $m->params['text']) === 1 &&
                    in_array($m->params['text'], explode('~', $repair->of), true),
            );
            expect([$name, $repair->id, $raw])->toBe([$name, $repair->id, []]);
        }
    }
});
