<?php

declare(strict_types=1);

use App\House\House;
use App\Jobs\File\ImportJob;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\OwnProfile;
use App\Plan\PlanPage;
use App\Prove\ProvePage;
use App\Set\SetPage;
use Illuminate\Testing\TestResponse;
use Unionbit\Core\Setting\SettingCheck;

/** @param  array<string, mixed>  $fields */
function editPlan(Job $job, string $op, array $fields = []): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'op' => $op,
        ...$fields,
    ]);
}

/** @return array<string, mixed> */
function form(): array
{
    return [
        'title' => 'Hallway, two heat',
        'screws' => 'Rc Rh C Y1 G W1 W2',
        'power' => 'common',
        'va' => 3.5,
        'remote' => 'own radio',
        'switches' => 'face',
        'link' => 'slide',
        'heat' => 2,
        'cool' => 1,
    ];
}

it('offers plans, takes one with the reason kept, and notes what was changed by hand', function (): void {
    $job = demo('ropewalk-11');
    editPlan($job, 'choose', ['profile' => 'c-or-battery-2h-2c'])->assertOk();
    $offers = $this->getJson("/jobs/{$job->id}/offers")
        ->assertOk()
        ->json();

    expect(array_column($offers['offered'], 'codes'))
        ->toBe([['WO05', 'WO03'], ['WO05', 'WO10'], ['WO05', 'WO10'], ['WO02']])
        ->and($offers['refused'][0]['refusals'][0])
        ->toContain('blower relay is at rest')
        ->and(House::of($job->refresh())->plan?->choice?->ways)
        ->toBe(['WO05', 'WO03'])
        ->and(
            $this->getJson(
                "/jobs/{$job->id}/offers?profile=c-or-battery-2h-2c&capability=10&parts=0&time=0&risk=0",
            )->json('offered.0.codes'),
        )
        ->toBe(['WO02']);

    editPlan($job, 'take', [
        'key' => $offers['offered'][3]['key'],
        'note' => 'the ceiling is open anyway',
    ])->assertOk();
    $plan = House::of($job->refresh())->plan;
    expect($plan?->changes->pulled?->label())
        ->toBe('18/7 · 42 ft')
        ->and($plan->choice?->note)
        ->toBe('the ceiling is open anyway')
        ->and($plan->choice->edited)
        ->toBeFalse()
        ->and($job->revisions()->get()->last()?->what)
        ->toContain('took the plan: a new 18/7 cable');
    editPlan($job, 'land', ['conductor' => 'A7', 'screw' => 'Y2'])->assertOk();
    expect(House::of($job->refresh())->plan?->choice?->edited)->toBeTrue();

    editPlan($job, 'take', ['key' => 'nothing'])
        ->assertUnprocessable()
        ->assertJsonPath(
            'errors.key.0',
            'That plan is not offered any more: the survey has changed. Look at the plans again.',
        );
});

it(
    'lands by hand at both ends, ties and unties, and refuses what the plate or the board has not',
    function (): void {
        $job = demo('ropewalk-11');
        editPlan($job, 'choose', ['profile' => 'c-powered-1h-1c'])->assertOk();
        editPlan($job, 'board', ['conductor' => 'A4', 'screw' => 'W2'])->assertOk();
        editPlan($job, 'board', ['conductor' => 'A3', 'screw' => '@B1'])->assertOk();
        editPlan($job, 'tie', ['place' => 'indoor', 'a' => 'W1', 'b' => 'W2'])->assertOk();
        $landing = House::of($job->refresh())->plan?->landing;
        expect($landing?->board['A4']->terminal)
            ->toBe('W2')
            ->and($landing->board['A3']->onto)
            ->toBe('B1')
            ->and(array_column($landing->jumpers, 'label'))
            ->toContain('W1–W2 tie at the board');
        editPlan($job, 'untie', ['label' => 'W1–W2 tie at the board'])->assertOk();
        $before = $job->refresh()->plan;

        foreach (
            [
                [
                    'board',
                    ['conductor' => 'A4', 'screw' => 'Q'],
                    'screw',
                    'No terminal Q on this board. It has R, W1, W2, G, Y and C',
                ],
                ['board', ['conductor' => 'A9', 'screw' => 'R'], 'conductor', 'no conductor A9'],
                ['board', ['conductor' => 'A4', 'screw' => '@B7'], 'screw', 'no outdoor conductor B7'],
                ['tie', ['place' => 'wall', 'a' => 'W1', 'b' => 'W1'], 'a', 'joins nothing'],
                ['tie', ['place' => 'wall', 'a' => 'W1', 'b' => 'Z'], 'a', 'No terminal Z there'],
                ['tie', ['place' => 'roof', 'a' => 'W1', 'b' => 'C'], 'place', 'none of those that can be chosen'],
                ['untie', ['label' => 'none'], 'label', 'no none to take out'],
                ['choose', ['profile' => 'nobodys'], 'profile', 'no thermostat profile nobodys'],
            ] as [$op, $fields, $field, $says]
        ) {
            expect(
                editPlan($job, $op, $fields)
                    ->assertUnprocessable()
                    ->json("errors.{$field}.0"),
            )->toContain($says);
        }
        expect($job->refresh()->plan)->toBe($before);
    },
);

it(
    'takes a kit\'s adapter: a screw, a move, a thing to carry, no jumper for the fan, half a signal',
    function (): void {
        $job = demo('ropewalk-11');
        editPlan($job, 'choose', ['profile' => 'c-powered-3h-2c'])->assertOk();
        expect(
            editPlan($job, 'board', ['conductor' => 'A4', 'screw' => 'K'])
                ->assertUnprocessable()
                ->json('errors.screw.0'),
        )->toContain('No terminal K on this board');
        editPlan($job, 'choose', ['profile' => 'c-powered-shared-kit-2h-2c'])->assertOk();
        $page = said(PlanPage::props($job->refresh()));
        $fan = array_column($page['plan']['simulations'], null, 'call')['fan'];

        expect(House::of($job)->plan?->choice?->ways)
            ->toBe(['WO04', 'WO10'])
            ->and($page['plan']['board']['kit'])
            ->toBe(['R', 'C', 'Y', 'G'])
            ->and($page['plan']['board']['rows'][0]['screws'])
            ->toContain('K')
            ->and(array_column($page['plan']['moves'], 'key'))
            ->toContain('kit')
            ->and(array_column($page['plan']['carry'], 'item'))
            ->toContain('Adapter of the thermostat\'s kit, short leads')
            ->and($fan['closes'])
            ->toBe(['G', 'K'])
            ->and((array) $fan['low'])
            ->toMatchArray(['A3.mid' => '13 V', 'indoor.K' => '13 V'])
            ->and($fan['loads']['kit-fan']['state'])
            ->toBe('in')
            ->and($fan['loads']['contactor']['state'])
            ->toBe('rest');
        $this->postJson("/jobs/{$job->id}/expect", [
            'stage' => 'plan',
            'call' => 'fan',
            'mode' => 'V',
            'a' => 'wall.K',
            'b' => 'wall.C',
        ])
            ->assertOk()
            ->assertJsonPath(
                'reason',
                'Part of the transformer\'s voltage: it comes through the 2,200 Ω in the K switch and '.
                    'returns through the pulled-in kit\'s fan input.',
            );

        $kit = House::of($job)->plan ?? throw new LogicException('no plan');
        expect(implode(' ', array_map(static fn ($f): string => said($f->title), SettingCheck::check($kit, []))))
            ->toContain('Heat 2: given up by the plan')
            ->not->toContain('closes Y1')
            ->not->toContain('closes G')
            ->and((string) json_encode(said(SetPage::props($job, $kit))['settings']))
            ->not->toContain('kit');
        skipPhotos($job);
        editPlan($job, 'use')->assertOk();
        $plan = House::of($job->refresh())->plan ?? throw new LogicException('no plan');
        $prove = said(ProvePage::props($job, $plan));
        expect((array) $prove['noWallJumper'])
            ->toHaveKey('fan')
            ->not->toHaveKey('cool-1')
            ->and($prove['noWallJumper']->fan)
            ->toContain('would run the compressor too')
            ->and(array_column($prove['steps'], 'key'))
            ->toContain('cool-1.jumper', 'fan.board-jumper', 'fan.voltage')
            ->not->toContain('fan.jumper');
        expect(
            $this->get("/jobs/{$job->id}/job-file")
                ->assertOk()
                ->json('plan.sharedKit'),
        )->toBeTrue();
        editPlan($job, 'board', ['conductor' => 'A3', 'screw' => 'Y'])->assertOk();
        editPlan($job, 'board', ['conductor' => 'A3', 'screw' => 'K'])->assertOk();
    },
);

it('shows a short of a hand edit as it would be on the wall, and undo takes it back', function (): void {
    $job = demo('weir-pump-room');
    editPlan($job, 'choose', ['profile' => 'c-powered-1h-1c'])->assertOk();
    editPlan($job, 'land', ['conductor' => 'A5', 'screw' => 'Rh'])->assertOk();
    $short = said(PlanPage::props($job->refresh()))['plan']['short'];
    expect($short['conductors'])
        ->toBe(['A1', 'A5'])
        ->and($short['opens'])
        ->toContain('The 3 A fuse opens after')
        ->and($short['through'])
        ->toContain('Rc–Rh link');
    editPlan($job, 'use')->assertUnprocessable();
    editPlan($job, 'restore', ['to_version' => $job->version - 1])->assertOk();
    expect(said(PlanPage::props($job->refresh()))['plan']['short'])->toBeNull();
});

it('ranks thermostats for the house by what is wished, with what each is', function (): void {
    $job = demo('ropewalk-11');
    foreach (['remote' => 'yes', 'workAt' => 'wall'] as $key => $value) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    $rows = $this->getJson("/jobs/{$job->id}/thermostats")
        ->assertOk()
        ->json('rows');

    expect($rows[0]['profile'])
        ->toBe('c-or-battery-2h-2c')
        ->and(array_column($rows[0]['facts'], 'value', 'label')['Screws'])
        ->toBe('Rc Rh C Y1 Y2 G W1 W2')
        ->and(array_column($rows, 'refused', 'profile')['two-part-three-conductor'])
        ->toBe(['It needs work at the equipment.']);
});

it(
    'makes a profile of one\'s own, plans with it, carries it in the job file, and keeps it to the crew',
    function (): void {
        $job = demo('ropewalk-11');
        $id = $this->postJson('/profiles', form())->assertOk()->json('id');
        expect($this->postJson('/profiles', form())->json('id'))
            ->toBe($id)
            ->and(OwnProfile::query()->count())
            ->toBe(1);
        editPlan($job, 'choose', ['profile' => $id])->assertOk();
        expect(House::of($job->refresh())->plan?->profile->title)
            ->toBe('Hallway, two heat')
            ->and(House::of($job)->plan->profile->switchesInFace)
            ->toBeTrue();
        $file = $this->get("/jobs/{$job->id}/job-file")->json();
        expect($file['thermostat']['title'])
            ->toBe('Hallway, two heat')
            ->and(
                $this->get("/profiles/{$id}")
                    ->assertOk()
                    ->json('title'),
            )
            ->toBe('Hallway, two heat');
        $this->deleteJson("/profiles/{$id}")->assertOk();
        expect(House::of($job->refresh())->plan?->profile->title)
            ->toBe('Hallway, two heat')
            ->and(array_column(said(PlanPage::props($job))['profiles'], 'id'))
            ->not->toContain($id);

        $other = User::factory()->for(Crew::factory())->create();
        $this->actingAs($other);
        $this->get("/profiles/{$id}")->assertNotFound();
        $copy = app(ImportJob::class)($other, newId(), $file);
        expect(House::of($copy)->plan?->profile->title)
            ->toBe('Hallway, two heat')
            ->and($copy->plan['profile'])
            ->not->toBe($id)
            ->and(OwnProfile::query()->where('crew_id', $other->crew_id)->count())
            ->toBe(1);
    },
);

it('says at its place what is wrong with a profile, and puts nothing on the shelf', function (
    array $fields,
    string $field,
    string $says,
): void {
    demo('ropewalk-11');
    expect(
        $this->postJson('/profiles', $fields)
            ->assertUnprocessable()
            ->json("errors.{$field}.0"),
    )
        ->toContain($says)
        ->and(OwnProfile::query()->count())
        ->toBe(0);
})->with([
    'no name' => [['title' => ''] + form(), 'title', 'name of your own'],
    'unknown letter' => [['screws' => 'R C Q7 Y'] + form(), 'screws', 'is "Q7"; allowed: letters of the trade'],
    'no hot' => [['screws' => 'C Y G W'] + form(), 'screws', 'at least one of R, Rc, Rh'],
    'runs on C without one' => [['screws' => 'R Y G W'] + form(), 'title', 'it needs a screw C'],
    'the same letter twice' => [['screws' => 'R C Y Y W'] + form(), 'title', 'no other screw of the plate has'],
    'out of range' => [['va' => 99] + form(), 'va', 'a number from 0 to 20'],
    'no JSON' => [['json' => '{'], 'json', 'That is no JSON'],
    'a file without terminals' => [['json' => '{"title":"x"}'], 'json', 'missing'],
]);

it('writes the wiring as table, drawing and labels', function (): void {
    $job = demo('ropewalk-11');
    $this->get("/jobs/{$job->id}/wiring.csv")->assertNotFound();
    editPlan($job, 'choose', ['profile' => 'c-or-battery-2h-2c'])->assertOk();
    $rows = array_map(
        str_getcsv(...),
        explode(
            "\n",
            trim(
                (string) $this->get("/jobs/{$job->id}/wiring.csv")
                    ->assertOk()
                    ->getContent(),
            ),
        ),
    );
    expect($rows[0])
        ->toBe([
            'cable',
            'number',
            'colour',
            'wall_before',
            'wall',
            'board_before',
            'board',
            'condition',
            'meaning',
            'label',
            'mark',
        ])
        ->and($rows[4])
        ->toBe(['A', '4', 'green', 'G', 'W2', 'G', 'W2', '', 'heat, second stage', 'A4 W2', 'demo data'])
        ->and(array_column($rows, 9))
        ->toContain('Y–G tie');
    foreach (['wiring.svg', 'labels.svg'] as $file) {
        $svg = simplexml_load_string(
            (string) $this->get("/jobs/{$job->id}/{$file}")
                ->assertOk()
                ->getContent(),
        );
        expect($svg)->not->toBeFalse()->and($svg->asXML())->toContain('A4 green');
    }
});

it('gives papers of a plan: every call drawn, labels of every cable, the sheet for the door', function (): void {
    $job = demo('the-old-chandlery');
    $paper = fn (string $name): string => (string) $this->get("/jobs/{$job->id}/{$name}")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/svg+xml')
        ->getContent();
    $house = House::of($job)->installation;

    expect($paper('wiring.svg'))
        ->toContain('Cool 1', 'Heat 1', 'link out', 'width="190mm"')
        ->and($paper('door.svg'))
        ->toContain('Equipment type', 'not entered yet', 'Power off and proved dead');
    foreach ($house->wallConductors() as $conductor) {
        expect($paper('labels.svg'))->toContain($conductor->id());
    }
});
