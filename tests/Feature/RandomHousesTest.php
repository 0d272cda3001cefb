<?php

declare(strict_types=1);

use App\Models\Job;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Tests\Support\RandomSurvey;
use Unionbit\Core\Wiring\Condition;

// Surveys as a bad day gives them: letters that are nowhere, several marks on one conductor, answers that contradict,
// any equipment. Every page and every answer of every stage stands, before a plan and after it.

/** @return array<string, mixed> */
function markedSurvey(int $seed): array
{
    $pick = new Pick("marks {$seed}");
    $units = House::anyEquipment($pick);
    $survey = RandomSurvey::of($pick, $units, (string) $seed);
    if ($seed % 2 === 0) {
        // Answers that say what it is: nothing stops its plan but what was found.
        $survey['answers'] = SurveyFile::write(ExampleHouse::of(House::archetype($units)))['answers'] ?? [];
    }
    foreach ($survey['cables'] as &$cable) {
        foreach ($cable['conductors'] as &$conductor) {
            $conductor['condition'] = array_values(
                array_filter(
                    array_column(Condition::cases(), 'value'),
                    static fn (): bool => $pick->one([true, false, false, false, false]),
                ),
            );
            if ($pick->one([true, false, false, false])) {
                $conductor[$pick->one(['near', 'far'])] = [
                    'state' => $pick->one(['spare', 'capped', 'cut', 'broken']),
                ];
            }
        }
    }
    $tie = [
        'place' => $pick->one(['wall', 'indoor']),
        'a' => $pick->one(['R', 'W', 'Y']),
        'b' => $pick->one(['C', 'G', 'W2']),
        'label' => 'tie',
    ];
    $survey['jumpers'] = $pick->one([[], [$tie]]);

    return $survey;
}

$stands = function (int $seed): void {
    $job = Job::factory()->create(['survey' => markedSurvey($seed)]);
    installer($job);
    $stages = function () use ($job, $seed): void {
        foreach (
            [
                'survey',
                'plan',
                'set',
                'prove',
                'trace',
                'handover',
                'figures',
                'thermostats',
                'job-file',
                'wiring.csv',
                'conductors.csv',
                'pattern',
                'coverage',
                'shares',
            ] as $page
        ) {
            $answer = $this->get("/jobs/{$job->id}/{$page}", ['Accept' => 'text/html,application/json']);
            // Without a plan what rests on one sends back to it, or is not there.
            $allowed = $job->refresh()->plan === null ? [200, 302, 404] : [200];
            expect($answer->status())->toBeIn($allowed, "house {$seed}, {$page}");
        }
        foreach ($this->get("/jobs/{$job->id}/prove")->inertiaProps('steps') ?? [] as $step) {
            $tells = $this->getJson("/jobs/{$job->id}/cannot-tell?step={$step['key']}");
            expect([$seed, $step['key'], $tells->status()])->toBe([$seed, $step['key'], 200]);
        }
    };
    $stages();
    $pick = new Pick("profile {$seed}");
    $edit = fn (array $fields) => $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        ...$fields,
    ]);
    $profile = $pick->one(House::ids('thermostats'));
    $stop = array_find(
        $this->get("/jobs/{$job->id}/survey")->inertiaProps('findings'),
        static fn (array $f): bool => $f['severity'] === 'stop',
    );
    $chosen = $edit(['op' => 'choose', 'profile' => $profile]);
    expect([$seed, $profile, $chosen->status()])->toBe([$seed, $profile, $stop === null ? 200 : 422]);
    $stages();
    // Where screening or a rule stops the plan it says so.
    expect($edit(['op' => 'use'])->status())->toBeIn([200, 422]);
    $stages();
    // A trace from nothing, whatever stands.
    $open = traceRow($job->refresh(), 'open', ['complaint' => [], 'history' => [], 'at' => 'wall']);
    expect($open->status())->toBeIn([201, 422], "house {$seed}");
    $stages();
};

it('holds a random survey with random marks through every stage', $stands)->with([1, 2, 3]);

it('holds many of them', $stands)->with(range(5, 30))->group('nightly');
