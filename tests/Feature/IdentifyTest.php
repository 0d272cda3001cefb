<?php

declare(strict_types=1);

use App\House\House;
use App\Models\Job;
use Unionbit\Core\Wiring\Condition;

/** A house whose four conductors are written with their far ends mixed up, none of them proved. */
function mixed(): Job
{
    $job = demo('ropewalk-11');
    $cable = House::of($job)->installation->wallCables()[0];
    foreach ($cable->conductors as $conductor) {
        editSurvey($job, 'remove-conductor', ['cable' => 'A', 'number' => $conductor->number])->assertOk();
    }
    foreach (['1 red R>W', '2 wht W>R', '3 yel Y>G', '4 grn G>Y', '5 blu spare'] as $line) {
        editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => "{$line} ?"])->assertOk();
    }

    return $job->refresh();
}

it('makes what a routine shows into evidence, with ends put right and what is open marked', function (): void {
    $job = mixed();
    $ask = fn (array $fields): array => $this->postJson("/jobs/{$job->id}/identify", [
        'cable' => 'A',
        ...$fields,
    ])
        ->assertOk()
        ->json();
    // The truth: every color runs through, and 5 is open.
    $to = ['A1' => 'A2', 'A2' => 'A1', 'A3' => 'A4', 'A4' => 'A3'];
    $answers = static function (array $groups) use (&$to): array {
        $heard = array_map(
            static fn (array $group): array => array_values(
                array_filter(array_map(static fn (string $id): ?string => $to[$id] ?? null, $group)),
            ),
            $groups,
        );

        return array_values(array_filter($heard, static fn (array $group): bool => count($group) > 1));
    };
    $rounds = 0;
    while (($plan = $ask([]))['kind'] !== 'none') {
        expect(++$rounds)->toBeLessThan(3);
        // Back and forth is the same map here: the mix-up swaps pairs.
        $found = $answers($plan['far']);
        $answered = $answers($ask(['found' => $found])['near']);
        $read = $ask(['found' => $found, 'answered' => $answered])['read'];
        expect($read['contradicts'])->toBeFalse();
        editSurvey($job, 'identified', [
            'cable' => 'A',
            'found' => $found,
            'answered' => $answered,
            'silent' => $read['silent'],
        ])->assertOk();
        if ($rounds === 1) {
            $open = House::of($job->refresh())->installation->wallConductor('A5');
            expect($read['broken'])
                ->toBe(['A5'])
                ->and($open?->condition)
                ->toBe([Condition::Open]);
        }
    }
    expect($rounds)->toBe(2);
    $conductors = House::of($job->refresh())->installation->wallCables()[0]->conductors;
    foreach ([1, 2, 3, 4] as $number) {
        expect($conductors[$number - 1]->far->terminal)
            ->toBe(['R', 'W1', 'Y', 'G'][$number - 1])
            ->and($conductors[$number - 1]->evidence->value)
            ->toBe('traced');
    }
});

it('keeps nothing of readings that contradict each other', function (): void {
    $job = mixed();
    $before = $job->survey;
    editSurvey($job, 'identified', ['cable' => 'A', 'found' => [['A1', 'A2', 'A3', 'A4']], 'answered' => []])
        ->assertUnprocessable()
        ->assertJsonPath('errors.answered.0', 'These readings contradict each other: read them again.');
    expect($job->refresh()->survey)->toEqual($before);
});

it('leaves out what touches at both sides, and refuses sides that differ', function (): void {
    $job = mixed();
    $answer = fn (array $near, array $far): Illuminate\Testing\TestResponse => editSurvey($job, 'identified', [
        'cable' => 'A',
        'touchingNear' => $near,
        'touchingFar' => $far,
        'found' => [],
        'answered' => [],
    ]);
    $answer([['A3', 'A4']], [])
        ->assertUnprocessable()
        ->assertJsonPath(
            'errors.touchingNear.0',
            'As many ends have to touch at both sides, and only such as are '.'not proved: read again.',
        );
    $plan = $this->postJson("/jobs/{$job->id}/identify", [
        'cable' => 'A',
        'touchingNear' => [['A3', 'A4']],
        'touchingFar' => [['A3', 'A4']],
    ])
        ->assertOk()
        ->json();
    expect(array_merge(...$plan['far']))->not->toContain('A3', 'A4');
    $answer([['A3', 'A4']], [['A3', 'A4']])->assertOk();
    $three = House::of($job->refresh())->installation->wallConductor('A3');
    expect($three?->touches)->toBe([4]);
});
