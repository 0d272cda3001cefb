<?php

declare(strict_types=1);

use Unionbit\Core\Bench\TimeMachine;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tests\Support\House;

/** @return array<string, int> first second of each thing that happened */
function firsts(TimeMachine $machine, CallName $call, int $seconds, ?int $until = null): array
{
    $firsts = [];
    foreach ($machine->run($call, $seconds, 0, $until) as $event) {
        $firsts[said($event['what'])] ??= $event['t'];
    }

    return $firsts;
}

it('holds the published limits of a blade fuse', function (float $multiple, ?float $fast, ?float $slow): void {
    expect([FuseCurve::seconds($multiple, 0.0), FuseCurve::seconds($multiple, 1.0)])->toEqualWithDelta(
        [$fast, $slow],
        0.001,
    );
})->with([
    [1.1, null, null],
    [1.34, null, null],
    [1.35, 0.75, 600.0],
    [2.0, 0.15, 5.0],
    [3.5, 0.04, 0.5],
    [9.0, 0.04, 0.5],
]);

it('lets a test breaker hold far longer than a fuse', function (float $multiple): void {
    expect(FuseCurve::breakerSeconds($multiple, 0.0))
        ->toBeGreaterThan((float) FuseCurve::seconds($multiple, 0.0))
        ->and(FuseCurve::breakerSeconds(1.2, 0.5))
        ->toBeNull();
})->with([1.4, 2.0, 4.0, 8.0]);

it('gets slower as the overload gets smaller', function (): void {
    $times = array_map(static fn (float $m): ?float => FuseCurve::seconds($m, 0.5), [3.4, 2.6, 2.0, 1.7, 1.4]);
    $sorted = $times;
    sort($sorted);

    expect($times)->toBe($sorted);
});

it('holds the compressor back, then the outdoor board does', function (): void {
    $plan = House::example('heat-pump-o-1c-1aux');
    $first = firsts(new TimeMachine($plan->circuit(), seed: 7), CallName::Heat1, 600, 560);

    expect($first['outdoor Y input pulled in'])
        ->toBe(300)
        ->and($first['contactor pulled in'])
        ->toBe(480)
        ->and($first['blower on'])
        ->toBeLessThan(100)
        ->and($first['outdoor unit off'])
        ->toBe(560);
});

it('lights the burner after the ignition control, then blows', function (): void {
    $first = firsts(new TimeMachine(House::plan()->circuit(), seed: 7), CallName::Heat1, 300, 200);

    expect($first['gas valve pulled in'] - $first['ignition control pulled in'])
        ->toBe(45)
        ->and($first['blower on'] - $first['burner on'])
        ->toBe(45)
        ->and($first['burner off'])
        ->toBe(200)
        ->and($first['blower off'])
        ->toBe(260);
});

it('runs the strip after its sequencer and the same way twice', function (): void {
    $plan = House::example('air-handler-electric-1h-1c');
    $run = static fn (): array => (new TimeMachine($plan->circuit(), seed: 3))->run(CallName::Heat1, 200);
    $first = firsts(new TimeMachine($plan->circuit(), seed: 3), CallName::Heat1, 200);

    expect($first['strip on'] - $first['strip heat pulled in'])
        ->toBe(30)
        ->and($run())
        ->toEqual($run());
});

it('opens the fuse on a shorted contactor when cooling comes, and the thermostat stays dark', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $fault = House::fault($plan, 'contactor-shorted:contactor');
    $first = firsts(new TimeMachine($plan->circuit(), $fault, 7), CallName::Cool1, 500);
    $fuse = array_values(
        array_filter(
            array_keys($first),
            static fn (string $what): bool => str_starts_with($what, 'the 3 A fuse opens'),
        ),
    );

    expect($fuse)
        ->toHaveCount(1)
        ->and($first[$fuse[0]])
        ->toBeGreaterThan(299)
        ->and($first['display off'])
        ->toBeGreaterThan(299)
        ->and($first)
        ->not->toHaveKey('outdoor unit on');
});

it('stops what the float breaks, by itself or by its relay', function (
    array $device,
    string $call,
    string $stops,
    bool $dark,
): void {
    $house = SurveyFile::read(
        [
            'facts' => [
                'plateLink' => 'in',
                'safety' => [['id' => 'float', 'label' => 'float switch', ...$device]],
            ],
            'cables' => SurveyFile::write(House::survey())['cables'],
        ],
        House::archetype(),
    );
    $profile = House::profile(House::C_POWERED);
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $first = firsts(new TimeMachine($plan->circuit(), seed: 7, floatAt: 400), CallName::from($call), 500);

    expect($first[$stops])
        ->toBeGreaterThanOrEqual(400)
        ->and(isset($first['display off']))
        ->toBe($dark);
})->with([
    'in R: the thermostat goes dark' => [['breaks' => ['R']], 'cool-1', 'outdoor unit off', true],
    'in Y: cooling stops, the thermostat lives' => [['breaks' => ['Y']], 'cool-1', 'outdoor unit off', false],
    'in W: heating stops' => [['breaks' => ['W']], 'heat-1', 'burner off', false],
    'a relay in both' => [['breaks' => ['Y', 'W'], 'relay' => true], 'cool-1', 'outdoor unit off', false],
]);

it('runs on with the pan full where the float is stuck', function (array $device, string $fault): void {
    $house = SurveyFile::read(
        [
            'facts' => ['plateLink' => 'in', 'safety' => [['id' => 'pan', 'label' => 'float switch', ...$device]]],
            'cables' => SurveyFile::write(House::survey())['cables'],
        ],
        House::archetype(),
    );
    $profile = House::profile(House::C_POWERED);
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $good = firsts(new TimeMachine($plan->circuit(), seed: 7, floatAt: 400), CallName::Cool1, 500);
    $stuck = firsts(
        new TimeMachine($plan->circuit(), House::fault($plan, $fault), seed: 7, floatAt: 400),
        CallName::Cool1,
        500,
    );

    expect($good['outdoor unit off'])
        ->toBeGreaterThanOrEqual(400)
        ->and($stuck)
        ->not->toHaveKey('outdoor unit off')
        ->and($stuck['outdoor unit on'])
        ->toBe($good['outdoor unit on']);
})->with([
    'in Y' => [['breaks' => ['Y']], 'float-stuck:pan'],
    'through a relay' => [['breaks' => ['Y', 'W'], 'relay' => true], 'float-stuck:pan'],
]);

it('never opens a bridged fuse, and tells the load on the transformer', function (string $profile): void {
    $plan = House::example('furnace-gas-1h-1c', $profile);
    $events = static fn (string ...$ids): array => array_column(
        (new TimeMachine(
            $plan->circuit(),
            Fault::together(...array_map(static fn (string $id): Fault => House::fault($plan, $id), $ids)),
            7,
        ))->run(CallName::Fan, 400),
        'what',
    );
    $opens = static fn (array $whats): array => array_values(
        array_filter($whats, static fn (mixed $what): bool => str_contains(said($what), 'opens')),
    );
    $short = $events('conductors-touch:A3~A5');
    $bridged = $events('conductors-touch:A3~A5', 'fuse-bridged:T1.fuse');

    expect($opens($short))
        ->toHaveCount(1)
        ->and($opens($bridged))
        ->toBe([])
        ->and(joined(' ', $bridged))
        ->toContain($profile === House::BATTERY ? 'over its 40 VA' : 'the thermostat blanks');
})->with([House::BATTERY, House::C_POWERED]);

it('lets an intermittent fault come and go', function (): void {
    $plan = House::example('furnace-gas-1h-1c');
    $events = (new TimeMachine($plan->circuit(), House::fault($plan, 'conductor-intermittent:A3.h1'), 2))->run(
        CallName::Fan,
        400,
    );
    $pulls = count(
        array_filter($events, static fn (array $e): bool => said($e['what']) === 'blower relay pulled in'),
    );

    expect($pulls)->toBeGreaterThan(2);
});

it('lets a power-sharing thermostat live on its charge while its call is on', function (): void {
    $first = firsts(
        new TimeMachine(House::example('furnace-gas-1h-1c', 'power-sharing-1h-1c')->circuit(), seed: 4),
        CallName::Cool1,
        9000,
    );

    expect($first['the thermostat has used up its charge'])
        ->toBeGreaterThan(7200)
        ->and($first['the thermostat has recharged and starts'] - $first['the thermostat has used up its charge'])
        ->toEqualWithDelta(720, 2);
});
