<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Conductor;

// A tie that was found is part of every plan: kept, or taken out with its reason (MR25).

/** @param  array{string, string, string}  $tie  place and letters */
function tiedHouse(string $equipment, array $tie, string $without = ''): Installation
{
    $house = ExampleHouse::of(House::archetype($equipment));
    $cable = $house->wallCable() ?? throw new LogicException();
    $house = $house->withCable(
        $cable->withConductors(
            array_values(
                array_filter($cable->conductors, static fn (Conductor $c): bool => $c->far->terminal !== $without),
            ),
        ),
    );
    $json = SurveyFile::write($house);
    $json['jumpers'] = [['place' => $tie[0], 'a' => $tie[1], 'b' => $tie[2], 'label' => 'J1']];

    return SurveyFile::read($json, $house->archetype);
}

it('keeps a found tie or takes it out, says which and why', function (
    string $equipment,
    array $tie,
    string $without,
    bool $kept,
    string $severity,
    string $says,
    string $move,
): void {
    $house = tiedHouse($equipment, $tie, $without);
    $profile = House::profile('c-powered-humidity');
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $found = array_values(
        array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->code === 'MR25'),
    );
    $again = PlanFile::read(json_decode((string) json_encode(PlanFile::write($plan)), true), $house, $profile);

    expect(count($plan->landing->jumpers) > 0)
        ->toBe($kept)
        ->and(array_column($found, 'severity')[0]->value)
        ->toBe($severity)
        ->and(said($found[0]->meaning))
        ->toContain($says)
        ->and(joined('; ', array_map(static fn (Move $m): mixed => $m->text, MoveList::of($plan))))
        ->toContain($move)
        ->and($again)
        ->toEqual($plan);
})->with([
    'Y–G, G has its conductor' => [
        'furnace-gas-1h-1c',
        ['indoor', 'Y', 'G'],
        '',
        false,
        'note',
        'a fan call would start the compressor',
        'Take the Y–G tie out at the indoor board',
    ],
    'Y–G, nothing brings G' => [
        'furnace-gas-1h-1c',
        ['indoor', 'Y', 'G'],
        'G',
        true,
        'note',
        'the compressor runs without air',
        '',
    ],
    'Y–G at the plate, G has its conductor' => [
        'furnace-gas-1h-1c',
        ['wall', 'Y', 'G'],
        '',
        false,
        'note',
        'a fan call',
        'Leave the Y–G tie off the new plate',
    ],
    'W1–W2, both landed' => [
        'furnace-gas-2h-2c',
        ['indoor', 'W1', 'W2'],
        '',
        false,
        'note',
        'would come in with the first',
        'Take the W1–W2 tie out',
    ],
    'W1–W2, W2 has none' => [
        'furnace-gas-2h-2c',
        ['indoor', 'W1', 'W2'],
        'W2',
        true,
        'warning',
        'kept it always runs high',
        '',
    ],
    'E–W where E has its relay' => [
        'heat-pump-o-1c-1aux-e-relay',
        ['indoor', 'E', 'W'],
        '',
        false,
        'note',
        'a relay of its own',
        'Take the E–W tie out',
    ],
    'R–DEH where DEH is landed' => [
        'furnace-gas-1h-1c-dehumidify-opens',
        ['indoor', 'R', 'DEH'],
        '',
        false,
        'note',
        'it can never open',
        'Take the R–DEH tie out',
    ],
    'something nobody knows' => [
        'furnace-gas-1h-1c',
        ['indoor', 'W', 'G'],
        '',
        true,
        'warning',
        'Nobody knows what it is for',
        '',
    ],
]);

it('says what a kept tie feeds, and offers it taken out', function (): void {
    $house = tiedHouse('furnace-gas-2h-2c', ['indoor', 'W1', 'W2'], 'W2');
    $says = array_map(
        static fn (PlanOffer $o): string => joined(',', $o->codes()).': '.joined('; ', $o->lost()),
        Planner::of($house, House::profile('c-powered-3h-2c'))->offered,
    );

    expect(array_filter($says, static fn (string $s): bool => str_contains($s, 'Heat 1 always runs Heat 2')))
        ->not->toBe([])
        ->and(preg_grep('/^MR25.*: Heat 2 runs as Heat 1$/', $says))
        ->not->toBe([]);
});

it('reads the tie in the house as found, whatever the plan does with it', function (): void {
    $house = tiedHouse('furnace-gas-1h-1c', ['indoor', 'Y', 'G']);
    $profile = House::profile('c-powered-3h-2c');
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $fan = CallTable::needed($house->archetype)->printed(CallName::Fan, $profile);
    $found = new Unionbit\Core\Circuit\Circuit(
        $house,
        Unionbit\Core\Job\PlateAsFound::profile($house),
        Unionbit\Core\Job\PlateAsFound::landing($house),
    );

    expect($plan->circuit()->operate(Setup::calling(...$fan))->pulledIn())
        ->not->toContain('contactor')
        ->and($found->operate(Setup::calling('G'))->pulledIn())
        ->toContain('contactor');
});

it('takes a plan file from before for one in which every found tie stood', function (): void {
    $house = tiedHouse('furnace-gas-1h-1c', ['indoor', 'Y', 'G'], 'G');
    $profile = House::profile('c-powered-3h-2c');
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $old = PlanFile::write($plan);
    unset($old['foundTies']);
    $old['jumpers'] = [];

    expect(PlanFile::read($old, $house, $profile)->landing->jumpers)->toEqual($house->jumpers);
});

it('leaves a second stage off before it ties two compressors together (MR09)', function (): void {
    $house = ExampleHouse::of(House::archetype('furnace-gas-1h-2c'));
    $cable = $house->wallCable() ?? throw new LogicException();
    $house = $house->withCable(
        $cable->withConductors(
            array_values(
                array_filter($cable->conductors, static fn (Conductor $c): bool => $c->far->terminal !== 'G'),
            ),
        ),
    );
    $offers = Planner::of($house, House::profile('c-powered-3h-2c'))->offered;
    $at = static fn (callable $is): ?int => array_key_first(array_filter($offers, $is));
    $off = $at(static fn (PlanOffer $o): bool => $o->lostCalls() === ['cool-2'] && $o->proof->raised === []);
    $tied = $at(static fn (PlanOffer $o): bool => $o->proof->raised !== []);

    expect($off)
        ->not->toBeNull()
        ->and($tied === null || $off < $tied)
        ->toBeTrue()
        // Without a conductor for G, cooling moves air by a tie; the fan alone is lost.
        ->and(array_filter($offers, static fn (PlanOffer $o): bool => $o->lostCalls() === ['fan']))
        ->not->toBe([]);
});

it('proposes what runs always high beside what is left off, and never ties two compressors by itself', function (
    string $equipment,
    string $without,
    ?string $compressors,
    bool $proposed,
): void {
    $json = SurveyFile::write(ExampleHouse::of(House::archetype($equipment)));
    $json['cables'][0]['conductors'] = array_values(
        array_filter(
            $json['cables'][0]['conductors'],
            static fn (array $c): bool => $c['far']['terminal'] !== $without,
        ),
    );
    $json['answers'] = $compressors === null ? [] : ['compressors' => $compressors];
    $offers = Planner::of(SurveyFile::read($json, House::archetype($equipment)), House::profile('c-powered-3h-2c'))
        ->offered;
    $tied = array_filter(
        $offers,
        static fn (PlanOffer $o): bool => $o->proof->raised !== [] &&
            str_contains(said($o->title()), 'no conductor brings it'),
    );

    expect($tied !== [])->toBe($proposed);
})->with([
    'W2' => ['furnace-gas-2h-1c', 'W2', null, true],
    'Y2, one compressor' => ['furnace-gas-1h-2c', 'Y2', 'one', true],
    'Y2, two' => ['furnace-gas-1h-2c', 'Y2', 'two', false],
    'Y2, nobody has looked' => ['furnace-gas-1h-2c', 'Y2', null, false],
]);
