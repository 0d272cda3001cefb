<?php

declare(strict_types=1);

use Unionbit\Core\Finding;
use Unionbit\Core\Planning\CallProof;
use Unionbit\Core\Planning\LetterToLetter;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\MoveList;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Planning\Simulation;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Landing;

it('finds what is wrong with a landing', function (string $profile, array $survey, ?callable $edit, string $code, string $severity, string $says): void {
    $plan = House::plan($profile, $survey, $edit);
    $found = array_values(array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->code === $code));

    expect($found)->not->toBe([], "{$code} says nothing")
        ->and($found[0]->severity->value)->toBe($severity)->and("{$found[0]->title} {$found[0]->meaning} {$found[0]->action}")->toContain($says);
})->with([
    'MR01 the equipment end defines' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(4, End::landed('Y1'))->onWall(3, End::landed('G')), 'MR01', 'error', '3 yellow lands on G but is Y at the board'],
    'MR01 reaches nothing' => [House::C_POWERED, [3 => ['far' => ['state' => 'spare']]], fn (Landing $l) => $l->onWall(4, End::landed('G')), 'MR01', 'error', 'reaches nothing at the board'],
    'MR01 no such screw' => [House::BATTERY, [], fn (Landing $l) => $l->onWall(5, End::landed('C')), 'MR01', 'error', 'which the new plate does not have'],
    'MR02 link out kills heating' => [House::C_POWERED, [], fn (Landing $l) => $l->withLink(false), 'MR02', 'error', 'Rh has no hot'],
    'MR02 link in' => [House::C_POWERED, [], null, 'MR02', 'good', 'stays in'],
    'MR02 no R at all' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(1, End::free(EndState::Capped)), 'MR02', 'error', 'No R lands'],
    'MR04 common on a hot, link in: the fuse opens' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(5, End::landed('Rh')), 'MR04', 'stop', 'The 3 A fuse opens'],
    'MR04 common on Rh, link out: heating dead' => [House::BATTERY, [], fn (Landing $l) => $l->onWall(5, End::landed('Rh'))->onWall(1, End::landed('Rc'))->withLink(false), 'MR04', 'error', 'W close to the common instead of the hot'],
    'MR04 needed and missing' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(5, End::free(EndState::Capped)), 'MR04', 'error', 'needs C and none lands'],
    'MR04 not needed: cap it' => [House::BATTERY, [], null, 'MR04', 'note', 'Cap it and leave it for the next thermostat'],
    'MR08 no screw for the signal' => [House::C_POWERED, [4 => ['far' => ['state' => 'landed', 'terminal' => 'L']]], null, 'MR08', 'note', 'Cap it on its own'],
    'MR13 two on one screw' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(4, End::landed('Y1')), 'MR13', 'error', '3 yellow and 4 green on Y1'],
    'MR13 board screw overfull' => [House::C_POWERED, [3 => ['far' => ['state' => 'landed', 'terminal' => 'Y']]], null, 'MR13', 'warning', 'outdoor unit'],
    'MR14 bare spare' => [House::C_POWERED, [], fn (Landing $l) => $l->onWall(5, End::free(EndState::Spare)), 'MR14', 'warning', '5 blue'],
    'MR14 cut short' => [House::BATTERY, [], fn (Landing $l) => $l->onWall(5, End::free(EndState::CutShort)), 'MR14', 'warning', 'not capped'],
]);

it('lands letter to letter without a finding that blocks, and proves every call', function (string $profile): void {
    $plan = House::plan($profile);
    $blocking = array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->severity->blocks());

    expect($blocking)->toBe([])
        ->and(array_filter(Simulation::prove($plan), static fn (CallProof $p): bool => ! $p->isProved()))->toBe([])
        ->and(Simulation::prove($plan))->toHaveCount(4);
})->with([House::C_POWERED, House::BATTERY]);

it('follows the equipment end where the old wall labels are swapped', function (): void {
    $house = House::survey([2 => ['near' => ['state' => 'landed', 'terminal' => 'G']], 3 => ['near' => ['state' => 'landed', 'terminal' => 'Y']]]);
    $profile = House::profile(House::C_POWERED);
    $landing = LetterToLetter::landing($house, $profile);

    expect($landing->wall[3]->terminal)->toBe('Y1')->and($landing->wall[4]->terminal)->toBe('G')
        ->and(array_map(static fn (CallProof $p): bool => $p->isProved(), Simulation::prove(new Plan($house, $profile, $landing))))->each->toBeTrue();
});

it('says why a call of a bad plan is not proved', function (callable $edit, string $call, string $problem): void {
    $proofs = array_column(array_map(static fn (CallProof $p): array => $p->toArray(), Simulation::prove(House::plan(edit: $edit))), null, 'call');

    expect(implode(' ', $proofs[$call]['problems']))->toContain($problem);
})->with([
    'Y and G swapped' => [fn (Landing $l) => $l->onWall(3, End::landed('G'))->onWall(4, End::landed('Y1')), 'fan', 'The contactor pulls in and should not'],
    'no common' => [fn (Landing $l) => $l->onWall(5, End::free(EndState::Capped)), 'idle', 'display is blank'],
    'common on Rh' => [fn (Landing $l) => $l->onWall(5, End::landed('Rh')), 'idle', '3 A fuse opens'],
    'W capped' => [fn (Landing $l) => $l->onWall(2, End::free(EndState::Capped)), 'heat-1', 'The gas valve is at rest'],
]);

it('lands the hot last and caps before anything lands', function (): void {
    $order = array_map(static fn ($move): string => $move->key, MoveList::of(House::plan(House::BATTERY)));

    expect($order[0])->toBe('link:in')->and($order[1])->toBe('A5:cap')->and(end($order))->toBe('A1:Rh');
});

it('MR03 keeps two transformers apart, also where no meter would tell', function (string $profile, callable $edit, array $says): void {
    $plan = House::example('boiler-zone-valve-1c', $profile);
    $found = array_filter(MappingRules::check(new Plan($plan->installation, $plan->profile, $edit($plan->landing))), static fn (Finding $f): bool => $f->code === 'MR03');

    expect(array_values(array_map(static fn (Finding $f): string => $f->title, $found)))->toBe($says);
})->with([
    'apart' => ['c-powered-3h-2c', fn (Landing $l) => $l, []],
    'link in' => ['c-powered-3h-2c', fn (Landing $l) => $l->withLink(true), ['Link in on two transformers']],
    'crossed' => ['c-powered-3h-2c', fn (Landing $l) => $l->onWall(1, End::landed('Rh'))->onWall(5, End::landed('Rc')), ['1 red brings the wrong hot to Rh', '5 white brings the wrong hot to Rc']],
    'one hot screw' => ['solid-state-1h-1c', fn (Landing $l) => $l, ['One hot screw for two transformers']],
]);
