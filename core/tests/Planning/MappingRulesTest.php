<?php

declare(strict_types=1);

use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Landing;

/** @param  callable(Landing): Landing  $edit */
function landing(callable $edit): Closure
{
    return static fn (Plan $plan): Plan => $plan->landed($edit($plan->landing));
}

function recoloured(int $number, Colour $colour): Closure
{
    return static function (Plan $plan) use ($number, $colour): Plan {
        $cable = $plan->installation->wallCable() ?? throw new LogicException('no wall cable');

        return new Plan(
            $plan->installation->withCable(
                $cable->withConductors(
                    array_map(
                        static fn (Conductor $c): Conductor => $c->number === $number
                            ? new Conductor($c->number, $colour, $c->near, $c->far, $c->evidence)
                            : $c,
                        $cable->conductors,
                    ),
                ),
            ),
            $plan->profile,
            $plan->landing,
        );
    };
}

/** @param  list<string>  $breaks */
function floated(array $breaks, ?string $lifted = null): Closure
{
    return static function (Plan $plan) use ($breaks, $lifted): Plan {
        $house = $plan->installation->withFacts(
            $plan->installation->facts->withSafety([new SafetyDevice('float', 'float switch', $breaks, false)]),
        );
        $landing = $plan->landing;
        foreach ($house->wallCable()->conductors ?? [] as $c) {
            $landing =
                $c->far->terminal === $lifted && $lifted !== null
                    ? $landing->onBoard($c->id(), End::free(EndState::Capped))
                    : $landing;
        }

        return new Plan($house, $plan->profile, $landing);
    };
}

it('finds what is wrong with a landing', function (
    string $profile,
    array $survey,
    ?callable $edit,
    string $code,
    string $severity,
    string $says,
): void {
    $plan = House::plan($profile, $survey, $edit);
    $found = array_values(
        array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->code === $code),
    );

    expect($found)
        ->not->toBe([], "{$code} says nothing")
        ->and($found[0]->severity->value)
        ->toBe($severity)
        ->and(joined(' ', [$found[0]->title, $found[0]->meaning, $found[0]->action]))
        ->toContain($says);
})->with([
    'MR01 the equipment end defines' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A4', End::landed('Y1'))->onWall('A3', End::landed('G')),
        'MR01',
        'error',
        '3 yellow lands on G but is Y at the board',
    ],
    'MR01 reaches nothing' => [
        House::C_POWERED,
        [3 => ['far' => ['state' => 'spare']]],
        fn (Landing $l) => $l->onWall('A4', End::landed('G')),
        'MR01',
        'error',
        'reaches nothing at the board',
    ],
    'MR01 no such screw' => [
        House::BATTERY,
        [],
        fn (Landing $l) => $l->onWall('A5', End::landed('C')),
        'MR01',
        'error',
        'which the new plate does not have',
    ],
    'MR02 link out kills heating' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->withLink(false),
        'MR02',
        'error',
        'Rh has no hot',
    ],
    'MR02 link in' => [House::C_POWERED, [], null, 'MR02', 'good', 'stays in'],
    'MR02 no R at all' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A1', End::free(EndState::Capped)),
        'MR02',
        'error',
        'No R lands',
    ],
    'MR04 common on a hot, link in: the fuse opens' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A5', End::landed('Rh')),
        'MR04',
        'stop',
        'The 3 A fuse opens',
    ],
    'MR04 common on Rh, link out: heating dead' => [
        House::BATTERY,
        [],
        fn (Landing $l) => $l->onWall('A5', End::landed('Rh'))->onWall('A1', End::landed('Rc'))->withLink(false),
        'MR04',
        'error',
        'W close to the common instead of the hot',
    ],
    'MR04 needed and missing' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A5', End::free(EndState::Capped)),
        'MR04',
        'error',
        'needs C and none lands',
    ],
    'MR04 not needed: cap it' => [
        House::BATTERY,
        [],
        null,
        'MR04',
        'note',
        'Cap it and leave it for the next thermostat',
    ],
    'MR08 no screw for the signal' => [
        House::C_POWERED,
        [4 => ['far' => ['state' => 'landed', 'terminal' => 'L']]],
        null,
        'MR08',
        'note',
        'Cap it on its own',
    ],
    'MR13 two on one screw' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A4', End::landed('Y1')),
        'MR13',
        'error',
        '3 yellow and 4 green on Y1',
    ],
    'MR13 board screw overfull' => [
        House::C_POWERED,
        [3 => ['far' => ['state' => 'landed', 'terminal' => 'Y']]],
        null,
        'MR13',
        'warning',
        'outdoor unit',
    ],
    'MR14 bare spare' => [
        House::C_POWERED,
        [],
        fn (Landing $l) => $l->onWall('A5', End::free(EndState::Spare)),
        'MR14',
        'warning',
        '5 blue',
    ],
    'MR14 cut short' => [
        House::BATTERY,
        [],
        fn (Landing $l) => $l->onWall('A5', End::free(EndState::CutShort)),
        'MR14',
        'warning',
        'not capped',
    ],
]);

it('lands letter to letter without a finding that blocks, and proves every call', function (string $profile): void {
    $plan = House::plan($profile);
    $blocking = array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->severity->blocks());

    expect($blocking)
        ->toBe([])
        ->and(array_filter(Simulation::prove($plan), static fn (CallProof $p): bool => ! $p->isProved()))
        ->toBe([])
        ->and(Simulation::prove($plan))
        ->toHaveCount(4);
})->with([House::C_POWERED, House::BATTERY]);

it('follows the equipment end where the old wall labels are swapped', function (): void {
    $house = House::survey([
        2 => ['near' => ['state' => 'landed', 'terminal' => 'G']],
        3 => ['near' => ['state' => 'landed', 'terminal' => 'Y']],
    ]);
    $profile = House::profile(House::C_POWERED);
    $landing = LetterToLetter::landing($house, $profile);

    expect($landing->wall['A3']->terminal)
        ->toBe('Y1')
        ->and($landing->wall['A4']->terminal)
        ->toBe('G')
        ->and(
            array_map(
                static fn (CallProof $p): bool => $p->isProved(),
                Simulation::prove(new Plan($house, $profile, $landing)),
            ),
        )
        ->each->toBeTrue();
});

it('says why a call of a bad plan is not proved', function (callable $edit, string $call, string $problem): void {
    $proofs = array_column(
        array_map(static fn (CallProof $p): array => $p->toArray(), Simulation::prove(House::plan(edit: $edit))),
        null,
        'call',
    );

    expect(joined(' ', $proofs[$call]['problems']))->toContain($problem);
})->with([
    'Y and G swapped' => [
        fn (Landing $l) => $l->onWall('A3', End::landed('G'))->onWall('A4', End::landed('Y1')),
        'fan',
        'The contactor pulls in and should not',
    ],
    'no common' => [fn (Landing $l) => $l->onWall('A5', End::free(EndState::Capped)), 'idle', 'display is blank'],
    'common on Rh' => [fn (Landing $l) => $l->onWall('A5', End::landed('Rh')), 'idle', '3 A fuse opens'],
    'W capped' => [
        fn (Landing $l) => $l->onWall('A2', End::free(EndState::Capped)),
        'heat-1',
        'The gas valve is at rest',
    ],
]);

it('lands the hot last and caps before anything lands', function (): void {
    $order = array_map(static fn ($move): string => $move->key, MoveList::of(House::plan(House::BATTERY)));

    expect($order[0])->toBe('link:in')->and($order[1])->toBe('A5:cap')->and(end($order))->toBe('A1:Rh');
});

it('MR03 keeps two transformers apart, also where no meter would tell', function (
    string $profile,
    callable $edit,
    array $says,
): void {
    $plan = House::example('boiler-zone-valve-1c', $profile);
    $found = array_filter(
        MappingRules::check(new Plan($plan->installation, $plan->profile, $edit($plan->landing))),
        static fn (Finding $f): bool => $f->code === 'MR03',
    );

    expect(array_values(array_map(static fn (Finding $f): string => said($f->title), $found)))->toBe($says);
})->with([
    'apart' => ['c-powered-3h-2c', fn (Landing $l) => $l, []],
    'link in' => ['c-powered-3h-2c', fn (Landing $l) => $l->withLink(true), ['Link in on two transformers']],
    'crossed' => [
        'c-powered-3h-2c',
        fn (Landing $l) => $l->onWall('A1', End::landed('Rh'))->onWall('A5', End::landed('Rc')),
        ['1 red brings the wrong hot to Rh', '5 white brings the wrong hot to Rc'],
    ],
    'one hot screw' => ['solid-state-1h-1c', fn (Landing $l) => $l, ['One hot screw for two transformers']],
]);

it('knows the rules for heat pumps, stages, colours, accessories and outputs elsewhere', function (
    string $archetype,
    string $profile,
    ?callable $edit,
    string $code,
    string $severity,
    string $says,
): void {
    $plan = House::example($archetype, $profile);
    $plan = $edit === null ? $plan : $edit($plan);
    $found = array_values(
        array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->code === $code),
    );

    expect($found)
        ->not->toBe([], "{$code} says nothing")
        ->and(
            joined(
                "\n",
                array_map(
                    static fn (Finding $f): string => "{$f->severity->value}: ".
                        joined(' ', [$f->title, $f->meaning, $f->action]),
                    $found,
                ),
            ),
        )
        ->toContain($severity.': ')
        ->toContain($says);
})->with([
    'MR05 nothing reverses' => [
        'furnace-gas-1h-1c',
        'c-powered-3h-2c',
        null,
        'MR05',
        'note',
        'Set the equipment type to conventional',
    ],
    'MR05 on the valve screw' => [
        'furnace-gas-1h-1c',
        'c-powered-3h-2c',
        landing(static fn (Landing $l) => $l->onWall('A5', End::landed('O/B'))),
        'MR05',
        'error',
        'nothing reverses here',
    ],
    'MR06 cannot drive a valve' => [
        'heat-pump-o-1c-1aux',
        'c-powered-1h-1c',
        null,
        'MR06',
        'error',
        'cannot drive a reversing valve',
    ],
    'MR06 valve on another screw' => [
        'heat-pump-o-1c',
        'c-powered-3h-2c',
        landing(static fn (Landing $l) => $l->onWall('A5', End::landed('Y2'))),
        'MR06',
        'error',
        'is the reversing valve and lands on Y2',
    ],
    'MR07 E reaches nothing' => [
        'heat-pump-o-2c-1aux',
        'c-powered-3h-2c',
        landing(static fn (Landing $l) => $l->withoutJumper('E–Aux tie')),
        'MR07',
        'warning',
        'Tie E to Aux at the plate',
    ],
    'MR07 tied' => ['heat-pump-o-2c-1aux', 'c-powered-3h-2c', null, 'MR07', 'good', 'reaches the one heat input'],
    'MR07 its own relay: apart' => [
        'heat-pump-o-1c-1aux-e-relay',
        'c-powered-3h-2c',
        landing(static fn (Landing $l) => $l->withJumper(new Jumper(Place::Wall, 'Aux', 'E', 'tie'))),
        'MR07',
        'error',
        'here they stay apart',
    ],
    'MR09 second stage not connected' => [
        'furnace-gas-2h-1c',
        'c-powered-1h-1c',
        null,
        'MR09',
        'warning',
        'Second stage of heating not connected',
    ],
    'MR09 tied to the first' => [
        'furnace-gas-2h-1c',
        'c-powered-1h-1c',
        landing(static fn (Landing $l) => $l->withJumper(new Jumper(Place::Indoor, 'W1', 'W2', 'tie'))),
        'MR09',
        'warning',
        'always runs its high stage',
    ],
    'MR10 odd colour kept' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        recoloured(3, Colour::Orange),
        'MR10',
        'note',
        'Leave them as they are at both ends',
    ],
    'MR11 bare contactor' => ['furnace-gas-1h-1c', 'c-powered-1h-1c', null, 'MR11', 'note', 'has no polarity'],
    'MR11 outdoor board' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        null,
        'MR11',
        'note',
        'may not be exchanged',
    ],
    'MR12 defrost W not spliced' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        static fn (Plan $p) => new Plan(
            $p->installation->withCable(
                $p->installation
                    ->outdoorCable()
                    ->withConductors(
                        array_values(
                            array_filter(
                                $p->installation->outdoorCable()->conductors,
                                static fn ($c): bool => $c->far->terminal !== 'W',
                            ),
                        ),
                    ),
            ),
            $p->profile,
            $p->landing,
        ),
        'MR12',
        'warning',
        'blown cold',
    ],
    'MR15 strip anew' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        static fn (Plan $p) => new Plan(
            $p->installation->withCable(
                $p->installation
                    ->wallCable()
                    ->withConductors(
                        array_map(
                            static fn ($c) => new Conductor(
                                $c->number,
                                $c->colour,
                                $c->near,
                                $c->far,
                                $c->evidence,
                                condition: [Condition::Exposed],
                            ),
                            $p->installation->wallCable()->conductors,
                        ),
                    ),
            ),
            $p->profile,
            $p->landing,
        ),
        'MR15',
        'warning',
        'bare copper outside the screw',
    ],
    'MR16 float stays' => ['furnace-gas-1h-1c', 'c-powered-1h-1c', floated(['Y']), 'MR16', 'good', 'stays in Y'],
    'MR16 float bypassed' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        floated(['Y'], 'Y'),
        'MR16',
        'error',
        'the pan could overflow',
    ],
    'MR17 accessory on a call' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        landing(static fn (Landing $l) => $l->onBoard('A2', End::landed('HUM'))),
        'MR17',
        'error',
        'belongs to an accessory and lands on',
    ],
    'MR18 K' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        landing(static fn (Landing $l) => $l->onBoard('A4', End::landed('K'))),
        'MR18',
        'warning',
        'needs the adapter',
    ],
    'MR19 back from the bus' => [
        'communicating-converted-2c',
        'c-powered-3h-2c',
        null,
        'MR19',
        'warning',
        'loses modulation',
    ],
    'MR20 two-part needs three' => [
        'furnace-gas-1h-1c',
        'two-part-three-conductor',
        landing(
            static fn (Landing $l) => $l
                ->onWall('A1', End::free(EndState::Capped))
                ->onBoard('A1', End::free(EndState::Capped)),
        ),
        'MR20',
        'error',
        'needs 3 whole conductors',
    ],
    'MR20 still landed' => [
        'furnace-gas-1h-1c',
        'radio-pair-receiver',
        landing(static fn (Landing $l) => $l->onBoard('A1', End::landed('R'))),
        'MR20',
        'error',
        'a conductor left on a screw there is live in the wall',
    ],
]);
