<?php

declare(strict_types=1);

use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;

/** Board letter to plate screw, as "R>Rc W>Aux", capped conductors as "L>cap". */
function landed(string $archetype, string $profile): string
{
    $plan = House::example($archetype, $profile);

    return joined(
        ' ',
        array_map(
            static fn (Conductor $c): string => $c->far->terminal.
                '>'.
                ($plan->landing->wall[$c->id()]->terminal ?? 'cap'),
            $plan->installation->wallCable()->conductors ?? [],
        ),
    );
}

it('lands each conductor on the screw that its equipment end calls for', function (
    string $archetype,
    string $profile,
    string $landing,
): void {
    expect(landed($archetype, $profile))->toBe($landing);
})->with([
    'one stage on one stage' => ['furnace-gas-1h-1c', 'c-powered-1h-1c', 'R>Rc W>W1 G>G Y>Y1 C>C'],
    'no C screw: capped' => ['furnace-gas-1h-1c', 'battery-1h-1c', 'R>Rh W>W G>G Y>Y C>cap'],
    'two stages on two' => ['furnace-gas-2h-2c', 'c-or-battery-2h-2c', 'R>Rc W1>W1 W2>W2 G>G Y1>Y1 Y2>Y2 C>C'],
    'two stages on one: the second is lost' => [
        'furnace-gas-2h-1c',
        'c-powered-1h-1c',
        'R>Rc W1>W1 W2>cap G>G Y>Y1 C>C',
    ],
    'MR05 conventional on a heat-pump plate: first heat on W1' => [
        'furnace-gas-2h-1c',
        'c-powered-3h-2c',
        'R>Rc W1>W1 W2>W2 G>G Y>Y1 C>C',
    ],
    'MR05 where the plate prints W1/Aux' => [
        'furnace-gas-1h-1c',
        'battery-2h-1c-heat-pump',
        'R>R W>W1/Aux G>G Y>Y C>cap',
    ],
    'MR06 heat pump: valve on O/B, strips on Aux' => [
        'heat-pump-o-1c-1aux',
        'c-powered-3h-2c',
        'R>Rc C>C Y>Y1 G>G O>O/B W>Aux E>E',
    ],
    'MR06 B on O/B' => ['heat-pump-b-1c-1aux', 'c-powered-3h-2c', 'R>Rc C>C Y>Y1 G>G B>O/B W>Aux'],
    'MR06 O and B on screws of their own' => [
        'heat-pump-b-1c-1aux',
        'two-hot-o-and-b',
        'R>Rc C>cap Y>Y G>G B>B W>Aux',
    ],
    'two strips' => ['heat-pump-o-2c-2aux', 'c-powered-3h-2c', 'R>Rc C>C Y1>Y1 Y2>Y2 G>G O>O/B W1>Aux W2>W2'],
    'dual fuel: the furnace behind Aux' => [
        'dual-fuel-o-1c-1h',
        'c-powered-3h-2c',
        'R>Rc C>C Y>Y1 G>G O>O/B W>Aux',
    ],
    'MR17 no screw for the humidifier' => [
        'dual-fuel-o-2c-2h',
        'c-powered-3h-2c',
        'R>Rc C>C Y1>Y1 Y2>Y2 G>G O>O/B W1>Aux W2>W2 HUM>cap',
    ],
    'MR03 two transformers' => ['boiler-zone-valve-1c', 'c-powered-3h-2c', 'R>Rc G>G Y>Y1 C>C RH>Rh W>W1'],
    'a heat pump on a plate without a valve screw' => [
        'heat-pump-o-1c',
        'c-powered-1h-1c',
        'R>Rc C>C Y>Y1 G>G O>cap',
    ],
    'MR20 a receiver: all capped' => ['furnace-gas-1h-1c', 'radio-pair-receiver', 'R>cap W>cap G>cap Y>cap C>cap'],
    'MR20 two-part: all capped' => ['heat-pump-o-1c', 'two-part-three-conductor', 'R>1 C>2 Y>3 G>cap O>cap'],
    'MR19 converted, letter to letter' => [
        'communicating-converted-2c',
        'c-powered-3h-2c',
        'R>Rc W>W1 G>G Y>Y1 Y2>Y2 C>C',
    ],
]);

it('finds nothing that blocks where every screw is there', function (string $archetype): void {
    $blocking = array_filter(
        MappingRules::check(House::example($archetype)),
        static fn (Finding $f): bool => $f->severity->blocks(),
    );

    expect(
        array_map(static fn (Finding $f): string => "{$f->code} ".said($f->title), array_values($blocking)),
    )->toBe([]);
})->with(House::ids('equipment'));

it('reports what a plate has no screw for', function (
    string $archetype,
    string $profile,
    string $code,
    string $says,
): void {
    $titles = array_map(
        static fn (Finding $f): string => "{$f->code} ".said($f->title),
        MappingRules::check(House::example($archetype, $profile)),
    );

    expect(joined('; ', $titles))
        ->toContain("{$code} ")
        ->toContain($says);
})->with([
    ['dual-fuel-o-2c-2h', 'c-powered-3h-2c', 'MR08', 'carries HUM; this plate has no such screw'],
    ['furnace-gas-2h-1c', 'c-powered-1h-1c', 'MR08', 'carries W2; this plate has no such screw'],
    ['heat-pump-o-1c', 'c-powered-1h-1c', 'MR08', 'carries O; this plate has no such screw'],
    ['furnace-gas-1h-1c', 'battery-1h-1c', 'MR04', 'is the common; this plate has no C'],
    ['boiler-zone-valve-1c', 'power-sharing-1h-1c', 'MR03', 'One hot screw for two transformers'],
]);

it('writes a plan and reads it back the same', function (string $archetype): void {
    $plan = House::example($archetype);
    $moved = $plan->landing->onWall('A1', End::free())->withLink(false)->onBoard('A2', End::landed('C'));
    $written = PlanFile::write(new Unionbit\Core\Planning\Plan\Plan($plan->installation, $plan->profile, $moved));
    $read = PlanFile::read(json_decode((string) json_encode($written), true), $plan->installation, $plan->profile);

    expect($read->landing)->toEqual($moved)->and(PlanFile::write($read))->toBe($written);
})->with(['furnace-gas-1h-1c', 'heat-pump-o-2c-2aux', 'boiler-zone-valve-1c']);

it('reads every profile with its outputs, power and link', function (string $id): void {
    $profile = House::profile($id);
    $calls = array_filter($profile->terminals, static fn ($t): bool => $t->name->isCall());

    expect($profile)
        ->toBeInstanceOf(Profile::class)
        ->and($calls)
        ->not->toBe([])
        ->and($profile->mainHot())
        ->not->toBeNull()
        ->and(
            array_filter(
                $calls,
                static fn ($t): bool => $profile->terminal((string) $t->hot)?->name->isHot() !== true,
            ),
        )
        ->toBe([]);
})->with(House::ids('thermostats'));
