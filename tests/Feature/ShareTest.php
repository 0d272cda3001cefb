<?php

declare(strict_types=1);

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Photo;
use App\Models\Share\ShareLink;
use App\Models\Share\SharePart;
use App\Share\ShareLinks;
use App\Words\Units;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * A link to a house, and nobody signed in any more.
 *
 * @param  list<SharePart>  $parts
 */
function shared(Job $job, array $parts, int $days = 7): string
{
    $by = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $made = ShareLinks::make($job, 'a colleague', $parts, $days, $by);
    auth()->logout();

    return (string) parse_url($made['url'], PHP_URL_PATH);
}

/** @return array<string, mixed> what the page of a link holds */
function seen(string $address): array
{
    $page = test()->get($address)->assertOk()->viewData('page');

    return (array) json_decode((string) json_encode($page), true)['props'];
}

beforeEach(function (): void {
    $this->job = demo('quay-house-flat-2');
});

it('opens a house for who has the link, counts and logs each look, and ends', function (Closure $ends): void {
    $lead = installer($this->job);
    $ask = ['label' => 'a colleague', 'parts' => ['wiring', 'fault'], 'days' => 7];
    $url = $this->postJson("/jobs/{$this->job->id}/shares", $ask)
        ->assertCreated()
        ->json('url');
    $token = basename($url);
    auth()->logout();
    expect(DB::table('share_links')->where('token', $token)->exists())->toBeFalse();
    $this->get("/shared/{$token}")
        ->assertOk()
        ->assertHeader('X-Robots-Tag', 'noindex, nofollow')
        ->assertHeader('Cache-Control', 'no-store, private')
        ->assertInertia(fn ($page) => $page->component('Shared')->where('share.label', 'a colleague'));
    $this->post("/shared/{$token}")->assertStatus(405);
    $this->actingAs($lead);
    $row = $this->getJson("/jobs/{$this->job->id}/shares")
        ->assertOk()
        ->json('links.0');
    expect([$row['opened'], $row['label'], $row['by']])->toBe([1, 'a colleague', $lead->name]);
    $ends($this->job, ShareLink::query()->sole());
    auth()->logout();
    $this->get("/shared/{$token}")
        ->assertStatus(410)
        ->assertInertia(fn ($page) => $page->where('share', null)->missing('wiring'));

    $kinds = DB::table('security_events')->where('kind', 'like', 'share-%')->orderBy('id')->pluck('kind')->all();
    expect(array_slice($kinds, 0, 2))
        ->toBe(['share-made', 'share-opened'])
        ->and(DB::table('security_events')->where('kind', 'share-opened')->value('crew_id'))
        ->toBe($this->job->crew_id);
})->with([
    'by its time' => fn () => test()->travel(8)->days(),
    'by taking it back' => fn (Job $job, ShareLink $link) => test()
        ->postJson("/shares/{$link->id}/revoke")
        ->assertOk(),
    'with its house' => fn (Job $job) => test()
        ->postJson("/jobs/{$job->id}/shelf", ['to' => 'delete'])
        ->assertOk(),
]);

it('shows what was chosen and nothing else', function (SharePart $part, array $keys): void {
    $only = seen(shared($this->job, [$part]));
    $others = array_filter(SharePart::cases(), static fn (SharePart $p): bool => $p !== $part);
    $without = seen(shared($this->job, array_values($others)));
    $none = array_keys(seen(shared($this->job, [])));

    expect(array_values(array_diff(array_keys($only), $none)))->toEqualCanonicalizing($keys);
    expect(array_intersect($keys, array_keys($without)))->toBe([]);
})->with([
    'place' => [SharePart::Place, ['place']],
    'wiring' => [SharePart::Wiring, ['facts', 'thermostat', 'wiring', 'beside', 'found']],
    'settings' => [SharePart::Settings, ['settings']],
    'calls' => [SharePart::Calls, ['baseline', 'waived', 'restore', 'open', 'calls', 'worth']],
    'readings' => [SharePart::Readings, ['points', 'survey', 'proofs', 'unexplained', 'figures']],
    'fault' => [SharePart::Fault, ['traced']],
    'photographs' => [SharePart::Photographs, ['photos']],
    'customer' => [SharePart::Customer, ['customer']],
]);

it('names nobody of the crew, and the house only where that was chosen', function (): void {
    $finished = demo('lock-keepers-row-4');
    $finished
        ->readings()
        ->limit(1)
        ->update(['from_file' => 'Somebody Elsewhere']);
    $all = json_encode(seen(shared($finished, SharePart::cases())), JSON_THROW_ON_ERROR);
    $hidden = array_filter(SharePart::cases(), static fn (SharePart $p): bool => $p !== SharePart::Place);
    $unnamed = json_encode(seen(shared($finished, array_values($hidden))), JSON_THROW_ON_ERROR);

    expect(User::query()->pluck('name')->filter(static fn (string $n): bool => str_contains($all, $n))->all())
        ->toBe([])
        ->and($all)
        ->not->toContain('Somebody Elsewhere')
        ->not->toContain('strokes')
        ->not->toContain($finished->id)
        ->toContain($finished->address);
    expect($unnamed)->not->toContain($finished->address)->not->toContain('Keeper');
});

it('shows a fault as far as it is traced, in the units of the crew', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $job->crew->forceFill(['units' => Units::Metric])->save();
    expect(seen(shared($job, [SharePart::Fault]))['traced'])->toBeNull();
    installer($job);
    traceRow($job, 'open', ['complaint' => 'cool-1: outdoor-unit no'])->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'fuse-opened', 'of' => 'T1']])->assertCreated();
    $page = seen(shared($job, [SharePart::Fault, SharePart::Wiring]));
    $book = traced($job)['trace'];

    expect($page['units']['system'])->toBe('metric');
    expect(array_column($page['traced']['rows'], 'number'))
        ->toBe(array_column($book['rows'], 'number'))
        ->and($page['traced']['rows'])
        ->not->toBe([])
        ->and($page['traced']['suspects'][0]['percent'])
        ->toBe((int) round(100 * $book['suspects'][0]['share']));
});

it('gives the photographs of this house alone, by a link that shows them', function (): void {
    $photo = Photo::query()->create([
        'id' => newId(),
        'job_id' => $this->job->id,
        'user_id' => User::query()->where('crew_id', $this->job->crew_id)->value('id'),
        'place' => 'wall',
        'path' => 'photos/shared.jpg',
        'at' => now(),
    ]);
    Storage::disk('local')->put('photos/shared.jpg', 'a picture');
    $with = shared($this->job, [SharePart::Photographs]);
    expect(seen($with)['photos'][0]['url'])->toBe("{$with}/photos/{$photo->id}");
    $this->get("{$with}/photos/{$photo->id}")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg');
    $this->get(shared($this->job, [SharePart::Wiring])."/photos/{$photo->id}")->assertNotFound();
    $this->get(shared(demo('tollhouse'), SharePart::cases())."/photos/{$photo->id}")->assertNotFound();
});

it('leaves links to the crew that made them, and asks for what a link needs', function (): void {
    shared($this->job, [SharePart::Wiring]);
    $link = ShareLink::query()->sole();
    $stranger = User::factory()->create(['role' => Role::Lead, 'crew_id' => Crew::factory()]);
    $this->actingAs($stranger);
    $this->getJson("/jobs/{$this->job->id}/shares")->assertForbidden();
    $this->postJson("/shares/{$link->id}/revoke")->assertForbidden();
    $this->get('/crew')->assertInertia(fn ($page) => $page->where('shares', []));

    $lead = installer($this->job);
    $lead->forceFill(['role' => Role::Lead])->save();
    $this->get('/crew')->assertInertia(fn ($page) => $page->where('shares.0.house', 'Quay House'));
    $bad = ['label' => ' ', 'parts' => ['wiring', 'attic'], 'days' => 2];
    $this->postJson("/jobs/{$this->job->id}/shares", $bad)->assertJsonValidationErrors([
        'label',
        'parts.1',
        'days',
    ]);
    $this->postJson("/jobs/{$this->job->id}/shares", [
        'label' => 'x',
        'parts' => [],
        'days' => 7,
    ])->assertJsonValidationErrors('parts');
    $practice = practice($this->job);
    $ask = ['label' => 'x', 'parts' => ['wiring'], 'days' => 7];
    $this->postJson("/jobs/{$practice->id}/shares", $ask)->assertForbidden();
    expect(ShareLink::query()->count())->toBe(1);
});
