<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\Models\Job;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use Illuminate\Support\Facades\DB;

/** Everything of a job that practice could touch. */
function standing(Job $job): array
{
    $job = Job::query()->findOrFail($job->id);
    $records = [];
    foreach (
        [
            'readings',
            'observations',
            'setting_entries',
            'power_events',
            'move_ticks',
            'step_events',
            'waivers',
            'signatures',
            'measurements',
            'reading_marks',
            'job_revisions',
            'photos',
        ] as $table
    ) {
        $records[$table] = DB::table($table)->where('job_id', $job->id)->count();
    }
    $progress = Progress::of($job);

    return [
        $records,
        $job->getAttributes(),
        PowerFlag::of($job)->toArray(),
        $progress->calls(),
        $progress->handover(),
        $progress->restore(),
        test()->get('/jobs')->inertiaProps('counts'),
    ];
}

/** Walks every door that writes, on whatever job this is. */
function workEverything(Job $job): void
{
    $post = static fn (string $path, array $body) => test()
        ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), ...$body])
        ->assertSuccessful();
    raiseFlag($job, 'isolated', '0.0');
    foreach (
        test()
            ->get("/jobs/{$job->id}/plan")
            ->inertiaProps('plan.moves') as $move
    ) {
        $post('moves', ['move' => $move['key'], 'done' => false]);
    }
    raiseFlag($job, 'live', '26.4');
    foreach (
        test()
            ->get("/jobs/{$job->id}/set")
            ->inertiaProps('settings') as $setting
    ) {
        if ($setting['lacking'] === null) {
            $post('settings', ['key' => $setting['key'], 'value' => $setting['choices'][0]['value']]);
        }
    }
    $post('steps', ['step' => 'fan.voltage', 'event' => 'start']);
    test()->travel(20)->seconds();
    $reading = $post('readings', [
        'stage' => 'prove',
        'step' => 'fan.voltage',
        'mode' => 'V',
        'a' => 'indoor.G',
        'b' => 'indoor.C',
        'value' => '26.0',
    ])->json('id');
    $post('signs', ['step' => 'fan.voltage', 'sign' => 'blower', 'seen' => true]);
    $post('marks', ['reading' => $reading, 'unexplained' => true, 'note' => 'odd']);
    $post('measurements', [
        'figure' => 'split',
        'call' => 'cool-1',
        'values' => ['return' => 76, 'supply' => 57, 'mode' => 1],
    ]);
    $post('waivers', ['call' => 'heat-1', 'note' => 'gas is off']);
    editSurvey($job, 'answer', ['key' => 'history', 'value' => 'nothing'])->assertOk();
}

it(
    'practises on a copy: whatever is done there, the job stays exactly as it was, and ending it leaves nothing',
    function (): void {
        $job = houseToProve();
        $before = standing($job);
        $copy = practice($job, 'conductor-open:A3.h1');
        workEverything($copy);
        expect(standing($job))
            ->toEqual($before)
            ->and($copy->refresh()->isPractice())
            ->toBeTrue()
            ->and(PowerFlag::of($copy)->isLive())
            ->toBeTrue();
        foreach (
            [
                'readings',
                'observations',
                'setting_entries',
                'power_events',
                'move_ticks',
                'step_events',
                'waivers',
                'measurements',
                'reading_marks',
            ] as $table
        ) {
            expect(DB::table($table)->where('job_id', $copy->id)->where('simulated', false)->count())
                ->toBe(0, $table)
                ->and(DB::table($table)->where('job_id', $copy->id)->count())
                ->toBeGreaterThan(0, $table);
        }
        $this->postJson("/jobs/{$copy->id}/practice", ['on' => false])->assertOk();
        $this->get("/jobs/{$copy->id}/prove")->assertNotFound();
        expect(standing($job))->toEqual($before);
    },
);

it(
    'never hands practice over, signs it, copies it, puts it on the shelf or changes the house\'s name from it',
    function (): void {
        $copy = practice(houseToProve());
        expect(
            $this->postJson("/jobs/{$copy->id}/handover", ['unsigned' => true])
                ->assertUnprocessable()
                ->json('errors.handover.0'),
        )->toContain('Practice is not handed over');
        $this->postJson("/jobs/{$copy->id}/signatures", [
            'id' => newId(),
            'role' => 'customer',
            'name' => 'A. Teal',
            'strokes' => [[[1, 1], [2, 2]]],
        ])->assertForbidden();
        $this->postJson("/jobs/{$copy->id}/copies", [
            'id' => newId(),
            'as' => 'visit',
            'kind' => 'follow-up',
        ])->assertForbidden();
        $this->postJson("/jobs/{$copy->id}/shelf", ['to' => 'archive'])->assertForbidden();
        $this->postJson("/jobs/{$copy->id}/details", [
            'id' => newId(),
            'version' => 1,
            'site' => 'Weir',
            'system' => 'System',
            'kind' => 'replacement',
        ])->assertForbidden();
        $this->get('/jobs')->assertInertia(fn ($page) => $page->has('jobs', 1)->where('counts.all', 1));
    },
);

it(
    'counts nothing simulated in a real job: not for gate, progress, coverage or handover, and says so on every row',
    function (): void {
        $job = houseToProve();
        workEverything($job);
        foreach (
            [
                'readings',
                'observations',
                'setting_entries',
                'power_events',
                'move_ticks',
                'step_events',
                'waivers',
                'measurements',
                'reading_marks',
            ] as $table
        ) {
            DB::table($table)
                ->where('job_id', $job->id)
                ->update(['simulated' => true]);
        }
        $job->refresh();
        $progress = Progress::of($job);
        $page = said(HandoverPage::props($job));
        $csv = (string) $this->get("/jobs/{$job->id}/readings.csv")->getContent();

        expect(PowerFlag::of($job)->state)
            ->toBe(App\Models\Kind\PowerState::NotProved)
            ->and(array_filter(array_column($progress->settings(), 'done')))
            ->toBe([])
            ->and($progress->isLanded())
            ->toBeFalse()
            ->and(array_filter(array_column($progress->calls(), 'waived')))
            ->toBe([])
            ->and($page['open'])
            ->not->toContain('odd')
            ->and($page['simulated'])
            ->toContain('records are simulated')
            ->and($csv)
            ->toContain(',simulated,')
            ->and(
                json_decode((string) $this->get("/jobs/{$job->id}/job-file")->getContent(), true)['records'][
                    'power'
                ][0]['simulated'],
            )
            ->toBeTrue();
    },
);

it(
    'shows the mark of demo data on every page, paper and file, and takes its rows for real ones there',
    function (): void {
        seedDemo();
        $job = Job::at('Lock Keeper\'s Row 4');
        installer($job);
        foreach (['survey', 'plan', 'set', 'prove', 'handover'] as $stage) {
            expect(
                $this->get("/jobs/{$job->id}/{$stage}")
                    ->assertOk()
                    ->inertiaProps('job.mark'),
            )->toBe('Demo data: readings made by the circuit.');
        }
        foreach (['readings.csv', 'wiring.csv', 'conductors.csv'] as $file) {
            $answer = $this->get("/jobs/{$job->id}/{$file}")->assertOk();
            $rows = explode("\n", trim((string) $answer->getContent()));
            expect($rows[0])
                ->toEndWith(',mark')
                ->and($rows[1])
                ->toEndWith('"demo data"')
                ->and($answer->headers->get('Content-Disposition'))
                ->toContain('demo-data-lock');
        }
        foreach (['wiring.svg', 'labels.svg'] as $file) {
            expect(
                (string) $this->get("/jobs/{$job->id}/{$file}")
                    ->assertOk()
                    ->getContent(),
            )->toContain('Demo data: readings made by the circuit.');
        }
        expect(json_decode((string) $this->get("/jobs/{$job->id}/job-file")->getContent(), true)['demo'])
            ->toBeTrue()
            ->and(sheet($job))
            ->toContain('Demo data: readings made by the circuit.')
            ->and((string) $this->get('/visits.ics')->getContent())
            ->toContain('SUMMARY:Demo data: ')
            ->and($this->get('/jobs')->inertiaProps('jobs.0.mark'))
            ->toBe('demo data')
            ->and(array_filter(Progress::of($job)->handover(), fn (array $l): bool => ! $l['done']))
            ->toBe([]);
    },
);
