<?php

declare(strict_types=1);

use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

// A machine that lacks something: what it has stands in a folder, all but one tool, and that folder is its whole path.
// apt-get and npm are stand-ins that bring a link to the real thing, or do not.

/**
 * @param  list<string>  $hidden  programs that the machine lacks
 * @param  ?string  $apt  what its apt-get does when it is asked for packages: a line of shell; null where it has none
 * @param  array<string, string>  $instead  programs of its own, by name
 */
function lacking(array $hidden, ?string $apt, array $instead = [], string $kind = ''): Process
{
    $folder = sys_get_temp_dir().'/lacking-'.Str::ulid();
    mkdir("{$folder}/path", recursive: true);
    (new Filesystem())->copyDirectory(base_path('bin'), "{$folder}/bin");
    foreach (['/usr/bin', '/usr/sbin', '/bin', '/usr/local/bin'] as $here) {
        foreach (glob("{$here}/*") ?: [] as $program) {
            $name = basename($program);
            if (! in_array($name, $hidden, true) && ! is_link("{$folder}/path/{$name}")) {
                symlink($program, "{$folder}/path/{$name}");
            }
        }
    }
    $apt === null || ($instead['apt-get'] = "case \"\$*\" in *install*) {$apt} ;; esac");
    foreach ($instead as $name => $does) {
        @unlink("{$folder}/path/{$name}");
        file_put_contents("{$folder}/path/{$name}", "#!/bin/sh\n{$does}\n");
        chmod("{$folder}/path/{$name}", 0755);
    }
    $run = new Process(['bash', "{$folder}/bin/tools", $kind], env: ['PATH' => "{$folder}/path"]);
    try {
        $run->run();
    } finally {
        (new Filesystem())->deleteDirectory($folder);
    }

    return $run;
}

/** Shell that puts the real program where the machine looks for it. */
function bring(string ...$programs): string
{
    $links = array_map(
        static fn (string $p): string => 'ln -s '.
            trim((string) shell_exec('readlink -f "$(command -v '.escapeshellarg($p).')"')).
            " \"\$(dirname \"\$0\")/{$p}\"",
        $programs,
    );

    return implode('; ', $links);
}

const TOOLS = [
    'PHP' => [['php', 'php8.2'], 'php8.2-cli', ''],
    'Composer' => [['composer'], 'composer unzip', ''],
    'npm' => [['npm'], 'nodejs npm', ''],
    'Node' => [['node', 'nodejs'], 'nodejs npm', ''],
    'curl' => [['curl'], 'curl ca-certificates', ''],
    'Git' => [['git'], 'git', ''],
    'oathtool' => [['oathtool'], 'oathtool', ''],
    'a browser' => [['chromium-headless-shell'], 'chromium-headless-shell', 'tests'],
    'ngspice' => [['ngspice'], 'ngspice', 'tests'],
];

it('brings a tool that is missing', function (array $hidden, string $packages, string $kind): void {
    $run = lacking($hidden, bring($hidden[0]), kind: $kind);

    expect($run->getErrorOutput())
        ->toBe('')
        ->and($run->getExitCode())
        ->toBe(0)
        ->and($run->getOutput())
        ->toBe("· Debian packages: {$packages}\n");
})->with(TOOLS);

it('says in one line what is missing and what brings it', function (
    array $hidden,
    string $packages,
    string $kind,
): void {
    $run = lacking($hidden, 'exit 100', kind: $kind);

    expect($run->getExitCode())
        ->toBe(1)
        ->and($run->getErrorOutput())
        ->toBe("✗ Missing: {$packages}. As root: apt-get install {$packages}\n");
})->with(TOOLS);

it('asks for the extensions that PHP lacks, all at once', function (): void {
    $php = trim((string) shell_exec('readlink -f "$(command -v php)"'));
    $without = "if [ \"\$1\" = -m ]; then {$php} -m | grep -vix -e intl -e gd; else exec {$php} \"\$@\"; fi";

    expect(lacking([], ':', ['php' => $without])->getOutput())->toBe("· Debian packages: php8.2-gd php8.2-intl\n");
});

it('fetches a Node of its own where that of the machine is too old, or says how', function (): void {
    $node = trim((string) shell_exec('readlink -f "$(command -v node)"'));
    $npm = "mkdir -p .setup/node/node_modules/node/bin && ln -s {$node} .setup/node/node_modules/node/bin/node";
    $brought = lacking([], ':', ['node' => 'echo v18.20.4', 'npm' => $npm]);
    $refused = lacking([], ':', ['node' => 'echo v18.20.4', 'npm' => 'exit 1']);

    expect([$brought->getExitCode(), $brought->getErrorOutput()])
        ->toBe([0, ''])
        ->and($brought->getOutput())
        ->toBe("· Node 18.20 is too old: one of our own\n")
        ->and($refused->getErrorOutput())
        ->toBe("✗ Node 20 could not be fetched: npm install --prefix .setup/node node@20\n");
});

it('says so where there is no apt-get at all', function (): void {
    expect(lacking(['composer', 'apt-get'], null)->getErrorOutput())->toBe(
        "✗ Missing: composer unzip. This machine has no apt-get: bring them and put them on the path.\n",
    );
});

it('holds every package by what it contains, and says which holds something else', function (): void {
    $check = static fn (): Process => new Process(['bin/packages', '--check'], base_path());
    $well = $check();
    expect($well->run())->toBe(0, $well->getErrorOutput());
    $file = base_path('vendor/psr/log/README.md');
    $plain = (string) file_get_contents($file);
    try {
        file_put_contents($file, "{$plain}\nsomething more");
        $bad = $check();
        expect($bad->run())
            ->toBe(1)
            ->and($bad->getErrorOutput())
            ->toContain('psr/log')
            ->toContain('holds something else than what was tested');
    } finally {
        file_put_contents($file, $plain);
    }
});
