<?php

declare(strict_types=1);

use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;

/** @return list<array{string, string}> method and address of the application's own routes that carry a mark */
function routesWith(callable $mark): array
{
    $routes = array_filter(Route::getRoutes()->getRoutes(), $mark);

    return array_values(
        array_map(static fn ($route): array => [$route->methods()[0], '/'.$route->uri()], $routes),
    );
}

it('keeps everything behind the sign-in', function (): void {
    $job = Job::factory()->create();
    $routes = routesWith(static fn ($route): bool => in_array('auth', $route->gatherMiddleware(), true));

    expect(count($routes))->toBeGreaterThan(15);
    foreach ($routes as [$method, $url]) {
        $this->json(
            $method,
            preg_replace('/{(person|link|share)}/', '1', str_replace('{job}', $job->id, $url)),
        )->assertUnauthorized();
    }
});

it('refuses every route of another crew\'s job and writes nothing', function (): void {
    $job = Job::factory()->planned()->create();
    $this->actingAs(User::factory()->create());
    $body = [
        'id' => newId(),
        'version' => 1,
        'op' => 'finish',
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26',
        'state' => 'live',
        'volts' => '26',
        'cable' => 'A',
        'line' => 'red R>R',
        'step' => 'fan.voltage',
        'event' => 'start',
        'key' => 'fan-in-heat',
        'move' => 'link:in',
        'done' => true,
        'sign' => 'blower',
        'seen' => true,
    ];
    $routes = routesWith(static fn ($route): bool => str_contains($route->uri(), '{job}'));

    expect(count($routes))->toBeGreaterThan(14);
    foreach ($routes as [$method, $url]) {
        $this->json(
            $method,
            str_replace('{job}', $job->id, $url),
            $method === 'GET' ? [] : $body,
        )->assertForbidden();
    }
    expect($job->refresh()->version)
        ->toBe(1)
        ->and($job->readings()->count() + $job->powerEvents()->count() + $job->stepEvents()->count())
        ->toBe(0);
});

it('signs in with a hashed password and limits the tries', function (): void {
    $user = User::factory()->create(['email' => 'wren@ebb-and-sluice.example']);
    expect(Hash::check('saltmarsh', $user->password))->toBeTrue()->and($user->password)->not->toBe('saltmarsh');

    foreach (range(1, 5) as $try) {
        $this->post('/sign-in', [
            'email' => 'wren@ebb-and-sluice.example',
            'password' => 'wrong',
        ])->assertSessionHasErrors('email');
    }
    $this->post('/sign-in', [
        'email' => 'wren@ebb-and-sluice.example',
        'password' => 'saltmarsh',
    ])->assertSessionHasErrors('email');
    $this->assertGuest();
    $this->travel(61)->seconds();
    $this->post('/sign-in', ['email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh'])->assertRedirect(
        '/jobs',
    );
    $this->assertAuthenticatedAs($user);
});

it('signs the demo installer in only on the loopback address', function (
    string $name,
    string $from,
    int $status,
): void {
    User::factory()->create();
    config(['unionbit.solo' => true]);

    $this->withServerVariables(['SERVER_NAME' => $name, 'REMOTE_ADDR' => $from])
        ->get("http://{$name}/jobs")
        ->assertStatus($status);
})->with([
    ['127.0.0.1', '127.0.0.1', 200],
    ['localhost', '127.0.0.1', 200],
    'bound elsewhere' => ['0.0.0.0', '127.0.0.1', 403],
    'asked from elsewhere' => ['127.0.0.1', '192.0.2.7', 403],
    'both' => ['192.0.2.1', '192.0.2.7', 403],
]);

it('closes a job that was handed over', function (): void {
    $job = Job::factory()->create(['handed_over_at' => now()]);
    installer($job);

    editSurvey($job, 'finish')->assertForbidden();
    $this->get("/jobs/{$job->id}/handover")->assertOk();
});

it('shows a page of its own for what is not there', function (): void {
    installer();

    $this->get('/jobs/01ARZ3NDEKTSV4RRFFQ69G5FAV/survey')
        ->assertNotFound()
        ->assertInertia(fn ($page) => $page->component('Problem')->where('status', 404));
});
