<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Route\Route;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;

it('walks through two proofs as a person would, second by second', function (): void {
    $plan = House::plan();
    $steps = new Steps($plan);
    $walk = (new Walk(new Waits($plan->installation)))->through(
        array_values(array_filter([$steps->find('fan.jumper'), $steps->find('fan.voltage')])),
    );
    // To the unit 60, off 60, to the wall 60, jumper on 60; to the unit 60, on 60; to the wall 60, to the board 60, one
    // pair 20; off 60, to the wall 60, jumper out 60. Then to the unit 60, on 60, to the wall 60, asked 20, 5
    // until it runs, one pair there 20, told to end 20, fallen out after 5.
    $seconds = 60 + 60 + 60 + 60 + 60 + 60 + 60 + 60 + 20 + 60 + 60 + 60 + 60 + 60 + 60 + 20 + 5 + 20 + 20 + 5;

    expect($walk->minutes())
        ->toBe((int) round($seconds / 60))
        ->and($walk->powerChanges)
        ->toBe(4)
        ->and($walk->waitMinutes())
        ->toBe(0);
});

it('takes the order that is quicker, fan first and never losing a proof', function (
    string $archetype,
    School $school,
): void {
    $plan = House::example($archetype);
    $waits = new Waits($plan->installation);
    $steps = (new Steps($plan))->all();
    $route = Route::of($steps, $school, $waits);
    $byKey = array_combine(array_map(static fn (Step $s): string => $s->key(), $steps), $steps);
    $find = static fn (string $key): Step => $byKey[$key];
    $byCall = [];
    foreach ($route->keys as $key) {
        $byCall[$find($key)->call->value][] = $key;
    }
    $callByCall = (new Walk($waits))->through(array_map($find, array_merge(...array_values($byCall))));
    $voltage = array_values(
        array_filter($route->keys, static fn (string $k): bool => str_ends_with($k, '.voltage')),
    );

    expect($route->minutes)
        ->toBeLessThanOrEqual($callByCall->minutes())
        ->and($route->waits)
        ->toBeLessThanOrEqual($route->minutes)
        ->and($voltage[0])
        ->toBe('fan.voltage')
        ->and($voltage)
        ->toBe(
            array_values(
                array_map(
                    static fn (Step $s): string => $s->key(),
                    array_filter($steps, static fn (Step $s): bool => $s->method === Method::Voltage),
                ),
            ),
        )
        ->and(array_unique($route->keys))
        ->toBe($route->keys)
        ->and(Route::of($steps, $school, $waits, $route->keys)->keys)
        ->toBe([]);
})
    ->with(['furnace-gas-1h-1c', 'heat-pump-o-2c-1aux', 'dual-fuel-o-2c-2h', 'boiler-zone-valve-1c'])
    ->with(array_filter(School::cases(), static fn (School $s): bool => $s !== School::Short));

it('closes every call in the short form, at rest first and last, without a power change', function (
    string $archetype,
    int $minutes,
    int $readings,
    int $answers,
): void {
    $plan = House::example($archetype);
    $steps = (new Steps($plan))->all();
    $rest = array_find($steps, static fn (Step $s): bool => $s->method === Method::AtRest);
    $route = Route::of($steps, School::Short, new Waits($plan->installation), ['idle.pre-check'], $rest);
    $calls = array_filter(
        $steps,
        static fn (Step $s): bool => $s->method === Method::Voltage && $s->call !== CallName::Defrost,
    );

    expect([$route->minutes, $route->readings, $route->answers, $route->powerChanges])
        ->toBe([$minutes, $readings, $answers, 0])
        ->and(array_values(array_diff(array_map(static fn (Step $s): string => $s->key(), $calls), $route->keys)))
        ->toBe([])
        ->and([$route->keys[0], $route->keys[1], $route->keys[2], $route->keys[count($route->keys) - 1]])
        ->toBe(['idle.at-rest', 'idle.looks', 'fan.voltage', 'idle.at-rest']);
    foreach ($route->keys as $n => $key) {
        $follows = (new Steps($plan))->find($key)?->follows;
        expect($follows === null || $route->keys[$n - 1] === $follows)->toBeTrue($key);
    }
})->with([
    'furnace with cooling' => ['furnace-gas-1h-1c', 19, 13, 11],
    'two-stage heat pump with strips' => ['heat-pump-o-2c-2aux', 46, 24, 36],
    'dual fuel' => ['dual-fuel-o-2c-2h', 42, 24, 31],
]);

it('begins with what the school reaches for first, where this thermostat allows it', function (
    School $school,
    string $profile,
    Method $first,
): void {
    $plan = House::plan($profile);
    $route = Route::of((new Steps($plan))->all(), $school, new Waits($plan->installation));
    $cooling = array_values(
        array_filter($route->keys, static fn (string $k): bool => str_starts_with($k, 'cool-1.')),
    );

    expect($route->keys[0])
        ->toBe('idle.pre-check')
        ->and($cooling[0])
        ->toBe('cool-1.'.$first->value)
        ->and($cooling)
        ->toHaveCount(2)
        ->toContain('cool-1.voltage');
})->with([
    'jumper' => [School::Jumper, House::C_POWERED, Method::Jumper],
    'meter' => [School::Meter, House::C_POWERED, Method::Voltage],
    'unit' => [School::Unit, House::C_POWERED, Method::BoardJumper],
    'continuity with batteries' => [School::Continuity, House::BATTERY, Method::Continuity],
    'no continuity on C: the jumper instead' => [School::Continuity, House::C_POWERED, Method::Jumper],
]);

it('adds a stage to a running call without the off time', function (
    string $archetype,
    string $step,
    ?string $follows,
    int $onward,
): void {
    $found = (new Steps(House::example($archetype)))->find($step) ?? throw new LogicException($step);

    expect($found->follows)
        ->toBe($follows)
        ->and($found->onward->seconds ?? -1)
        ->toBe($onward);
})->with([
    'second compressor stage' => ['heat-pump-o-2c-1aux', 'cool-2.voltage', 'cool-1.voltage', 5],
    'auxiliary joins the highest stage' => ['heat-pump-o-2c-1aux', 'aux-1.voltage', 'heat-2.voltage', 30],
    'second furnace stage' => ['furnace-gas-2h-1c', 'heat-2.voltage', 'heat-1.voltage', 60],
    'heating does not follow cooling' => ['heat-pump-o-2c-1aux', 'heat-1.voltage', null, -1],
    'emergency stands alone' => ['heat-pump-o-2c-1aux', 'emergency.voltage', null, -1],
    'the fan is nobody\'s lower stage' => ['furnace-gas-1h-1c', 'cool-1.voltage', null, -1],
]);

it('counts the compressor\'s rest from its last call as well as from power-on', function (): void {
    $plan = House::example('heat-pump-o-1c-1aux');
    $steps = new Steps($plan);
    $pair = array_values(array_filter([$steps->find('cool-1.voltage'), $steps->find('heat-1.voltage')]));
    $alone = (new Walk(new Waits($plan->installation)))->through([$pair[0]]);
    $both = (new Walk(new Waits($plan->installation)))->through($pair);

    // 480 s from the end of the call, less its drop-off of 60, the asking of 20 and the way out of 120; and the
    // drop-off of the second.
    expect($pair[1]->wait->rest)
        ->toBe(480)
        ->and($both->waitMinutes() - $alone->waitMinutes())
        ->toBe(5);
});
