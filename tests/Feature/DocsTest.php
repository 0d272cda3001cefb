<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;

// What the documents tell a reader to type can be typed.

/** A path of this checkout: datasets are made before the application is there. */
function rooted(string $path = ''): string
{
    return dirname(__DIR__, 2)."/{$path}";
}

/** @return list<string> every code that stands in the documents: fenced lines, and what is between backticks */
function codes(): array
{
    $codes = [];
    foreach ([rooted('README.md'), rooted('CONTRIBUTING.md'), ...glob(rooted('docs/*.md')) ?: []] as $file) {
        $text = (string) file_get_contents($file);
        preg_match_all('/^```[a-z]*\n(.*?)^```/ms', $text, $fenced);
        foreach ($fenced[1] as $block) {
            array_push($codes, ...explode("\n", $block));
        }
        preg_match_all('/`([^`\n]+)`/', $text, $inline);
        array_push($codes, ...$inline[1]);
    }

    return array_values(array_unique(array_map(trim(...), $codes)));
}

/** @return array<string, array{string}> commands of the application, their placeholders filled */
function documented(): array
{
    $commands = [];
    foreach (codes() as $code) {
        if (preg_match('/^php artisan (unionbit:[a-z-]+)(.*)$/', $code, $found) !== 1) {
            continue;
        }
        $rest = preg_replace(['/\[[^\]]*\]/u', '/\s#.*$/', '/…/u'], '', str_replace('\|', '|', $found[2]));
        $rest = strtr((string) $rest, [
            'JOB' => 'docs/examples/furnace-gas-1h-1c.json',
            'EQUIPMENT' => 'furnace-gas-1h',
        ]);
        $commands["{$found[1]}{$rest}"] = [trim($found[1].$rest)];
    }

    return $commands;
}

it('runs every command of the documents', function (string $command): void {
    $name = explode(' ', $command)[0];
    expect(Artisan::all())->toHaveKey($name);
    // What works on a server's own data, writes files or waits for lines is tried by its own tests.
    $others = ['backup', 'restore', 'crew', 'upgrade', 'security-log', 'summaries', 'routes', 'try-mail'];
    if (in_array(substr($name, 9), $others, true) || str_contains($command, '--serve')) {
        return;
    }
    chdir(rooted());
    expect(Artisan::call($command))
        ->toBeIn([0, 1])
        ->and(strlen(Artisan::output()))
        ->toBeGreaterThan(20);
})->with(documented());

it('names no file that is not there', function (): void {
    $missing = [];
    foreach (codes() as $code) {
        if (
            preg_match(
                '#^(?:php |bash )?((?:bin|e2e|benchmarks|core|app|docs|catalog|lang|resources|database|deploy)'.
                    '/[\w./-]+\w)(?: |$)#',
                $code,
                $found,
            ) === 1
        ) {
            $exists = file_exists(rooted($found[1])) || file_exists(rooted("resources/js/{$found[1]}"));
            $made =
                preg_match('#^(lang/en-XA|lang/en/(screen/)?room\.json|resources/.*<|public/build)#', $found[1]) ===
                1;
            $missing = $exists || $made ? $missing : [...$missing, $found[1]];
        }
    }
    expect($missing)->toBe([]);
});

it('measures what its benchmarks say, in a short form', function (string $command): void {
    // On a database of its own, whichever the tests run on.
    $run = new Process(['php', ...explode(' ', $command)], rooted(), ['DB_URL' => ''], timeout: 600);
    expect($run->run())->toBe(0, $run->getOutput().$run->getErrorOutput());
    expect($run->getOutput())->toMatch('/\d+(\.\d+)? (ms|s|MB|times|bits)\b|ratio/');
})->with([
    'benchmarks/dictionary.php furnace-gas-1h c-powered-1h-1c',
    'benchmarks/planning.php 1',
    'benchmarks/edit.php 2',
    'benchmarks/tracing.php 1',
]);

it('measures many jobs and cuts the power, in a short form', function (string $command): void {
    // On a database of its own, whichever the tests run on.
    $run = new Process(['php', ...explode(' ', $command)], rooted(), ['DB_URL' => ''], timeout: 600);
    expect($run->run())->toBe(0, $run->getOutput().$run->getErrorOutput());
})
    ->with(['benchmarks/jobs.php 11', 'benchmarks/power-cut.php 2'])
    ->group('nightly');
