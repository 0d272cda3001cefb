<?php

declare(strict_types=1);

use App\Figures\FiguresPage;
use App\Handover\HandoverPage;
use App\Handover\HandoverSheet;
use App\House\House;
use App\Jobs\File\ImportJob;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Record\SettingEntry;
use App\Set\SetPage;
use App\Words\Dates;
use Illuminate\Support\Carbon;

/** A house of the demo data with its thermostat chosen. */
function houseToSet(string $name, string $profile, string $system = 'System'): Job
{
    $user = User::query()->first() ?? User::factory()->create();
    test()->actingAs($user);
    $job = app(ImportJob::class)($user, newId(), [
        ...json_decode((string) file_get_contents(base_path("database/demo/{$name}.json")), true),
        'system' => $system,
    ]);
    test()
        ->postJson("/jobs/{$job->id}/plan-edits", [
            'id' => newId(),
            'version' => $job->version,
            'op' => 'choose',
            'profile' => $profile,
        ])
        ->assertOk();

    return $job->refresh();
}

/** @return array<string, array<string, mixed>> settings by key */
function settingRows(Job $job): array
{
    return array_column(
        said(SetPage::props($job, House::of($job->refresh())->plan ?? throw new LogicException('no plan')))[
            'settings'
        ],
        null,
        'key',
    );
}

it('records a setting with old value, new value and reason, and refuses what this menu has not', function (): void {
    $job = houseToSet('quay-house-flat-2', 'c-powered-3h-2c');
    $enter = fn (string $key, string $value, ?string $note = null) => $this->postJson("/jobs/{$job->id}/settings", [
        'id' => newId(),
        'key' => $key,
        'value' => $value,
        'note' => $note,
    ]);
    $enter('aux-with-compressor', 'yes')->assertCreated();
    $rows = settingRows($job);
    expect($rows['aux-with-compressor']['value'])
        ->toBe('no')
        ->and($rows['aux-with-compressor']['entered'])
        ->toBe('yes')
        ->and(array_column($rows['aux-with-compressor']['choices'], 'ifWrong', 'value')['yes'])
        ->toContain('Furnace 1 also pulls in')
        ->and(array_column($rows['aux-with-compressor']['choices'], 'effects', 'value')['no'])
        ->toContain('Furnace 1 no longer closes Y1 and G');
    $enter('aux-with-compressor', 'no', 'read it twice')->assertCreated();
    $last = SettingEntry::query()->where('job_id', $job->id)->orderByDesc('at')->orderByDesc('id')->firstOrFail();
    expect($last->old_value)
        ->toBe('yes')
        ->and($last->reason)
        ->toContain('pressure climbs')
        ->toContain('read it twice');

    expect($enter('compressor-lockout', '41')->assertUnprocessable()->json('errors.value.0'))
        ->toContain('cannot be 41 on this thermostat')
        ->and($enter('weather', '1')->assertUnprocessable()->json('errors.key.0'))
        ->toContain('no setting weather');
});

it('prints the day of what was entered, in the record and on the sheet inside the door', function (): void {
    $job = houseToSet('quay-house-flat-2', 'c-powered-3h-2c');
    Carbon::setTestNow('2026-11-20 10:00:00');
    $this->postJson("/jobs/{$job->id}/settings", [
        'id' => newId(),
        'key' => 'aux-with-compressor',
        'value' => 'no',
    ]);
    Carbon::setTestNow('2026-11-28 10:00:00');
    $rows = array_column(said(HandoverPage::props($job->refresh()))['settings'], null, 'label');
    $sheet = (new HandoverSheet($job, new Dates('en', new DateTimeZone('UTC'))))->html();
    $door = (string) $this->get("/jobs/{$job->id}/door.svg")
        ->assertOk()
        ->getContent();

    expect(array_filter(array_column($rows, 'at')))
        ->toHaveCount(1)
        ->and($sheet)
        ->toContain('20 Nov 2026')
        ->and(substr_count($door, '20 Nov 2026'))
        ->toBe(1);
});

it('keeps both answers of an open question, and the source that was followed', function (): void {
    $job = houseToSet('winding-hole-2', 'c-or-battery-2h-2c');
    editSurvey($job, 'answer', ['key' => 'fanJumper', 'value' => 'gas'])->assertOk();
    expect(array_column(settingRows($job)['fan-in-heat']['open'], 'value'))->toBe(['thermostat', 'equipment']);
    $this->postJson("/jobs/{$job->id}/settings", [
        'id' => newId(),
        'key' => 'fan-in-heat',
        'value' => 'thermostat',
    ])->assertCreated();

    expect(SettingEntry::query()->sole()->reason)
        ->toBe('Decided for: the equipment as surveyed.')
        ->and(settingRows($job)['fan-in-heat']['open'])
        ->toHaveCount(2);
});

it('offers what a sister system was set to', function (): void {
    $first = houseToSet('tollhouse', 'c-powered-3h-2c');
    $this->postJson("/jobs/{$first->id}/settings", [
        'id' => newId(),
        'key' => 'reversing-valve',
        'value' => 'O',
    ])->assertCreated();
    $url = $this->postJson("/jobs/{$first->id}/copies", [
        'id' => newId(),
        'as' => 'sister',
        'kind' => 'replacement',
        'name' => 'Upstairs',
    ])->json('url');
    $second = Job::query()->findOrFail(explode('/', $url)[2]);
    $this->postJson("/jobs/{$second->id}/plan-edits", [
        'id' => newId(),
        'version' => $second->version,
        'op' => 'choose',
        'profile' => 'c-powered-3h-2c',
    ])->assertOk();
    $sisters = said(
        SetPage::props($second, House::of($second->refresh())->plan ?? throw new LogicException('no plan')),
    )['sisters'];

    expect($sisters[0]['label'])
        ->toContain('Tollhouse')
        ->and($sisters[0]['values'])
        ->toBe(['reversing-valve' => 'O']);
});

it(
    'computes a figure from what is typed, with and without a house, and keeps a house\'s own inputs',
    function (): void {
        $job = houseToSet('quay-house-flat-2', 'c-powered-3h-2c');
        $this->get('/figures')->assertOk();
        expect(
            $this->postJson('/figures/tap', ['values' => ['line' => 208, 'tap' => 240]])
                ->assertOk()
                ->json('result.tone'),
        )
            ->toBe('fault')
            ->and(
                $this->postJson('/figures/coil', ['values' => []])
                    ->assertOk()
                    ->json('result'),
            )
            ->toBeNull()
            ->and(
                $this->postJson('/figures/coil', ['values' => ['measured' => 'x']])
                    ->assertUnprocessable()
                    ->json('errors.measured.0'),
            )
            ->toContain('is "x"; allowed: measured')
            ->and(
                $this->postJson("/jobs/{$job->id}/figures/transformer-load", ['values' => ['rating' => 30]])
                    ->assertOk()
                    ->json('result.tone'),
            )
            ->toBe('fault');
        $this->postJson('/figures/none', ['values' => []])->assertNotFound();

        $was = settingRows($job)['compressor-lockout']['value'];
        editSurvey($job, 'answer', ['key' => 'priceElectric', 'value' => 0.4])->assertOk();
        expect($was)
            ->toBe('40')
            ->and(settingRows($job)['compressor-lockout']['value'])
            ->toBe('55')
            ->and(
                array_column(said(FiguresPage::props($job->refresh()))['figures'][0]['inputs'], 'source', 'key')[
                    'priceElectric'
                ],
            )
            ->toBe('entered for this house');
    },
);

it('shows figures to the job\'s own crew only', function (): void {
    $job = houseToSet('weir-pump-room', 'c-powered-1h-1c');
    expect(array_column(said(FiguresPage::props($job))['overflow'][0]['ways'], 'best', 'key')['Y'])->toBeTrue();
    installer();
    $this->get("/jobs/{$job->id}/figures")->assertForbidden();
    $this->postJson("/jobs/{$job->id}/figures/tap", ['values' => []])->assertForbidden();
});

it('takes no setting while the display is dark, and asks for the power where it needs it', function (
    string $profile,
    bool $needs,
): void {
    $job = landedHouse('furnace-gas-1h-1c', $profile);
    $page = $this->get("/jobs/{$job->id}/set");
    $setting = array_find(
        $page->inertiaProps('settings'),
        static fn (array $s): bool => $s['lacking'] === null && $s['menuLabel'] !== '',
    );
    expect($page->inertiaProps('needsPower'))->toBe($needs);
    $enter = fn () => $this->postJson("/jobs/{$job->id}/settings", [
        'id' => newId(),
        'key' => $setting['key'],
        'value' => $setting['value'],
    ]);
    raiseFlag($job, 'isolated', '0.0');
    $needs ? $enter()->assertJsonValidationErrors('power') : $enter()->assertCreated();
    raiseFlag($job, 'live', '26.4');
    $enter()->assertCreated();
})->with([
    'fed over C' => ['c-powered-1h-1c', true],
    'on batteries' => ['battery-1h-1c', false],
    'C or batteries' => ['c-or-battery-2h-2c', false],
]);
