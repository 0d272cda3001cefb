<?php

declare(strict_types=1);

use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tracing\Protocol\Session;

function traceSession(string $house = 'furnace-gas-1h-1c'): Session
{
    return new Session(House::example($house), House::faults());
}

/** @return array<string, mixed> */
function started(Session $session, array $more = []): array
{
    return $session->answer([
        'do' => 'start',
        'complaint' => [['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'no', 'blower' => 'yes']]],
        ...$more,
    ]);
}

it('refuses by place, value and what is allowed, and changes nothing', function (
    array $request,
    string $pointer,
    mixed $is,
): void {
    $session = traceSession();
    $before = started($session);
    $answer = $session->answer($request);
    expect($answer['error']['pointer'])
        ->toBe($pointer)
        ->and($answer['error']['is'])
        ->toBe($is)
        ->and($answer['error']['allowed'])
        ->toBeArray()
        ->not->toBe([]);
    expect($session->answer(['do' => 'state']))->toEqual($before);
})->with([
    'a point' => [
        [
            'do' => 'test',
            'test' => ['probe' => ['mode' => 'V', 'from' => 'wall.Q', 'to' => 'wall.C']],
            'result' => ['volts' => 1],
        ],
        '/test/probe/from',
        'wall.Q',
    ],
    'a call' => [
        ['do' => 'test', 'test' => ['call' => 'heat-9', 'probe' => ['see' => ['blower']]], 'result' => []],
        '/test/call',
        'heat-9',
    ],
    'ohms with the power on' => [
        [
            'do' => 'test',
            'test' => ['probe' => ['mode' => 'O', 'from' => 'indoor.Y', 'to' => 'indoor.C']],
            'result' => ['ohms' => 1],
        ],
        '/test/probe/mode',
        'O',
    ],
    'a sign' => [
        ['do' => 'test', 'test' => ['probe' => ['see' => ['outdoor']]], 'result' => []],
        '/test/probe/see/0',
        'outdoor',
    ],
    'an answer' => [
        [
            'do' => 'test',
            'test' => ['probe' => ['see' => ['blower']]],
            'result' => ['sees' => ['blower' => 'maybe']],
        ],
        '/result/sees/blower',
        'maybe',
    ],
    'an event' => [['do' => 'event', 'event' => ['kind' => 'danced']], '/event/kind', 'danced'],
    'a row' => [['do' => 'withdraw', 'row' => 7], '/row', 7],
    'a word' => [['do' => 'sing'], '/do', 'sing'],
]);

it('names everything that it may be told', function (): void {
    $words = traceSession('heat-pump-o-2c-2aux')->answer(['do' => 'words']);
    expect($words['calls'])
        ->toContain('idle', 'cool-1', 'defrost')
        ->and($words['points'])
        ->toContain('T1.hot', 'T1.common', 'T1.winding', 'contactor.hot', 'pressure.in')
        ->and($words['points'])
        ->toContain('blower-relay.contact-a', 'sequencer-1.contact-b', 'A4.near')
        ->and($words['see'])
        ->toHaveKeys(['blower', 'outdoor-unit', 'display', 'fuse', 'breaker', 'transformer', 'line'])
        ->and($words['see']['display'])
        ->toBe(['on', 'off', 'resets'])
        ->and($words['schools'])
        ->toBe(['jumper', 'meter', 'unit', 'continuity'])
        ->and($words['faults'])
        ->toHaveKeys(['contactor-shorted:contactor', 'nothing-wrong', 'unknown']);
    foreach ($words['repairs'] as $repair) {
        expect($repair['ends'])->each->toBeIn(array_keys($words['faults']));
    }
});

it('answers in its own shape, row by row', function (): void {
    $session = traceSession();
    $answer = started($session, ['history' => ['thermostat-changed', 'the dog barked'], 'school' => 'meter']);
    expect(array_keys($answer))
        ->toBe([
            'rows',
            'state',
            'suspects',
            'groups',
            'next',
            'unexplained',
            'notes',
            'landing',
            'done',
            'open',
            'finished',
            'odd',
        ])
        ->and($answer['notes'])
        ->toBe(['the dog barked'])
        ->and($answer['rows'])
        ->toBe(0)
        ->and(array_sum(array_column($answer['suspects'], 'share')))
        ->toEqualWithDelta(1.0, 1.0e-6);
    $next = $answer['next'][0];
    expect($next)->toHaveKeys(['do', 'test', 'before', 'steps', 'words', 'minutes', 'bits', 'outcomes']);
    // Sending back what is proposed is always legal.
    $sent = $session->answer([
        'do' => 'test',
        'test' => $next['test'],
        'result' => $next['outcomes'][0]['result'],
    ]);
    expect($sent['rows'])->toBe(1)->and($sent['state']['minutes'])->toEqual($next['minutes']);
});

it('takes a complaint as one line, what was found as rows, and a refusal as none', function (): void {
    $line = traceSession();
    $list = traceSession();
    $first = $line->answer(['do' => 'start', 'complaint' => 'cool-1: outdoor-unit no, blower yes']);
    expect($first['suspects'])->toEqual(started($list)['suspects']);

    $found = [
        'test' => ['call' => 'cool-1', 'probe' => ['mode' => 'V', 'from' => 'wall.Y1', 'to' => 'wall.C']],
        'result' => ['volts' => 26.1],
    ];
    $with = traceSession();
    $answer = started($with, ['found' => [$found]]);
    expect($answer['rows'])
        ->toBe(1)
        ->and($answer['suspects'][0]['share'])
        ->not->toEqual($first['suspects'][0]['share']);

    $cannot = $list->answer([...$found, 'do' => 'test', 'result' => ['cannot' => 'no access']]);
    expect($cannot['suspects'])->toEqual($first['suspects'])->and($cannot['state']['minutes'])->toEqual(0.0);
});

it('keeps a fuse that opened, and a repair ends what it lists and no other', function (): void {
    $session = traceSession();
    $session->answer(['do' => 'start', 'history' => ['fuse-blew-before']]);
    $blown = $session->answer([
        'do' => 'test',
        'test' => ['call' => 'cool-1', 'probe' => ['see' => ['blower', 'outdoor-unit']]],
        'result' => ['sees' => ['blower' => 'no', 'outdoor-unit' => 'no'], 'fuses' => ['T1' => 'opened']],
    ]);
    expect($blown['state']['fuses']['T1'])
        ->toBe(['now' => 'open', 'spent' => 1])
        ->and($blown['suspects'][0]['id'])
        ->toEndWith('+fuse-blown:T1.fuse');
    $new = $session->answer(['do' => 'event', 'event' => ['kind' => 'fuse-replaced', 'of' => 'T1', 'amps' => 3]]);
    expect($new['state']['fuses']['T1']['now'])->toBe('whole');

    $repaired = $session->answer([
        'do' => 'event',
        'event' => ['kind' => 'repaired', 'what' => 'contactor:contactor'],
    ]);
    $left = array_filter(
        $repaired['suspects'],
        static fn (array $s): bool => str_starts_with($s['id'], 'contactor-'),
    );
    expect($left)
        ->toBe([])
        ->and($repaired['open'])
        ->toContain('cool-1')
        ->and($repaired['state']['repaired'])
        ->toBe(['contactor:contactor']);
});

it('confirms, repairs, runs again and is finished', function (): void {
    $session = traceSession();
    $answer = $session->answer([
        'do' => 'start',
        'complaint' => [['call' => 'heat-1', 'sees' => ['burner' => 'no', 'blower' => 'yes']]],
        'found' => [['test' => ['probe' => ['inspect' => 'limit:limit']], 'result' => ['found' => 'limit-open']]],
    ]);
    expect($answer['done']['repair']['id'])
        ->toBe('limit:limit')
        ->and($answer['done']['group'])
        ->toContain('limit-open:limit')
        ->and($answer['next'][0])
        ->toEqual($answer['done']['confirm']);
    $waived = $session->answer(['do' => 'event', 'event' => ['kind' => 'waived']]);
    expect($waived['done']['confirm'])
        ->toBeNull()
        ->and($waived['next'][0]['event'])
        ->toBe(['kind' => 'repaired', 'what' => 'limit:limit']);
    $answer = $session->answer(['do' => 'event', 'event' => $waived['next'][0]['event']]);
    for ($turn = 0; $turn < 6 && $answer['open'] !== []; $turn++) {
        $next = $answer['next'][0];
        expect($answer['done'])->toBeNull()->and($next['test']['call'])->toBe($answer['open'][0]);
        $answer = $session->answer([
            'do' => 'test',
            'test' => $next['test'],
            'result' => $next['outcomes'][0]['result'],
        ]);
    }
    expect($answer['finished'])->toBeTrue();
});
