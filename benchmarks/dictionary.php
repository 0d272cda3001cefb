<?php

declare(strict_types=1);

// The fault dictionary of the largest house (dual fuel, two stages, humidifier, two-part thermostat with its module):
// every single fault in every call, ours against ngspice on the same operating points, side by side in one go.
//   php benchmarks/dictionary.php [archetype] [profile]

require __DIR__.'/../vendor/autoload.php';

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Equipment\ArchetypeReader;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Job\ExampleHouse;
use Unionbit\Core\Planning\Offer\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Thermostat\ProfileReader;

$json = static fn (string $name): mixed => json_decode(
    (string) file_get_contents(__DIR__."/../catalog/{$name}.json"),
    true,
    flags: JSON_THROW_ON_ERROR,
);
$house = ExampleHouse::of(ArchetypeReader::read($json('equipment/'.($argv[1] ?? 'dual-fuel-o-2c-2h'))));
$profile = ProfileReader::read($json('thermostats/'.($argv[2] ?? 'two-part-three-conductor')));
$plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
$catalogue = FaultCatalogue::read($json('faults/faults'));
$calls = CallTable::needed($house->archetype)->calls();
$seconds = static function (callable $work): float {
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e9;
};

$first = $plan->circuit();
$rest = $first->operate(Setup::calling());
printf(
    "%s, %s\n%d elements, %d points, %d calls\n\n",
    $house->archetype->title,
    $profile->title,
    count($rest->netlist->elements),
    count($rest->netlist->points),
    count($calls),
);

$one =
    $seconds(static function () use ($plan): void {
        for ($n = 0; $n < 100; $n++) {
            $plan->circuit()->operate(Setup::calling());
        }
    }) / 100;
printf("one operating point from nothing   %7.2f ms   (aim: under 3)\n", 1000 * $one);
printf(
    "all calls of the plan proved       %7.2f ms   (aim: under 40)\n",
    1000 * $seconds(static fn () => Simulation::prove($plan)),
);

$points = [];
$ours = $seconds(static function () use ($plan, $catalogue, $calls, &$points): void {
    $circuit = new Circuit($plan->installation, $plan->profile, $plan->landing);
    foreach ($catalogue->of($circuit) as $fault) {
        foreach ($calls as $call) {
            $setup = FaultedCall::setup($circuit, $call, $fault);
            $circuit->operate($setup)->phasors->magnitude('indoor.R', 'indoor.C');
            $points[] = $setup;
        }
    }
});
printf(
    "dictionary, cold: %d points         %7.2f s    (aim: under 2), peak memory %.0f MB (aim: under 128)\n\n",
    count($points),
    $ours,
    memory_get_peak_usage() / 1e6,
);

// ngspice solves the settled circuit of each point once; ours also found the settled state, from rest.
$sample = array_values(array_filter($points, static fn (int $n): bool => $n % 10 === 0, ARRAY_FILTER_USE_KEY));
$folder = sys_get_temp_dir().'/decks-'.getmypid();
mkdir($folder);
$script = ".control\n";
foreach ($sample as $number => $setup) {
    $deck = SpiceDeck::write($first->operate($setup)->netlist, "point {$number}")['deck'];
    file_put_contents(
        "{$folder}/{$number}.cir",
        str_replace(
            ["set numdgt=12\n", "print all\n", '.control', '.endc'],
            ['', '', '* control', '* endc'],
            preg_replace('/^ac lin.*$/m', '', $deck) ?? $deck,
        ),
    );
    $script .= "source {$folder}/{$number}.cir\nac lin 1 60 60\ndestroy all\nremcirc\n";
}
file_put_contents("{$folder}/all.cir", "* all points in one process\n{$script}.endc\n.end\n");
$theirs =
    ($seconds(static fn () => shell_exec('ngspice -b '.escapeshellarg("{$folder}/all.cir").' 2>&1')) /
        count($sample)) *
    count($points);
array_map(unlink(...), glob("{$folder}/*") ?: []);
rmdir($folder);
printf(
    "ngspice on the same points, one process, one solution each (%d of them run, scaled)  %.2f s\n",
    count($sample),
    $theirs,
);
printf("ratio ngspice / ours: %.1f\n", $theirs / $ours);
