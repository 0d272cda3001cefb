<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\Offer\LetterToLetter;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRules;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
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
