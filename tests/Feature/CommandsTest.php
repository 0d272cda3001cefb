<?php

declare(strict_types=1);

use App\House\JobFiles;
use Illuminate\Support\Facades\Artisan;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Run;

/** @return array{int, string} exit code and output */
function artisan(string $command): array
{
    $exit = Artisan::call($command);

    return [$exit, Artisan::output()];
}

/** @return array<string, mixed>|list<string> what the schema of a job file has against it */
function againstSchema(string $json): array
{
    $result = (new Validator())->validate(
        json_decode($json),
        (string) file_get_contents(base_path('docs/job-file.schema.json')),
    );

    return $result->isValid() ? [] : (new ErrorFormatter())->format($result->error());
}

$example = static fn (string $id): string => base_path("docs/examples/{$id}.json");

it(
    'ships an example of every archetype that fits the schema, is what the command prints, and is proved',
    function (): void {
        foreach (
            [
                ...app(App\House\Catalog::class)->shelf()->ids(),
                ...array_keys(app(App\House\Catalog::class)->houses()),
            ] as $id
        ) {
            $path = base_path("docs/examples/{$id}.json");
            expect(againstSchema((string) file_get_contents($path)))->toBe([], $id);
            [$exit, $printed] = artisan("unionbit:example {$id}");
            expect($exit)->toBe(0)->and(trim($printed))->toBe(trim((string) file_get_contents($path)));
            $job = app(JobFiles::class)->read($path);
            $plan = $job->plan ?? throw new LogicException("{$id} has no plan");
            expect(array_filter(Simulation::prove($plan), static fn ($p): bool => ! $p->isProved()))->toBe([], $id);
            expect(JobFile::write($job->site, $job->address, $job->kind, $job->installation, $plan))->toEqual(
                json_decode((string) file_get_contents($path), true),
            );
        }
    },
);

it('writes nothing that its schema does not know', function () use ($example): void {
    $file = json_decode((string) file_get_contents($example('heat-pump-o-2c-2aux')), true);
    $words = static fn (string $enum): array => array_column($enum::cases(), 'value');
    $file['survey']['cables'][0]['conductors'][0]['condition'] = $words(Condition::class);
    $file['survey']['cables'][0]['conductors'][0]['touches'] = [2];
    $file['plan']['mended'] = [$file['survey']['cables'][0]['id'].'1'];
    foreach ($words(Run::class) as $run) {
        $file['survey']['cables'][0]['run'] = $run;
        $job = app(JobFiles::class)->parse($file);
        $written = JobFile::write($job->site, $job->address, $job->kind, $job->installation, $job->plan);
        expect(againstSchema((string) json_encode($written)))
            ->toBe([], $run)
            ->and($written['survey']['cables'][0])
            ->toEqual($file['survey']['cables'][0])
            ->and($written['plan']['mended'])
            ->toBe($file['plan']['mended']);
    }
});

it('answers for calls, expectations, time and SPICE, with its exit codes', function () use ($example): void {
    [$exit, $calls] = artisan('unionbit:calls '.$example('dual-fuel-o-2c-2h'));
    expect($exit)->toBe(0)->and(array_column(json_decode($calls, true), 'call'))->toContain('furnace-2', 'defrost');
    [$exit, $plans] = artisan(
        'unionbit:plans '.base_path('database/demo/ropewalk-11.json').' --thermostat=c-or-battery-2h-2c',
    );
    $offered = json_decode($plans, true)['offered'];
    expect($exit)
        ->toBe(0)
        ->and($offered[0]['codes'])
        ->not->toBe([])
        ->and(array_column($offered[0]['ways'], 'code'))
        ->toBe(array_values(array_intersect($offered[0]['codes'], array_column($offered[0]['ways'], 'code'))));

    [$exit, $reading] = artisan(
        'unionbit:expect '.
            $example('furnace-gas-1h-1c').
            ' --call=cool-1 --from=wall.Rc --to=wall.Y1 --fault=switch-open:switch.Y1',
    );
    expect($exit)
        ->toBe(0)
        ->and(json_decode($reading, true)['reason']['text'])
        ->toContain('The full voltage is across the Y1 switch, which is open')
        ->and(json_decode($reading, true)['observables']['outdoor-unit'])
        ->toBeFalse();

    [$exit, $ohms] = artisan(
        'unionbit:expect '.$example('furnace-gas-1h-1c').' --mode=O --from=A4.near --to=wall.C --lift=A4.near',
    );
    expect($exit)->toBe(0)->and(json_decode($ohms, true)['nominal'])->toEqualWithDelta(14.1, 0.3);

    [$exit, $jumped] = artisan(
        'unionbit:expect '.
            $example('furnace-gas-1h-1c').
            ' --face-off --jumper=wall.Rc-wall.G --from=indoor.G --to=indoor.C',
    );
    expect($exit)
        ->toBe(0)
        ->and(json_decode($jumped, true)['nominal'])
        ->toBeGreaterThan(24.0)
        ->and(json_decode($jumped, true)['observables']['blower'])
        ->toBeTrue();

    [$exit, $run] = artisan(
        'unionbit:run '.$example('air-handler-electric-1h-1c').' --call=heat-1 --seconds=200 --seed=3',
    );
    expect($exit)
        ->toBe(0)
        ->and(array_column(array_column(json_decode($run, true), 'what'), 'text'))
        ->toContain('strip on', 'blower on');

    [$exit, $deck] = artisan('unionbit:spice '.$example('heat-pump-o-1c-1aux').' --call=defrost');
    expect($exit)->toBe(0)->and($deck)->toStartWith('* Example:')->toContain('.end', "defrost relay's W contact");

    [$exit] = artisan('unionbit:expect '.$example('furnace-gas-1h-1c').' --mode=A --from=wall.Rc');
    expect($exit)->toBe(1, 'a clamp round a screw is refused');
});

it('takes a thermostat of your own from the job file', function () use ($example): void {
    $file = json_decode((string) file_get_contents($example('furnace-gas-1h-1c')), true);
    $own = json_decode((string) file_get_contents(base_path('catalog/thermostats/battery-1h-1c.json')), true);
    unset($file['plan']);
    $job = app(JobFiles::class)->parse(['thermostat' => ['id' => 'my-own', 'title' => 'My own'] + $own] + $file);

    expect($job->plan?->profile->id)
        ->toBe('my-own')
        ->and(array_filter(Simulation::prove($job->plan), static fn ($p): bool => ! $p->isProved()))
        ->toBe([]);
});

it('says what cannot be used, with exit code 2', function (string $command) use ($example): void {
    expect(artisan(str_replace('JOB', $example('furnace-gas-1h-1c'), $command))[0])->toBe(2);
})->with([
    'no file' => ['unionbit:calls /nowhere.json'],
    'no such call' => ['unionbit:spice JOB --call=emergency'],
    'no such fault' => ['unionbit:spice JOB --fault=gremlins'],
    'no such point' => ['unionbit:expect JOB --from=wall.Q --to=indoor.C'],
    'no such mode' => ['unionbit:expect JOB --mode=Z --from=wall.Rc --to=indoor.C'],
    'seconds' => ['unionbit:run JOB --seconds=long'],
    'no such archetype' => ['unionbit:example steam-engine'],
]);

it('names the pointer, the value and what is allowed of a broken job file', function (
    callable $break,
    string $pointer,
    string $says,
) use ($example): void {
    $file = json_decode((string) file_get_contents($example('heat-pump-o-1c-1aux')), true);
    $broken = $break($file);

    expect(fn () => app(JobFiles::class)->parse($broken))->toThrow(
        fn (InvalidData $problem) => expect($problem->pointer)
            ->toBe($pointer)
            ->and($problem->problem)
            ->toContain($says),
    );
})->with([
    'version' => [fn (array $f) => ['unionbit' => 7] + $f, '/unionbit', 'version 2'],
    'archetype' => [
        function (array $f) {
            $f['survey']['units'] = [['unit' => 'steam']];

            return $f;
        },
        '/survey/units',
        'allowed: air-handler-cool-1c',
    ],
    'colour' => [
        function (array $f) {
            $f['survey']['cables'][0]['conductors'][3]['colour'] = 'mauve';

            return $f;
        },
        '/survey/cables/0/conductors/3/colour',
        'is "mauve"; allowed: red, white',
    ],
    'twice the same number' => [
        function (array $f) {
            $f['survey']['cables'][0]['conductors'][3]['number'] = 1;

            return $f;
        },
        '/survey/cables/0/conductors/3/number',
        'no other conductor',
    ],
    'feet' => [
        function (array $f) {
            $f['survey']['cables'][1]['feet'] = -3;

            return $f;
        },
        '/survey/cables/1/feet',
        'from 1 ft to 1,000 ft',
    ],
    'missing end' => [
        function (array $f) {
            unset($f['survey']['cables'][0]['conductors'][0]['far']);

            return $f;
        },
        '/survey/cables/0/conductors/0/far',
        'missing',
    ],
    'thermostat' => [fn (array $f) => ['thermostat' => 'none-such'] + $f, '/thermostat', 'profile of your own'],
    'plan end' => [
        function (array $f) {
            $f['plan']['wall']['A1']['state'] = 'glued';

            return $f;
        },
        '/plan/wall/A1/state',
        'landed, spare, capped',
    ],
    'not an object' => [fn () => 'house', '/unionbit', 'missing'],
]);

it('reads a file of version 1 as the same house and plan, writes it as version 2', function (): void {
    $old = json_decode((string) file_get_contents(base_path('tests/Support/version-1.json')), true);
    $was = app(JobFiles::class)->parse($old);
    [, $example] = artisan('unionbit:example dual-fuel-o-2c-2h --thermostat=c-powered-3h-2c');
    $is = app(JobFiles::class)->parse(json_decode($example, true));

    expect($old['unionbit'])
        ->toBe(1)
        ->and($old['plan'])
        ->toHaveKeys(['wall', 'indoor'])
        ->and($was->installation)
        ->toEqual($is->installation)
        ->and($was->plan?->landing)
        ->toEqual($is->plan?->landing)
        ->and($was->plan?->landing->wall)
        ->toHaveKey('A1')
        ->and(JobFile::write($was->site, $was->address, $was->kind, $was->installation, $was->plan))
        ->toEqual(json_decode($example, true));

    $moved = array_replace_recursive($old, ['plan' => ['indoor' => ['2' => ['state' => 'capped']]]]);
    expect(app(JobFiles::class)->parse($moved)->plan?->landing->board)->toHaveKey('A2');
});

it('says a table of every command that has one, in words', function (string $command) use ($example): void {
    $exit = Artisan::call(str_replace('JOB', $example('furnace-gas-1h-1c'), $command));
    $said = Artisan::output();
    expect($exit)
        ->toBeIn([0, 1])
        ->and($said)
        ->toContain('+--')
        ->not->toContain('planning.')
        ->not->toContain('circuit.');
})->with([
    'unionbit:prove JOB --table',
    'unionbit:calls JOB --table',
    'unionbit:plans JOB --table',
    'unionbit:run JOB --call=heat-1 --seconds=30 --table',
    'unionbit:expect JOB --call=cool-1 --from=wall.Rc --to=wall.Y1 --table',
]);

it('names the nearest faults where one is not known, and no more', function () use ($example): void {
    $run = new Symfony\Component\Process\Process(
        [
            'php',
            'artisan',
            'unionbit:expect',
            $example('furnace-gas-1h-1c'),
            '--call=cool-1',
            '--from=wall.Rc',
            '--to=wall.Y1',
            '--fault=swich-open:switch.Y1',
        ],
        base_path(),
    );
    expect($run->run())
        ->toBe(2)
        ->and($run->getErrorOutput())
        ->toContain('switch-open:switch.Y1')
        ->and(strlen($run->getErrorOutput()))
        ->toBeLessThan(400);
});
