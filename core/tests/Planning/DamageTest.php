<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Planning\Work\PullList;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Entry\ConductorEntry;

// Damage that the survey knows binds the plan (MR21 to MR24) and acts on the circuit as it was found.

/** @return array<string, mixed> a spare in the sixth place, so that something is left to bring what is missing */
function spare(): array
{
    return [
        'number' => 6,
        'colour' => 'brown',
        'near' => ['state' => 'spare'],
        'far' => ['state' => 'spare'],
        'evidence' => 'traced',
    ];
}

it('lands nothing on a damaged conductor, caps it at both ends and says the rule', function (
    array $marks,
    string $code,
    string $says,
): void {
    $json = SurveyFile::write(House::survey([2 => $marks]));
    $json['cables'][0]['conductors'][] = spare();
    $house = SurveyFile::read($json, House::archetype());
    $profile = House::profile(House::C_POWERED);
    $plain = LetterToLetter::landing($house, $profile);
    $best = Planner::of($house, $profile)->offered[0];
    $forced = $plain->onWall('A3', End::landed('Y1'))->onBoard('A3', End::landed('Y'));
    $findings = static fn (Plan $plan): array => array_column(
        array_map(static fn (Finding $f): array => [$f->code, $f], MappingRules::check($plan)),
        1,
        0,
    );
    $wrong = $findings(new Plan($house, $profile, $forced))[$code];

    expect([$plain->wall['A3']->label(), ($plain->board['A3'] ?? $house->wallConductor('A3')?->far)?->isLanded()])
        ->toEqual([End::free(Unionbit\Core\Wiring\EndState::Capped)->label(), false])
        ->and($best->codes())
        ->toBe(['WO01'])
        ->and(joined(' ', $best->lost()))
        ->not->toContain('Cool')
        ->and($wrong->severity->value)
        ->toBe('error')
        ->and(said($wrong->title))
        ->toContain($says)
        ->and($findings($best->plan)[$code]->severity->value)
        ->toBe('note');
})->with([
    'crushed' => [['condition' => ['crushed']], 'MR21', 'crushed'],
    'open' => [['condition' => ['open']], 'MR21', 'open in the wall'],
    'on the cabinet' => [['condition' => ['cabinet']], 'MR24', 'touches the cabinet'],
    'touching another' => [['touches' => [2]], 'MR21', 'touches 2 white'],
    'out of ohms' => [['loopOhms' => 3.0], 'MR22', 'its loop reads 3.00 Ω, its length allows 1.04 Ω'],
]);

it('takes ohms that the length allows for sound', function (): void {
    $house = House::survey([2 => ['loopOhms' => 1.0]]);

    expect($house->damageOf($house->wallConductor('A3') ?? throw new LogicException()))->toBe([]);
});

it('names the neighbours of a damaged conductor until they are read (MR23)', function (
    array $read,
    bool $named,
): void {
    $changes = [2 => ['condition' => ['crushed']]];
    foreach ($read as $position) {
        $changes[$position] = ['loopOhms' => 0.6];
    }
    $house = House::survey($changes);
    $profile = House::profile(House::C_POWERED);
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $found = array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->code === 'MR23');

    expect($found !== [])->toBe($named);
})->with([[[], true], [[0, 1, 3], true], [[0, 1, 3, 4], false]]);

it('reads a damage where the house was found with it', function (
    array $marks,
    string $a,
    string $b,
    bool $there,
): void {
    $plan = House::plan(changes: [2 => $marks]);
    $ohms = (new Meter($plan->circuit()))->ohms(
        Setup::isolated()->lifting('A3.near', 'A3.far', 'A2.near', 'A2.far'),
        $a,
        $b,
    );

    expect($ohms->overLimit)->toBe(! $there);
})->with([
    'sound through' => [[], 'A3.near', 'A3.far', true],
    'open' => [['condition' => ['open']], 'A3.near', 'A3.far', false],
    'sound to its neighbour' => [[], 'A3.near', 'A2.near', false],
    'touching' => [['touches' => [2]], 'A3.near', 'A2.near', true],
    'sound to metal' => [[], 'A3.near', 'cabinet', false],
    'on metal' => [['condition' => ['cabinet']], 'A3.near', 'cabinet', true],
]);

it('is typed, kept and written in the schedule', function (): void {
    $entry = ConductorEntry::parse('yel Y>Y traced open touch2 3ohm', Place::Wall, Place::Indoor, []);
    $conductor = $entry->toConductor(3);
    $house = House::survey();
    $cable = $house->wallCable() ?? throw new LogicException();
    $house = $house->withCable($cable->withConductors([...$cable->without(3), $conductor]));
    $again = SurveyFile::read(SurveyFile::write($house), House::archetype());

    expect($entry->problems)
        ->toBe([])
        ->and([$conductor->touches, $conductor->loopOhms])
        ->toBe([[2], 3.0])
        ->and($again->wallConductor('A3'))
        ->toEqual($house->wallConductor('A3'))
        ->and(ConductorSchedule::read(ConductorSchedule::rows($house), House::survey())->wallConductor('A3'))
        ->toEqual($house->wallConductor('A3'));
});

it('splices a damaged conductor where it can be reached (WO01), and only there', function (
    string $flags,
    bool $offered,
): void {
    $json = SurveyFile::write(House::survey());
    $line = ConductorEntry::parse("5 blu C > C {$flags}", Place::Wall, Place::Indoor, []);
    expect($line->isComplete())->toBeTrue();
    $house = SurveyFile::read($json, House::archetype());
    $cable = $house->wallCable() ?? throw new LogicException('no cable');
    $house = $house->withCable($cable->withConductors([...$cable->without(5), $line->toConductor(5)]));
    $mended = array_values(
        array_filter(
            Planner::of($house, House::profile(House::C_POWERED))->offered,
            static fn ($o): bool => $o->plan->changes->mended === ['A5'],
        ),
    );

    expect($mended !== [])->toBe($offered);
    if ($offered) {
        $plan = PlanFile::read(PlanFile::write($mended[0]->plan), $house, House::profile(House::C_POWERED));
        expect(said($mended[0]->title()))
            ->toContain('is spliced where it is damaged (attic, by the flue) and brings C')
            ->and($mended[0]->codes())
            ->toBe(['WO01'])
            ->and($plan->installation->damageOf($plan->installation->wallConductor('A5')))
            ->toBe([])
            ->and(array_column(MoveList::of($plan), 'key'))
            ->toContain('splice:A5')
            ->and($mended[0]->lost())
            ->toBe([]);
    }
})->with([
    'open, can be reached' => ['open reachable "attic, by the flue"', true],
    'crushed, can be reached' => ['crushed reachable "attic, by the flue"', true],
    'open, cannot' => ['open', false],
    'not damaged at all' => ['reachable', false],
]);

it('pulls a cable only where the old one comes along, says why not, and lists what it takes (WO02)', function (
    ?string $run,
    bool $pulls,
): void {
    $json = SurveyFile::write(House::survey([4 => ['condition' => ['open']]]));
    $json['cables'][0] += $run === null ? [] : ['run' => $run];
    $house = SurveyFile::read($json, House::archetype());
    $list = Planner::of($house, House::profile(House::C_POWERED));
    $pulled = array_values(
        array_filter(
            [...$list->offered, ...$list->refused],
            static fn ($o): bool => in_array('WO02', $o->codes(), true),
        ),
    );

    expect($pulled !== [])
        ->toBe($pulls)
        ->and(joined(' ', array_map(said(...), $list->ruledOut)))
        ->toContain($pulls ? '' : 'no new one can be pulled with it');
    if ($pulls) {
        $lines = joined(' ', array_map(said(...), PullList::of($pulled[0]->plan, $house)));
        expect($lines)
            ->toContain('Cable 18/6 solid', '3 ft of slack at each end', 'Staples', 'spare', 'Edge guard', 'Seal')
            ->toContain($run === null ? 'Nobody has looked how the old cable lies' : 'Tie in');
    }
})->with([[null, true], ['loose', true], ['stapled', false], ['buried', false], ['blocked', false]]);

it('pulls anew only the cable to the supply that lacks something: two supplies never share one', function (): void {
    $house = ExampleHouse::of(House::archetype('furnace-and-attic-air-handler-1c'));
    $short = $house->wallCables()[1];
    $left = array_filter($short->conductors, static fn ($c): bool => $c->far->terminal !== 'G');
    $house = $house->withCable($short->withConductors(array_values($left)));
    $pulled = array_map(
        static fn ($o): ?Cable => $o->plan->changes->pulled,
        Planner::of($house, House::profile('c-powered-3h-2c'))->offered,
    );
    $pulled = array_values(array_filter($pulled));

    expect($pulled)->not->toBe([]);
    foreach ($pulled as $cable) {
        $screws = array_filter(array_map(static fn ($c): ?string => $c->far->terminal, $cable->conductors));
        expect([$cable->id, $cable->to])
            ->toBe([$short->id, $short->to])
            ->and(array_diff($screws, $house->archetype->printedAt($short->to)))
            ->toBe([]);
    }
});
